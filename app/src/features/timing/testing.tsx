import { LengthCard } from './cards/LengthCard';
import { HereGroup, MoveGroup, RangeGroup } from './groups';

export const TimingGroups = () => (
  <>
    <HereGroup hasChart />
    <RangeGroup />
    <MoveGroup />
    <LengthCard />
  </>
);
