import type { Shot } from '@humble/core';
import type { Ground } from '@humble/core/scene';

export type MovingFormat = 'png' | 'apng' | 'gif' | 'webm' | 'mp4';
export type StillKind = 'strobe' | 'contact';

interface Job {
  readonly shot: Shot;
  /** Pixels. */
  readonly width: number;
  readonly from: number;
  readonly until: number;
  readonly ground: Ground;
  readonly withBackdrop: boolean;
  /** In-betweens as outlines, in place of the drawing before them. */
  readonly outlines: boolean;
  /** The plan, or what was taken of it so far, and then the plan. */
  readonly shows: 'plan' | 'taken';
  /** Bytes of the pictures that were taken, or where they are to be had: each is decoded when its frame comes. */
  readonly taken: readonly { readonly sha256: string; readonly from: Blob | string }[];
  /** What is written into the corner of each frame of the range; empty for nothing. */
  readonly labels: readonly string[];
  readonly images: readonly { readonly sha256: string; readonly bitmap: ImageBitmap }[];
}

/** What is heard over a range of frames, from its first to its last moment. */
export interface SoundTrack {
  readonly sampleRate: number;
  readonly channels: readonly Float32Array<ArrayBuffer>[];
}

export interface OfferedFormat {
  readonly format: MovingFormat;
  readonly hasSound: boolean;
}

export interface PreviewJob extends Job {
  /** How far the shutter is open, 0 to 360 degrees. */
  readonly shutterDeg: number;
  readonly format: MovingFormat;
  readonly loops: boolean;
  /** Null for none; formats without sound pass over it. */
  readonly sound: SoundTrack | null;
  /** What the first frame of the shot is called, for the names of files. */
  readonly firstNumber: number;
}

export interface StillJob extends Job {
  readonly kind: StillKind;
  readonly every: number;
  readonly withTicks: boolean;
}

export interface Rendering {
  /** The bytes of the file; null when it was cancelled. @throws Error */
  readonly result: Promise<Uint8Array | null>;
  readonly cancel: () => void;
}

/** Outside the web nothing is rendered yet; the web target has `preview.web.ts`. */
export const renderAside = (_job: PreviewJob | StillJob, _onProgress: (done: number) => void): Rendering => ({
  result: Promise.resolve(null),
  cancel: () => undefined,
});

export const probeFormats = (_width: number, _height: number): Promise<readonly OfferedFormat[]> =>
  Promise.resolve([]);
