import { ActGroup, ActSummary } from '../../features/figure/ActGroup';
import { CycleGroup, CycleSummary, DrawingLine } from '../../features/figure/cycle/CycleGroup';
import { FiguresGroup, FiguresSummary } from '../../features/figure/FiguresGroup';
import type { SheetsDialog } from '../../features/figure/inbetween/ThroughCard';
import { LooksGroup } from '../../features/figure/LooksGroup';
import { OffsetGroup } from '../../features/figure/OffsetGroup';
import { PartsGroup, PartsSummary } from '../../features/figure/parts/PartsGroup';
import { PoseGroup } from '../../features/figure/PoseGroup';
import type { HoldOf } from '../../features/figure/PosesCard';
import { KeyLines, type LineContents } from '../../features/figure/keys/KeyLines';
import { type EasingChoice, TrackCard } from '../../features/figure/tracks/TrackCard';
import { SizeGroup } from '../../features/figure/SizeGroup';
import { LeanGroup, TurnGroup } from '../../features/figure/TurnGroup';
import { EasingField } from '../../features/timing/cards/EasingField';
import { HoldHere } from '../../features/timing/cards/HoldHere';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';
import { selectActiveWaiting } from '../../store/selectors/active';

const holdHere: HoldOf = (move, frame) => <HoldHere move={move} frame={frame} />;
const easingChoice: EasingChoice = (props) => <EasingField {...props} />;

const PrintDialog = lazyWithRetry(() =>
  import('../../features/print/PrintDialog').then((part) => part.PrintDialog),
);

const InbetweenSheets: SheetsDialog = ({ onClose }) => <PrintDialog sheet="inbetweens" onClose={onClose} />;

const LINES: LineContents = {
  place: () => <PoseGroup hold={holdHere} />,
  drawing: () => <DrawingLine Sheets={InbetweenSheets} />,
  turn: () => <TurnGroup easingChoice={easingChoice} />,
  size: () => <SizeGroup easingChoice={easingChoice} />,
  offset: () => <OffsetGroup easingChoice={easingChoice} />,
  opacity: () => <TrackCard track="opacity" easingChoice={easingChoice} />,
  lean: LeanGroup,
};

const FiguresAndLooks = () => (
  <>
    <FiguresGroup />
    <LooksGroup />
  </>
);

const CONTENTS: GroupContents<'figure'> = {
  figures: {
    Content: FiguresAndLooks,
    Summary: FiguresSummary,
    startsFolded: true,
    cue: (state) => selectActiveWaiting(state)?.figureId ?? null,
  },
  keys: {
    startsInFront: true,
    Content: () => <KeyLines contents={LINES} />,
    cue: ({ editor: { tool } }) => (tool === 'pose' ? tool : null),
    isUrgent: true,
  },
  drawings: {
    Content: () => <CycleGroup Sheets={InbetweenSheets} />,
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
