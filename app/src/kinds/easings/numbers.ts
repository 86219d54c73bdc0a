import { type Easing, easedDistance } from '@humble/core';
import type { EasingHandle, EasingNumber } from './easingDescriptor';

export const clamp = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/** Two places of decimals: what is dragged can be read, and typed again. */
export const rounded = (value: number): number => Math.round(value * 100) / 100;

/** A share of the way as a number in percent. @param min, max in percent */
export const percent = <Of extends Easing>(
  label: string,
  share: number,
  [min, max]: readonly [number, number],
  set: (share: number) => Of,
): EasingNumber<Of> => ({
  label,
  unit: '%',
  value: Math.round(share * 100),
  min,
  max,
  set: (value) => set(value / 100),
});

export const onCurve = (
  easing: Easing,
  frames: number,
  { id, hint, x }: Pick<EasingHandle, 'id' | 'hint' | 'x'>,
): EasingHandle => ({ id, hint, x, share: easedDistance(easing, x, frames, 1), stem: null });
