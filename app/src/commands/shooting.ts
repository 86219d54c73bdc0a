import type { Picture, Vector } from '@humble/core';
import { latestPicture, nextPlacement, type ReplanWay, spokenIncrement } from '@humble/core/shoot';
import type { TakenFrame } from '../cameras/camera';
import { openCamera, takeFrame } from '../cameras/cameraSession';
import { keepTaken } from '../persistence/waitingPictures';
import { currentFrame, goTo, isPlaying, pause } from '../playback/playhead';
import { doEdit, selectEditProblem } from '../store/doEdit';
import { errorSentence } from '../store/errorSentence';
import { replanProposed } from '../store/reviewSlice';
import { selectActiveMove, selectOpenShot, selectShot } from '../store/selectors/active';
import { nextFrame, selectToldPicture } from '../store/selectors/shooting';
import { messageShown } from '../store/sessionSlice';
import { type AppStore, type AppThunk, listen } from '../store/store';
import { click } from '../playback/click';
import { shootWords as words } from '../words/shoot';

/** The playhead goes to where the next picture is to be taken. */
export const goToNext = (): AppThunk => (_, getState) => {
  const shot = selectShot(getState());
  if (shot) goTo(nextFrame(shot));
};

/**
 * While the playhead stands where the next picture is to be taken it goes along when that is another frame: a picture was
 * taken on another device, or one was undone. @returns what ends that
 */
export const followNext = (): AppThunk<() => void> => (dispatch, getState) => {
  const nextNow = (): number | null => {
    const shot = selectShot(getState());
    return shot && nextFrame(shot);
  };
  let before = nextNow();
  return dispatch(
    listen({
      predicate: (_, now, earlier) => selectShot(now) !== selectShot(earlier),
      effect: () => {
        const now = nextNow();
        if (now !== null && before !== now && currentFrame() === before && !isPlaying()) goTo(now);
        before = now;
      },
    }),
  );
};

/** Says the next increment aloud, where the browser has a voice. */
export const speakNext = (): AppThunk => (_, getState) => {
  const shot = selectShot(getState());
  const next = shot && nextPlacement(shot);
  if (!next || typeof speechSynthesis === 'undefined') return;
  speechSynthesis.cancel();
  speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(spokenIncrement(next)), { lang: 'en' }));
};

const pictureName = (frame: number, { bytes }: TakenFrame): string =>
  `frame-${String(frame).padStart(4, '0')}.${bytes.type === 'image/png' ? 'png' : 'jpg'}`;

const sizeText = ({ width, height }: Picture): string => `${width} × ${height}`;

/** Puts a picture into the shot for the next placement, and goes on to the one after it. */
const addPicture =
  (picture: Picture): AppThunk<boolean> =>
  (dispatch, getState) => {
    const shot = selectShot(getState());
    if (!shot) return false;
    const before = latestPicture(shot)?.picture;
    if (!nextPlacement(shot)) {
      dispatch(messageShown(words.allTaken));
      return false;
    }
    if (!dispatch(doEdit('takePicture', { picture }))) return false;
    if (before && (before.width !== picture.width || before.height !== picture.height))
      dispatch(messageShown(words.otherSize(sizeText(picture), sizeText(before))));
    const { settings } = getState();
    dispatch(goToNext());
    if (settings.clicksOnTake) click();
    if (settings.speaksIncrement) dispatch(speakNext());
    return true;
  };

let isTaking = false;

/** Takes the next picture with the camera that is open. What goes wrong is told, and nothing is lost. */
export const takePicture = (): AppThunk<Promise<boolean>> => async (dispatch, getState) => {
  const shot = selectShot(getState());
  if (isTaking || !shot) return false;
  if (!nextPlacement(shot)) {
    dispatch(messageShown(words.allTaken));
    return false;
  }
  isTaking = true;
  pause();
  try {
    const frame = nextFrame(shot);
    const taken = await takeFrame(frame);
    const { width, height, bytes } = taken;
    // Its bytes are on this device first, then on the server.
    return dispatch(addPicture(await keepTaken(bytes, pictureName(frame, taken), { width, height })));
  } catch (error) {
    dispatch(messageShown(errorSentence(error)));
    return false;
  } finally {
    isTaking = false;
  }
};

/** Opens the camera of the settings; a picture that comes from it by itself is taken. */
export const startCamera = (store: AppStore): Promise<void> =>
  openCamera(store, {
    onPicture: (picture) => void store.dispatch(addPicture(picture)),
    onNote: (sentence) => void store.dispatch(messageShown(sentence)),
  });

/** Where the active figure really stands on the picture that is told of. */
export const tellStand =
  (to: Vector, undoGroup?: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const [taken, move] = [selectToldPicture(getState(), currentFrame()), selectActiveMove(getState())];
    if (!taken || !move) {
      dispatch(messageShown(words.takeOneFirst));
      return false;
    }
    return dispatch(doEdit('setActual', { takenId: taken.id, moveId: move.id, ...to }, undoGroup)) !== null;
  };

/** The picture and the figure that a replanning goes out from. */
function ofTold(getState: AppStore['getState']): { takenId: string; moveId: string } | null {
  const [taken, move] = [selectToldPicture(getState(), currentFrame()), selectActiveMove(getState())];
  return taken && move && { takenId: taken.id, moveId: move.id };
}

/** Shows how the rest would go on; the same way once more lets it be. */
export const proposeReplan =
  (way: ReplanWay): AppThunk =>
  (dispatch, getState) => {
    const told = ofTold(getState);
    if (!told) return;
    const before = getState().review.proposedReplan;
    const proposal = { ...told, way };
    if (JSON.stringify(before) === JSON.stringify(proposal)) dispatch(replanProposed(null));
    else {
      const problem = selectEditProblem(getState(), 'replan', proposal);
      dispatch(problem === null ? replanProposed(proposal) : messageShown(problem));
    }
  };

export const useReplan = (): AppThunk<boolean> => (dispatch, getState) => {
  const { proposedReplan } = getState().review;
  if (!proposedReplan || !dispatch(doEdit('replan', proposedReplan))) return false;
  dispatch(replanProposed(null));
  return true;
};

export const arcThroughStand = (): AppThunk => (dispatch, getState) => {
  const told = ofTold(getState);
  if (told) dispatch(doEdit('arcThroughActual', told));
};

/** Skips, repeats or puts in the next placement, and goes to it. */
export const changeNext =
  (how: 'skipPlacement' | 'repeatPlacement' | 'insertPlacement'): AppThunk =>
  (dispatch) => {
    if (dispatch(doEdit(how, {}))) dispatch(goToNext());
  };

export const shootOverFrom =
  (frame: number): AppThunk =>
  (dispatch, getState) => {
    const before = selectOpenShot(getState()).shoot.pictures.filter(({ isSetAside }) => !isSetAside).length;
    if (!dispatch(doEdit('shootOverFrom', { frame }))) return;
    const after = selectOpenShot(getState()).shoot.pictures.filter(({ isSetAside }) => !isSetAside).length;
    dispatch(messageShown(words.setAside(before - after)));
    dispatch(goToNext());
  };
