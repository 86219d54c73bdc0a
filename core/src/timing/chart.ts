import { type Easing, FURTHEST_SHARE } from '../shot/schema';

/** An explicit chart: shares of the way at the end of so many equal intervals. */
export const chartOf = (shares: readonly number[]): Easing => ({
  kind: 'ticks',
  fractions: shares.map((share) => Math.min(FURTHEST_SHARE, Math.max(-FURTHEST_SHARE, share))),
});
