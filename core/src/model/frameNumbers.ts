/**
 * How frames are numbered for people. Everywhere in the core and in shot files the first frame is 1; whoever counts
 * from 0 sees and types one less. Like a language, this is chosen once for a running application.
 */
let first: FirstFrameNumber = 1;

/** The number of the first frame. */
export type FirstFrameNumber = 0 | 1;

/** From now on sentences and tables number frames from this. */
export function countFramesFrom(number: FirstFrameNumber): void {
  first = number;
}

/** The number that people read for a frame. @param frame from 1 */
export const frameNumber = (frame: number): number => frame - 1 + first;

/** The frame that people mean by a number, from 1. */
export const frameNumbered = (number: number): number => number + 1 - first;

const FRAME_TEXT = /^([+-])?\s*(\d+(?:\.\d+)?|\.\d+)\s*(s|sec|seconds?|f|frames?)?$/i;

/**
 * The frame that was typed: a number (“45”), so many on or back (“+12”, “-3”), or seconds (“1.5 s”, “+1 s”), which
 * count from the beginning of the shot. It may lie outside the shot.
 * @param from the frame that “+” and “-” count from, from 1
 * @param rate frames a second
 * @returns the frame, from 1, whole; null when nothing like that was typed
 */
export function readFrame(text: string, from: number, rate: number): number | null {
  const found = FRAME_TEXT.exec(text.trim().replace(',', '.').replace('−', '-'));
  if (!found) return null;
  const [, sign, digits, unit = ''] = found;
  const isTime = unit.toLowerCase().startsWith('s');
  const frames = Math.round(Number(digits) * (isTime ? rate : 1));
  if (!Number.isSafeInteger(frames)) return null;
  if (sign) return sign === '+' ? from + frames : from - frames;
  return isTime ? 1 + frames : frameNumbered(frames);
}
