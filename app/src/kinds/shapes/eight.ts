import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const eight: ShapeDescriptor<ShapeOf<'eight'>> = {
  names: { eight: 'Figure of eight' },
  numbers: (shape) => [
    number(shape, 'width', 'Width'),
    number(shape, 'height', 'Height'),
    number(shape, 'turnDeg', 'Turned by', ANGLE),
    ...point(shape, 'centre', 'Middle'),
  ],
};
