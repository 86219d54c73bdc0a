import { type Easing, type EasingKind, freshEasingOf } from '@humble/core';
import { formerEasingKept, type FormerEasings } from '../../../store/editorSlice';
import { useAppDispatch } from '../../../store/hooks';
import { useThrottledEditor } from '../../../store/throttled/hooks';

interface EasingChoice {
  /** The easing of a kind as it would be chosen: with the numbers it had here before, else a fresh one. */
  readonly offered: (kind: EasingKind) => Easing;
  readonly choose: (easing: Easing, undoGroup?: string) => void;
}

const NONE: FormerEasings = {};

/**
 * The easings that can be chosen for a span.
 * @param id the mark or key that it starts at
 * @param frames its length
 */
export function useEasingChoice(
  id: string,
  easing: Easing,
  frames: number,
  onChange: (easing: Easing, undoGroup?: string) => void,
): EasingChoice {
  const dispatch = useAppDispatch();
  const former = useThrottledEditor(({ formerEasings }) => formerEasings[id] ?? NONE);
  return {
    offered: (kind) =>
      kind === easing.kind ? easing : (former[kind] ?? freshEasingOf(kind, frames, easing)),
    choose: (next, undoGroup) => {
      if (next.kind !== easing.kind) dispatch(formerEasingKept({ id, easing }));
      onChange(next, undoGroup);
    },
  };
}
