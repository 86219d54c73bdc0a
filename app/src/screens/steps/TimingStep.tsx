import { SelectedKeys } from '../../features/figure/tracks/SelectedKeys';
import { LazyIncrementsTable } from '../../features/sheet/lazyTables';
import { MoveSummary } from '../../features/timing/cards/MoveCard';
import { LengthCard, LengthSummary } from '../../features/timing/cards/LengthCard';
import { HereGroup, HereSummary, MoveGroup, RangeGroup, RangeSummary } from '../../features/timing/groups';
import { TakesGroup, TakesSummary } from '../../features/timing/takes/TakesGroup';
import { PhysicsCard } from '../../features/physics';
import { TimingViews } from '../../features/timing/TimingViews';
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

const MoveAndWeight = () => (
  <MoveGroup>
    <PhysicsCard />
  </MoveGroup>
);

const HereOnWide = () => (
  <HereGroup hasChart>
    <SelectedKeys />
  </HereGroup>
);
const HereOnPhone = () => <HereGroup hasChart={false} />;

const CONTENTS: GroupContents<'timing'> = {
  here: {
    Content: HereOnWide,
    Summary: HereSummary,
    startsInFront: true,
    cue: ({ editor }) => [...editor.selectedMarkIds, ...(editor.selectedKeys?.ids ?? [])].join(' ') || null,
  },
  range: {
    Content: RangeGroup,
    Summary: RangeSummary,
    startsFolded: true,
    cue: ({ editor }) => editor.pickedRange && 'chosen',
  },
  move: { Content: MoveAndWeight, Summary: MoveSummary, startsFolded: true },
  takes: { Content: TakesGroup, Summary: TakesSummary, startsFolded: true },
  shot: { Content: LengthCard, Summary: LengthSummary, startsFolded: true },
};

/** A phone has the chart as a view of its own. */
const CONTENTS_ON_PHONE: GroupContents<'timing'> = {
  ...CONTENTS,
  here: { ...CONTENTS.here, Content: HereOnPhone },
};

/** On a phone one view of the timing stands above the groups; a wide screen has all of them in its desk. */
export const TimingStep = ({ isPhone }: PanelProps) => (
  <PanelGroups
    step="timing"
    contents={isPhone ? CONTENTS_ON_PHONE : CONTENTS}
    isPhone={isPhone}
    top={isPhone && <TimingViews numbers={<LazyIncrementsTable only={PHONE_COLUMNS} canType />} />}
  />
);
