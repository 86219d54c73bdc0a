import { type Context, type ReactNode, useMemo } from 'react';
import { Provider, type ReactReduxContextValue } from 'react-redux';
import { ThrottledContext, type ThrottledStore, throttledStoreOf } from '../render/throttledStore';
import type { AppStore, RootState } from './store';

interface StoreProviderProps {
  readonly store: AppStore;
  readonly children: ReactNode;
}

const Throttled = ThrottledContext as Context<ReactReduxContextValue | null>;

/** What hooks of the throttled store find: each component is told by itself, and not all of them as one. */
function contextOf(store: ThrottledStore<RootState>): ReactReduxContextValue {
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

/** Gives the store to all that is within: itself to those that act on it, the throttled store to those that show it. */
export function StoreProvider({ store, children }: StoreProviderProps) {
  const throttled = useMemo(() => contextOf(throttledStoreOf(store)), [store]);
  return (
    <Provider store={store}>
      <Throttled value={throttled}>{children}</Throttled>
    </Provider>
  );
}
