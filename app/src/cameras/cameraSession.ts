import { errorSentence } from '../store/errorSentence';
import type { AppStore } from '../store/store';
import { createExternalStore, useExternalStore } from '../ui/externalStore';
import { Refusal } from '../ui/refusal';
import { shootWords as words } from '../words/shoot';
import { type CameraWish, CAMERAS, type OpenCamera, type TakenFrame } from './camera';

export interface CameraState {
  readonly status: 'closed' | 'opening' | 'open' | 'lost';
  /** Why there is none; null where nothing is wrong. */
  readonly sentence: string | null;
  readonly camera: OpenCamera | null;
}

const CLOSED: CameraState = { status: 'closed', sentence: null, camera: null };

const session = createExternalStore<CameraState>(CLOSED);
/** Counts what was opened and closed: what comes late of an earlier camera is dropped. */
let turn = 0;

export const useCamera = <Picked>(pick: (state: CameraState) => Picked): Picked =>
  useExternalStore(session, pick);

export function closeCamera(): void {
  turn++;
  session.get().camera?.close();
  session.set(CLOSED);
}

/** Opens the camera that the settings name; the one before is closed. */
export async function openCamera(
  store: AppStore,
  told: Pick<CameraWish, 'onPicture' | 'onNote'>,
): Promise<void> {
  closeCamera();
  const own = turn;
  const { camera, cameraDevice: device, cameraWidth: width } = store.getState().settings;
  session.set({ ...CLOSED, status: 'opening' });
  const lost = (sentence: string): void => {
    if (own !== turn) return;
    session.get().camera?.close();
    session.set({ status: 'lost', sentence, camera: null });
  };
  try {
    const opened = await CAMERAS[camera].open({ store, device, width, ...told, onLost: lost });
    if (own === turn) session.set({ status: 'open', sentence: null, camera: opened });
    else opened.close();
  } catch (error) {
    lost(errorSentence(error));
  }
}

/** @throws Refusal with a sentence where no camera is open, or it gives no picture */
export function takeFrame(frame: number): Promise<TakenFrame> {
  const { camera, sentence } = session.get();
  if (!camera) throw new Refusal(sentence ?? words.noCameraYet);
  return camera.take(frame);
}
