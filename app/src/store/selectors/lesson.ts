import type { Shot } from '@humble/core';
import type { RootState } from '../store';
import { selectShot } from './active';

/** The hints of the first shot, in their order: each stands until what it says is done. */
export const LESSON_HINTS = ['draw', 'figure', 'ease', 'take along'] as const;

/** A fresh stroke over 48 frames leaves slowly over so many; another number is somebody's own. */
const FRESH_LEAVE_FRAMES = 12;

const isLantern = ({ figures }: Shot): boolean =>
  figures.some(({ artwork }) => artwork.kind === 'stand-in' && artwork.standIn === 'lantern');

const isEased = ({ moves }: Shot): boolean =>
  moves.some(({ marks }) =>
    marks
      .slice(0, -1)
      .some(({ easing }) => easing.kind !== 'ramped' || easing.leaveFrames !== FRESH_LEAVE_FRAMES),
  );

/** Which hint is to be seen, counted from 0: that of the first thing that is not done. Null where there are no hints. */
export function selectLessonHint(state: RootState): number | null {
  const shot = selectShot(state);
  const { lessonShotId } = state.settings;
  if (!shot || lessonShotId === null || state.session.document?.id !== lessonShotId) return null;
  if (shot.arcs.length === 0) return 0;
  if (!isLantern(shot)) return 1;
  return isEased(shot) ? 3 : 2;
}
