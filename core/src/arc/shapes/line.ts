import type { Zod } from '../../model/zod';
import { line as straight } from './curves';
import { defineShape, point, shapeSchema } from './shapeDefinition';

const schema = (z: Zod) => shapeSchema(z, 'line', { from: point(z), to: point(z) });

export const line = defineShape({
  kind: 'line',
  schema,
  closed: false,
  cubics: ({ from, to }) => [straight(from, to)],
  handles: (shape) => [
    { id: 'from', hint: 'move the start', at: shape.from, dragged: (from) => ({ ...shape, from }) },
    { id: 'to', hint: 'move the end', at: shape.to, dragged: (to) => ({ ...shape, to }) },
  ],
  transformed: (shape, by) => ({ ...shape, from: by.point(shape.from), to: by.point(shape.to) }),
  fresh: {
    line: (space) => ({ kind: 'line', reversed: false, from: space.point(-4, 0), to: space.point(4, 0) }),
  },
});
