import type { Move, Shot } from '../shot/schema';
import { firstFrame, lastFrame } from '../timing/placeInTime';

/** One drawing or one placement, and the frames it is held for. */
export interface Exposure {
  /** First frame of the exposure. */
  readonly frame: number;
  readonly framesHeld: number;
}

/**
 * The frame whose position the figure shows on frame f: the first frame of the exposure that f
 * belongs to. Before the move's first frame nothing moves, so every frame shows itself.
 */
export function shownFrame(move: Move, f: number): number {
  const into = f - firstFrame(move);
  return into <= 0 ? f : f - (into % move.framesHeld);
}

/**
 * The exposures of a move: from its first frame to the first exposure on or after its last one, which
 * stays to the end of the shot. When the last mark falls between exposures and no later one is left
 * in the shot, the arrival is never shown (see `arrivalShown`).
 */
export function exposuresOf(move: Move, shot: Shot): Exposure[] {
  const exposures: Exposure[] = [];
  const last = lastFrame(move);
  for (let frame = firstFrame(move); frame <= shot.lengthFrames; frame += move.framesHeld) {
    const isLast = frame >= last;
    const framesLeft = shot.lengthFrames - frame + 1;
    exposures.push({ frame, framesHeld: isLast ? framesLeft : Math.min(move.framesHeld, framesLeft) });
    if (isLast) break;
  }
  return exposures;
}

/** The frame on which the end of the move is first seen; null when the shot ends before it is. */
export function arrivalShown(move: Move, shot: Shot): number | null {
  const exposures = exposuresOf(move, shot);
  const final = exposures[exposures.length - 1];
  return final && final.frame >= lastFrame(move) ? final.frame : null;
}
