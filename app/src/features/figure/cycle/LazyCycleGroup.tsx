import { drawingCount } from '@humble/core';
import { lazyWithRetry } from '../../../ui/lazyWithRetry';
import { Words } from '../../../ui/Words';
import { figuresWords as words } from '../../../words/figures';
import { useActiveFigure } from '../useFigure';

/** Comes as a part of its own, with its chart, when it is opened for the first time. */
export const LazyCycleGroup = lazyWithRetry(() => import('./CycleGroup').then((part) => part.CycleGroup));

/** How many drawings there are. */
export function CycleSummary() {
  const figure = useActiveFigure();
  return figure && <Words tone="soft">{words.pictureCount(drawingCount(figure))}</Words>;
}
