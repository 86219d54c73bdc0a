import { TERMS } from '../../words/terms';
import { timingWords as words } from '../../words/timing';
import type { ReactNode } from 'react';
import { useAppDispatch, useSettings } from '../../store/hooks';
import { useThrottledFrame } from '../../playback/playhead';
import { MAX_REACH, settingsChanged } from '../../store/settingsSlice';
import { selectPickedRange } from '../../store/selectors/timingSelection';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { NumericText, Words } from '../../ui/Words';
import { ChosenCard } from './cards/ChosenCard';
import { ExposureCard, ExposuresCard } from './cards/ExposureCard';
import { FindingNotes } from './cards/FindingNotes';
import { HereHead } from './cards/HereHead';
import { HoldHere } from './cards/HoldHere';
import { MarksCard, MarkSettings } from './cards/MarksCard';
import { useMarksAtHand } from './cards/useMarksAtHand';
import { MoveCard } from './cards/MoveCard';
import { PassageCard } from './cards/PassageCard';
import { SpanAtHand } from './cards/Spans';
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

/**
 * What is at hand on this frame: the mark and how it leaves, or between marks the span.
 * @param hasChart the chart of the span stands here, where no view above the groups shows it
 * @param children what stands at its head: cards of other features
 */
export const HereGroup = ({ hasChart, children }: HereGroupProps) => (
  <Travelling>
    {children}
    <HereHead />
    <MarksCard />
    <SpanAtHand />
    <CurrentSteps />
    {hasChart && <CurrentChart />}
    <HoldAtPlayhead />
    <MarkSettings />
    <NeighboursThatFollow />
    <UnseenMarks />
    <ExposureCard />
  </Travelling>
);

interface HereGroupProps {
  readonly hasChart: boolean;
  readonly children?: ReactNode;
}

/** Where a mark is at hand, its card has it. */
function HoldAtPlayhead() {
  const move = useThrottledFramesOfMove();
  const frame = useThrottledFrame();
  const isMarked = useMarksAtHand().length > 0;
  if (!move || isMarked) return null;
  return (
    <Card>
      <HoldHere move={move} frame={frame} />
    </Card>
  );
}

function UnseenMarks() {
  const move = useThrottledFramesOfMove();
  return move && <FindingNotes check="unseenMark" move={move} />;
}

export function HereSummary() {
  const frame = useThrottledFrame();
  return (
    <NumericText tone="soft" numberOfLines={1}>
      {words.atFrame(frameNumber(frame))}
    </NumericText>
  );
}

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
