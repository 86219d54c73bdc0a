import type { Shot } from '../model/schema';

type Scaled = Pick<Shot, 'field' | 'thresholds'>;

/** A change of spacing below this is not seen, field units. */
export const leastChange = ({ field: { unitsPerMm }, thresholds }: Scaled): number =>
  unitsPerMm === null ? thresholds.changeUnits : thresholds.changeMm * unitsPerMm;

/** A hand places nothing nearer than this, field units. */
export const leastByHand = ({ field: { unitsPerMm }, thresholds }: Scaled): number =>
  unitsPerMm === null ? thresholds.handUnits : thresholds.handMm * unitsPerMm;

/** Steps shorter than this share of their arc are none. */
export const NO_STEP = 1e-9;
