import type { ThinnedGesture, ThinOptions } from '@humble/core';
import type { RawGesture } from '@humble/core/views';
import { thinGesture } from '@humble/core/thinGesture';

/** A gesture that is being thinned, and a way to give that up: then it comes to null. */
export interface ThinningJob {
  readonly result: Promise<ThinnedGesture | null>;
  readonly cancel: () => void;
}

/** Thins a gesture. On the web that happens in a worker, so that the hand is never held up. */
export const thinAside = (gesture: RawGesture, options: ThinOptions): ThinningJob => ({
  result: Promise.resolve(thinGesture(gesture, options)),
  cancel: () => undefined,
});
