import { count, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const bounces: ShapeDescriptor<ShapeOf<'bounces'>> = {
  names: { bounces: 'Bounces' },
  numbers: (shape) => [
    number(shape, 'count', 'Bounces', count(40)),
    number(shape, 'restitution', 'Speed kept on landing', {
      unit: undefined,
      min: 0.05,
      max: 1,
      step: 0.05,
      decimals: 2,
    }),
    ...point(shape, 'from', 'Dropped from'),
    ...point(shape, 'to', 'Comes to rest at'),
  ],
};
