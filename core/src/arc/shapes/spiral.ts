import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { distance, type Vector } from '../vector';
import { along, angleFrom, nearestTurn, polar, RADIANS } from './curves';
import { angle, defineShape, point, shapeSchema, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'spiral', {
    centre: point(z),
    innerRadius: size(z),
    outerRadius: size(z),
    /** Negative turns anticlockwise as seen. */
    turns: z.number().min(-60).max(60),
    startDeg: angle(z),
  });

function archimedes(shape: z.infer<ReturnType<typeof schema>>): readonly Cubic[] {
  const { centre, innerRadius, outerRadius, turns, startDeg } = shape;
  const sweep = turns * 2 * Math.PI;
  const growth = outerRadius - innerRadius;
  const radiusAt = (t: number): number => innerRadius + growth * t;
  const radiansAt = (t: number): number => startDeg * RADIANS + sweep * t;
  const on = (t: number): Vector => ({
    x: centre.x + radiusAt(t) * Math.cos(radiansAt(t)),
    y: centre.y + radiusAt(t) * Math.sin(radiansAt(t)),
  });
  const derivative = (t: number): Vector => {
    const [cos, sin] = [Math.cos(radiansAt(t)), Math.sin(radiansAt(t))];
    return { x: growth * cos - radiusAt(t) * sweep * sin, y: growth * sin + radiusAt(t) * sweep * cos };
  };
  return along(on, derivative, 0, 1, Math.max(1, Math.ceil(Math.abs(turns) * 8)));
}

export const spiral = defineShape({
  kind: 'spiral',
  schema,
  closed: false,
  cubics: archimedes,
  handles: (shape) => {
    const { centre, innerRadius, outerRadius, turns, startDeg } = shape;
    const endDeg = startDeg + 360 * turns;
    return [
      { id: 'centre', hint: 'move the whole', at: centre, dragged: (to) => ({ ...shape, centre: to }) },
      {
        id: 'inner',
        hint: 'change the inner radius and turn',
        at: polar(centre, startDeg, innerRadius),
        dragged: (to) => ({
          ...shape,
          innerRadius: distance(centre, to),
          startDeg: nearestTurn(angleFrom(centre, to), startDeg),
        }),
      },
      {
        id: 'outer',
        hint: 'change the outer radius and turns',
        at: polar(centre, endDeg, outerRadius),
        dragged: (to) => ({
          ...shape,
          outerRadius: distance(centre, to),
          turns: (nearestTurn(angleFrom(centre, to), endDeg) - startDeg) / 360,
        }),
      },
    ];
  },
  transformed: (shape, { point: moved, factor, deg }) => ({
    ...shape,
    centre: moved(shape.centre),
    innerRadius: shape.innerRadius * factor,
    outerRadius: shape.outerRadius * factor,
    startDeg: shape.startDeg + deg,
  }),
  fresh: {
    spiral: ({ centre, unit }) => ({
      kind: 'spiral',
      reversed: false,
      centre,
      innerRadius: 0.5 * unit,
      outerRadius: 3.5 * unit,
      turns: 2,
      startDeg: 0,
    }),
  },
});
