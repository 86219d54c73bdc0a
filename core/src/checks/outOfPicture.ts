import { frameNumber } from '../model/frameNumbers';
import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';

/** A figure that leaves the field between two marks that lie in it. */
export const outOfPicture: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move, pivotX, pivotY }, steps, shot: { field } }) => {
    const isIn = (frame: number): boolean => {
      const [x, y] = [pivotX[frame - 1]!, pivotY[frame - 1]!];
      return x >= 0 && y >= 0 && x <= field.width && y <= field.height;
    };
    const seen = Math.min(pivotX.length, Infinity);
    const marksIn = move.marks.map(({ frame }) => isIn(Math.min(frame, seen)));
    const out = steps.filter(
      ({ frame, span }) => span !== null && marksIn[span] && marksIn[span + 1] && !isIn(frame),
    );
    return runsOf(out).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `The figure leaves the picture between its marks, from frame ${frameNumber(from)} to ${frameNumber(until)}.`,
      fix: null,
    }));
  },
};
