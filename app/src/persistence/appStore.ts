import { createAppStore } from '../store/store';
import { api } from './api';

export const createServerStore = () =>
  createAppStore({ reducers: { [api.reducerPath]: api.reducer }, middleware: [api.middleware] });

export const store = createServerStore();
