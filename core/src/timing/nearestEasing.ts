import type { Easing } from '../shot/schema';
import { easedDistance } from './easedDistance';
import { minimise } from './minimise';

/** An easing that comes near to a chart. */
export interface NearEasing {
  readonly easing: Easing;
  /** The most that any tick is away from where the chart has it, share of the way. */
  readonly error: number;
}

/** A tick of a chart: so many frames into its span, at that share of the way. */
export interface ChartTick {
  readonly x: number;
  readonly share: number;
}

/** A simpler easing is taken before one that is nearer by less than this share of the way. */
const SIMPLER_BY = 5e-4;
const MOST_SWINGS = 6;
const MOST_BOUNCES = 6;

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** @returns how far an easing is from a chart: the mean square for searching, the largest for saying */
function measureOf(ticks: readonly ChartTick[], frames: number) {
  const away = (easing: Easing): number[] =>
    ticks.map(({ x, share }) => easedDistance(easing, x, frames, 1) - share);
  return {
    square: (easing: Easing): number => away(easing).reduce((sum, off) => sum + off * off, 0),
    largest: (easing: Easing): number => away(easing).reduce((most, off) => Math.max(most, Math.abs(off)), 0),
  };
}

type Measure = ReturnType<typeof measureOf>;

/** The ramp of whole frames that fits best: a coarse look at all of them, then from the best one downhill. */
function nearestRamp(ramp: 'steady' | 'soft', frames: number, { square }: Measure): Easing {
  const of = (leaveFrames: number, arriveFrames: number): Easing => ({
    kind: 'ramped',
    leaveFrames,
    arriveFrames,
    ramp,
  });
  const step = Math.max(1, Math.ceil(frames / 24));
  let best = { a: 0, b: 0, cost: Infinity };
  const look = (a: number, b: number): boolean => {
    if (a < 0 || b < 0 || a + b > frames) return false;
    const cost = square(of(a, b));
    if (cost >= best.cost) return false;
    best = { a, b, cost };
    return true;
  };
  for (let a = 0; a <= frames; a += step) for (let b = 0; a + b <= frames; b += step) look(a, b);
  for (let by = step; by >= 1; by = by === 1 ? 0 : Math.ceil(by / 2)) {
    let isMoving = true;
    while (isMoving) {
      const { a, b } = best;
      isMoving = [
        [a + by, b],
        [a - by, b],
        [a, b + by],
        [a, b - by],
        [a + by, b - by],
        [a - by, b + by],
      ].some(([c, d]) => look(c!, d!));
    }
  }
  return of(best.a, best.b);
}

/** The best of an easing with some numbers, from several starts. */
function nearestOf(
  of: (numbers: readonly number[]) => Easing,
  starts: readonly (readonly number[])[],
  step: readonly number[],
  { square }: Measure,
): Easing {
  const found = starts.map((start) => of(minimise((numbers) => square(of(numbers)), start, step)));
  return found.reduce((best, one) => (square(one) < square(best) ? one : best));
}

const curveOf = ([x1, y1, x2, y2]: readonly number[]): Easing => ({
  kind: 'curve',
  x1: within(x1!, 0, 1),
  y1: within(y1!, -4, 4),
  x2: within(x2!, 0, 1),
  y2: within(y2!, -4, 4),
});

const CURVE_STARTS = [
  [0.33, 0.33, 0.67, 0.67],
  [0.4, 0, 0.6, 1],
  [0.6, 0, 0.9, 0.6],
  [0.1, 0.4, 0.4, 1],
];

const slowPlaceOf = ([at, strength]: readonly number[]): Easing => ({
  kind: 'slow-place',
  at: within(at!, 0, 1),
  strength: within(strength!, 0, 0.99),
});

/**
 * The easings nearest to a chart, the best first: of each kind the one that fits best in the mean square. A
 * simpler kind comes before one that is hardly nearer.
 * @param ticks between the ends of the span
 * @param frames length of the span, ≥ 1
 */
export function nearestEasings(ticks: readonly ChartTick[], frames: number): readonly NearEasing[] {
  const measure = measureOf(ticks, frames);
  const best = (easings: readonly Easing[]): Easing =>
    easings.reduce((least, one) => (measure.square(one) < measure.square(least) ? one : least));
  const settles = Array.from({ length: MOST_SWINGS }, (_, k) =>
    nearestOf(
      ([overshoot]) => ({ kind: 'settle', overshoot: within(overshoot!, 0.01, 0.9), swings: k + 1 }),
      [[0.2]],
      [0.15],
      measure,
    ),
  );
  const bounces = Array.from({ length: MOST_BOUNCES + 1 }, (_, count) =>
    nearestOf(
      ([restitution]) => ({ kind: 'bounce', count, restitution: within(restitution!, 0.05, 0.95) }),
      [[0.6]],
      [0.15],
      measure,
    ),
  );
  // In the order of how simple they are.
  const easings: Easing[] = [
    { kind: 'even' },
    { kind: 'snap' },
    nearestRamp('steady', frames, measure),
    nearestRamp('soft', frames, measure),
    nearestOf(
      slowPlaceOf,
      [
        [0.1, 0.3],
        [0.5, 0.3],
        [0.9, 0.3],
      ],
      [0.2, 0.3],
      measure,
    ),
    best(settles),
    best(bounces),
    nearestOf(curveOf, CURVE_STARTS, [0.15, 0.15, -0.15, -0.15], measure),
  ];
  return easings
    .map((easing, rank) => ({ easing, error: measure.largest(easing), rank }))
    .sort((a, b) => a.error + a.rank * SIMPLER_BY - (b.error + b.rank * SIMPLER_BY))
    .map(({ easing, error }) => ({ easing, error }));
}
