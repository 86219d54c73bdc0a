import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { FramesHeld, Move, Shot } from '../model/schema';
import { withRangeHeld } from './exposureRanges';
import { exposedFrames } from './exposures';

interface Held {
  readonly frame: number;
  readonly frames: number;
}

const isPlainLength = (frames: number): frames is FramesHeld => frames >= 1 && frames <= 3;

const withSkips = (move: Move, frames: readonly number[]): Move => ({
  ...move,
  skips: [...move.skips, ...frames.map((frame) => ({ frame, cut: null }))].sort((a, b) => a.frame - b.frame),
});

const later = ({ frame, frames }: Held): number[] =>
  Array.from({ length: frames - 1 }, (_, i) => frame + 1 + i);

/** A picture as a range of its own; as single frames with the later ones left out where it is longer than threes. */
function withPicture(move: Move, held: Held, inOnes: boolean): Move {
  const range = { from: held.frame, until: held.frame + held.frames - 1 };
  return isPlainLength(held.frames) && !inOnes
    ? withRangeHeld(move, { ...range, framesHeld: held.frames })
    : withSkips(withRangeHeld(move, { ...range, framesHeld: 1 }), later(held));
}

/**
 * A move with one of its pictures held for so many frames: the next one begins later and gives way, or sooner and is
 * held as much longer; all others stay.
 * @throws ShotError `out-of-range` for a frame that begins no picture, the last picture, or a number that cannot be
 */
export function withPictureHeld(
  move: Move,
  { lengthFrames }: Pick<Shot, 'lengthFrames'>,
  frame: number,
  frames: number,
): Move {
  const begins = exposedFrames(move, lengthFrames);
  const index = begins.indexOf(frame);
  if (index < 0 && (frame < begins[0]! || frame > begins[begins.length - 1]!))
    throw outOfRange(
      'Before the first mark and after the last one a picture is held until a key or a drawing changes it.',
    );
  if (index < 0) throw outOfRange(sentenceWith`No exposure begins on frame ${frameName(frame)}.`);
  if (index === begins.length - 1) throw outOfRange('The last picture is held to the end of the shot.');
  const end = frame + frames;
  if (!Number.isInteger(frames) || frames < 1 || end > lengthFrames)
    throw outOfRange('A picture is held for at least one frame, and ends within the shot.');
  // Made shorter, the next picture begins sooner; made longer, later, or it is covered. The last one stays.
  const next = begins[index + 1]!;
  const stop = end < next ? (begins[index + 2] ?? next) : (begins.find((f) => f >= end) ?? end);
  const pictures: Held[] = [{ frame, frames }, ...(stop > end ? [{ frame: end, frames: stop - end }] : [])];
  const cleared = {
    ...move,
    skips: move.skips.filter((skip) => skip.cut !== null || skip.frame < frame || skip.frame >= stop),
  };
  const wanted = [
    ...begins.filter((f) => f <= frame),
    ...(stop > end ? [end] : []),
    ...begins.filter((f) => f >= stop),
  ];
  const build = (inOnes: boolean): Move =>
    pictures.reduce<Move>((now, picture) => withPicture(now, picture, inOnes), cleared);
  const plain = build(false);
  const isExact = exposedFrames(plain, lengthFrames).join() === wanted.join();
  return isExact ? plain : build(true);
}
