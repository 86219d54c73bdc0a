import { type ShownInField, selectShownInField } from '../store/selectors/shooting';
import { useAppStore } from '../store/hooks';
import { useThrottledSelector } from '../store/throttled/hooks';
import { isPlaying, currentFrame, usePlayhead } from './playhead';

/** What the field shows while something is shot; renders again only when that changes. */
export function useShownInField(): ShownInField {
  const store = useAppStore();
  const onPlayhead = usePlayhead((playhead) => selectShownInField(store.getState(), playhead));
  const inStore = useThrottledSelector((state) =>
    selectShownInField(state, { frame: currentFrame(), isPlaying: isPlaying() }),
  );
  // Each of both renders it; the store is read last.
  return onPlayhead === inStore ? onPlayhead : inStore;
}
