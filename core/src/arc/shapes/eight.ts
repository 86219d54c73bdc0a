import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { distance } from '../vector';
import { along, alongDirection, angleFrom, nearestTurn, placed, polar } from './curves';
import { angle, defineShape, point, shapeSchema, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'eight', { centre: point(z), width: size(z), height: size(z), turnDeg: angle(z) });

/** Lemniscate of Gerono: twice up and down while once to and fro. It starts at its crossing, to the right. */
function lemniscate({
  centre,
  width,
  height,
  turnDeg,
}: z.infer<ReturnType<typeof schema>>): readonly Cubic[] {
  const [w, h] = [width / 2, height / 2];
  const cubics = along(
    (t) => ({ x: w * Math.sin(t), y: -h * Math.sin(2 * t) }),
    (t) => ({ x: w * Math.cos(t), y: -2 * h * Math.cos(2 * t) }),
    0,
    2 * Math.PI,
    8,
  );
  return placed(cubics, centre, turnDeg);
}

export const eight = defineShape({
  kind: 'eight',
  schema,
  closed: true,
  cubics: lemniscate,
  handles: (shape) => {
    const { centre, width, height, turnDeg } = shape;
    return [
      { id: 'centre', hint: 'move the whole', at: centre, dragged: (to) => ({ ...shape, centre: to }) },
      {
        id: 'x',
        hint: 'change the width and turn',
        at: polar(centre, turnDeg, width / 2),
        dragged: (to) => ({
          ...shape,
          width: 2 * distance(centre, to),
          turnDeg: nearestTurn(angleFrom(centre, to), turnDeg),
        }),
      },
      {
        id: 'y',
        hint: 'change the height',
        at: polar(centre, turnDeg + 90, height / 2),
        dragged: (to) => ({ ...shape, height: 2 * Math.abs(alongDirection(centre, turnDeg + 90, to)) }),
      },
    ];
  },
  transformed: (shape, { point: moved, factor, deg }) => ({
    ...shape,
    centre: moved(shape.centre),
    width: shape.width * factor,
    height: shape.height * factor,
    turnDeg: shape.turnDeg + deg,
  }),
  fresh: {
    eight: ({ centre, unit }) => ({
      kind: 'eight',
      reversed: false,
      centre,
      width: 7 * unit,
      height: 4 * unit,
      turnDeg: 0,
    }),
  },
});
