import { sentenceOfError } from '../store/frameNumbers';
import { errorSentence } from '../store/errorSentence';
import {
  actedPoints,
  firstFrame,
  type Gesture,
  measuredOneByOne,
  type Move,
  ShotError,
  type ThinWish,
} from '@humble/core';
import {
  gestureFrames,
  gestureFrom,
  gestureOf,
  type PointerSample,
  type RawGesture,
  withRests,
} from '@humble/core/views';
import { fileFormats } from './fileFormats';
import { createUndoGroup } from '../ui/undoGroup';
import { runTimeSliced } from '../store/throttled/nextTask';
import { thinAside, type ThinningJob } from '../workers/thin';
import { doEdit } from '../store/doEdit';
import { arcActivated, type ActsFor, thinningProgressed, toolChosen } from '../store/editorSlice';
import { goTo, playFrom } from '../playback/playhead';
import { messageShown, stepChosen } from '../store/sessionSlice';
import type { AppThunk, RootState } from '../store/store';
import { selectActiveMove, selectOpenShot } from '../store/selectors/active';

/** How far a fresh gesture is thinned unless the user says otherwise, as a share of the field's height. */
const FRESH_SHARE = 0.008;

export const askToAct =
  (actsFor: ActsFor): AppThunk =>
  (dispatch) => {
    dispatch(stepChosen('figure'));
    dispatch(toolChosen('act', actsFor));
  };

interface Thinned {
  readonly moveId: string | null;
  readonly gestureId: string;
  readonly wish: ThinWish;
  /** Number of intervals it is fitted to; null for as long as the hand took. */
  readonly frames: number | null;
  readonly firstFrame: number;
  /** A gesture that is kept with it: edits of one step all begin from where the step did. */
  readonly gesture?: RawGesture;
  readonly name?: string;
}

const freshDeviation = (state: RootState): number => selectOpenShot(state).field.height * FRESH_SHARE;

/** What a move that was acted out was thinned by. */
const wishOf = ({ allowedDeviation, ...acted }: NonNullable<Move['acted']>) => ({
  ...acted,
  wish: { allowedDeviation },
});

let running: ThinningJob | null = null;

/** Stops what is being thinned; the move stays as it was. */
export const cancelThinning = (): AppThunk => (dispatch) => {
  running?.cancel();
  running = null;
  dispatch(thinningProgressed(null));
};

/** Thins a gesture and makes it a move. A later wish takes the place of one that is not done. */
const thinnedTo =
  (wanted: Thinned, step: string): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const raw = selectOpenShot(getState()).gestures.find(({ id }) => id === wanted.gestureId);
    if (!raw) return;
    running?.cancel();
    const frames = wanted.frames ?? gestureFrames(raw, selectOpenShot(getState()).rate);
    const { wish, ...acting } = wanted;
    dispatch(thinningProgressed({ share: 0, wish }));
    const mine = thinAside(raw, {
      frames,
      ...wish,
      onProgress: (share) => running === mine && dispatch(thinningProgressed({ share, wish })),
    });
    running = mine;
    try {
      const thinned = await mine.result;
      // An arc of thousands of points takes a while to measure; what is measured here stays known.
      if (thinned) await runTimeSliced(measuredOneByOne(actedPoints(thinned)), () => running === mine);
      // Meanwhile another shot may have come onto the workbench.
      const isThere = getState().shot.present.shot?.gestures.some((one) => one === raw);
      if (!thinned || running !== mine || !isThere) return;
      const { allowedDeviation } = thinned;
      const made = dispatch(doEdit('actOut', { ...acting, allowedDeviation, thinned }, step))?.made();
      if (wanted.moveId === null && made?.arcs[0]) dispatch(arcActivated(made.arcs[0]));
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    } finally {
      if (running === mine) {
        running = null;
        dispatch(thinningProgressed(null));
      }
    }
  };

function moveFor(state: RootState): Move | null {
  return state.editor.actsFor === 'this' ? selectActiveMove(state) : null;
}

function recorded(samples: readonly PointerSample[], speed: number): RawGesture | null {
  return samples.length < 3 ? null : gestureFrom(withRests(samples), speed);
}

/** A gesture came to its end: it is kept, and the figure does what the hand did. One undo step. */
export const recordGesture =
  (samples: readonly PointerSample[]): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { settings } = getState();
    const step = createUndoGroup('act');
    const move = moveFor(getState());
    const gesture = recorded(samples, settings.recordingSpeed);
    // Whatever becomes of it, it is not lost.
    const gestureId = gesture && dispatch(doEdit('keepGesture', { gesture }, step))?.made().gestures[0];
    if (!gesture || !gestureId) return;
    dispatch(toolChosen('shape'));
    const begin = move ? firstFrame(move) : 1;
    goTo(begin);
    await dispatch(
      thinnedTo(
        {
          moveId: move?.id ?? null,
          gestureId,
          wish: { allowedDeviation: move?.acted?.allowedDeviation ?? freshDeviation(getState()) },
          frames: null,
          firstFrame: begin,
          gesture,
        },
        step,
      ),
    );
    if (selectActiveGesture(getState())) playFrom(begin, 1);
  };

export const bringInTracked =
  (table: string, name: string): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const step = createUndoGroup('tracked');
    const { rate } = selectOpenShot(getState());
    try {
      const { readTrackedCsv } = await fileFormats();
      const { gesture, firstFrame: first, frames } = readTrackedCsv(table, rate);
      const gestureId = dispatch(doEdit('keepGesture', { gesture, name }, step))?.made().gestures[0];
      if (!gestureId) return;
      dispatch(toolChosen('shape'));
      goTo(first);
      await dispatch(
        thinnedTo(
          {
            moveId: null,
            gestureId,
            wish: { allowedDeviation: freshDeviation(getState()) },
            frames,
            firstFrame: first,
            gesture,
            name,
          },
          step,
        ),
      );
    } catch (error) {
      if (!(error instanceof ShotError)) throw error;
      dispatch(messageShown(sentenceOfError(error)));
    }
  };

/** Another wish for an acted move: another of the kept gestures, thinned more or less, or of another length. */
export const changeActing =
  (
    move: Move,
    some: Partial<Pick<Thinned, 'gestureId' | 'wish' | 'frames'>>,
    step = createUndoGroup('thin'),
  ): AppThunk<Promise<void>> =>
  (dispatch) => {
    const { acted } = move;
    if (!acted) return Promise.resolve();
    return dispatch(
      thinnedTo({ moveId: move.id, ...wishOf(acted), firstFrame: firstFrame(move), ...some }, step),
    );
  };

export const reuseGesture =
  ({ id }: Gesture): AppThunk<Promise<void>> =>
  (dispatch, getState) =>
    dispatch(
      thinnedTo(
        {
          moveId: null,
          gestureId: id,
          wish: { allowedDeviation: freshDeviation(getState()) },
          frames: null,
          firstFrame: 1,
        },
        createUndoGroup('again'),
      ),
    );

export const actAgain =
  (move: Move): AppThunk<Promise<void>> =>
  (dispatch) =>
    move.acted
      ? dispatch(
          thinnedTo(
            { moveId: null, ...wishOf(move.acted), firstFrame: firstFrame(move) },
            createUndoGroup('again'),
          ),
        )
      : Promise.resolve();

export function selectActiveGesture(state: RootState): Gesture | null {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  return shot && move ? gestureOf(shot, move) : null;
}
