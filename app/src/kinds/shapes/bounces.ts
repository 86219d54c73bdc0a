import { shapesWords as words } from '../../words/shapes';
import { count, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const bounces: ShapeDescriptor<ShapeOf<'bounces'>> = {
  names: { bounces: words.bounces },
  numbers: (shape) => [
    number(shape, 'count', words.bounces, count(40)),
    number(shape, 'restitution', words.speedKeptOnLanding, {
      unit: undefined,
      min: 0.05,
      max: 1,
      step: 0.05,
      decimals: 2,
    }),
    ...point(shape, 'from', words.droppedFrom),
    ...point(shape, 'to', words.comesToRestAt),
  ],
};
