import type { TrackName } from '@humble/core';
import { focusedKeys, keyHandler } from '../../../commands/keyHandler';
import { deleteKeyAt, goToNextKey, nudgeKeyAt } from '../../../commands/keys';
import { currentFrame } from '../../../playback/playhead';
import { useAppDispatch } from '../../../store/hooks';

export function useTrackKeys(track: TrackName): object {
  const dispatch = useAppDispatch();
  const remove = (): void => void dispatch(deleteKeyAt(track, currentFrame()));
  return focusedKeys(
    keyHandler('keys', {
      next: () => void dispatch(goToNextKey(track, 1)),
      previous: () => void dispatch(goToNextKey(track, -1)),
      nudge: ({ key }) => dispatch(nudgeKeyAt(track, currentFrame(), key, false)),
      nudgeFar: ({ key }) => dispatch(nudgeKeyAt(track, currentFrame(), key, true)),
      remove,
      removeToo: remove,
    }),
  );
}
