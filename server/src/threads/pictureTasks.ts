import type { PICTURE_TYPES } from '@humble/core';

export type PictureType = (typeof PICTURE_TYPES)[number];

export interface SeenPicture {
  readonly type: PictureType;
  readonly width: number;
  readonly height: number;
  /** What is kept: the bytes as they came, or without what a still drawing does not need. */
  readonly bytes: Uint8Array;
  /** What the user should know of it; empty for nothing. */
  readonly note: string;
}

export interface PictureTask {
  readonly bytes: Uint8Array;
}
