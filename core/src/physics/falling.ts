import { GRAVITY } from './gravity';

/** Seconds of a free fall. @param height metres */
export const fallSeconds = (height: number): number => Math.sqrt((2 * height) / GRAVITY);

export const fallenAt = (height: number, seconds: number): number =>
  Math.min(height, (GRAVITY * seconds * seconds) / 2);

/** Seconds of a toss, up and back to the hand. @param height metres */
export const tossSeconds = (height: number): number => 2 * fallSeconds(height);

export function tossedAt(height: number, seconds: number): number {
  const up = fallSeconds(height);
  return Math.max(0, height - (GRAVITY * (seconds - up) ** 2) / 2);
}

export interface Bouncing {
  readonly height: number;
  /** Share of the speed that is left after each bounce, above 0 and up to 1. */
  readonly restitution: number;
}

/** When it hits the ground, seconds, the first time first. */
export function hits({ height, restitution }: Bouncing, count: number): readonly number[] {
  const first = fallSeconds(height);
  const all = [first];
  for (let flight = 2 * first * restitution; all.length < count; flight *= restitution)
    all.push(all[all.length - 1]! + flight);
  return all;
}

export const tops = ({ height, restitution }: Bouncing, count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => height * restitution ** (2 * (i + 1)));

export function bouncingAt(bouncing: Bouncing, seconds: number): number {
  const { height, restitution } = bouncing;
  const first = fallSeconds(height);
  if (seconds <= first) return height - fallenAt(height, seconds);
  let began = first;
  let speed = GRAVITY * first * restitution;
  while (speed > 1e-6) {
    const flight = (2 * speed) / GRAVITY;
    const t = seconds - began;
    if (t < flight) return Math.max(0, speed * t - (GRAVITY * t * t) / 2);
    began += flight;
    speed *= restitution;
  }
  return 0;
}
