import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { add, distance, subtract, type Vector } from '../vector';
import { line, mapped, RADIANS, roundArc } from './curves';
import { defineShape, point, shapeSchema } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'three-places', { from: point(z), through: point(z), to: point(z) });

function throughThree({ from, through, to }: z.infer<ReturnType<typeof schema>>): readonly Cubic[] {
  const [b, c] = [subtract(through, from), subtract(to, from)];
  const twiceArea = 2 * (b.x * c.y - b.y * c.x);
  const longest = Math.max(distance(from, through), distance(through, to), distance(from, to));
  if (Math.abs(twiceArea) <= 1e-9 * longest * longest) return [line(from, through), line(through, to)];
  const [bb, cc] = [b.x * b.x + b.y * b.y, c.x * c.x + c.y * c.y];
  const centre = add(from, { x: (c.y * bb - b.y * cc) / twiceArea, y: (b.x * cc - c.x * bb) / twiceArea });
  const angle = (p: Vector): number => Math.atan2(p.y - centre.y, p.x - centre.x) / RADIANS;
  const sign = Math.sign(twiceArea);
  const sweep = sign * (((sign * (angle(to) - angle(from))) % 360) + 360);
  const radius = distance(centre, from);
  const cubics = mapped(roundArc(radius, radius, angle(from), sweep % 360), (p) => add(p, centre));
  return cubics.map((cubic, i) => ({
    ...cubic,
    start: i === 0 ? from : cubic.start,
    end: i === cubics.length - 1 ? to : cubic.end,
  }));
}

export const threePlaces = defineShape({
  kind: 'three-places',
  schema,
  closed: false,
  cubics: throughThree,
  handles: (shape) => [
    { id: 'from', hint: 'move the start', at: shape.from, dragged: (from) => ({ ...shape, from }) },
    {
      id: 'through',
      hint: 'bend it through here',
      at: shape.through,
      dragged: (through) => ({ ...shape, through }),
    },
    { id: 'to', hint: 'move the end', at: shape.to, dragged: (to) => ({ ...shape, to }) },
  ],
  transformed: (shape, by) => ({
    ...shape,
    from: by.point(shape.from),
    through: by.point(shape.through),
    to: by.point(shape.to),
  }),
  fresh: {
    'three-places': (space) => ({
      kind: 'three-places',
      reversed: false,
      from: space.point(-4, 1.5),
      through: space.point(0, -1.5),
      to: space.point(4, 1.5),
    }),
  },
});
