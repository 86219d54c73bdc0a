import type { Check, CheckedTravel, Finding } from './check';
import type { Step } from './steps';
import { leastChange } from './thresholds';

const framesOf = ({ from, frame }: Step): number => frame - from;

/**
 * Away from marks: |d₋₁ − 2d + d₊₁| above a share of d (half of it) and above a least length. Of neighbours that break the rule the
 * worst is told.
 */
export const suddenSpacing: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ steps, shot, said, frameNumber }) => {
    const least = leastChange(shot);
    const bendOf = (i: number): number => {
      const [before, now, after] = [steps[i - 1], steps[i], steps[i + 1]];
      if (!before || !now || !after || now.span === null) return 0;
      if (before.span !== now.span || after.span !== now.span) return 0;
      // Signed: where something turns back its steps shrink to nothing and grow again, and nothing is sudden in that.
      // Where pictures are held for longer they are further apart, or it goes more slowly there: one of both is meant.
      const inTime = (step: Step): number => (step.along * framesOf(now)) / framesOf(step);
      const bend = Math.min(
        Math.abs(before.along - 2 * now.along + after.along),
        Math.abs(inTime(before) - 2 * now.along + inTime(after)),
      );
      return bend > shot.thresholds.changeShare * now.length && bend > least ? bend : 0;
    };
    const found: { readonly step: Step; readonly before: Step; readonly bend: number; readonly i: number }[] =
      [];
    steps.forEach((step, i) => {
      const bend = bendOf(i);
      if (bend === 0) return;
      const last = found[found.length - 1];
      const one = { step, before: steps[i - 1]!, bend, i };
      if (!last || last.i < i - 1) found.push(one);
      else if (bend > last.bend) found[found.length - 1] = one;
      else found[found.length - 1] = { ...last, i };
    });
    return found.map(({ step, before }): Finding => ({
      from: step.from,
      until: step.frame,
      sentence: `The spacing changes suddenly on frame ${frameNumber(step.frame)}: a step of ${said(step.length)} after one of ${said(before.length)}.`,
      fix: null,
    }));
  },
};
