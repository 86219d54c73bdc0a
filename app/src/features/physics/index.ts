import { lazyWithRetry } from '../../ui/lazyWithRetry';

export const PhysicsCard = lazyWithRetry<object>(() => import('./parts').then((part) => part.PhysicsCard));
export const PhysicalDialog = lazyWithRetry<{ readonly onClose: () => void }>(() =>
  import('./parts').then((part) => part.PhysicalDialog),
);
