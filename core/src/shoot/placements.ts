import type { Shot, Taken } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { currentTake } from '../timing/takes';
import type { Exposure } from '../exposure/exposures';

const known = new WeakMap<Shot, readonly Exposure[]>();

/**
 * The pictures that a shot asks for, in order: a new one on each frame on which the exposure of any figure begins, on
 * each frame where there is no figure. Each is held until the next.
 */
export function placementsOf(shot: Shot): readonly Exposure[] {
  const found = known.get(shot);
  if (found) return found;
  const { travels } = evaluate(shot);
  const begins = (f: number): boolean =>
    f === 1 || travels.length === 0 || travels.some(({ shown }) => shown[f - 1] === f);
  const frames = Array.from({ length: shot.lengthFrames }, (_, i) => i + 1).filter(begins);
  const placements = frames.map((frame, i) => ({
    frame,
    framesHeld: (frames[i + 1] ?? shot.lengthFrames + 1) - frame,
  }));
  known.set(shot, placements);
  return placements;
}

const standing = new WeakMap<Shot, readonly Taken[]>();

/**
 * The pictures of the current take that stand, in order of their frames; those that were shot over are left out. The same
 * array for the same shot.
 */
export function standingPictures(shot: Shot): readonly Taken[] {
  const found = standing.get(shot);
  if (found) return found;
  const takeId = currentTake(shot).id;
  const pictures = shot.shoot.pictures
    .filter((taken) => taken.takeId === takeId && !taken.isSetAside)
    .sort((a, b) => a.frame - b.frame);
  standing.set(shot, pictures);
  return pictures;
}

/** The picture that was taken last: the one on the latest frame. */
export const latestPicture = (shot: Shot): Taken | undefined => standingPictures(shot).at(-1);

/** The placements that are still to come; the first of them is the next. */
export function placementsLeft(shot: Shot): readonly Exposure[] {
  const last = latestPicture(shot);
  const from = last ? last.frame + last.framesHeld : 1;
  return placementsOf(shot).filter(({ frame }) => frame >= from);
}

/** The picture that is seen on a frame of the loop: the last one not hidden that began by then; none before the first. */
export function pictureSeenOn(pictures: readonly Taken[], frame: number): Taken | undefined {
  return pictures.findLast((taken) => !taken.isHidden && taken.frame <= frame);
}
