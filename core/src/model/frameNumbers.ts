/**
 * How frames are numbered for people. Everywhere in the core and in shot files the first frame is 1; whoever counts
 * from 0 sees and types one less. Like a language, this is chosen once for a running application.
 */
let first: FirstFrameNumber = 1;

/** The number of the first frame. */
export type FirstFrameNumber = 0 | 1;

/** From now on sentences and tables number frames from this. */
export function countFramesFrom(number: FirstFrameNumber): void {
  first = number;
}

/** The number that people read for a frame. @param frame from 1 */
export const frameNumber = (frame: number): number => frame - 1 + first;

/** The frame that people mean by a number, from 1. */
export const frameNumbered = (number: number): number => number + 1 - first;
