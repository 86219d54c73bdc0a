import type { PointShape } from '../arc/smoothing';
import { outOfRange } from '../model/errors';
import { PLAIN_MARK } from '../model/plainTiming';
import type { Mark } from '../model/schema';
import { FlowingMarks } from './flowingMarks';
import { momentsOf, type RawGesture, samplesOn, type TimedPoint } from './gesture';
import { layGesture } from './layGesture';
import { standstills } from './standstills';

/** How close the figure keeps to the hand, or how few marks say it: either gives the other. */
export type ThinWish =
  /** How far the figure may be on any frame from where the hand was then, field units, > 0. */
  | { readonly allowedDeviation: number }
  /** At most so many marks, ≥ 2. */
  | { readonly mostMarks: number };

export type ThinOptions = ThinWish & {
  readonly frames: number;
  /** Called with the share of the work that is done, 0 to 1. */
  readonly onProgress?: (share: number) => void;
};

export interface ThinnedGesture {
  readonly points: readonly PointShape[];
  /** Frames count from 0, the start of the gesture. */
  readonly marks: readonly Omit<Mark, 'id'>[];
  /** What was allowed, or what so few marks need, field units. */
  readonly allowedDeviation: number;
  /** Largest distance between figure and hand on one frame, field units, and which frame that is. */
  readonly deviation: number;
  readonly worstFrame: number;
}

type Thinned = Omit<ThinnedGesture, 'allowedDeviation'>;

const FLOW = { kind: 'flow' } as const;
const HOLD = { kind: 'even' } as const;

/** Marks nearer than this are on one spot: the arc is looked along for where the hand was, and no finer. */
const ONE_SPOT = 1e-9;

function settled(marks: readonly Mark[]): Omit<Mark, 'id'>[] {
  let last = -1;
  return marks.map(({ id: _, fraction, ...mark }) => {
    if (Math.abs(fraction - last) >= ONE_SPOT) last = fraction;
    return { ...mark, fraction: last };
  });
}

/** Deviations that are tried: so many to each doubling, the same ones whatever is allowed. */
const LEVELS_A_DOUBLING = 4;

/** How much of the work is done when the first of them is. */
const FIRST_SHARE = 0.6;

/** Numbers of marks at neighbouring levels differ by chance, about as their square root; more marks than that are too many. */
const tooMany = (marks: number): number => marks + 2 * Math.sqrt(marks) + 2;

/** No more doublings are gone down. */
const DOUBLINGS = 3;
/** A start and an end: fewer marks there cannot be. */
const MIN_MARKS = 2;

const isBetter = (a: Thinned, b: Thinned, mostPoints: number): boolean =>
  a.points.length <= mostPoints &&
  (a.marks.length < b.marks.length ||
    (a.marks.length === b.marks.length && a.points.length <= b.points.length && a.deviation < b.deviation));

const allowedAt = (level: number): number => 2 ** (level / LEVELS_A_DOUBLING);
const levelOf = (allowed: number): number => Math.floor(LEVELS_A_DOUBLING * Math.log2(allowed) + 1e-9);

/** Where few marks are put one by one the arc is fitted at these shares of the gesture's extent. */
const SHARES_OF_EXTENT = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1] as const;
/** So many marks are put one by one, more than the start and the end. */
const MAX_ADDED = 40;

function extentOf(moments: readonly TimedPoint[]): number {
  const side = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);
  return Math.hypot(side(moments.map(({ x }) => x)), side(moments.map(({ y }) => y)));
}

/** One gesture in some frames, thinned by any deviation; what was worked out once is kept. */
class Thinner {
  private readonly done = new Map<number, Thinned>();
  private added: readonly Thinned[] | null = null;
  readonly extent: number;
  private readonly moments: readonly TimedPoint[];

  constructor(
    private readonly gesture: RawGesture,
    private readonly frames: number,
  ) {
    this.moments = momentsOf(gesture, frames);
    this.extent = extentOf(this.moments);
  }

  private at(level: number, onProgress?: (share: number) => void): Thinned {
    const known = this.done.get(level);
    if (known) return known;
    const found = thinOnce(this.gesture, {
      frames: this.frames,
      allowedDeviation: allowedAt(level),
      ...(onProgress && { onProgress }),
    });
    this.done.set(level, found);
    return found;
  }

  /**
   * Fewest marks first: a start and an end alone, then one more at a time where the figure is furthest from the hand, on
   * an arc that is fitted apart from them. None for a hand that never moved.
   */
  private oneByOne(): readonly Thinned[] {
    if (this.added) return this.added;
    const samples = samplesOn(this.gesture, this.frames);
    const best: Thinned[] = [];
    for (const share of this.extent > 0 ? SHARES_OF_EXTENT : []) {
      const arc = layGesture(samples, this.moments, [], share * this.extent);
      if (arc.points.length < 2 || arc.length === 0) continue;
      const timing = new FlowingMarks(arc, [markOn(0, 0, 'stop'), markOn(this.frames, 1, 'stop')]);
      for (let count = 0; count < MAX_ADDED; count++) {
        const { span, frame, away } = timing.worstOfAll();
        const before = best[count]?.deviation ?? Infinity;
        if (away < before)
          best[count] = {
            points: arc.points,
            marks: settled(timing.marks),
            deviation: away,
            worstFrame: frame,
          };
        if (timing.marks.some((mark) => mark.frame === frame)) break;
        timing.insert(span, markOn(frame, arc.wanted[frame]! / arc.length, 'pass'));
      }
    }
    return (this.added = best);
  }

  within(allowedDeviation: number, onProgress?: (share: number) => void): Thinned {
    const top = levelOf(allowedDeviation);
    let best = this.at(top, (share) => onProgress?.(FIRST_SHARE * share));
    const mostPoints = 2 * best.points.length + 4;
    for (let level = top - 1; level > top - LEVELS_A_DOUBLING * DOUBLINGS; level--) {
      if (best.marks.length <= MIN_MARKS) break;
      const next = this.at(level);
      if (isBetter(next, best, mostPoints)) best = next;
      const limit = tooMany(best.marks.length);
      if (next.marks.length > limit) break;
      onProgress?.(FIRST_SHARE + (1 - FIRST_SHARE) * Math.min(0.99, next.marks.length / limit));
    }
    if (allowedDeviation >= SHARES_OF_EXTENT[0] * this.extent) {
      const fewer = this.oneByOne().find(({ deviation }) => deviation <= allowedDeviation);
      if (fewer && fewer.marks.length < best.marks.length) best = fewer;
    }
    onProgress?.(1);
    return best;
  }

  /** The closest level at which there are no more marks than that: halved, since a looser one never gives more. */
  fewestFor(mostMarks: number, onProgress?: (share: number) => void): number {
    let low = levelOf(FINEST_DEVIATION);
    // Whatever the hand did, it was never further than this from a straight way between its ends.
    let high = Math.max(low + 1, levelOf(2 * this.extent) + 1);
    const steps = Math.ceil(Math.log2(high - low)) + 1;
    for (let step = 0; high > low; step++) {
      const middle = Math.floor((low + high) / 2);
      const shown = (share: number): void => onProgress?.(Math.min(1, (step + share) / steps));
      if (this.within(allowedAt(middle), shown).marks.length <= mostMarks) high = middle;
      else low = middle + 1;
    }
    return high;
  }
}

/** No closer than this is looked for where marks are counted, field units. */
const FINEST_DEVIATION = 0.25;

/**
 * Few points and few marks that do what a gesture did: on every frame the figure is no further than the
 * allowed deviation from where the hand was at that moment. Of all deviations up to the allowed one the best is
 * taken, so that a looser one never gives more marks: they are tried from the allowed one down, until there are
 * too many marks for a smaller deviation to come out with fewer. Where the marks are counted, the smallest deviation
 * is looked for that needs no more of them; a start and an end are always enough.
 * @throws ShotError `out-of-range` for a deviation that is not greater than 0, or fewer than 2 marks
 */
export function thinGesture(
  gesture: RawGesture,
  { frames, onProgress, ...wish }: ThinOptions,
): ThinnedGesture {
  const thinner = new Thinner(gesture, frames);
  if ('allowedDeviation' in wish) {
    const { allowedDeviation } = wish;
    if (!(allowedDeviation > 0)) throw outOfRange('The deviation must be greater than 0.');
    return { ...thinner.within(allowedDeviation, onProgress), allowedDeviation };
  }
  if (!(wish.mostMarks >= MIN_MARKS)) throw outOfRange('A move needs at least 2 marks.');
  const allowedDeviation = allowedAt(thinner.fewestFor(wish.mostMarks, onProgress));
  return { ...thinner.within(allowedDeviation), allowedDeviation };
}

const markOn = (frame: number, fraction: number, kind: Mark['kind'], isHeld = false): Mark => ({
  ...PLAIN_MARK,
  id: '',
  frame,
  fraction: Math.min(1, Math.max(0, fraction)),
  kind,
  easing: isHeld ? HOLD : FLOW,
});

/**
 * The same for one deviation alone. Because places are compared at the same time, pauses survive: where the hand rested
 * the figure holds. Marks are put where the flow through the others is worst, and those that turn out to be needless are
 * left out again.
 */
function thinOnce(
  gesture: RawGesture,
  {
    frames,
    allowedDeviation,
    onProgress,
  }: { frames: number; allowedDeviation: number; onProgress?: (share: number) => void },
): Thinned {
  const moments = momentsOf(gesture, frames);
  const rests = standstills(moments, allowedDeviation);
  const arc = layGesture(samplesOn(gesture, frames), moments, rests, allowedDeviation);
  onProgress?.(0.3);
  const { length, wanted } = arc;
  const markAlong = (frame: number, along: number, kind: Mark['kind'], isHeld = false): Mark =>
    markOn(frame, length > 0 ? along / length : 0, kind, isHeld);
  const marks = (length > 0 ? rests : []).flatMap(({ from, until, about }) => [
    markAlong(from, wanted[about]!, 'stop', true),
    markAlong(until, wanted[about]!, 'stop'),
  ]);
  if (marks[0]?.frame !== 0) marks.unshift(markAlong(0, 0, 'stop'));
  if (marks[marks.length - 1]!.frame !== frames) marks.push(markAlong(frames, length, 'stop'));
  const timing = new FlowingMarks(arc, marks);
  for (let worst = timing.worstOfAll(); worst.away > allowedDeviation; worst = timing.worstOfAll()) {
    const { span, frame } = worst;
    const [from, to] = [timing.marks[span]!, timing.marks[span + 1]!];
    // A mark that is there already cannot be put again: then its own place is what is off.
    if (frame === from.frame || frame === to.frame) break;
    timing.insert(span, markAlong(frame, wanted[frame]!, 'pass'));
    onProgress?.(0.3 + 0.5 * Math.min(1, allowedDeviation / worst.away));
  }
  onProgress?.(0.8);
  for (let i = timing.marks.length - 2; i > 0; i--)
    if (timing.marks[i]!.kind === 'pass') timing.tryWithout(i, allowedDeviation);
  const worst = timing.worstOfAll();
  onProgress?.(1);
  return {
    points: arc.points.length > 1 ? arc.points : [arc.points[0]!, arc.points[0]!],
    marks: settled(timing.marks),
    deviation: worst.away,
    worstFrame: worst.frame,
  };
}
