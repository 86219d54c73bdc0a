import { outOfRange } from '../model/errors';
import { MAX_SHOT_FRAMES } from '../model/limits';
import type { Easing, EasingOf, FramesHeld } from '../model/schema';
import { easedDistance } from './easedDistance';

export interface SpanPlan {
  readonly easing: Easing;
  /** How far it goes, in any unit; its increments are in the same. */
  readonly distance: number;
  readonly frames: number;
  /** How many frames each picture is held; 1 when nothing is said. */
  readonly framesHeld?: FramesHeld;
}

export interface Solved {
  readonly frames: number;
  readonly largest: number;
}

/** Increments are the same up to this share of what they are asked to be. */
const SAME = 1e-9;

/** How far the k-th picture of a span is from the one before it; pictures are counted from 1. */
function increment({ easing, distance, frames, framesHeld = 1 }: SpanPlan, k: number): number {
  const at = (i: number): number => easedDistance(easing, Math.min(frames, i * framesHeld), frames, distance);
  return Math.abs(at(k) - at(k - 1));
}

const pictures = ({ frames, framesHeld = 1 }: SpanPlan): number => Math.ceil(frames / framesHeld);

/** The increments of a span from picture to picture, as lengths. */
export const incrementsOf = (plan: SpanPlan): readonly number[] =>
  Array.from({ length: pictures(plan) }, (_, i) => increment(plan, i + 1));

/** The largest increment that the table of a span shows: not the peak of its formula. */
export const largestIncrement = (plan: SpanPlan): number =>
  incrementsOf(plan).reduce((most, one) => Math.max(most, one), 0);

/** The smallest increment that is not none at all; 0 where nothing moves. */
export function smallestIncrement(plan: SpanPlan): number {
  const moving = incrementsOf(plan).filter((one) => one > SAME * Math.abs(plan.distance));
  return moving.length === 0 ? 0 : moving.reduce((least, one) => Math.min(least, one));
}

/**
 * The fewest frames in which no increment of a span is longer than `most`.
 * @param plan without its frames; its easing keeps its numbers
 * @throws ShotError `out-of-range` where no number of frames that a shot can have is enough
 */
export function framesFor(plan: Omit<SpanPlan, 'frames'>, most: number): Solved {
  const way = Math.abs(plan.distance);
  if (!(most > 0)) throw outOfRange('The largest increment has to be above 0.');
  const limit = most * (1 + SAME);
  /** Where the last number of frames failed, as a share of its pictures: the next one fails there as well, mostly. */
  let share = 0.5;
  for (let frames = Math.max(1, Math.ceil(way / limit)); frames <= MAX_SHOT_FRAMES; frames++) {
    const now = { ...plan, frames };
    const count = pictures(now);
    const guess = Math.min(count, Math.max(1, Math.round(share * count)));
    if (increment(now, guess) > limit) continue;
    const worst = incrementsOf(now).reduce(
      (best, length, i) => (length > best.length ? { length, k: i + 1 } : best),
      { length: 0, k: 1 },
    );
    if (worst.length <= limit) return { frames, largest: worst.length };
    share = worst.k / count;
  }
  throw outOfRange(`Not even ${MAX_SHOT_FRAMES} frames are enough for that.`);
}

/** How far a span may go in its frames with no increment above `most`. */
export const distanceFor = (plan: Omit<SpanPlan, 'distance'>, most: number): number =>
  most / largestIncrement({ ...plan, distance: 1 });

/** What of a ramp gives way: how it leaves, how it arrives, or both in proportion. */
export type GivesWay = 'leave' | 'arrive' | 'both';

/**
 * The longest ramps of whole frames with which a span keeps to its frames and to a rule about its increments.
 * @returns null where not even a span without ramps does
 */
export function rampFor(
  easing: EasingOf<'ramped'>,
  gives: GivesWay,
  keeps: (easing: EasingOf<'ramped'>) => boolean,
): EasingOf<'ramped'> | null {
  const { leaveFrames, arriveFrames } = easing;
  const most = Math.ceil(
    Math.max(gives === 'arrive' ? 0 : leaveFrames, gives === 'leave' ? 0 : arriveFrames),
  );
  for (let frames = most; frames >= 0; frames--) {
    const share = most === 0 ? 0 : frames / most;
    const next = {
      ...easing,
      leaveFrames: gives === 'arrive' ? leaveFrames : Math.floor(leaveFrames * share),
      arriveFrames: gives === 'leave' ? arriveFrames : Math.floor(arriveFrames * share),
    };
    const now = frames === most ? easing : next;
    if (keeps(now)) return now;
  }
  return null;
}

/** A rule about increments: none longer than this, none shorter (but for none at all). */
export interface StepRule {
  readonly most?: number;
  readonly least?: number;
}

/** Whether a span keeps to a rule. */
export const keepsTo = (plan: SpanPlan, { most = Infinity, least = 0 }: StepRule): boolean =>
  largestIncrement(plan) <= most * (1 + SAME) &&
  (least === 0 || smallestIncrement(plan) >= least * (1 - SAME));

/**
 * The number of frames nearest to what a span has with which it keeps to a rule: more of them for shorter increments,
 * fewer for longer ones.
 * @throws ShotError `out-of-range` where there is none
 */
export function framesUnder(plan: SpanPlan, rule: StepRule): Solved {
  const { most, least } = rule;
  const needed = most === undefined ? plan.frames : Math.max(plan.frames, framesFor(plan, most).frames);
  for (let frames = needed; frames >= 1; frames--) {
    const now = { ...plan, frames };
    if (keepsTo(now, rule)) return { frames, largest: largestIncrement(now) };
    if (most !== undefined && largestIncrement(now) > most * (1 + SAME)) break;
  }
  throw outOfRange(
    least !== undefined && most !== undefined
      ? 'No number of frames keeps all increments between the two.'
      : 'No number of frames keeps all increments that long: the easing has to give way.',
  );
}

/**
 * The easing of a span that keeps its frames, with ramps as long as a rule allows.
 * @throws ShotError `out-of-range` where the easing has no ramps, or none is enough
 */
export function easingUnder(plan: SpanPlan, rule: StepRule, gives: GivesWay = 'both'): Easing {
  if (keepsTo(plan, rule)) return plan.easing;
  if (plan.easing.kind !== 'ramped')
    throw outOfRange(
      'Only an easing that leaves and arrives over some frames can give way: let the frames do it.',
    );
  const found = rampFor(plan.easing, gives, (easing) => keepsTo({ ...plan, easing }, rule));
  if (!found) throw outOfRange('Even at an even pace it can’t be done in these frames: allow more frames.');
  return found;
}
