import { useEffect } from 'react';
import { useAppDispatch, useThrottledShot } from '../../store/hooks';
import { findingsFound } from '../../store/reviewSlice';
import { checkAside } from '../../workers/check';

/** Checks begin when nothing has changed for so long, milliseconds. */
const REST_MS = 400;

/** Looks over the open shot in a worker after each rest of the hand, whatever step one is in. It shows nothing itself. */
export function FindingsWatch() {
  const shot = useThrottledShot();
  const dispatch = useAppDispatch();
  useEffect(() => {
    let isWanted = true;
    const rest = setTimeout(() => {
      void checkAside(shot).then((findings) => {
        if (isWanted) dispatch(findingsFound({ shot, findings }));
      });
    }, REST_MS);
    return () => {
      isWanted = false;
      clearTimeout(rest);
    };
  }, [shot, dispatch]);
  return null;
}
