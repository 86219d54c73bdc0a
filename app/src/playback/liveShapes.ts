import { useMemo } from 'react';
import { createLiveShapes, type LiveSource } from '../render/createLiveShapes';
import { useAppStore } from '../store/hooks';
import type { AppStore, RootState } from '../store/store';
import { subscribePlayhead } from './playhead';

/** The shot as it is now; it is drawn anew when it changes and when the playhead moves. */
const sourceOf = (store: AppStore): LiveSource<RootState> => ({
  getState: store.getState,
  subscribe: (listener) => {
    const stops = [store.subscribe(listener), subscribePlayhead(listener)];
    return () => stops.forEach((stop) => stop());
  },
});

function useSource(): LiveSource<RootState> {
  const store = useAppStore();
  return useMemo(() => sourceOf(store), [store]);
}

export const { LivePath, ChunkedLivePath, LiveGroup, useLiveDrawing } = createLiveShapes(useSource);
