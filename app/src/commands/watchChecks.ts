import { firstFrameNumber } from '../store/frameNumbers';
import { findingsFound } from '../store/reviewSlice';
import { type AppThunk, listen } from '../store/store';
import { selectShot } from '../store/selectors/active';
import { checkAside } from '../workers/check';

/** Checks begin when nothing has changed for so long, milliseconds. */
const REST_MS = 400;

/** Looks over the open shot in a worker after each rest of the hand. @returns what ends that */
export const watchChecks = (): AppThunk<() => void> => (dispatch, getState) => {
  let latest = 0;
  let rest: ReturnType<typeof setTimeout> | undefined;
  const check = async (): Promise<void> => {
    const shot = selectShot(getState());
    const own = ++latest;
    if (!shot) return;
    const findings = await checkAside(shot, firstFrameNumber());
    if (own === latest) dispatch(findingsFound({ shot, findings }));
  };
  const checkSoon = (): void => {
    latest++;
    clearTimeout(rest);
    rest = setTimeout(() => void check(), REST_MS);
  };
  checkSoon();
  const stop = dispatch(
    listen({
      predicate: (_, now, before) => selectShot(now) !== selectShot(before),
      effect: checkSoon,
    }),
  );
  return () => {
    clearTimeout(rest);
    latest = Infinity;
    stop();
  };
};
