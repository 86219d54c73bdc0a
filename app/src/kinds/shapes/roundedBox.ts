import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const roundedBox: ShapeDescriptor<ShapeOf<'rounded-box'>> = {
  names: { 'rounded-box': 'Rounded box' },
  numbers: (shape) => [
    number(shape, 'width', 'Width'),
    number(shape, 'height', 'Height'),
    number(shape, 'cornerRadius', 'Corner radius', { max: Math.min(shape.width, shape.height) / 2 }),
    number(shape, 'startDeg', 'Starts at', ANGLE),
    number(shape, 'turnDeg', 'Turned by', ANGLE),
    ...point(shape, 'centre', 'Middle'),
  ],
};
