import type { EditArguments, EditName } from '@humble/core';
import { useCallback } from 'react';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { doEdit, type EditResult } from './doEdit';
import type { SessionState } from './sessionSlice';
import type { Settings } from './settingsSlice';
import type { AppDispatch, AppStore, RootState } from './store';

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppStore = useStore.withTypes<AppStore>();
/** Something of the state, live: told of every change. For what never changes while something is dragged. */
export const useAppSelector = useSelector.withTypes<RootState>();

export const useSession = <Value>(pick: (session: SessionState) => Value): Value =>
  useAppSelector((state) => pick(state.session));

export const useSettings = (): Settings => useAppSelector((state) => state.settings);

export type DoEdit = <Name extends EditName>(
  name: Name,
  args: EditArguments<Name>,
  undoGroup?: string,
) => EditResult | null;

export function useEdit(): DoEdit {
  const dispatch = useAppDispatch();
  return useCallback<DoEdit>((name, args, undoGroup) => dispatch(doEdit(name, args, undoGroup)), [dispatch]);
}
