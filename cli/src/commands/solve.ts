import type { Easing, FramesHeld } from '@humble/core';
import { distanceFor, easingUnder, framesFor, largestIncrement } from '@humble/core/views';
import { said } from '../answer';
import { defineCommand, OUT } from '../command';
import { UsageError } from '../usageError';

/** What `solve` can be told; each is a number, or some of them with commas between. */
const SOLVING = {
  distance: { type: 'string' },
  most: { type: 'string' },
  frames: { type: 'string' },
  leave: { type: 'string' },
  arrive: { type: 'string' },
  curve: { type: 'string' },
  'slow-place': { type: 'string' },
  held: { type: 'string' },
} as const;

type Values = Readonly<Partial<Record<keyof typeof SOLVING, string>>> & { readonly json?: boolean };

function numbers(values: Values, name: keyof typeof SOLVING, count: number): readonly number[] | null {
  const text = values[name];
  if (text === undefined) return null;
  const found = text.split(',').map((one) => (one.trim() === '' ? Number.NaN : Number(one)));
  if (found.length !== count || !found.every(Number.isFinite))
    throw new UsageError(
      `--${name} takes ${count === 1 ? 'a number' : `${count} numbers with commas between`}, not “${text}”.`,
    );
  return found;
}

const number = (values: Values, name: keyof typeof SOLVING): number | null =>
  numbers(values, name, 1)?.[0] ?? null;

function within(name: string, value: number, least: number, most: number): number {
  if (value < least || value > most) throw new UsageError(`--${name} lies between ${least} and ${most}.`);
  return value;
}

function easingFrom(values: Values): Easing {
  const curve = numbers(values, 'curve', 4);
  const slow = numbers(values, 'slow-place', 2);
  const [leave, arrive] = [number(values, 'leave'), number(values, 'arrive')];
  const isRamped = leave !== null || arrive !== null;
  if ([curve, slow, isRamped || null].filter((one) => one !== null).length > 1)
    throw new UsageError('Choose one easing: ramps, a curve, or a slow place.');
  if (curve) {
    const [x1, y1, x2, y2] = curve as [number, number, number, number];
    return { kind: 'curve', x1: within('curve', x1, 0, 1), y1, x2: within('curve', x2, 0, 1), y2 };
  }
  if (slow) {
    const [at, strength] = slow as [number, number];
    return {
      kind: 'slow-place',
      at: within('slow-place', at, 0, 1),
      strength: within('slow-place', strength, 0, 0.99),
    };
  }
  if (!isRamped) return { kind: 'even' };
  const frames = (name: string, value: number | null): number => within(name, value ?? 0, 0, 20_000);
  return {
    kind: 'ramped',
    leaveFrames: frames('leave', leave),
    arriveFrames: frames('arrive', arrive),
    ramp: 'steady',
  };
}

function heldFrom(values: Values): FramesHeld {
  const held = number(values, 'held') ?? 1;
  if (held !== 1 && held !== 2 && held !== 3) throw new UsageError('--held is 1, 2 or 3.');
  return held;
}

/**
 * One thing of a span from the others: its frames from distance and largest increment; the distance from frames and
 * largest increment; the ramps from all three; the largest increment from distance and frames.
 * @throws UsageError; ShotError `out-of-range` where there is no answer
 */
export function solved(values: Values): string {
  const [distance, most, frames] = [
    number(values, 'distance'),
    number(values, 'most'),
    number(values, 'frames'),
  ];
  const [easing, framesHeld] = [easingFrom(values), heldFrom(values)];
  if (frames !== null && (!Number.isInteger(frames) || frames < 1 || frames > 20_000))
    throw new UsageError('--frames is a whole number from 1 to 20000.');
  let answer: { distance: number; frames: number; easing: Easing };
  if (distance !== null && most !== null)
    answer =
      frames === null
        ? { distance, easing, frames: framesFor({ distance, easing, framesHeld }, most).frames }
        : { distance, frames, easing: easingUnder({ distance, frames, easing, framesHeld }, { most }) };
  else if (frames !== null && most !== null)
    answer = { frames, easing, distance: distanceFor({ frames, easing, framesHeld }, most) };
  else if (frames !== null && distance !== null) answer = { frames, easing, distance };
  else throw new UsageError('Say at least two of --distance, --frames and --most.');
  const largest = largestIncrement({ ...answer, framesHeld });
  if (values.json) return `${JSON.stringify({ ...answer, framesHeld, largest }, null, 2)}\n`;
  const ramps =
    answer.easing.kind === 'ramped'
      ? `, leave ${answer.easing.leaveFrames}, arrive ${answer.easing.arriveFrames}`
      : '';
  return `${answer.frames} frames, distance ${Number(answer.distance.toFixed(6))}${ramps}, largest ${largest.toFixed(3)}\n`;
}

export default defineCommand({
  options: { ...SOLVING, ...OUT, json: { type: 'boolean' } },
  run: (paths, values) => {
    if (paths.length > 0) throw new UsageError('solve takes no file.');
    return said(solved(values));
  },
});
