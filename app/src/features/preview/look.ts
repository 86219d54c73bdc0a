import { type Shot } from '@humble/core';
import type { Ground } from '@humble/core/scene';
import { previewWords as words } from '../../words/preview';
import { frameNumber } from '../../store/frameNumbers';

export interface Look {
  readonly ground: Ground;
  readonly withBackdrop: boolean;
  readonly hasCount: boolean;
  readonly shutterDeg: number;
}

export const FRESH_LOOK: Look = { ground: 'paper', withBackdrop: true, hasCount: false, shutterDeg: 0 };

/** The frame as it is burnt in: its number, and the last one. */
export const labelOf = (frame: number, { lengthFrames }: Pick<Shot, 'lengthFrames'>): string =>
  words.frame(frameNumber(frame), frameNumber(lengthFrames));
