import type { Vector } from '../arc/vector';
import { outOfRange } from '../model/errors';
import { MAX_SAMPLES } from '../model/limits';
import type { Gesture } from '../model/schema';

/** A gesture as the hand made it: where the pointer was, and when. */
export type RawGesture = Pick<Gesture, 'x' | 'y' | 'ms' | 'speed'>;

/** One report of the pointer. Field units, and milliseconds of any clock. */
export interface PointerSample {
  readonly x: number;
  readonly y: number;
  readonly ms: number;
}

const rounded = (value: number, step: number): number => Math.round(value / step) * step;

/**
 * A gesture from what the pointer reported. Times count from its first sample; a clock that stands still or
 * goes back is taken to stand still. What is no number is left out.
 * @param speed how fast it was recorded, 1 for true speed: at 0.5 a gesture of 6 s is one of 3 s
 * @throws ShotError `out-of-range` when there are no two samples, or too many
 */
export function gestureFrom(samples: readonly PointerSample[], speed: number): RawGesture {
  const good = samples.filter(
    ({ x, y, ms }) => Number.isFinite(x) && Number.isFinite(y) && Number.isFinite(ms),
  );
  if (good.length < 2) throw outOfRange('A gesture needs at least two places.');
  if (good.length > MAX_SAMPLES) throw outOfRange(`A gesture has at most ${MAX_SAMPLES} places.`);
  const begin = good[0]!.ms;
  let latest = 0;
  // Hundredths of a unit and tenths of a millisecond are finer than any pointer, and keep the file small.
  const clean = (value: number, digits: number): number =>
    Number(rounded(value, 10 ** -digits).toFixed(digits));
  return {
    speed,
    x: good.map(({ x }) => clean(x, 2)),
    y: good.map(({ y }) => clean(y, 2)),
    ms: good.map(({ ms }) => (latest = Math.max(latest, clean(ms - begin, 1)))),
  };
}

/** A pointer that says nothing for longer than this rests, milliseconds; */
const SILENCE_MS = 50;
/** one whose reports come seldom, when it is silent for so many of their intervals. */
const SILENT_REPORTS = 4;

function usualInterval(samples: readonly PointerSample[]): number {
  const intervals = samples.slice(1).map(({ ms }, i) => ms - samples[i]!.ms);
  return intervals.sort((a, b) => a - b)[intervals.length >> 1] ?? 0;
}

/**
 * What a pointer reported, with its rests: one that lies still says nothing until it moves on, and has moved for
 * one of its intervals when it says so.
 */
export function withRests(samples: readonly PointerSample[]): readonly PointerSample[] {
  const interval = usualInterval(samples);
  const silence = Math.max(SILENCE_MS, SILENT_REPORTS * interval);
  return samples.flatMap((sample, i) => {
    const before = samples[i - 1];
    const isRest = before !== undefined && sample.ms - before.ms > silence;
    return isRest ? [{ ...before, ms: sample.ms - interval }, sample] : [sample];
  });
}

export const gestureSeconds = ({ ms, speed }: Pick<RawGesture, 'ms' | 'speed'>): number =>
  ((ms[ms.length - 1] ?? 0) / 1000) * speed;

/** How many intervals it has at a rate; its positions are one more. At least one. */
export const gestureFrames = (gesture: Pick<RawGesture, 'ms' | 'speed'>, rate: number): number =>
  Math.max(1, Math.round(gestureSeconds(gesture) * rate));

export interface TimedPoint extends Vector {
  readonly frame: number;
}

/**
 * All samples with their frames, spread over so many intervals: the first is on frame 0 and the last on the
 * last. Where the clock never ran they are taken to follow each other evenly.
 */
export function samplesOn({ x, y, ms }: Omit<RawGesture, 'speed'>, frames: number): TimedPoint[] {
  const last = ms.length - 1;
  const whole = ms[last]!;
  return ms.map((time, i) => ({
    x: x[i]!,
    y: y[i]!,
    frame: i === last ? frames : (frames * (whole > 0 ? time : i)) / (whole > 0 ? whole : last),
  }));
}

/** Where the hand was on each of so many frames and at the start. Between samples it went straight. */
export function momentsOf(gesture: Omit<RawGesture, 'speed'>, frames: number): TimedPoint[] {
  const samples = samplesOn(gesture, frames);
  const last = samples.length - 1;
  let i = 0;
  return Array.from({ length: frames + 1 }, (_, frame): TimedPoint => {
    if (frame === 0) return samples[0]!;
    while (i < last - 1 && samples[i + 1]!.frame <= frame) i++;
    const [from, until] = [samples[i]!, samples[i + 1]!];
    const passing = until.frame - from.frame;
    const share = passing > 0 ? Math.min(1, (frame - from.frame) / passing) : 1;
    return { frame, x: from.x + (until.x - from.x) * share, y: from.y + (until.y - from.y) * share };
  });
}
