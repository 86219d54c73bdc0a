import { exposuresOf, type Move } from '@humble/core';
import { gestureName } from '../ui/gestureName';
import { doEdit } from './doEdit';
import { activeMoveIn } from './hooks';
import { currentFrame } from './playhead';
import { activeTravelIn } from './selection';
import type { AppDispatch, RootState } from './store';

/** Frames and shares of the arc that the arrows move things by; ten times as much with Shift. */
const STEPS: Readonly<Record<string, { readonly frames: number; readonly share: number }>> = {
  ArrowLeft: { frames: -1, share: 0 },
  ArrowRight: { frames: 1, share: 0 },
  ArrowUp: { frames: 0, share: 0.005 },
  ArrowDown: { frames: 0, share: -0.005 },
};
const FAR = 10;
/** Nudges in shorter order than this are one undo step. */
const ONE_RUN_MS = 900;

type Nudge = (dispatch: AppDispatch, getState: () => RootState) => boolean;

let run = { of: '', name: '', frames: 0, share: 0, until: 0 };

/** What a run of nudges has come to, counted from where it began. */
function nudged(of: string, key: string, isFar: boolean): typeof run | null {
  const step = STEPS[key];
  if (!step) return null;
  const now = performance.now();
  const goesOn = now < run.until && run.of === of;
  const size = isFar ? FAR : 1;
  run = {
    of,
    name: goesOn ? run.name : gestureName('nudge'),
    frames: (goesOn ? run.frames : 0) + step.frames * size,
    share: (goesOn ? run.share : 0) + step.share * size,
    until: now + ONE_RUN_MS,
  };
  return run;
}

const isTick = (move: Move, lengthFrames: number, frame: number): boolean =>
  move.marks.every((mark) => mark.frame !== frame) &&
  exposuresOf(move, { lengthFrames }).some((exposure) => exposure.frame === frame);

let tickFrom = { name: '', fraction: 0 };

/**
 * Nudges the selected marks by a key, in time or in place; with none selected the tick at the playhead, in
 * place. A run of nudges is one gesture. @returns whether the key did something
 */
export const nudge =
  (key: string, isFar: boolean): Nudge =>
  (dispatch, getState) => {
    const { hand, settings, shot } = getState();
    const move = activeMoveIn(getState());
    const travel = activeTravelIn(getState());
    if (!move || !travel || !shot.present.shot) return false;
    const markIds = hand.selectedMarkIds;
    if (markIds.length > 0) {
      const to = nudged(markIds.join(' '), key, isFar);
      if (!to) return false;
      dispatch(
        doEdit(
          'moveMarks',
          {
            moveId: move.id,
            markIds,
            byFrames: to.frames,
            byFraction: to.share,
            takesLater: settings.takesLater,
          },
          to.name,
        ),
      );
      return true;
    }
    const frame = currentFrame();
    if (!isTick(move, shot.present.shot.lengthFrames, frame) || travel.arcLength === 0) return false;
    const to = nudged(`tick ${move.id} ${frame}`, key, isFar);
    if (!to) return false;
    if (tickFrom.name !== to.name)
      tickFrom = { name: to.name, fraction: travel.plan[frame - 1]! / travel.arcLength };
    // A tick has no other frame to go to: both pairs of arrows move it along the arc.
    const by = to.share + to.frames * STEPS.ArrowUp!.share;
    dispatch(
      doEdit(
        'moveTick',
        { moveId: move.id, frame, fraction: tickFrom.fraction + by, reachFrames: settings.tickReach },
        to.name,
      ),
    );
    return true;
  };
