import type { Arc, EditArguments, EditName, Move, Shot, Waiting } from '@humble/core';
import { type Context, useCallback } from 'react';
import {
  createSelectorHook,
  type ReactReduxContextValue,
  shallowEqual,
  useDispatch,
  useSelector,
  useStore,
} from 'react-redux';
import { ThrottledContext } from '../render/throttledStore';
import { doEdit, type EditResult } from './doEdit';
import type { EditorState } from './editorSlice';
import type { SessionState } from './sessionSlice';
import type { Settings } from './settingsSlice';
import type { AppDispatch, AppStore, RootState } from './store';

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppStore = useStore.withTypes<AppStore>();
/** Something of the state, live: told of every change. For what never changes while something is dragged. */
export const useAppSelector = useSelector.withTypes<RootState>();
/** Something of the state as panels show it: while something is held, that follows a few times a second. */
export const useThrottledSelector = createSelectorHook(
  ThrottledContext as Context<ReactReduxContextValue | null>,
).withTypes<RootState>();

/** The shot on the workbench. Only for what is shown while one is open. */
export function useThrottledShot(): Shot {
  const shot = useThrottledSelector((state) => state.shot.present.shot);
  if (!shot) throw new Error('no shot is open');
  return shot;
}

/** A part of the shot on the workbench: renders again only when that part changes. */
export function useThrottledShotValue<Value>(pick: (shot: Shot) => Value): Value {
  return useThrottledSelector((state) => {
    const { shot } = state.shot.present;
    if (!shot) throw new Error('no shot is open');
    return pick(shot);
  });
}

/** The arc being worked on: the one that was chosen, else the first that carries something, else the first. */
export function activeArcOf(shot: Shot | null, activeArcId: string | null): Arc | null {
  if (!shot) return null;
  const find = (id: string | null | undefined): Arc | undefined => shot.arcs.find((arc) => arc.id === id);
  return find(activeArcId) ?? find(shot.moves[0]?.arcId) ?? shot.arcs[0] ?? null;
}

export const activeArcIn = (state: RootState): Arc | null =>
  activeArcOf(state.shot.present.shot, state.editor.activeArcId);

/** The figure being worked on that rides no arc; null where there is none. */
export function activeWaitingIn({ shot: { present }, editor }: RootState): Waiting | null {
  return present.shot?.waiting.find(({ figureId }) => figureId === editor.activeFigureId) ?? null;
}

/**
 * The move being worked on: that of the figure that was chosen, else of the first on the active arc; null where there is
 * none.
 */
export function activeMoveIn(state: RootState): Move | null {
  const arc = activeArcIn(state);
  if (!arc || activeWaitingIn(state)) return null;
  const moves = state.shot.present.shot?.moves ?? [];
  const chosen = moves.find((move) => move.arcId === arc.id && move.figureId === state.editor.activeFigureId);
  return chosen ?? moves.find((move) => move.arcId === arc.id) ?? null;
}

export const useThrottledMove = (): Move | null => useThrottledSelector(activeMoveIn);

/** Whether two moves have the same marks on the same frames, and all else alike but places and easings. */
function isSameOnFrames(a: Move | null, b: Move | null): boolean {
  if (a === b) return true;
  if (!a || !b || a.marks.length !== b.marks.length) return false;
  const { marks: marksOfA, ...restOfA } = a;
  const { marks: marksOfB, ...restOfB } = b;
  return (
    shallowEqual(restOfA, restOfB) &&
    marksOfA.every(({ id, frame }, i) => id === marksOfB[i]!.id && frame === marksOfB[i]!.frame)
  );
}

/**
 * The active move for what shows its frames only: renders again when one of them changes, and not while a tick
 * or an easing is dragged. Its places and easings may be old ones.
 */
export const useThrottledFramesOfMove = (): Move | null => useThrottledSelector(activeMoveIn, isSameOnFrames);

/** Something of the arc being worked on; null before the first stroke. Renders again only when it changes. */
export const useThrottledArc = <Value>(pick: (arc: Arc, editor: EditorState) => Value): Value | null =>
  useThrottledSelector((state) => {
    const arc = activeArcIn(state);
    return arc && pick(arc, state.editor);
  });

export const useThrottledEditor = <Value>(pick: (editor: EditorState) => Value): Value =>
  useThrottledSelector((state) => pick(state.editor));

export const useSession = <Value>(pick: (session: SessionState) => Value): Value =>
  useAppSelector((state) => pick(state.session));

export const useSettings = (): Settings => useAppSelector((state) => state.settings);

export type DoEdit = <Name extends EditName>(
  name: Name,
  args: EditArguments<Name>,
  undoGroup?: string,
) => EditResult | null;

/** `doEdit` for components. */
export function useEdit(): DoEdit {
  const dispatch = useAppDispatch();
  return useCallback<DoEdit>((name, args, undoGroup) => dispatch(doEdit(name, args, undoGroup)), [dispatch]);
}
