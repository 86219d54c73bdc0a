import { shapesWords as words } from '../../words/shapes';
import { ANGLE, number, point, startSide, type ShapeDescriptor, type ShapeOf } from './shapeDescriptor';

export const ellipse: ShapeDescriptor<ShapeOf<'ellipse'>> = {
  names: { circle: words.circle, ellipse: words.ellipse },
  nameOf: ({ isRound }) => (isRound ? 'circle' : 'ellipse'),
  numbers: (shape) => [
    ...(shape.isRound
      ? [
          {
            ...number(shape, 'radiusX', words.radius),
            with: (radius: number) => ({ ...shape, radiusX: radius, radiusY: radius }),
          },
        ]
      : [number(shape, 'radiusX', words.halfWidth), number(shape, 'radiusY', words.halfHeight)]),
    number(shape, 'startDeg', words.startsAt, ANGLE),
    ...(shape.isRound ? [] : [number(shape, 'turnDeg', words.turnedBy, ANGLE)]),
    ...point(shape, 'centre', words.middle),
  ],
  choices: startSide,
};
