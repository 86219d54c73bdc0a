import type { Figure, Move } from '@humble/core';
import { selectActiveWaiting } from '../../store/selectors/active';
import { useThrottledMove, useThrottledSelector, useThrottledShotValue } from '../../store/throttled/hooks';

export function useFigure(): { readonly move: Move; readonly figure: Figure } | null {
  const move = useThrottledMove();
  const figure = useThrottledShotValue(({ figures }) => figures.find(({ id }) => id === move?.figureId));
  return move && figure ? { move, figure } : null;
}

export function useActiveFigure(): Figure | null {
  const move = useThrottledMove();
  const waiting = useThrottledSelector(selectActiveWaiting);
  const figureId = waiting?.figureId ?? move?.figureId;
  return useThrottledShotValue(({ figures }) => figures.find(({ id }) => id === figureId)) ?? null;
}
