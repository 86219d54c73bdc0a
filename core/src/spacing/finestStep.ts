import type { Ladder } from './ladder';

/** A hand places nothing nearer than this: millimetres where the field has a scale, else field units. */
const MIN_BY_HAND = { mm: 0.2, field: 0.5 } as const;

export interface FinestStep {
  readonly step: number;
  readonly leastByHand: number;
  readonly tooFine: number;
}

/**
 * The smallest step between drawings of a span.
 * @param length way of the span along the arc, in the units of the sheet
 * @returns null for a span without drawings between
 */
export function finestStep(
  { rungs }: Pick<Ladder, 'rungs'>,
  length: number,
  units: 'mm' | 'field',
): FinestStep | null {
  if (rungs.length === 0) return null;
  const shares = [0, ...rungs.map(({ share }) => share), 1];
  const steps = shares.slice(1).map((share, i) => Math.abs(share - shares[i]!) * Math.abs(length));
  const leastByHand = MIN_BY_HAND[units];
  return {
    step: Math.min(...steps),
    leastByHand,
    tooFine: steps.filter((step) => step > 0 && step < leastByHand).length,
  };
}
