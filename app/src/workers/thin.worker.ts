// By its own way in: the worker needs nothing else of the core.
import { thinGesture, type ThinWish } from '@humble/core/thinGesture';
import type { RawGesture } from '@humble/core/views';
import { expose } from 'comlink';

/** Progress is reported in steps of this share: each is a message, and something to draw. */
const STEP = 0.02;

const thinner = {
  thin: (
    gesture: RawGesture,
    options: ThinWish & { readonly frames: number },
    onProgress: (share: number) => void,
  ) => {
    let reported = 0;
    return thinGesture(gesture, {
      ...options,
      onProgress: (share) => {
        if (share - reported < STEP) return;
        reported = share;
        onProgress(share);
      },
    });
  },
};
export type Thinner = typeof thinner;
expose(thinner);
