import type { SoundWave } from './soundWave';

export interface SoundSettings {
  readonly startSeconds: number;
  readonly rate: number;
  readonly isHeard: boolean;
}

export interface SoundEngine {
  readonly wave: Omit<SoundWave, 'startSeconds'>;
  readonly set: (settings: SoundSettings) => void;
  readonly close: () => void;
}

/**
 * Fetches a sound and lets it follow the playhead. Outside the web there is none yet; the web target has
 * `soundEngine.web.ts`.
 */
export const openSound = (
  _address: string,
  _seconds: number,
  _signal: AbortSignal,
): Promise<SoundEngine | null> => Promise.resolve(null);
