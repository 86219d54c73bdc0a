import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { halfThrow, line } from './curves';
import { defineShape, point, shapeSchema, size } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'toss', {
    from: point(z),
    to: point(z),
    height: size(z),
  });

/** A throw under steady weight: two parts of one parabola that meet at the top. */
function parabola({ from, to, height }: z.infer<ReturnType<typeof schema>>): readonly Cubic[] {
  const top = Math.min(from.y, to.y) - height;
  const [rise, fall] = [Math.sqrt(from.y - top), Math.sqrt(to.y - top)];
  if (rise + fall === 0) return [line(from, to)];
  if (rise === 0 || fall === 0) return [halfThrow(from, to)];
  const apex = { x: from.x + ((to.x - from.x) * rise) / (rise + fall), y: top };
  return [halfThrow(from, apex), halfThrow(apex, to)];
}

export const toss = defineShape({
  kind: 'toss',
  schema,
  closed: false,
  isUpright: true,
  cubics: parabola,
  handles: (shape) => {
    const { from, to, height } = shape;
    const higher = Math.min(from.y, to.y);
    return [
      { id: 'from', hint: 'move the start', at: from, dragged: (p) => ({ ...shape, from: p }) },
      { id: 'to', hint: 'move where it lands', at: to, dragged: (p) => ({ ...shape, to: p }) },
      {
        id: 'top',
        hint: 'change the height',
        at: { x: (from.x + to.x) / 2, y: higher - height },
        dragged: (p) => ({ ...shape, height: Math.max(0, higher - p.y) }),
      },
    ];
  },
  transformed: (shape, by) => ({
    ...shape,
    from: by.point(shape.from),
    to: by.point(shape.to),
    height: shape.height * by.factor,
  }),
  fresh: {
    toss: (space) => ({
      kind: 'toss',
      reversed: false,
      from: space.point(-4, 2),
      to: space.point(4, 2),
      height: 5 * space.unit,
    }),
  },
});
