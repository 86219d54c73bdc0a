import type { Shot, Taken } from '@humble/core';
import { latestPicture, placementsLeft, pictureSeenOn, standingPictures } from '@humble/core/shoot';
import type { RootState } from '../store';
import { selectActiveMove, selectOpenShot } from './active';
import { selectEdits } from './selection';

/** The first frame that no picture was taken for; one past the end when all are taken. */
export const nextFrame = (shot: Shot): number => {
  const last = latestPicture(shot);
  return placementsLeft(shot)[0]?.frame ?? (last ? last.frame + last.framesHeld : 1);
};

/** What the field shows while something is shot: the set as it stands, a picture that was taken, or the plan. */
export type ShownInField = 'live' | 'picture' | 'plan';

interface PlayheadOn {
  readonly frame: number;
  readonly isPlaying: boolean;
}

export function selectShownInField(state: RootState, { frame, isPlaying }: PlayheadOn): ShownInField {
  if (selectEdits(state) !== 'pictures') return 'plan';
  const shot = selectOpenShot(state);
  if (frame >= nextFrame(shot)) return isPlaying ? 'plan' : 'live';
  return pictureSeenOn(standingPictures(shot), frame) ? 'picture' : 'live';
}

/**
 * The picture that is told of where its figure really stands: the one on the playhead's frame; beside the live picture the
 * one that was taken last.
 */
export function selectToldPicture(state: RootState, frame: number): Taken | null {
  const shot = selectOpenShot(state);
  const standing = standingPictures(shot);
  const on = frame < nextFrame(shot) ? standing.findLast((taken) => taken.frame <= frame) : undefined;
  return on ?? standing.at(-1) ?? null;
}

export const selectToldActual = (state: RootState, frame: number): Taken['actuals'][number] | null => {
  const move = selectActiveMove(state);
  return selectToldPicture(state, frame)?.actuals.find(({ moveId }) => moveId === move?.id) ?? null;
};
