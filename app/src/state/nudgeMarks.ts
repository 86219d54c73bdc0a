import { gestureName } from '../ui/gestureName';
import { activeMoveIn } from './hooks';
import { doEdit } from './doEdit';
import type { AppDispatch, RootState } from './store';

/** Frames and shares of the arc that the arrows move marks by; ten times as much with Shift. */
const STEPS: Readonly<Record<string, { readonly frames: number; readonly share: number }>> = {
  ArrowLeft: { frames: -1, share: 0 },
  ArrowRight: { frames: 1, share: 0 },
  ArrowUp: { frames: 0, share: 0.01 },
  ArrowDown: { frames: 0, share: -0.01 },
};
/** Nudges in shorter order than this are one undo step. */
const ONE_RUN_MS = 900;

let run = { name: '', frames: 0, share: 0, until: 0, ids: [] as readonly string[] };

/** Nudges the selected marks by a key; a run of nudges is one gesture. @returns whether the key is one of these */
export const nudgeMarks =
  (key: string, isFar: boolean) =>
  (dispatch: AppDispatch, getState: () => RootState): boolean => {
    const step = STEPS[key];
    const { hand, settings } = getState();
    const move = activeMoveIn(getState());
    const markIds = hand.selectedMarkIds;
    if (!step || !move || markIds.length === 0) return false;
    const now = performance.now();
    const goesOn = now < run.until && run.ids === markIds;
    const size = isFar ? 10 : 1;
    run = {
      name: goesOn ? run.name : gestureName('nudge-marks'),
      frames: (goesOn ? run.frames : 0) + step.frames * size,
      share: (goesOn ? run.share : 0) + step.share * size,
      until: now + ONE_RUN_MS,
      ids: markIds,
    };
    dispatch(
      doEdit(
        'moveMarks',
        {
          moveId: move.id,
          markIds,
          byFrames: run.frames,
          byFraction: run.share,
          takesLater: settings.takesLater,
        },
        run.name,
      ),
    );
    return true;
  };
