import type { Zod } from '../../model/zod';
import { distance, type Vector } from '../vector';
import { angleFrom, nearestTurn, placed, polar, roundArc } from './curves';
import { angle, defineShape, point, shapeSchema, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'swing', {
    hang: point(z),
    length: size(z),
    fromDeg: angle(z),
    toDeg: angle(z),
  });

/** Straight down is 90° as the field counts, and to the right is anticlockwise from there. */
const hanging = (hang: Vector, deg: number, length: number): Vector => polar(hang, 90 - deg, length);

export const swing = defineShape({
  kind: 'swing',
  schema,
  closed: false,
  cubics: ({ hang, length, fromDeg, toDeg }) =>
    placed(roundArc(length, length, 90 - fromDeg, fromDeg - toDeg), hang, 0),
  handles: (shape) => {
    const { hang, length, fromDeg, toDeg } = shape;
    return [
      {
        id: 'hang',
        hint: 'move what it hangs from',
        at: hang,
        dragged: (to) => ({ ...shape, hang: to }),
      },
      {
        id: 'from',
        hint: 'set the angle it starts at',
        at: hanging(hang, fromDeg, length),
        dragged: (to) => ({ ...shape, fromDeg: nearestTurn(90 - angleFrom(hang, to), fromDeg) }),
      },
      {
        id: 'to',
        hint: 'set the angle it ends at',
        at: hanging(hang, toDeg, length),
        dragged: (to) => ({ ...shape, toDeg: nearestTurn(90 - angleFrom(hang, to), toDeg) }),
      },
      {
        id: 'length',
        hint: 'change the length',
        at: hanging(hang, (fromDeg + toDeg) / 2, length),
        dragged: (to) => ({ ...shape, length: distance(hang, to) }),
      },
    ];
  },
  transformed: (shape, { point: moved, factor, deg }) => ({
    ...shape,
    hang: moved(shape.hang),
    length: shape.length * factor,
    fromDeg: shape.fromDeg - deg,
    toDeg: shape.toDeg - deg,
  }),
  fresh: {
    swing: (space) => ({
      kind: 'swing',
      reversed: false,
      hang: space.point(0, -4),
      length: 7 * space.unit,
      fromDeg: -35,
      toDeg: 35,
    }),
  },
});
