import type { SoundTrack } from '../preview';

export interface FrameEncoder {
  /** @param number of the frame as people count, for names */
  readonly add: (canvas: OffscreenCanvas, number: number) => Promise<void>;
  readonly finish: () => Promise<Uint8Array>;
}

export interface EncoderOptions {
  readonly width: number;
  readonly height: number;
  /** Frames a second. */
  readonly rate: number;
  readonly count: number;
  readonly loops: boolean;
  /** What is heard meanwhile; null for nothing. */
  readonly sound: SoundTrack | null;
}
