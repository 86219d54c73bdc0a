import { type Shot } from '@humble/core';
import type { Ground } from '@humble/core/scene';
import type { RootState } from '../../store/store';
import { previewWords as words } from '../../words/preview';
import { frameNumber } from '../../store/frameNumbers';

export interface Look {
  /** The plan, or what was taken of it so far. */
  readonly shows: 'plan' | 'taken';
  readonly ground: Ground;
  readonly withBackdrop: boolean;
  /** In-betweens as outlines, in place of the drawing before them. */
  readonly outlines: boolean;
  readonly hasCount: boolean;
  readonly shutterDeg: number;
}

const FRESH_LOOK: Look = {
  shows: 'plan',
  ground: 'paper',
  withBackdrop: true,
  outlines: false,
  hasCount: false,
  shutterDeg: 0,
};

/** What is looked at first: what was taken, while something is shot. */
export const freshLook = ({ session, shot }: RootState): Look => ({
  ...FRESH_LOOK,
  shows: session.step === 'shoot' && shot.present.shot?.shoot.pictures.length ? 'taken' : 'plan',
});

/** The frame as it is burnt in: its number, and the last one. */
export const labelOf = (frame: number, { lengthFrames }: Pick<Shot, 'lengthFrames'>): string =>
  words.frame(frameNumber(frame), frameNumber(lengthFrames));
