// By its own way in: the worker needs nothing else of the core.
import { thinGesture, type ThinOptions } from '@humble/core/thinGesture';
import type { RawGesture } from '@humble/core';
import { expose } from 'comlink';

const thinner = {
  thin: (
    gesture: RawGesture,
    options: Omit<ThinOptions, 'onProgress'>,
    onProgress: (share: number) => void,
  ) => thinGesture(gesture, { ...options, onProgress }),
};
export type Thinner = typeof thinner;
expose(thinner);
