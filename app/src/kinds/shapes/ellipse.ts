import { ANGLE, number, point, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const ellipse: ShapeDescriptor<ShapeOf<'ellipse'>> = {
  names: { circle: 'Circle', ellipse: 'Ellipse' },
  nameOf: ({ isRound }) => (isRound ? 'circle' : 'ellipse'),
  numbers: (shape) => [
    ...(shape.isRound
      ? [
          {
            ...number(shape, 'radiusX', 'Radius'),
            with: (radius: number) => ({ ...shape, radiusX: radius, radiusY: radius }),
          },
        ]
      : [number(shape, 'radiusX', 'Half width'), number(shape, 'radiusY', 'Half height')]),
    number(shape, 'startDeg', 'Starts at', ANGLE),
    ...(shape.isRound ? [] : [number(shape, 'turnDeg', 'Turned by', ANGLE)]),
    ...point(shape, 'centre', 'Middle'),
  ],
};
