import { type Context, type ReactNode, useMemo } from 'react';
import { Provider, type ReactReduxContextValue } from 'react-redux';
import { CalmContext, type CalmStore, calmStoreOf } from './calmStore';
import type { AppStore, RootState } from './store';

interface StoreProviderProps {
  readonly store: AppStore;
  readonly children: ReactNode;
}

const Calm = CalmContext as Context<ReactReduxContextValue | null>;

/** What hooks of the calm side find: each component is told by itself, and not all of them as one. */
function contextOf(store: CalmStore<RootState>): ReactReduxContextValue {
  const nothing = (): void => undefined;
  return {
    store: store as unknown as ReactReduxContextValue['store'],
    subscription: {
      addNestedSub: (listener) => store.subscribe(listener),
      notifyNestedSubs: nothing,
      handleChangeWrapper: nothing,
      isSubscribed: () => true,
      trySubscribe: nothing,
      tryUnsubscribe: nothing,
      getListeners: () => ({ clear: nothing, notify: nothing, get: () => [], subscribe: () => nothing }),
    },
    stabilityCheck: 'never',
    identityFunctionCheck: 'never',
  };
}

/** Gives the store to all that is within: itself to those that act on it, its calm side to those that show it. */
export function StoreProvider({ store, children }: StoreProviderProps) {
  const calm = useMemo(() => contextOf(calmStoreOf(store)), [store]);
  return (
    <Provider store={store}>
      <Calm value={calm}>{children}</Calm>
    </Provider>
  );
}
