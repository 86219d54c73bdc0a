import type { Check, CheckedTravel, Finding } from './check';
import { leastChange } from './thresholds';
import { trailsOf } from './trails';

/** Less than this of a followed spot's change comes from the figure's own: it is the spot that changes. */
const OWN_SHARE = 0.5;

/** A followed spot whose steps change suddenly where those of its figure do not: |d₋₁ − 2d + d₊₁| as for the figure. */
export const spotSudden: Check<CheckedTravel> = {
  gravity: 'look',
  find: (checked) => {
    const { shot, said, frameNumber } = checked;
    const least = leastChange(shot);
    return trailsOf(checked).flatMap(({ name, places, passings }) => {
      const lengthTo = new Map(places.map(({ frame, increment }) => [frame, increment]));
      const found = passings.flatMap(({ before, at, after, pivot, span }, i) => {
        const into = lengthTo.get(before.frame);
        if (!pivot || into === null || into === undefined) return [];
        const [now, next] = [at.increment!, after.increment!];
        // The step before belongs to the same span, too: where a hold ends a change is meant.
        const earlier = passings[i - 1]?.span === span ? passings[i - 1]?.pivot?.into : undefined;
        if (!earlier) return [];
        const bend = Math.abs(into - 2 * now + next);
        const own = Math.abs(
          Math.hypot(...earlier) - 2 * Math.hypot(...pivot.into) + Math.hypot(...pivot.out),
        );
        const isSudden = bend > shot.thresholds.changeShare * now && bend > least && own < OWN_SHARE * bend;
        return isSudden ? [{ at, before, bend, into, i }] : [];
      });
      // Of neighbours that break the rule the worst is told.
      return found
        .filter(
          ({ bend, i }) =>
            !found.some((other) => other.i !== i && Math.abs(other.i - i) <= 1 && other.bend > bend),
        )
        .map(({ at, before, into }): Finding => ({
          from: before.frame,
          until: at.frame,
          sentence: `The spacing of “${name}” changes suddenly on frame ${frameNumber(at.frame)}: a step of ${said(at.increment!)} after one of ${said(into)}.`,
          fix: null,
        }));
    });
  },
};
