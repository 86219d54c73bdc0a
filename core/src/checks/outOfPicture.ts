import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';

/** A figure that leaves the safe part of the field between two marks that lie in it. */
export const outOfPicture: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move, pivotX, pivotY }, steps, shot: { field, thresholds }, frameNumber }) => {
    const isIn = (frame: number): boolean => {
      const [x, y] = [pivotX[frame - 1]!, pivotY[frame - 1]!];
      const [across, down] = [thresholds.marginShare * field.width, thresholds.marginShare * field.height];
      return x >= across && y >= down && x <= field.width - across && y <= field.height - down;
    };
    const seen = Math.min(pivotX.length, Infinity);
    const marksIn = move.marks.map(({ frame }) => isIn(Math.min(frame, seen)));
    const out = steps.filter(
      ({ frame, span }) => span !== null && marksIn[span] && marksIn[span + 1] && !isIn(frame),
    );
    return runsOf(out).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `The figure leaves the ${thresholds.marginShare > 0 ? 'safe margins' : 'picture'} between its marks, from frame ${frameNumber(from)} to ${frameNumber(until)}.`,
      fix: null,
    }));
  },
};
