import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const swing: ShapeDescriptor<ShapeOf<'swing'>> = {
  names: { swing: 'Swing' },
  numbers: (shape) => [
    number(shape, 'length', 'Length'),
    number(shape, 'fromDeg', 'From', ANGLE),
    number(shape, 'toDeg', 'To', ANGLE),
    ...point(shape, 'hang', 'Hangs from'),
  ],
};
