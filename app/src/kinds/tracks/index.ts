import type { TrackName } from '@humble/core';
import { offsetX, offsetY } from './offset';
import { opacity } from './opacity';
import { size, sizeDown } from './size';
import type { TrackDescriptor } from './trackDescriptor';
import { turn } from './turn';

export type { TrackDescriptor } from './trackDescriptor';

/** The table of tracks. One that is missing does not compile. */
export const TRACK_DESCRIPTORS: Readonly<Record<TrackName, TrackDescriptor>> = {
  turn,
  size,
  sizeDown,
  opacity,
  offsetX,
  offsetY,
};
