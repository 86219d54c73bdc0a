import { MAX_THRESHOLDS } from './limits';
import type { Shot, Thresholds } from './schema';

/** The thresholds of a shot that nobody set. */
export const PLAIN_THRESHOLDS = {
  changeMm: 1,
  changeUnits: 4,
  changeShare: 1 / 2,
  handMm: 0.3,
  handUnits: 0.5,
  offShare: 1 / 3,
  turnDeg: 30,
  slipShare: 0.05,
  marginShare: 0.05,
} as const satisfies Thresholds;

/** Why thresholds cannot be, as a sentence; null where they can. */
export function thresholdsFault(thresholds: Thresholds): string | null {
  const names = Object.keys(MAX_THRESHOLDS) as (keyof Thresholds)[];
  const wrong = names.find((name) => !(thresholds[name] >= 0 && thresholds[name] <= MAX_THRESHOLDS[name]));
  return wrong ? `A threshold is 0 or more, and this one at most ${MAX_THRESHOLDS[wrong]}.` : null;
}

export const PLAIN_SHOT = {
  takes: [{ id: 'take1', name: 'Take 1', kept: null }],
  notes: [],
  cues: [],
  sound: null,
  thresholds: PLAIN_THRESHOLDS,
  shoot: { pictures: [], perspective: null },
} as const satisfies Partial<Shot>;
