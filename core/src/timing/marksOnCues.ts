import { isWithin } from './frameMap';
import { withMarkOn } from './markEdits';
import type { Mark, Move } from '../model/schema';
import { firstFrame, lastFrame } from './placeInTime';
import { remapFrames } from './remapFrames';

/** The mark nearest to a frame among some, as far as it may be; of two as near the earlier one. */
function nearest(marks: readonly Mark[], frame: number, reach: number): Mark | null {
  const [best] = marks
    .filter((mark) => Math.abs(mark.frame - frame) <= reach)
    .sort((a, b) => Math.abs(a.frame - frame) - Math.abs(b.frame - frame) || a.frame - b.frame);
  return best ?? null;
}

/**
 * A move with a mark on each of some frames: marks within reach go onto them in order, each onto one, and a stop is put
 * where there is none, at the place that the move has there. Where the move begins stays.
 * @param frames whole; those outside the move have no marks
 * @param reach how far a mark may be moved, frames
 */
export function withMarksOnFrames(move: Move, frames: readonly number[], reach: number): Move {
  const wanted = [...new Set(frames)].sort((a, b) => a - b).filter((frame) => frame > firstFrame(move));
  let free = move.marks.slice(1).filter(({ frame }) => !wanted.includes(frame));
  const goesTo = new Map<string, number>();
  for (const frame of wanted) {
    if (move.marks.some((mark) => mark.frame === frame)) continue;
    const mark = nearest(free, frame, reach);
    if (!mark) continue;
    goesTo.set(mark.id, frame);
    free = free.filter((one) => one.frame > mark.frame);
  }
  const moved = move.marks.map((mark) => ({ ...mark, frame: goesTo.get(mark.id) ?? mark.frame }));
  // A mark that would come to lie before one that stays would turn the move round: it stays too.
  const isInOrder = moved.every(({ frame }, i) => i === 0 || frame > moved[i - 1]!.frame);
  const ordered: Move =
    goesTo.size > 0 && isInOrder ? { ...move, ...alongWith(move, moved), marks: moved } : move;
  return wanted.reduce(
    (now, frame) =>
      now.marks.some((mark) => mark.frame === frame) || !isWithin(now, frame) ? now : withStopOn(now, frame),
    ordered,
  );
}

function withStopOn(move: Move, frame: number): Move {
  const next = withMarkOn(move, frame);
  return {
    ...next,
    marks: next.marks.map((mark) => (mark.frame === frame ? { ...mark, kind: 'stop' as const } : mark)),
  };
}

/** What lies on a move's frames besides marks, where its marks go to other frames. */
function alongWith(move: Move, moved: readonly Mark[]) {
  const frameOf = (frame: number): number => {
    if (frame <= firstFrame(move)) return frame;
    if (frame >= lastFrame(move)) return frame + moved.at(-1)!.frame - lastFrame(move);
    const i = move.marks.findIndex((mark) => mark.frame > frame) - 1;
    const [a, b] = [move.marks[i]!, move.marks[i + 1]!];
    const [to, until] = [moved[i]!.frame, moved[i + 1]!.frame];
    return Math.round(to + ((frame - a.frame) * (until - to)) / (b.frame - a.frame));
  };
  return remapFrames(move, frameOf);
}
