import type { Arc, Move, Shot } from '@humble/core';
import { createContext, use } from 'react';
import { shallowEqual } from 'react-redux';
import { useSyncExternalStoreWithSelector } from 'use-sync-external-store/with-selector';
import type { EditorState } from '../editorSlice';
import { selectActiveArc, selectActiveMove, selectOpenShot } from '../selectors/active';
import type { RootState } from '../store';
import type { ThrottledStore } from './throttledStore';

export const ThrottledStoreContext = createContext<ThrottledStore<RootState> | null>(null);

export function useThrottledStore(): ThrottledStore<RootState> {
  const store = use(ThrottledStoreContext);
  if (!store) throw new Error('no StoreProvider above');
  return store;
}

/** Something of the state as panels show it: while something is held, that follows a few times a second. */
export function useThrottledSelector<Value>(
  select: (state: RootState) => Value,
  isEqual: (a: Value, b: Value) => boolean = Object.is,
): Value {
  const { subscribe, get } = useThrottledStore();
  return useSyncExternalStoreWithSelector(subscribe, get, get, select, isEqual);
}

export const useThrottledShot = (): Shot => useThrottledSelector(selectOpenShot);

/** A part of the shot on the workbench: renders again only when that part changes. */
export const useThrottledShotValue = <Value>(
  pick: (shot: Shot) => Value,
  isEqual?: (a: Value, b: Value) => boolean,
): Value => useThrottledSelector((state) => pick(selectOpenShot(state)), isEqual);

export const useThrottledMove = (): Move | null => useThrottledSelector(selectActiveMove);

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
export const useThrottledFramesOfMove = (): Move | null =>
  useThrottledSelector(selectActiveMove, isSameOnFrames);

/** Something of the arc being worked on; null before the first stroke. Renders again only when it changes. */
export const useThrottledArc = <Value>(pick: (arc: Arc, editor: EditorState) => Value): Value | null =>
  useThrottledSelector((state) => {
    const arc = selectActiveArc(state);
    return arc && pick(arc, state.editor);
  });

export const useThrottledEditor = <Value>(pick: (editor: EditorState) => Value): Value =>
  useThrottledSelector((state) => pick(state.editor));
