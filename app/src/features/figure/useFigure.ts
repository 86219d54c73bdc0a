import type { Figure, Move } from '@humble/core';
import {
  activeWaitingIn,
  useThrottledMove,
  useThrottledSelector,
  useThrottledShotValue,
} from '../../store/hooks';

/** The figure on the active arc, and its move; null where there is none. */
export function useFigure(): { readonly move: Move; readonly figure: Figure } | null {
  const move = useThrottledMove();
  const figure = useThrottledShotValue(({ figures }) => figures.find(({ id }) => id === move?.figureId));
  return move && figure ? { move, figure } : null;
}

/** The figure being worked on, whether it rides an arc or waits for one. */
export function useActiveFigure(): Figure | null {
  const move = useThrottledMove();
  const waiting = useThrottledSelector(activeWaitingIn);
  const figureId = waiting?.figureId ?? move?.figureId;
  return useThrottledShotValue(({ figures }) => figures.find(({ id }) => id === figureId)) ?? null;
}
