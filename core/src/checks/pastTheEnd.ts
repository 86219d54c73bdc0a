import { leavesArc } from '../timing/leavesArc';
import type { Check, CheckedMove, Finding } from './check';

export const pastTheEnd: Check<CheckedMove> = {
  gravity: 'look',
  find: ({ move: { marks }, arc }) =>
    marks.slice(1).flatMap((to, i): Finding[] => {
      const from = marks[i]!;
      return leavesArc(arc, from, to)
        ? [
            {
              from: from.frame,
              until: to.frame,
              sentence: 'The arc ends here, so the figure waits at its end instead of going past it.',
              fix: null,
            },
          ]
        : [];
    }),
};
