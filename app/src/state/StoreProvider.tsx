import type { Context, ReactNode } from 'react';
import { Provider, type ReactReduxContextValue } from 'react-redux';
import { CalmContext, calmStoreOf } from './calmStore';
import type { AppStore } from './store';

interface StoreProviderProps {
  readonly store: AppStore;
  readonly children: ReactNode;
}

/** Gives the store to all that is within: itself to those that act on it, its calm side to those that show it. */
export function StoreProvider({ store, children }: StoreProviderProps) {
  const context = CalmContext as Context<ReactReduxContextValue | null>;
  return (
    <Provider store={store}>
      <Provider store={calmStoreOf(store)} context={context}>
        {children}
      </Provider>
    </Provider>
  );
}
