import {
  combineReducers,
  configureStore,
  createListenerMiddleware,
  type Middleware,
  type Reducer,
  type StateFromReducersMapObject,
  type ThunkAction,
  type ThunkDispatch,
  type TypedAddListener,
  type TypedStartListening,
  type UnknownAction,
  addListener,
} from '@reduxjs/toolkit';
import { applyTheme } from '../ui/theme';
import { editorReducer } from './editorSlice';
import { countFramesFrom } from './frameNumbers';
import { reviewReducer } from './reviewSlice';
import { sessionReducer } from './sessionSlice';
import { settingsReducer, storeSettings, themeIn } from './settingsSlice';
import { shotHistory } from './shotSlice';

const reducers = {
  shot: shotHistory,
  session: sessionReducer,
  editor: editorReducer,
  review: reviewReducer,
  settings: settingsReducer,
};

export type RootState = StateFromReducersMapObject<typeof reducers>;
export type AppDispatch = ThunkDispatch<RootState, unknown, UnknownAction>;
/** A command: what a user does, in one call. */
export type AppThunk<Result = void> = ThunkAction<Result, RootState, unknown, UnknownAction>;

export interface StoreExtension {
  readonly reducers?: Readonly<Record<string, Reducer>>;
  readonly middleware?: readonly Middleware[];
}

type Listen = TypedAddListener<RootState, AppDispatch>;

/** Does something after each change of a kind. @returns what ends that */
export const listen =
  (options: Parameters<Listen>[0]): AppThunk<() => void> =>
  (dispatch) =>
    dispatch((addListener as Listen)(options)) as unknown as () => void;

function keepSettings(startListening: TypedStartListening<RootState, AppDispatch>): void {
  startListening({
    predicate: (_, now, before) => now.settings !== before.settings,
    effect: (_, { getState }) => {
      const { settings } = getState();
      countFramesFrom(settings.firstFrame);
      storeSettings(settings);
    },
  });
  startListening({
    predicate: (_, now, before) => shownTheme(now) !== shownTheme(before),
    effect: (_, { getState }) => applyTheme(shownTheme(getState())),
  });
}

const shownTheme = ({ settings, session }: RootState) =>
  themeIn(settings, session.document ? session.step : 'arc');

export function createAppStore({ reducers: further = {}, middleware = [] }: StoreExtension = {}) {
  const listeners = createListenerMiddleware<RootState, AppDispatch>();
  const store = configureStore({
    reducer: combineReducers({ ...reducers, ...further }) as unknown as Reducer<RootState>,
    // Shots are large and the core never changes one: walking through them on every action finds nothing.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false })
        .prepend(listeners.middleware)
        .concat(middleware),
  });
  const { theme, firstFrame } = store.getState().settings;
  applyTheme(theme);
  countFramesFrom(firstFrame);
  keepSettings(listeners.startListening);
  return store;
}

export type AppStore = ReturnType<typeof createAppStore>;
