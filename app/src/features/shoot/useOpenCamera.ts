import { useEffect } from 'react';
import { closeCamera } from '../../cameras/cameraSession';
import { followNext, goToNext, startCamera } from '../../commands/shooting';
import { resumeWaitingPictures } from '../../persistence/waitingPictures';
import { useAppDispatch, useAppStore, useSettings } from '../../store/hooks';

/** A phone that leans beside the set must not fall asleep. @returns what lets it */
function keepAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  let isOver = false;
  const ask = (): void => {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
    navigator.wakeLock.request('screen').then(
      (found) => (isOver ? void found.release() : (lock = found)),
      // A battery that is nearly empty may refuse it: the screen goes dark as it always does then.
      () => undefined,
    );
  };
  ask();
  // The browser lets go of it when the page is hidden.
  document.addEventListener('visibilitychange', ask);
  return () => {
    isOver = true;
    document.removeEventListener('visibilitychange', ask);
    void lock?.release();
  };
}

/** Opens the camera while something is shot, keeps the screen awake, and goes to where the next picture is taken. */
export function useOpenCamera(): void {
  const store = useAppStore();
  const dispatch = useAppDispatch();
  const { camera, cameraDevice, cameraWidth } = useSettings();
  useEffect(() => {
    dispatch(goToNext());
    void resumeWaitingPictures();
    const ends = [keepAwake(), dispatch(followNext())];
    return () => ends.forEach((end) => end());
  }, [dispatch]);
  useEffect(() => {
    void startCamera(store);
    return closeCamera;
  }, [store, camera, cameraDevice, cameraWidth]);
}
