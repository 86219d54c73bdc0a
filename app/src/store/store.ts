import { countFramesFrom } from '@humble/core';
import { configureStore } from '@reduxjs/toolkit';
import { applyTheme } from '../ui/theme';
import { api } from '../persistence/api';
import { editorReducer } from './editorSlice';
import { reviewReducer } from './reviewSlice';
import { sessionReducer } from './sessionSlice';
import { settingsReducer, storeSettings } from './settingsSlice';
import { shotHistory } from './shotSlice';

export const createAppStore = () =>
  configureStore({
    reducer: {
      shot: shotHistory,
      session: sessionReducer,
      editor: editorReducer,
      review: reviewReducer,
      settings: settingsReducer,
      [api.reducerPath]: api.reducer,
    },
    // Shots are large and the core never changes one: walking through them on every action finds nothing.
    middleware: (defaults) =>
      defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  });

export type AppStore = ReturnType<typeof createAppStore>;
export type RootState = ReturnType<AppStore['getState']>;
export type AppDispatch = AppStore['dispatch'];

export const store = createAppStore();

applyTheme(store.getState().settings.theme);
countFramesFrom(store.getState().settings.firstFrame);
let stored = store.getState().settings;
store.subscribe(() => {
  const { settings } = store.getState();
  if (settings === stored) return;
  if (settings.theme !== stored.theme) applyTheme(settings.theme);
  if (settings.firstFrame !== stored.firstFrame) countFramesFrom(settings.firstFrame);
  stored = settings;
  storeSettings(settings);
});
