import type { Move, Outside } from '../model/schema';

import type { TimedMark } from './placeInTime';

interface Within {
  readonly frame: number;
  readonly rounds: number;
}

/** The frame between two others that a frame outside stands for when the stretch between is gone through again and again. */
function wrapped(frame: number, first: number, frames: number): Within {
  const rounds = Math.floor((frame - first) / frames);
  const into = frame - first - rounds * frames;
  // The frame on which a round ends belongs to that round: what arrives there is seen.
  return into === 0 && frame > first
    ? { frame: first + frames, rounds: rounds - 1 }
    : { frame: first + into, rounds };
}

function within(how: Outside, frame: number, first: number, frames: number): Within {
  if (how === 'hold') return { frame: frame < first ? first : first + frames, rounds: 0 };
  const round = wrapped(frame, first, frames);
  if (how !== 'swing') return how === 'repeat' ? { ...round, rounds: 0 } : round;
  const isBack = Math.abs(round.rounds) % 2 === 1;
  return { frame: isBack ? 2 * first + frames - round.frame : round.frame, rounds: 0 };
}

/**
 * Where a move is on a frame before its first or after its last mark, given where it is between them.
 * @param frame real
 * @param between the share of the arc on a frame between the marks
 */
export function fractionOutside(
  { marks, before, after }: Pick<Move, 'before' | 'after'> & { readonly marks: readonly TimedMark[] },
  frame: number,
  between: (frame: number) => number,
): number {
  const [first, last] = [marks[0]!, marks[marks.length - 1]!];
  const how = frame < first.frame ? before : after;
  const { frame: inside, rounds } = within(how, frame, first.frame, last.frame - first.frame);
  return between(inside) + rounds * (last.fraction - first.fraction);
}
