import { lazy, Suspense } from 'react';
import { Laying } from './Laying';

const load = () => import('./ShotScreen').then(({ ShotScreen }) => ({ default: ShotScreen }));

/** Fetches the workbench ahead, so that a shot opens at once and while the server is away. */
export const prefetchShotScreen = (): void => void load().catch(() => undefined);

const ShotScreen = lazy(load);

/** The workbench, which the list of shots does not have to wait for. */
export function LazyShotScreen() {
  return (
    <Suspense fallback={<Laying />}>
      <ShotScreen />
    </Suspense>
  );
}
