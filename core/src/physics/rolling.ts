import { GRAVITY } from './gravity';

export const ROLLING = { slides: 1, ball: 5 / 7, cylinder: 2 / 3, hoop: 1 / 2 } as const;

export type Rolls = keyof typeof ROLLING;

export interface Slope {
  /** Degrees from level, above 0 and up to 90. */
  readonly steepDeg: number;
  readonly rolls: Rolls;
}

/** Along the slope, metres per second squared: g sin α, less what goes into turning. */
export const accelerationOn = ({ steepDeg, rolls }: Slope): number =>
  GRAVITY * Math.sin((steepDeg * Math.PI) / 180) * ROLLING[rolls];

/** Seconds to come down a way. @param length metres along the slope */
export const rollSeconds = (slope: Slope, length: number): number =>
  Math.sqrt((2 * length) / accelerationOn(slope));

export const rolledAt = (slope: Slope, length: number, seconds: number): number =>
  Math.min(length, (accelerationOn(slope) * seconds * seconds) / 2);
