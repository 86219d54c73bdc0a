/**
 * How frames are numbered for people. Everywhere in the core and in shot files the first frame is 1; whoever counts
 * from 0 sees and types one less.
 */

export type FirstFrameNumber = 0 | 1;

export const frameNumber = (frame: number, first: FirstFrameNumber = 1): number => frame - 1 + first;

export const frameNumbered = (number: number, first: FirstFrameNumber = 1): number => number + 1 - first;

export interface FrameName {
  readonly frame: number;
}

export const frameName = (frame: number): FrameName => ({ frame });

/** A sentence that names frames: `numbered` writes it as its reader counts. */
export type FrameSentence = readonly (string | FrameName)[];

/** A sentence with frames in it, as a template: sentenceWith`Frame ${frameName(12)} has a mark already.` */
export const sentenceWith = (
  texts: TemplateStringsArray,
  ...values: readonly (string | number | FrameName | FrameSentence)[]
): FrameSentence =>
  texts.flatMap((text, i) => {
    const value = values[i] ?? '';
    return [
      text,
      ...(Array.isArray(value) ? (value as FrameSentence) : [asPart(value as FrameName | string | number)]),
    ];
  });

const asPart = (value: FrameName | string | number): FrameName | string =>
  typeof value === 'number' ? String(value) : value;

/** A sentence as it is read by someone who counts frames from a number. */
export const numbered = (sentence: FrameSentence, first: FirstFrameNumber): string =>
  sentence.map((part) => (typeof part === 'string' ? part : String(frameNumber(part.frame, first)))).join('');

const FRAME_TEXT = /^([+-])?\s*(\d+(?:\.\d+)?|\.\d+)\s*(s|sec|seconds?|f|frames?)?$/i;

/**
 * The frame that was typed: a number (“45”), so many on or back (“+12”, “-3”), or seconds (“1.5 s”, “+1 s”), which
 * count from the beginning of the shot. It may lie outside the shot.
 * @param from the frame that “+” and “-” count from, from 1
 * @param rate frames a second
 * @returns the frame, from 1, whole; null when nothing like that was typed
 */
export function readFrame(
  text: string,
  from: number,
  rate: number,
  first: FirstFrameNumber = 1,
): number | null {
  const found = FRAME_TEXT.exec(text.trim().replace(',', '.').replace('−', '-'));
  if (!found) return null;
  const [, sign, digits, unit = ''] = found;
  const isTime = unit.toLowerCase().startsWith('s');
  const frames = Math.round(Number(digits) * (isTime ? rate : 1));
  if (!Number.isSafeInteger(frames)) return null;
  if (sign) return sign === '+' ? from + frames : from - frames;
  return isTime ? 1 + frames : frameNumbered(frames, first);
}
