import { createAppStore } from '../store/store';
import { api } from './api';

/** A store that keeps what the server answers. */
export const createServerStore = () =>
  createAppStore({ reducers: { [api.reducerPath]: api.reducer }, middleware: [api.middleware] });

/** The application's store. */
export const store = createServerStore();
