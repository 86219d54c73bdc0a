import type { Mark } from '../model/schema';

/** Less than this share of an arc is no way at all. */
const NO_WAY = 1e-12;

type Place = Pick<Mark, 'fraction'>;

/** Whether a figure stays put between two marks that stand there. */
export const isHold = (from: Place, to: Place): boolean => Math.abs(to.fraction - from.fraction) < NO_WAY;
