import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** Moves by weight, as one part of its own for the panel and the dialog. */
export const PhysicsCard = lazyWithRetry<object>(() => import('./parts').then((part) => part.PhysicsCard));
export const PhysicalDialog = lazyWithRetry<{ readonly onClose: () => void }>(() =>
  import('./parts').then((part) => part.PhysicalDialog),
);
