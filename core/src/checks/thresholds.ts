import type { Field } from '../model/schema';

/** From so many millimetres on a length counts; the second number is for a field without a scale, field units. */
export interface Least {
  readonly mm: number;
  readonly units: number;
}

/** A length of that kind in field units. */
export const inUnits = ({ mm, units }: Least, { unitsPerMm }: Pick<Field, 'unitsPerMm'>): number =>
  unitsPerMm === null ? units : mm * unitsPerMm;

/** A change of spacing below this is not seen. */
export const LEAST_CHANGE: Least = { mm: 1, units: 4 };
/** A hand places nothing nearer than this. */
export const LEAST_BY_HAND: Least = { mm: 0.3, units: 0.5 };
/** A share of the step before and after it that a change may have. */
export const MOST_CHANGE = 1 / 2;
/** A place by hand may be this share of the step there off its arc. */
export const MOST_OFF = 1 / 3;
/** A heading that changes by more than this from one picture to the next snaps, degrees. */
export const MOST_TURN_DEG = 30;
/** Mean slip in contact, as a share of the stride. */
export const MOST_SLIP = 0.05;
/** Steps shorter than this share of their arc are none. */
export const NO_STEP = 1e-9;
