import { ArcLength } from '../../features/arc/ArcCard';
import { ArcList, ArcListSummary } from '../../features/arc/ArcList';
import { DrawGroup } from '../../features/arc/DrawGroup';
import { PlaceGroup, PlaceSummary } from '../../features/arc/PlaceGroup';
import { ThisArc } from '../../features/arc/ThisArc';
import { BackdropPanel, BackdropSummary } from '../../features/backdrop/BackdropPanel';
import { PhysicalDialog } from '../../features/physics';
import type { RootState } from '../../store/store';
import { type GroupContents, PanelGroups } from '../PanelGroups';
import type { PanelProps } from './stepParts';
import { selectActiveArc } from '../../store/selectors/active';

/** What is being drawn: it waits to be kept. */
const drawing = (state: RootState): string | null => {
  const { tool, sketch } = state.editor;
  if (tool === 'points' || tool === 'stroke') return tool;
  return sketch || !selectActiveArc(state) ? 'stroke' : null;
};

const DrawOrWeigh = () => <DrawGroup PhysicalDialog={PhysicalDialog} />;

const CONTENTS: GroupContents<'arc'> = {
  arc: {
    Content: ThisArc,
    Summary: ArcLength,
    cue: (state) => (drawing(state) ? null : selectActiveArc(state)!.id),
  },
  place: {
    Content: PlaceGroup,
    Summary: PlaceSummary,
    cue: ({ editor: { selectedPointIds, arcLocation } }) =>
      arcLocation ? 'spot' : selectedPointIds.join(' ') || null,
  },
  draw: { Content: DrawOrWeigh, cue: drawing, isUrgent: true },
  all: { Content: ArcList, Summary: ArcListSummary, startsFolded: true },
  backdrop: {
    Content: BackdropPanel,
    Summary: BackdropSummary,
    startsFolded: true,
    cue: ({ editor: { tool } }) => (tool === 'backdrop' || tool === 'calibrate' ? tool : null),
  },
};

export const ArcStep = ({ isPhone }: PanelProps) => (
  <PanelGroups step="arc" contents={CONTENTS} isPhone={isPhone} />
);
