import { z } from 'zod';
import { MAX_THRESHOLDS } from './limits';

const limited = (name: keyof typeof MAX_THRESHOLDS) => z.number().min(0).max(MAX_THRESHOLDS[name]);

/** From where on the checks tell something. Lengths are in millimetres, and in field units where there is no scale. */
export const thresholdsSchema = z.object({
  /** A change of spacing below this is not seen. */
  changeMm: limited('changeMm'),
  changeUnits: limited('changeUnits'),
  /** Share of a step by which it may differ from its neighbours. */
  changeShare: limited('changeShare'),
  /** A hand places nothing nearer than this. */
  handMm: limited('handMm'),
  handUnits: limited('handUnits'),
  /** Share of the step there that a place by hand may be off the plan. */
  offShare: limited('offShare'),
  /** A heading may change by so much from one picture to the next, degrees. */
  turnDeg: limited('turnDeg'),
  /** Mean slip in contact, as a share of the stride. */
  slipShare: limited('slipShare'),
  /** Share of the field's sides that the safe margins leave out, at each edge. */
  marginShare: limited('marginShare'),
});
