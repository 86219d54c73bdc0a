import { lazyWithRetry } from '../../../ui/lazyWithRetry';
import { Words } from '../../../ui/Words';
import { partsWords as words } from '../../../words/parts';
import { useFigure } from '../useFigure';

/** Comes as a part of its own, when it is opened for the first time. */
export const LazyPartsGroup = lazyWithRetry(() => import('./PartsGroup').then((part) => part.PartsGroup));

/** How many parts there are. */
export function PartsSummary() {
  const count = useFigure()?.move.riders.length ?? 0;
  return <Words tone="soft">{count === 0 ? words.noParts : words.partCount(count)}</Words>;
}
