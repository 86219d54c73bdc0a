import { LazyIncrementsTable } from '../../features/sheet/LazyIncrementsTable';
import { TimingPanel } from '../../features/timing/TimingPanel';
import type { PanelProps } from './stepParts';

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

export const TimingStep = ({ isPhone }: PanelProps) => (
  <TimingPanel numbers={isPhone ? <LazyIncrementsTable only={PHONE_COLUMNS} canType /> : undefined} />
);
