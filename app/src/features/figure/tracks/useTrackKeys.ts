import type { TrackName } from '@humble/core';
import { deleteKeyAt, goToNextKey, nudgeKeyAt } from '../../../commands/keys';
import { currentFrame } from '../../../playback/playhead';
import { useAppDispatch } from '../../../store/hooks';

interface KeyEvent {
  readonly key?: string;
  readonly nativeEvent?: { readonly key?: string };
  readonly shiftKey?: boolean;
  readonly altKey?: boolean;
  readonly preventDefault: () => void;
  readonly stopPropagation: () => void;
}

/**
 * The keyboard on the keys of a track: the page keys go from key to key; Alt with the arrows nudges the key at the
 * playhead, Delete takes it out.
 */
export function useTrackKeys(track: TrackName): object {
  const dispatch = useAppDispatch();
  return {
    onKeyDown: (event: KeyEvent): void => {
      const key = event.key ?? event.nativeEvent?.key ?? '';
      if (key === 'PageDown' || key === 'PageUp') dispatch(goToNextKey(track, key === 'PageDown' ? 1 : -1));
      else if (key === 'Delete' || key === 'Backspace') dispatch(deleteKeyAt(track, currentFrame()));
      else if (!event.altKey || !dispatch(nudgeKeyAt(track, currentFrame(), key, event.shiftKey ?? false)))
        return;
      event.preventDefault();
      event.stopPropagation();
    },
  };
}
