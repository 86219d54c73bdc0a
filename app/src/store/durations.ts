import { storeWords as words } from '../words/store';
import { readNumber } from '../ui/numbers';

/** How long something lasts, as it can be typed besides frames. */
export const DURATION_UNITS = [words.seconds, words.times, words.percent] as const;

interface DurationBase {
  /** Frames before anything was typed. */
  readonly from: number;
  /** Frames a second. */
  readonly rate: number;
  /** Frames of something that lasts longer than before by a factor. */
  readonly times: (factor: number) => number;
}

/**
 * Frames of a duration as it was typed: “36”, “1.5 s”, “× 1.5” or “150 %” of what it was. Whole frames; null when it is
 * nothing that is known.
 */
export function readDuration(text: string, { rate, times }: DurationBase): number | null {
  const [, before = '', number = '', unit = ''] =
    /^\s*([×x*]?)\s*([\d.,]+)\s*([a-z×%]*)\s*$/iu.exec(text) ?? [];
  const value = readNumber(number);
  if (value === null) return null;
  if (before) return unit === '' ? times(value) : null;
  switch (unit.toLowerCase()) {
    case '':
    case 'f':
    case words.frames:
      return value;
    case words.seconds:
      return Math.round(value * rate);
    case words.times:
    case 'x':
      return times(value);
    case words.percent:
      return times(value / 100);
    default:
      return null;
  }
}

/** The same duration in another unit: seconds, or 1 and 100 for what it is now. */
export function durationIn(frames: number, unit: string, rate: number): number {
  if (unit === words.seconds) return frames / rate;
  if (unit === words.times) return 1;
  return unit === words.percent ? 100 : frames;
}
