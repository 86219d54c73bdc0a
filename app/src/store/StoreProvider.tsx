import { type ReactNode, useMemo } from 'react';
import { Provider } from 'react-redux';
import type { AppStore } from './store';
import { ThrottledStoreContext } from './throttled/hooks';
import { throttledStoreOf } from './throttled/throttledStore';

interface StoreProviderProps {
  readonly store: AppStore;
  readonly children: ReactNode;
}

/** Provides the store, and the throttled one for what only shows it. */
export function StoreProvider({ store, children }: StoreProviderProps) {
  const throttled = useMemo(() => throttledStoreOf(store), [store]);
  return (
    <Provider store={store}>
      <ThrottledStoreContext value={throttled}>{children}</ThrottledStoreContext>
    </Provider>
  );
}
