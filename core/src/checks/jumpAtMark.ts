import type { Check, CheckedTravel, Finding } from './check';
import { leastChange } from './thresholds';

/** A mark that is passed, with a step after it that differs much from the one before it. */
export const jumpAtMark: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move }, steps, shot, said, frameNumber }) => {
    const least = leastChange(shot);
    const arriving = new Map(steps.map((step) => [step.frame, step]));
    const leaving = new Map(steps.map((step) => [step.from, step]));
    return move.marks.slice(1, -1).flatMap((mark, i): Finding[] => {
      const [before, after] = [arriving.get(mark.frame), leaving.get(mark.frame)];
      if (mark.kind === 'stop' || !before || !after || before.isHeld || after.isHeld) return [];
      // Where it gathers speed anyway, a change as large as the ones beside it is none.
      const usual = Math.max(
        Math.abs(before.length - (arriving.get(before.from)?.length ?? before.length)),
        Math.abs(after.length - (leaving.get(after.frame)?.length ?? after.length)),
      );
      const change = Math.abs(after.length - before.length) - usual;
      const slower = Math.min(after.length, before.length);
      if (change <= least || change <= shot.thresholds.changeShare * slower) return [];
      return [
        {
          from: before.from,
          until: after.frame,
          sentence: `The speed jumps at the mark on frame ${frameNumber(mark.frame)}: ${said(before.length)} before it, ${said(after.length)} after it.`,
          fix: {
            label: 'Flow through it',
            edit: {
              name: 'setEasings',
              args: { moveId: move.id, markIds: [move.marks[i]!.id, mark.id], easing: { kind: 'flow' } },
            },
          },
        },
      ];
    });
  },
};
