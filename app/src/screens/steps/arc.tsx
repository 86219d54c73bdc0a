import { ArcPanel } from '../../features/arc/ArcPanel';
import { arcKeys } from '../../features/arc/arcKeys';
import { BackdropPanel } from '../../features/backdrop/BackdropPanel';
import type { StepParts } from './stepParts';

export const arc: StepParts = {
  Panel: () => <ArcPanel backdrop={<BackdropPanel />} />,
  keys: arcKeys,
};
