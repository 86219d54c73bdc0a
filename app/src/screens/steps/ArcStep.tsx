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
import { useThrottledEditor } from '../../store/throttled/hooks';

/** What is being drawn: it waits to be kept. */
const drawing = (state: RootState): string | null => {
  const { tool, sketch } = state.editor;
  if (tool === 'points' || tool === 'stroke') return tool;
  return sketch || !selectActiveArc(state) ? 'stroke' : null;
};

const DrawOrWeigh = () => <DrawGroup PhysicalDialog={PhysicalDialog} />;

/** What is selected on the arc goes before the arc as a whole. */
const ArcAndPlace = () => (
  <>
    <PlaceGroup />
    <ThisArc />
  </>
);

function ArcSummary() {
  const isAny = useThrottledEditor(
    ({ selectedPointIds, arcLocation }) => selectedPointIds.length > 0 || arcLocation !== null,
  );
  return isAny ? <PlaceSummary /> : <ArcLength />;
}

const CONTENTS: GroupContents<'arc'> = {
  arc: {
    Content: ArcAndPlace,
    Summary: ArcSummary,
    startsInFront: true,
    cue: (state) => {
      const { selectedPointIds, arcLocation } = state.editor;
      if (drawing(state)) return null;
      return `${selectActiveArc(state)!.id} ${arcLocation ? 'spot' : ''} ${selectedPointIds.join(' ')}`;
    },
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
