import { type Arc, type EditArguments, type EditName, type Move, type Shot, ShotError } from '@humble/core';
import { useCallback } from 'react';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { said, type SessionState } from './sessionSlice';
import type { Settings } from './settingsSlice';
import { edited } from './shotSlice';
import type { AppDispatch, AppStore, RootState } from './store';

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppStore = useStore.withTypes<AppStore>();
export const useAppSelector = useSelector.withTypes<RootState>();

/** The shot on the workbench. Only for what is shown while one is open. */
export function useShot(): Shot {
  const shot = useAppSelector((state) => state.shot.present.shot);
  if (!shot) throw new Error('no shot is open');
  return shot;
}

/** A part of the shot on the workbench: renders again only when that part changes. */
export function useShotValue<Value>(pick: (shot: Shot) => Value): Value {
  return useAppSelector((state) => {
    const { shot } = state.shot.present;
    if (!shot) throw new Error('no shot is open');
    return pick(shot);
  });
}

/** The arc that an active move of a shot travels along. */
export function activeArcOf(shot: Shot | null): Arc | null {
  const arcId = shot?.moves[0]?.arcId;
  return shot?.arcs.find((arc) => arc.id === arcId) ?? null;
}

/** The move being worked on, its arc and its figure; null before the first stroke. */
export function useActiveMove(): Move | null {
  return useAppSelector((state) => state.shot.present.shot?.moves[0] ?? null);
}

/** Something of the arc being worked on; null before the first stroke. Renders again only when it changes. */
export const useActiveArc = <Value>(pick: (arc: Arc, session: SessionState) => Value): Value | null =>
  useAppSelector((state) => {
    const arc = activeArcOf(state.shot.present.shot);
    return arc && pick(arc, state.session);
  });

export const useSession = <Value>(pick: (session: SessionState) => Value): Value =>
  useAppSelector((state) => pick(state.session));

export const useSettings = (): Settings => useAppSelector((state) => state.settings);

export type DoEdit = <Name extends EditName>(
  name: Name,
  args: EditArguments<Name>,
  gesture?: string,
) => boolean;

/** Does an edit of the core. One that cannot be done says why and changes nothing; the result tells which. */
export function useEdit(): DoEdit {
  const dispatch = useAppDispatch();
  return useCallback<DoEdit>(
    (name, args, gesture) => {
      try {
        dispatch(edited({ name, args } as Parameters<typeof edited>[0], gesture));
        return true;
      } catch (error) {
        if (!(error instanceof ShotError)) throw error;
        dispatch(said(error.message));
        return false;
      }
    },
    [dispatch],
  );
}
