import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const spiral: ShapeDescriptor<ShapeOf<'spiral'>> = {
  names: { spiral: 'Spiral' },
  numbers: (shape) => [
    number(shape, 'turns', 'Turns', { unit: undefined, min: -60, max: 60, step: 0.25, decimals: 2 }),
    number(shape, 'innerRadius', 'Inner radius'),
    number(shape, 'outerRadius', 'Outer radius'),
    number(shape, 'startDeg', 'Starts at', ANGLE),
    ...point(shape, 'centre', 'Middle'),
  ],
};
