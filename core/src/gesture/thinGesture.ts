import type { PointShape } from '../arc/smoothing';
import { outOfRange } from '../model/errors';
import { PLAIN_MARK } from '../model/plainTiming';
import type { Mark } from '../model/schema';
import { FlowingMarks } from './flowingMarks';
import { momentsOf, type RawGesture, samplesOn } from './gesture';
import { layGesture } from './layGesture';
import { standstills } from './standstills';

export interface ThinOptions {
  readonly frames: number;
  /** How far the figure may be on any frame from where the hand was then, field units, > 0. */
  readonly allowedDeviation: number;
  /** Called with the share of the work that is done, 0 to 1. */
  readonly onProgress?: (share: number) => void;
}

export interface ThinnedGesture {
  readonly points: readonly PointShape[];
  /** Frames count from 0, the start of the gesture. */
  readonly marks: readonly Omit<Mark, 'id'>[];
  /** Largest distance between figure and hand on one frame, field units, and which frame that is. */
  readonly deviation: number;
  readonly worstFrame: number;
}

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

const isBetter = (a: ThinnedGesture, b: ThinnedGesture, mostPoints: number): boolean =>
  a.points.length <= mostPoints &&
  (a.marks.length < b.marks.length ||
    (a.marks.length === b.marks.length && a.points.length <= b.points.length && a.deviation < b.deviation));

/**
 * Few points and few marks that do what a gesture did: on every frame the figure is no further than the
 * allowed deviation from where the hand was at that moment. Of all deviations up to the allowed one the best is
 * taken, so that a looser one never gives more marks: they are tried from the allowed one down, until there are
 * too many marks for a smaller deviation to come out with fewer.
 * @throws ShotError `out-of-range` for a deviation that is not greater than 0
 */
export function thinGesture(
  gesture: RawGesture,
  { frames, allowedDeviation, onProgress }: ThinOptions,
): ThinnedGesture {
  if (!(allowedDeviation > 0)) throw outOfRange('The deviation must be greater than 0.');
  const top = Math.floor(LEVELS_A_DOUBLING * Math.log2(allowedDeviation) + 1e-9);
  const thin = (level: number, onShare?: (share: number) => void): ThinnedGesture =>
    thinOnce(gesture, {
      frames,
      allowedDeviation: 2 ** (level / LEVELS_A_DOUBLING),
      ...(onShare && { onProgress: onShare }),
    });
  let best = thin(top, (share) => onProgress?.(FIRST_SHARE * share));
  const mostPoints = 2 * best.points.length + 4;
  for (let level = top - 1; level > top - LEVELS_A_DOUBLING * DOUBLINGS; level--) {
    if (best.marks.length <= MIN_MARKS) break;
    const next = thin(level);
    if (isBetter(next, best, mostPoints)) best = next;
    const limit = tooMany(best.marks.length);
    if (next.marks.length > limit) break;
    onProgress?.(FIRST_SHARE + (1 - FIRST_SHARE) * Math.min(0.99, next.marks.length / limit));
  }
  onProgress?.(1);
  return best;
}

/**
 * The same for one deviation alone. Because places are compared at the same time, pauses survive: where the hand rested
 * the figure holds. Marks are put where the flow through the others is worst, and those that turn out to be needless are
 * left out again.
 */
function thinOnce(
  gesture: RawGesture,
  { frames, allowedDeviation, onProgress }: ThinOptions,
): ThinnedGesture {
  const moments = momentsOf(gesture, frames);
  const rests = standstills(moments, allowedDeviation);
  const arc = layGesture(samplesOn(gesture, frames), moments, rests, allowedDeviation);
  onProgress?.(0.3);
  const { length, wanted } = arc;
  const markOn = (frame: number, along: number, kind: Mark['kind'], isHeld = false): Mark => ({
    ...PLAIN_MARK,
    id: '',
    frame,
    fraction: length > 0 ? Math.min(1, Math.max(0, along / length)) : 0,
    kind,
    easing: isHeld ? HOLD : FLOW,
  });
  const marks = (length > 0 ? rests : []).flatMap(({ from, until, about }) => [
    markOn(from, wanted[about]!, 'stop', true),
    markOn(until, wanted[about]!, 'stop'),
  ]);
  if (marks[0]?.frame !== 0) marks.unshift(markOn(0, 0, 'stop'));
  if (marks[marks.length - 1]!.frame !== frames) marks.push(markOn(frames, length, 'stop'));
  const timing = new FlowingMarks(arc, marks);
  for (let worst = timing.worstOfAll(); worst.away > allowedDeviation; worst = timing.worstOfAll()) {
    const { span, frame } = worst;
    const [from, to] = [timing.marks[span]!, timing.marks[span + 1]!];
    // A mark that is there already cannot be put again: then its own place is what is off.
    if (frame === from.frame || frame === to.frame) break;
    timing.insert(span, markOn(frame, wanted[frame]!, 'pass'));
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
