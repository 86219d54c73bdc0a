import { IncrementsTable } from '../../features/sheet/IncrementsTable';
import { TimingPanel } from '../../features/timing/TimingPanel';
import type { StepParts } from './stepParts';

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

export const timing: StepParts = {
  Panel: ({ isPhone }) => (
    <TimingPanel numbers={isPhone ? <IncrementsTable only={PHONE_COLUMNS} canType /> : undefined} />
  ),
};
