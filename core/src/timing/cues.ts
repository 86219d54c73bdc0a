import type { Cue } from '../model/schema';
import { wholeFrame } from './frameMap';

/** When a frame begins, seconds from the start of frame 1. @param rate frames a second */
export const secondsOfFrame = (frame: number, rate: number): number => (frame - 1) / rate;

/** The frame whose start is nearest to a moment; halves are rounded up. @param rate frames a second */
export const frameOfSeconds = (seconds: number, rate: number): number => 1 + wholeFrame(seconds * rate);

/** What is heard on each frame that a cue lies on, words on one frame in order of time. */
export function cuesByFrame(cues: readonly Cue[], rate: number): ReadonlyMap<number, readonly Cue[]> {
  const byFrame = new Map<number, Cue[]>();
  for (const cue of cues) {
    const frame = frameOfSeconds(cue.seconds, rate);
    const others = byFrame.get(frame);
    if (others) others.push(cue);
    else byFrame.set(frame, [cue]);
  }
  return byFrame;
}
