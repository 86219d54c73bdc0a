import { createExternalStore, useExternalStore } from '../ui/externalStore';

export interface SoundWave {
  readonly perSecond: number;
  readonly peaks: Float32Array;
  readonly startSeconds: number;
}

export type SoundStatus = 'none' | 'loading' | 'ready' | 'failed';

interface SoundState {
  readonly status: SoundStatus;
  readonly wave: SoundWave | null;
}

/** What became of the sound of the open shot. Not application state: it is fetched anew with every shot. */
const sound = createExternalStore<SoundState>({ status: 'none', wave: null });

export const setSoundState = sound.set;
export const useSoundWave = (): SoundWave | null => useExternalStore(sound, ({ wave }) => wave);
export const useSoundStatus = (): SoundStatus => useExternalStore(sound, ({ status }) => status);

/** The loudest peak of some time, 0 to 1. @param from seconds from the start of frame 1 */
export function peakBetween(
  { perSecond, peaks, startSeconds }: SoundWave,
  from: number,
  until: number,
): number {
  const first = Math.max(0, Math.floor((from - startSeconds) * perSecond));
  const last = Math.min(peaks.length, Math.max(first + 1, Math.ceil((until - startSeconds) * perSecond)));
  let most = 0;
  for (let i = first; i < last; i++) most = Math.max(most, peaks[i]!);
  return most;
}

/**
 * A wave as a filled shape, a pixel wide for each of its peaks.
 * @param secondsAt of a pixel, from the start of frame 1
 * @param middle and half its height, pixels
 */
export function wavePath(
  wave: SoundWave,
  secondsAt: (x: number) => number,
  { start, end }: { readonly start: number; readonly end: number },
  middle: number,
  half: number,
): string {
  const upper: string[] = [];
  const lower: string[] = [];
  for (let x = Math.ceil(start); x <= end; x++) {
    const y = peakBetween(wave, secondsAt(x), secondsAt(x + 1)) * half;
    upper.push(`L${x} ${(middle - y).toFixed(1)}`);
    lower.unshift(`L${x} ${(middle + y).toFixed(1)}`);
  }
  return upper.length === 0 ? '' : `M${upper[0]!.slice(1)}${upper.slice(1).join('')}${lower.join('')}Z`;
}
