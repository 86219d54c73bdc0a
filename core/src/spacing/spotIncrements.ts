import type { Move, Shot } from '../model/schema';
import { evaluateMove, type Travel } from '../motion/evaluate';
import { followedSpots, type SpotOfMove, spotTrail } from '../motion/spotTrail';
import { readingUnits } from './increments';

/** A followed spot as a column beside the increments of its move, in the units of the sheet. */
export interface SpotColumn extends SpotOfMove {
  /** Its name, with that of its part where it is on one. */
  readonly label: string;
  /** From the picture before, straight across, by the first frame of each picture; none for the first. */
  readonly increments: ReadonlyMap<number, number>;
}

const labelOf = ({ spot, riderId, of }: SpotOfMove): string =>
  riderId === null ? spot.name : `${spot.name} (${of.name})`;

function build(shot: Shot, travel: Travel): readonly SpotColumn[] {
  const { perUnit } = readingUnits(shot);
  return followedSpots(travel).map((followed) => ({
    ...followed,
    label: labelOf(followed),
    increments: new Map(
      spotTrail(travel, followed).flatMap(({ frame, increment }): [number, number][] =>
        increment === null ? [] : [[frame, increment * perUnit]],
      ),
    ),
  }));
}

const NONE: readonly SpotColumn[] = [];
const known = new WeakMap<Move, { readonly shot: Shot; readonly columns: readonly SpotColumn[] }>();

/** The increments of all spots that are followed on a move. Remembered until the shot changes. */
export function spotColumns(shot: Shot, move: Move): readonly SpotColumn[] {
  const found = known.get(move);
  if (found?.shot === shot) return found.columns;
  const travel = evaluateMove(shot, move);
  const columns = followedSpots(travel).length > 0 ? build(shot, travel) : NONE;
  known.set(move, { shot, columns });
  return columns;
}
