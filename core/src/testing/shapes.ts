import { fc } from './property';
import type { PointShape } from '../arc/smoothing';
import { withIds } from '../arc/wholeArc';
import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { PLAIN_MARK } from '../model/plainTiming';
import type { Arc, Easing, Mark, Move, Shot } from '../model/schema';

export const corner = (x: number, y: number): PointShape => ({
  x,
  y,
  in: { x: 0, y: 0 },
  out: { x: 0, y: 0 },
  kind: 'corner',
});

export const arcOf = (points: readonly PointShape[], closed = false): Arc => ({
  id: 'arc1',
  name: 'Arc',
  closed,
  points: withIds(points),
  shape: null,
  colour: 'indigo',
  hidden: false,
  locked: false,
});

export function cubicArc(...[a, b, c, d]: [number, number][]): Arc {
  const zero = { x: 0, y: 0 };
  return arcOf([
    { x: a![0], y: a![1], in: zero, out: { x: b![0] - a![0], y: b![1] - a![1] }, kind: 'smooth' },
    { x: d![0], y: d![1], in: { x: c![0] - d![0], y: c![1] - d![1] }, out: zero, kind: 'smooth' },
  ]);
}

/**
 * A circle of many cubics, close enough to the true one for two decimals.
 * @param clockwise as seen; it starts at the rightmost point
 */
export function circle(radius: number, clockwise = true, segments = 16): Arc {
  const sign = clockwise ? 1 : -1;
  const step = (2 * Math.PI) / segments;
  const handle = radius * (4 / 3) * Math.tan(step / 4);
  return arcOf(
    Array.from({ length: segments }, (_, i): PointShape => {
      const angle = sign * i * step;
      const tangent = { x: -Math.sin(angle) * sign, y: Math.cos(angle) * sign };
      return {
        x: radius * Math.cos(angle),
        y: radius * Math.sin(angle),
        in: { x: -tangent.x * handle, y: -tangent.y * handle },
        out: { x: tangent.x * handle, y: tangent.y * handle },
        kind: 'smooth',
      };
    }),
    true,
  );
}

export function shotAlong(arc: Arc, lengthFrames: number, easing: Easing = { kind: 'even' }): Shot {
  const empty = freshShot({ name: 'Test', rate: 24, lengthFrames, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: arc.points });
  return {
    ...drawn,
    arcs: [arc],
    moves: drawn.moves.map((move): Move => ({
      ...move,
      arcId: arc.id,
      marks: move.marks.map((mark) => ({ ...mark, easing })),
    })),
  };
}

export const markAt = (frame: number, fraction: number, some: Partial<Mark> = {}): Mark => ({
  ...PLAIN_MARK,
  id: `m${frame}`,
  frame,
  fraction,
  kind: 'stop',
  easing: { kind: 'even' },
  ...some,
});

export const withMarks = (shot: Shot, ...marks: Mark[]): Shot => ({
  ...shot,
  moves: shot.moves.map((move): Move => ({ ...move, marks })),
});

export const straightShot = (length: number, lengthFrames: number, easing?: Easing): Shot =>
  shotAlong(arcOf([corner(0, 0), corner(length, 0)]), lengthFrames, easing);

export const onlyMove = (shot: Shot): Move => shot.moves[0]!;

const coordinate = fc
  .double({ min: -2000, max: 2000, noNaN: true })
  .map((v) => Math.round(v * 100) / 100 + 0);
const vector = fc.record({ x: coordinate, y: coordinate });
const handle = fc.oneof(vector, fc.constant({ x: 0, y: 0 }));

/** Arcs of every sort: loops, cusps, drawn-in handles, coincident points. */
export const anyArc = fc
  .tuple(
    fc.array(
      fc.record({
        x: coordinate,
        y: coordinate,
        in: handle,
        out: handle,
        kind: fc.constantFrom('smooth' as const, 'corner' as const),
      }),
      { minLength: 2, maxLength: 6 },
    ),
    fc.boolean(),
  )
  .map(([points, closed]) => arcOf(points, closed));

export const anyEasing = (frames: number): fc.Arbitrary<Easing> =>
  fc.oneof(
    fc.constant<Easing>({ kind: 'even' }),
    fc.record({
      kind: fc.constant('ramped' as const),
      leaveFrames: fc.integer({ min: 0, max: frames }),
      arriveFrames: fc.integer({ min: 0, max: frames }),
      ramp: fc.constantFrom('steady' as const, 'soft' as const),
    }),
  );

export const everyEasing = (frames: number): fc.Arbitrary<Easing> => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const beyond = fc.double({ min: -3, max: 3, noNaN: true });
  return fc.oneof(
    anyEasing(frames),
    fc.record({ kind: fc.constant('curve' as const), x1: share, y1: beyond, x2: share, y2: beyond }),
    fc.constant<Easing>({ kind: 'flow' }),
    fc.record({
      kind: fc.constant('slow-place' as const),
      at: share,
      strength: fc.double({ min: 0, max: 0.99, noNaN: true }),
    }),
    fc.record({
      kind: fc.constant('wind-up' as const),
      backFrames: fc.double({ min: 0, max: frames, noNaN: true }),
      back: fc.double({ min: 0, max: 2, noNaN: true }),
    }),
    fc.record({
      kind: fc.constant('settle' as const),
      overshoot: fc.double({ min: 0.01, max: 0.9, noNaN: true }),
      swings: fc.integer({ min: 1, max: 20 }),
    }),
    fc.record({
      kind: fc.constant('bounce' as const),
      count: fc.integer({ min: 0, max: 20 }),
      restitution: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    }),
    fc.constant<Easing>({ kind: 'snap' }),
    fc.record({
      kind: fc.constant('ticks' as const),
      fractions: fc.array(beyond, { minLength: 1, maxLength: 12 }),
    }),
  );
};
