import { currentFrame } from '../../playback/playhead';
import type { Move, Passage, Vector } from '@humble/core';
import type { AppStore } from '../../store/store';

export const SIDE = 14;

export const along = (frame: number, lengthFrames: number, width: number): number =>
  SIDE + ((frame - 1) / Math.max(1, lengthFrames - 1)) * (width - 2 * SIDE);

export const frameAlong = (x: number, lengthFrames: number, width: number): number =>
  1 + ((x - SIDE) / Math.max(1, width - 2 * SIDE)) * (lengthFrames - 1);

/** An edge of a passage is taken below the knob of the playhead. */
export const EDGE_TOP = 22;

export interface RailView {
  readonly store: AppStore;
  readonly width: number;
  readonly lengthFrames: number;
  readonly move: Move | null;
  readonly passage: Passage | null;
  readonly canMark: boolean;
  /** What its posts stand for where they have a menu: marks, or the poses of the figure. */
  readonly posts: 'marks' | 'poses' | null;
}

export const railX = ({ lengthFrames, width }: RailView, frame: number): number =>
  along(frame, lengthFrames, width);

export const railFrame = ({ lengthFrames, width }: RailView, { x }: Pick<Vector, 'x'>): number =>
  frameAlong(x, lengthFrames, width);

const KNOB_PX = 10;

/** Whether a press is for the knob of the playhead: it comes before what it stands on. */
export const isOnKnob = (rail: RailView, { x }: Pick<Vector, 'x'>): boolean =>
  Math.abs(railX(rail, currentFrame()) - x) < KNOB_PX;
