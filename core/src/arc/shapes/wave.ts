import type { Zod } from '../../model/zod';
import type { z } from 'zod';
import type { Cubic } from '../cubic';
import { add, distance, mix, scale, subtract, type Vector } from '../vector';
import { alongDirection, angleFrom } from './curves';
import { coordinate, defineShape, point, shapeSchema } from './shapeDefinition';

const schema = (z: Zod) =>
  shapeSchema(z, 'wave', {
    from: point(z),
    to: point(z),
    count: z.number().int().min(1).max(60),
    /** From the middle line to a crest; the first crest lies to the left of the travel when positive. */
    height: coordinate(z),
  });

type Wave = z.infer<ReturnType<typeof schema>>;

function axesOf({ from, to }: Wave): { readonly forward: Vector; readonly left: Vector } {
  const length = distance(from, to);
  const forward = length > 0 ? scale(subtract(to, from), 1 / length) : { x: 1, y: 0 };
  return { forward, left: { x: forward.y, y: -forward.x } };
}

/**
 * Handles of the cubic that stays nearest to sin x over its first quarter, with the sine's slopes at both ends.
 * Their two lengths are those with the smallest largest error, 5.9e-5 of the height (a search over both
 * finds them again). `near` and `far` are shares of a quarter period, `nearHeight` of the height.
 */
const SINE_QUARTER = {
  near: 0.512286623256592 / (Math.PI / 2),
  nearHeight: 0.512286623256592,
  far: 1.002313685767899 / (Math.PI / 2),
};
/** Length of the handles between two crests so that the middle is as steep as a sine, of half a period. */
const CREST_HANDLE = (Math.PI - 2) / Math.PI;

function sine(wave: Wave): readonly Cubic[] {
  const { from, to, count, height } = wave;
  const length = distance(from, to);
  const { forward, left } = axesOf(wave);
  const quarter = length / count / 4;
  const at = (x: number, y: number): Vector => add(add(from, scale(forward, x)), scale(left, y));
  const crest = (i: number): Vector => ({ x: (2 * i + 1) * quarter, y: i % 2 === 0 ? height : -height });
  const first = crest(0);
  const last = crest(2 * count - 1);
  const cubics: Cubic[] = [
    {
      start: from,
      control1: at(SINE_QUARTER.near * quarter, SINE_QUARTER.nearHeight * height),
      control2: at(SINE_QUARTER.far * quarter, height),
      end: at(first.x, first.y),
    },
  ];
  for (let i = 1; i < 2 * count; i++) {
    const [a, b] = [crest(i - 1), crest(i)];
    const handle = CREST_HANDLE * 2 * quarter;
    cubics.push({
      start: at(a.x, a.y),
      control1: at(a.x + handle, a.y),
      control2: at(b.x - handle, b.y),
      end: at(b.x, b.y),
    });
  }
  cubics.push({
    start: at(last.x, last.y),
    control1: at(length - SINE_QUARTER.far * quarter, last.y),
    control2: at(length - SINE_QUARTER.near * quarter, SINE_QUARTER.nearHeight * last.y),
    end: to,
  });
  return cubics;
}

export const wave = defineShape({
  kind: 'wave',
  schema,
  closed: false,
  cubics: sine,
  handles: (shape) => {
    const { from, to, count, height } = shape;
    return [
      { id: 'from', hint: 'move the start', at: from, dragged: (p) => ({ ...shape, from: p }) },
      { id: 'to', hint: 'move the end', at: to, dragged: (p) => ({ ...shape, to: p }) },
      {
        id: 'crest',
        hint: 'change the height',
        at: add(mix(from, to, 1 / (4 * count)), scale(axesOf(shape).left, height)),
        dragged: (p) => ({ ...shape, height: alongDirection(from, angleFrom(from, to) - 90, p) }),
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
    wave: (space) => ({
      kind: 'wave',
      reversed: false,
      from: space.point(-4.5, 0),
      to: space.point(4.5, 0),
      count: 2,
      height: 1.5 * space.unit,
    }),
  },
});
