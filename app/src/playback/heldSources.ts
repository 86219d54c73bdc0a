import type { HeldSources } from '../render/pointerSession';
import type { AppStore } from '../store/store';
import { throttledStoreOf } from '../store/throttled/throttledStore';
import { throttledPlayhead } from './playhead';

/** What lags while something is held: what is dragged may move in time, and the playhead goes with it. */
export function heldSourcesOf(store: AppStore): HeldSources {
  const sources = [throttledStoreOf(store), throttledPlayhead];
  return {
    begin: () => sources.forEach(({ begin }) => begin()),
    end: () => sources.forEach(({ end }) => end()),
  };
}
