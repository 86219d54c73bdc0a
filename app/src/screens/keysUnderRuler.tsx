import type { Axis } from '../ui/axis';
import { LazyKeyRows } from '../features/figure/tracks/LazyKeyRows';

export const keysUnderRuler = (axis: Axis, width: number) => <LazyKeyRows axis={axis} width={width} />;
