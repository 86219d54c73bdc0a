import { LengthCard } from './cards/LengthCard';
import { MarkGroup, MoveGroup, RangeGroup, SpanGroup } from './groups';

/** All groups of the Timing step at once, for tests. */
export const TimingGroups = () => (
  <>
    <MarkGroup />
    <SpanGroup hasChart />
    <RangeGroup />
    <MoveGroup />
    <LengthCard />
  </>
);
