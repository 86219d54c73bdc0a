import { benchWords as words } from '../../words/bench';
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
import { type PanelGroup, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';

const PHONE_COLUMNS = ['frame', 'held', 'place', 'along'] as const;

/** A phone has it under the ruler. */
const KEYS: PanelGroup = {
  name: 'keys',
  label: words.keys,
  Content: KeysGroup,
  Summary: KeysSummary,
  startsFolded: true,
  cue: ({ editor }) => editor.selectedKeys?.ids.join(' ') || null,
};

const MoveAndWeight = () => (
  <MoveGroup>
    <PhysicsCard />
  </MoveGroup>
);

const groupsFor = (isPhone: boolean): readonly PanelGroup[] => [
  {
    name: 'mark',
    label: words.mark,
    Content: MarkGroup,
    Summary: MarkSummary,
    cue: ({ editor }) => editor.selectedMarkIds.join(' ') || null,
  },
  {
    name: 'span',
    label: words.span,
    Content: () => <SpanGroup hasChart={!isPhone} />,
    Summary: SpanSummary,
    startsInFront: true,
  },
  ...(isPhone ? [] : [KEYS]),
  {
    name: 'range',
    label: words.range,
    Content: RangeGroup,
    Summary: RangeSummary,
    startsFolded: true,
    cue: ({ editor }) => editor.pickedRange && 'chosen',
  },
  { name: 'takes', label: words.takes, Content: TakesGroup, Summary: TakesSummary, startsFolded: true },
  { name: 'move', label: words.move, Content: MoveAndWeight, Summary: MoveSummary, startsFolded: true },
  { name: 'shot', label: words.shot, Content: LengthCard, Summary: LengthSummary, startsFolded: true },
];

const ON_PHONE = groupsFor(true);
const ON_WIDE = groupsFor(false);

/** On a phone one view of the timing stands above the groups; a wide screen has all of them in its desk. */
export const TimingStep = ({ isPhone }: PanelProps) => (
  <PanelGroups
    step="timing"
    groups={isPhone ? ON_PHONE : ON_WIDE}
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
