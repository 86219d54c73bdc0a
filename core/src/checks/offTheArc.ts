import type { Check, CheckedTravel, Finding } from './check';

/** A place by hand that is further from its arc than a share of the steps about it. */
export const offTheArc: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move }, steps, said, frameNumber, shot }) =>
    move.overrides.flatMap(({ frame, dx, dy }): Finding[] => {
      const about = steps.filter((step) => step.frame === frame || step.from === frame);
      if (about.length === 0) return [];
      const local = about.reduce((sum, { length }) => sum + length, 0) / about.length;
      const off = Math.hypot(dx, dy);
      if (off <= shot.thresholds.offShare * local) return [];
      return [
        {
          from: frame,
          until: frame,
          sentence: `Frame ${frameNumber(frame)} was placed by hand ${said(off)} off the plan, where a step is ${said(local)}.`,
          fix: {
            label: 'Back to plan',
            edit: { name: 'backOnPlan', args: { moveId: move.id, frames: [frame] } },
          },
        },
      ];
    }),
};
