import { number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const toss: ShapeDescriptor<ShapeOf<'toss'>> = {
  names: { toss: 'Toss' },
  numbers: (shape) => [
    number(shape, 'height', 'Height above the ends'),
    ...point(shape, 'from', 'From'),
    ...point(shape, 'to', 'To'),
  ],
};
