/** Easings that things in the world have: a place where they are slow, a swing that dies, a fall that bounces. */

const TURN = 2 * Math.PI;

/**
 * Share of the way on a travel that is slowest at one place and fastest half a way from there.
 * @param u share of the time, 0 to 1
 * @param at where it is slowest, share of the way
 * @param strength 0 is even, towards 1 it all but stops there
 */
export function slowPlaceEasing(u: number, at: number, strength: number): number {
  const phase = at + 0.5;
  return u + (strength / TURN) * (Math.sin(TURN * (u - phase)) + Math.sin(TURN * phase));
}

const SOLVING_STEPS = 60;

/** What is left of a swing that was let go at rest, after θ radians, when each half swing keeps `kept` of it. */
function swingLeft(theta: number, kept: number): number {
  const damping = -Math.log(kept) / Math.PI;
  return Math.exp(-damping * theta) * (Math.cos(theta) + damping * Math.sin(theta));
}

let solved = { overshoot: Number.NaN, swings: 0, kept: 0 };

/** The share that each half swing keeps so that the first one passes the target by `overshoot`. */
function keptFor(overshoot: number, swings: number): number {
  if (solved.overshoot === overshoot && solved.swings === swings) return solved.kept;
  let [low, high] = [1e-9, 0.999];
  for (let i = 0; i < SOLVING_STEPS; i++) {
    const kept = (low + high) / 2;
    const passed = (1 + kept) / (1 - swingLeft(Math.PI * (swings + 1), kept)) - 1;
    if (passed < overshoot) low = kept;
    else high = kept;
  }
  solved = { overshoot, swings, kept: (low + high) / 2 };
  return solved.kept;
}

/**
 * Share of the way of a damped swing that is let go at rest, passes its target and ends on it at rest: a
 * damped harmonic oscillator, scaled so that its last turning point is the target.
 * @param u share of the time, 0 to 1
 * @param overshoot how far it passes the target the first time, share of the way, > 0
 * @param swings how often it passes the target, ≥ 1
 */
export function settleEasing(u: number, overshoot: number, swings: number): number {
  if (u <= 0) return 0;
  if (u >= 1) return 1;
  const kept = keptFor(overshoot, swings);
  const end = Math.PI * (swings + 1);
  return (1 - swingLeft(u * end, kept)) / (1 - swingLeft(end, kept));
}

/**
 * Share of the way of something that falls onto its target and bounces there: each bounce lasts the
 * restitution times as long as the one before and reaches its square of the height.
 * @param u share of the time, 0 to 1
 * @param restitution speed after a hit over speed before it, 0 to 1
 */
export function bounceEasing(u: number, count: number, restitution: number): number {
  if (u >= 1) return 1;
  let total = 1;
  for (let k = 1; k <= count; k++) total += 2 * restitution ** k;
  let time = u * total;
  if (time <= 1) return time * time;
  time -= 1;
  for (let k = 1; k <= count; k++) {
    const lasts = 2 * restitution ** k;
    if (time <= lasts) {
      const w = lasts > 0 ? time / lasts : 1;
      return 1 - 4 * w * (1 - w) * restitution ** (2 * k);
    }
    time -= lasts;
  }
  return 1;
}

/**
 * Share of the way on an explicit chart: one share at the end of each of so many equal intervals, in a
 * straight line between. The span ends where it ends, whatever the last one says.
 * @param u share of the time, 0 to 1
 */
export function ticksEasing(u: number, fractions: readonly number[]): number {
  const count = fractions.length;
  const at = Math.min(Math.max(u, 0), 1) * count;
  const i = Math.min(count - 1, Math.floor(at));
  const end = (k: number): number => (k < 0 ? 0 : k === count - 1 ? 1 : fractions[k]!);
  return end(i - 1) + (end(i) - end(i - 1)) * (at - i);
}
