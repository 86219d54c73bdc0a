import type { SoundTrack } from '../preview';

/** Puts frames together to a file. */
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
  /** How many frames there will be. */
  readonly count: number;
  /** Whether it begins anew when it ends, where the file can say so. */
  readonly loops: boolean;
  /** What is heard meanwhile; null for nothing. */
  readonly sound: SoundTrack | null;
}
