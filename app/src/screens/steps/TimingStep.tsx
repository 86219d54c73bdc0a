import { KeysGroup, KeysSummary } from '../../features/figure/tracks/KeysGroup';
import { LazyIncrementsTable } from '../../features/sheet/lazyTables';
import { MoveSummary } from '../../features/timing/cards/MoveCard';
import { LengthCard, LengthSummary } from '../../features/timing/cards/LengthCard';
import { SpanSummary } from '../../features/timing/cards/Spans';
import {
  MarkGroup,
  MarkSummary,
  MoveGroup,
  RangeGroup,
  RangeSummary,
  SpanGroup,
} from '../../features/timing/groups';
import { TakesGroup, TakesSummary } from '../../features/timing/takes/TakesGroup';
import { PhysicsCard } from '../../features/physics';
import { TimingViews } from '../../features/timing/TimingViews';
import { keysUnderRuler } from '../keysUnderRuler';
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

const MoveAndWeight = () => (
  <MoveGroup>
    <PhysicsCard />
  </MoveGroup>
);

const SpanOnWide = () => <SpanGroup hasChart />;
const SpanOnPhone = () => <SpanGroup hasChart={false} />;

const CONTENTS: GroupContents<'timing'> = {
  mark: {
    Content: MarkGroup,
    Summary: MarkSummary,
    cue: ({ editor }) => editor.selectedMarkIds.join(' ') || null,
  },
  span: { Content: SpanOnWide, Summary: SpanSummary, startsInFront: true },
  // A phone has it under the ruler.
  keys: {
    Content: KeysGroup,
    Summary: KeysSummary,
    isWideOnly: true,
    startsFolded: true,
    cue: ({ editor }) => editor.selectedKeys?.ids.join(' ') || null,
  },
  range: {
    Content: RangeGroup,
    Summary: RangeSummary,
    startsFolded: true,
    cue: ({ editor }) => editor.pickedRange && 'chosen',
  },
  takes: { Content: TakesGroup, Summary: TakesSummary, startsFolded: true },
  move: { Content: MoveAndWeight, Summary: MoveSummary, startsFolded: true },
  shot: { Content: LengthCard, Summary: LengthSummary, startsFolded: true },
};

/** A phone has the chart as a view of its own. */
const CONTENTS_ON_PHONE: GroupContents<'timing'> = {
  ...CONTENTS,
  span: { ...CONTENTS.span, Content: SpanOnPhone },
};

/** On a phone one view of the timing stands above the groups; a wide screen has all of them in its desk. */
export const TimingStep = ({ isPhone }: PanelProps) => (
  <PanelGroups
    step="timing"
    contents={isPhone ? CONTENTS_ON_PHONE : CONTENTS}
    isPhone={isPhone}
    top={
      isPhone && (
        <TimingViews
          numbers={<LazyIncrementsTable only={PHONE_COLUMNS} canType />}
          underRuler={keysUnderRuler}
        />
      )
    }
  />
);
