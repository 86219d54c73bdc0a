import { wrapDeg } from '../arc/vector';
import type { Check, CheckedTravel, Finding } from './check';
import { leastChange } from './thresholds';
import { trailsOf, type Passing } from './trails';

/** A turn from one step to the next from here on is a corner; past the other it goes back, which is no corner. */
const CORNER_DEG = 40;
const BACK_DEG = 140;
/** A bend that goes on is no corner: the turns beside it are less than this share of it. */
const LONELY = 0.5;
/** The figure itself turns its path by less than this share of it. */
const OWN_SHARE = 0.5;

const RADIANS = Math.PI / 180;
const directionDeg = (x: number, y: number): number => Math.atan2(y, x) / RADIANS;

const turnOf = ({ before, at, after }: Passing): number =>
  Math.abs(
    wrapDeg(directionDeg(after.x - at.x, after.y - at.y) - directionDeg(at.x - before.x, at.y - before.y)),
  );

function ownTurn({ pivot }: Passing): number {
  if (!pivot) return 0;
  const [into, out] = [pivot.into, pivot.out];
  return Math.hypot(...into) === 0 || Math.hypot(...out) === 0
    ? 0
    : Math.abs(wrapDeg(directionDeg(...out) - directionDeg(...into)));
}

/** A corner in the trail of a followed spot, in what should be an arc. */
export const spotCorner: Check<CheckedTravel> = {
  gravity: 'look',
  find: (checked) => {
    const { shot, frameNumber } = checked;
    const least = leastChange(shot);
    return trailsOf(checked).flatMap(({ name, passings }) => {
      const turns = passings.map((passing) => {
        const isLong = passing.at.increment! > least && passing.after.increment! > least;
        return isLong ? turnOf(passing) : 0;
      });
      return passings.flatMap((passing, i): Finding[] => {
        const turn = turns[i]!;
        const beside = Math.max(turns[i - 1] ?? 0, turns[i + 1] ?? 0);
        const isCorner =
          passing.pivot !== null &&
          turn >= CORNER_DEG &&
          turn <= BACK_DEG &&
          beside < LONELY * turn &&
          ownTurn(passing) < OWN_SHARE * turn;
        if (!isCorner) return [];
        const { before, at, after } = passing;
        return [
          {
            from: before.frame,
            until: after.frame,
            sentence: `The path of “${name}” has a corner of ${Math.round(turn)}° on frame ${frameNumber(at.frame)}, between two smooth stretches.`,
            fix: null,
          },
        ];
      });
    });
  },
};
