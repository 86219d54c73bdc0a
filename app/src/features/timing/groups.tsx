import { TERMS } from '../../words/terms';
import { timingWords as words } from '../../words/timing';
import type { ReactNode } from 'react';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { useThrottledFrame } from '../../playback/playhead';
import { MAX_REACH, settingsChanged } from '../../store/settingsSlice';
import { selectPickedRange, selectSelectedMarks } from '../../store/selectors/timingSelection';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { NumericText, Words } from '../../ui/Words';
import { ChosenCard } from './cards/ChosenCard';
import { ExposureCard, ExposuresCard } from './cards/ExposureCard';
import { FindingNotes } from './cards/FindingNotes';
import { MarksCard } from './cards/MarksCard';
import { MoveCard } from './cards/MoveCard';
import { PassageCard } from './cards/PassageCard';
import { Spans } from './cards/Spans';
import { CurrentSteps } from './cards/StepsCard';
import { CurrentChart } from './TimingViews';
import { selectActiveMove } from '../../store/selectors/active';
import { useThrottledFramesOfMove, useThrottledSelector } from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

// The groups of the Timing step. Each card follows by itself: while something is dragged none waits for the others.

function Travelling({ children }: { readonly children: ReactNode }) {
  const travels = useThrottledSelector((state) => selectActiveMove(state) !== null);
  if (travels) return children;
  return (
    <Card title={words.nothingTravels}>
      <Words tone="soft">{words.drawAnArcOrPutA}</Words>
    </Card>
  );
}

export const MarkGroup = () => (
  <Travelling>
    <MarksCard />
    <UnseenMarks />
    <PictureAtPlayhead />
  </Travelling>
);

/** Not beside a mark that is selected on another frame: the panel is about one frame at a time. */
function PictureAtPlayhead() {
  const frame = useThrottledFrame();
  const isElsewhere = useThrottledSelector((state) => {
    const marks = selectSelectedMarks(state);
    return marks.length > 0 && marks.every((mark) => mark.frame !== frame);
  });
  return isElsewhere ? null : <ExposureCard />;
}

function UnseenMarks() {
  const move = useThrottledFramesOfMove();
  return move && <FindingNotes check="unseenMark" move={move} />;
}

export function MarkSummary() {
  const frame = useThrottledFrame();
  const marks = useThrottledSelector((state) =>
    selectSelectedMarks(state)
      .map((mark) => frameNumber(mark.frame))
      .join(', '),
  );
  return (
    <NumericText tone="soft" numberOfLines={1}>
      {marks === '' ? words.atFrame(frameNumber(frame)) : words.onFrames(marks)}
    </NumericText>
  );
}

/** @param hasChart the chart of the span stands here, where no view above the groups shows it */
export const SpanGroup = ({ hasChart }: { readonly hasChart: boolean }) => (
  <Travelling>
    <Spans />
    <CurrentSteps />
    {hasChart && <CurrentChart />}
    <NeighboursThatFollow />
  </Travelling>
);

function NeighboursThatFollow() {
  const dispatch = useAppDispatch();
  const { tickReach } = useSettings();
  return (
    <Card title={words.draggingATick} term={TERMS.spacing}>
      <NumberField
        label={words.neighboursThatFollow}
        unit={words.frames}
        value={tickReach}
        min={0}
        max={MAX_REACH}
        onChange={(reach) => dispatch(settingsChanged({ tickReach: reach }))}
      />
    </Card>
  );
}

export const RangeGroup = () => (
  <Travelling>
    <ChosenCard />
    <PassageCard />
    <ExposuresCard />
  </Travelling>
);

/** How many frames are picked, else how many ranges have an exposure of their own. */
export function RangeSummary() {
  const picked = useThrottledSelector(
    (state) =>
      selectPickedRange(state)?.runs.reduce((sum, { from, until }) => sum + until - from + 1, 0) ?? null,
  );
  const ranges = useThrottledFramesOfMove()?.exposures.length ?? 0;
  if (picked !== null) return <NumericText tone="soft">{words.framesPicked(picked)}</NumericText>;
  return ranges > 0 ? <NumericText tone="soft">{words.withExposure(ranges)}</NumericText> : null;
}

/** @param children what stands beneath: cards of other features */
export const MoveGroup = ({ children }: { readonly children?: ReactNode }) => (
  <Travelling>
    <MoveCard />
    {children}
  </Travelling>
);
