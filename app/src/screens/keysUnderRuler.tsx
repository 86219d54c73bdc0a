import type { Axis } from '../ui/axis';
import { LazyKeyRows } from '../features/figure/tracks/LazyKeyRows';

/** The keys of the figure's tracks, along the unrolled arc. On a wide screen they are typed in the panel. */
export const keysUnderRuler = (axis: Axis, width: number) => (
  <LazyKeyRows axis={axis} width={width} hasFields />
);
export const keysUnderWideRuler = (axis: Axis, width: number) => (
  <LazyKeyRows axis={axis} width={width} hasFields={false} />
);
