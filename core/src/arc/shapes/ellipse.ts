import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import { distance } from '../vector';
import { alongDirection, angleFrom, nearestTurn, placed, polar, roundArc } from './curves';
import { angle, defineShape, point, shapeSchema, type ShapeSpace, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'ellipse', {
    centre: point(z),
    radiusX: size(z),
    radiusY: size(z),
    turnDeg: angle(z),
    /** Where it starts, 0 at the right. */
    startDeg: angle(z),
    isRound: z.boolean(),
  });

type Ellipse = z.infer<ReturnType<typeof schema>>;

const TOP_DEG = 270;

const fresh = ({ centre }: ShapeSpace, radiusX: number, radiusY: number, isRound: boolean): Ellipse => ({
  kind: 'ellipse',
  reversed: false,
  centre,
  radiusX,
  radiusY,
  turnDeg: 0,
  startDeg: TOP_DEG,
  isRound,
});

export const ellipse = defineShape({
  kind: 'ellipse',
  schema,
  closed: true,
  cubics: ({ centre, radiusX, radiusY, turnDeg, startDeg, isRound }) =>
    placed(roundArc(radiusX, isRound ? radiusX : radiusY, startDeg, 360), centre, turnDeg),
  handles: (shape) => {
    const { centre, radiusX, radiusY, turnDeg, isRound } = shape;
    const whole = {
      id: 'centre',
      hint: 'move the whole',
      at: centre,
      dragged: (to: typeof centre) => ({ ...shape, centre: to }),
    };
    const right = polar(centre, turnDeg, radiusX);
    if (isRound)
      return [
        whole,
        {
          id: 'x',
          hint: 'change the radius',
          at: right,
          dragged: (to) => ({ ...shape, radiusX: distance(centre, to), radiusY: distance(centre, to) }),
        },
      ];
    return [
      whole,
      {
        id: 'x',
        hint: 'change the width and turn',
        at: right,
        dragged: (to) => ({
          ...shape,
          radiusX: distance(centre, to),
          turnDeg: nearestTurn(angleFrom(centre, to), turnDeg),
        }),
      },
      {
        id: 'y',
        hint: 'change the height',
        at: polar(centre, turnDeg + 90, radiusY),
        dragged: (to) => ({ ...shape, radiusY: Math.abs(alongDirection(centre, turnDeg + 90, to)) }),
      },
    ];
  },
  transformed: (shape, { point: moved, factor, deg }) => ({
    ...shape,
    centre: moved(shape.centre),
    radiusX: shape.radiusX * factor,
    radiusY: shape.radiusY * factor,
    turnDeg: shape.turnDeg + deg,
  }),
  fresh: {
    circle: (space) => fresh(space, 3 * space.unit, 3 * space.unit, true),
    ellipse: (space) => fresh(space, 4 * space.unit, 2 * space.unit, false),
  },
});
