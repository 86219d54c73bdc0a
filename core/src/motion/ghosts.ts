import { shownExposures } from '../exposure/shownFrames';
import type { Move, Shot } from '../model/schema';

export interface GhostChoice {
  /** How many ghosts to show before and after the figure. */
  readonly before: number;
  readonly after: number;
  readonly every: number;
}

export interface Ghosts {
  readonly before: readonly number[];
  readonly after: readonly number[];
}

/**
 * Frames whose figures show faintly while the playhead is on frame f: the exposures before and after
 * the one that is seen on f, counted from it.
 */
export function ghostFrames(move: Move, shot: Shot, f: number, choice: GhostChoice): Ghosts {
  const frames = shownExposures(move, shot).map((exposure) => exposure.frame);
  let seen = -1;
  while (seen + 1 < frames.length && frames[seen + 1]! <= f) seen++;
  const pick = (count: number, step: number): number[] =>
    Array.from({ length: count }, (_, i) => frames[seen + step * choice.every * (i + 1)]).filter(
      (frame) => frame !== undefined,
    );
  return { before: pick(choice.before, -1), after: pick(choice.after, 1) };
}
