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
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';
import { selectActiveWaiting } from '../../store/selectors/active';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;
const easingChoice: EasingChoice = (props) => <EasingField {...props} />;

const CONTENTS: GroupContents<'figure'> = {
  figures: {
    Content: FiguresGroup,
    Summary: FiguresSummary,
    cue: (state) => selectActiveWaiting(state)?.figureId ?? null,
  },
  pose: {
    startsInFront: true,
    Content: () => <PoseGroup hold={holdHere} />,
    Summary: PoseSummary,
    cue: ({ editor: { tool } }) => (tool === 'pose' ? tool : null),
    isUrgent: true,
  },
  looks: { Content: LooksGroup, Summary: LooksSummary, startsFolded: true },
  turn: {
    Content: () => <TurnGroup easingChoice={easingChoice} />,
    Summary: TurnSummary,
  },
  size: {
    Content: () => <SizeGroup easingChoice={easingChoice} />,
    Summary: SizeSummary,
    startsFolded: true,
  },
  offset: {
    Content: () => <OffsetGroup easingChoice={easingChoice} />,
    Summary: OffsetSummary,
    startsFolded: true,
  },
  cycle: {
    Content: CycleGroup,
    Summary: CycleSummary,
    startsFolded: true,
  },
  parts: {
    Content: PartsGroup,
    Summary: PartsSummary,
    startsFolded: true,
    cue: ({ editor }) => editor.activeRiderId,
  },
  act: {
    Content: ActGroup,
    Summary: ActSummary,
    startsFolded: true,
    cue: ({ editor: { tool, thinning } }) => (tool === 'act' || thinning ? 'act' : null),
    isUrgent: true,
  },
};

export const FigureStep = ({ isPhone }: PanelProps) => (
  <PanelGroups step="figure" contents={CONTENTS} isPhone={isPhone} />
);
