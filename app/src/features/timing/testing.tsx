import { LengthCard } from './cards/LengthCard';
import { MarkGroup, MoveGroup, RangeGroup, SpanGroup } from './groups';

export const TimingGroups = () => (
  <>
    <MarkGroup />
    <SpanGroup hasChart />
    <RangeGroup />
    <MoveGroup />
    <LengthCard />
  </>
);
