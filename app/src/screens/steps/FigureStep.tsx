import { benchWords as words } from '../../words/bench';
import { ActGroup, ActSummary } from '../../features/figure/ActGroup';
import { CycleGroup, CycleSummary } from '../../features/figure/cycle/CycleGroup';
import { FiguresGroup, FiguresSummary } from '../../features/figure/FiguresGroup';
import { LooksGroup, LooksSummary } from '../../features/figure/LooksGroup';
import { OffsetGroup, OffsetSummary } from '../../features/figure/OffsetGroup';
import { PartsGroup, PartsSummary } from '../../features/figure/parts/PartsGroup';
import { PoseGroup, PoseSummary } from '../../features/figure/PoseGroup';
import type { HoldOf } from '../../features/figure/PosesCard';
import type { EasingChoice } from '../../features/figure/tracks/TrackCard';
import { SizeGroup, SizeSummary } from '../../features/figure/SizeGroup';
import { TurnGroup, TurnSummary } from '../../features/figure/TurnGroup';
import { EasingField } from '../../features/timing/cards/EasingField';
import { HoldHere } from '../../features/timing/cards/HoldHere';
import { type PanelGroup, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';
import { selectActiveWaiting } from '../../store/selectors/active';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;
const easingChoice: EasingChoice = (props) => <EasingField {...props} />;

const GROUPS: readonly PanelGroup[] = [
  {
    name: 'figures',
    label: words.figures,
    Content: FiguresGroup,
    Summary: FiguresSummary,
    cue: (state) => selectActiveWaiting(state)?.figureId ?? null,
  },
  {
    name: 'pose',
    label: words.pose,
    startsInFront: true,
    Content: () => <PoseGroup hold={holdHere} />,
    Summary: PoseSummary,
    cue: ({ editor: { tool } }) => (tool === 'pose' ? tool : null),
    isUrgent: true,
  },
  { name: 'looks', label: words.looks, Content: LooksGroup, Summary: LooksSummary, startsFolded: true },
  {
    name: 'turn',
    label: words.turn,
    Content: () => <TurnGroup easingChoice={easingChoice} />,
    Summary: TurnSummary,
  },
  {
    name: 'size',
    label: words.size,
    Content: () => <SizeGroup easingChoice={easingChoice} />,
    Summary: SizeSummary,
    startsFolded: true,
  },
  {
    name: 'offset',
    label: words.offset,
    Content: () => <OffsetGroup easingChoice={easingChoice} />,
    Summary: OffsetSummary,
    startsFolded: true,
  },
  {
    name: 'cycle',
    label: words.cycle,
    Content: CycleGroup,
    Summary: CycleSummary,
    startsFolded: true,
  },
  {
    name: 'parts',
    label: words.parts,
    Content: PartsGroup,
    Summary: PartsSummary,
    startsFolded: true,
    cue: ({ editor }) => editor.activeRiderId,
  },
  {
    name: 'act',
    label: words.act,
    Content: ActGroup,
    Summary: ActSummary,
    startsFolded: true,
    cue: ({ editor: { tool, thinning } }) => (tool === 'act' || thinning ? 'act' : null),
    isUrgent: true,
  },
];

export const FigureStep = ({ isPhone }: PanelProps) => (
  <PanelGroups step="figure" groups={GROUPS} isPhone={isPhone} />
);
