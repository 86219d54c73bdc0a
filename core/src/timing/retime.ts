import { ShotError } from '../errors';
import { type Easing, type EasingKind, LONGEST_SHOT, type Mark, type Move } from '../shot/schema';
import { remapFrames } from './remapFrames';
import { easedDistance } from './easedDistance';
import { firstFrame, lastFrame } from './placeInTime';

/** Share of a span that a fresh move leaves and arrives over. */
const FRESH_RAMP_SHARE = 1 / 4;

/** The easing of a fresh span: leaves and arrives slowly over a quarter of it each. */
export function freshEasing(frames: number): Easing {
  const rampFrames = Math.round(frames * FRESH_RAMP_SHARE);
  return { kind: 'ramped', leaveFrames: rampFrames, arriveFrames: rampFrames, ramp: 'steady' };
}

/** Digits to which frames of easings are kept, so that stretching there and back changes nothing to be seen. */
const EASING_DIGITS = 9;

/** An easing of a span that takes another share of frames: what is counted in frames takes it too. */
function stretchedEasing(easing: Easing, share: number): Easing {
  if (easing.kind !== 'ramped' || share === 1) return easing;
  const stretched = (frames: number): number =>
    Math.min(LONGEST_SHOT, Number((frames * share).toFixed(EASING_DIGITS)));
  return {
    ...easing,
    leaveFrames: stretched(easing.leaveFrames),
    arriveFrames: stretched(easing.arriveFrames),
  };
}

/**
 * The move stretched or compressed to begin and end on given frames. Marks keep their share of the
 * time, on whole frames, each at least one frame after the one before it; leaving and arriving, which are
 * counted in frames, stretch with it, so that all increments change by one factor.
 * @throws ShotError `out-of-range` when there are too few frames for the marks
 */
export function withFrames(move: Move, first: number, last: number): Move {
  const from = firstFrame(move);
  const until = lastFrame(move);
  if (first === from && last === until) return move;
  const { marks } = move;
  if (!Number.isInteger(first) || !Number.isInteger(last) || last - first < marks.length - 1)
    throw new ShotError(
      'out-of-range',
      `A move with ${marks.length} marks needs at least ${marks.length} frames.`,
    );
  const share = (last - first) / (until - from);
  let before = first - 1;
  return {
    ...move,
    ...remapFrames(move, (frame) => Math.round(first + (frame - from) * share)),
    marks: marks.map((mark: Mark, i): Mark => {
      const latest = last - (marks.length - 1 - i);
      const frame = Math.min(latest, Math.max(before + 1, Math.round(first + (mark.frame - from) * share)));
      before = frame;
      return { ...mark, frame, easing: stretchedEasing(mark.easing, share) };
    }),
  };
}

/**
 * An easing as an explicit chart: the share of the way at the end of each frame of a span.
 * @param frames length of the span, whole, ≥ 1
 */
export const ticksFrom = (easing: Easing, frames: number): Easing => ({
  kind: 'ticks',
  fractions: Array.from({ length: frames }, (_, i) => easedDistance(easing, i + 1, frames, 1)),
});

/** A fresh easing of a kind for a span, as a place to start from; a chart starts as what was there. */
export function freshEasingOf(kind: EasingKind, frames: number, before: Easing): Easing {
  switch (kind) {
    case 'even':
    case 'flow':
    case 'snap':
      return { kind };
    case 'ramped':
      return freshEasing(frames);
    case 'curve':
      return { kind, x1: 0.4, y1: 0, x2: 0.6, y2: 1 };
    case 'slow-place':
      return { kind, at: 0.5, strength: 0.6 };
    case 'settle':
      return { kind, overshoot: 0.25, swings: 3 };
    case 'bounce':
      return { kind, count: 3, restitution: 0.6 };
    case 'ticks':
      return ticksFrom(before, frames);
  }
}
