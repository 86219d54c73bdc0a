import type { Figure, Move } from '@humble/core';
import { useThrottledMove, useThrottledShotValue } from '../../store/hooks';

/** The figure on the active arc, and its move; null where there is none. */
export function useFigure(): { readonly move: Move; readonly figure: Figure } | null {
  const move = useThrottledMove();
  const figure = useThrottledShotValue(({ figures }) => figures.find(({ id }) => id === move?.figureId));
  return move && figure ? { move, figure } : null;
}
