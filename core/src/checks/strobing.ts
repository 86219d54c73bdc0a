import { figureOn } from '../motion/figureOn';
import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';

/** Steps that are longer than the figure is along its travel: the eye sees two of it. */
export const strobing: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel, steps, frameNumber }) => {
    const { pivotX, pivotY } = travel;
    const apart = steps.filter(({ from, frame, straight }) => {
      if (straight === 0) return false;
      const [a, b] = [from - 1, frame - 1];
      const [ux, uy] = [(pivotX[b]! - pivotX[a]!) / straight, (pivotY[b]! - pivotY[a]!) / straight];
      const { look, placement: m } = figureOn(travel, b);
      const across = Math.abs((m.a * ux + m.b * uy) * look.width);
      const down = Math.abs((m.c * ux + m.d * uy) * look.height);
      return straight > across + down;
    });
    return runsOf(apart).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `From frame ${frameNumber(from)} to ${frameNumber(until)} each step is longer than the figure: it will strobe.`,
      fix: null,
    }));
  },
};
