import {
  endsPastShot,
  firstFrame,
  lastFrame,
  lastFrameFor,
  LONGEST_SHOT,
  type Move,
  type Outside,
  type Span,
  spansOf,
} from '@humble/core';
import Eraser from 'lucide-react-native/icons/eraser';
import Images from 'lucide-react-native/icons/images';
import { memo, type ReactNode, useDeferredValue, useState } from 'react';
import { Pressable, View } from 'react-native';
import { MOST_REACH, settingsChanged } from '../../store/settingsSlice';
import {
  activeMoveIn,
  useThrottledArc,
  useThrottledMove,
  useAppDispatch,
  useThrottledSelector,
  useEdit,
  useThrottledFramesOfMove,
  useThrottledEditor,
  useSettings,
  useThrottledShotValue,
} from '../../store/hooks';
import { goTo, useThrottledPlayhead } from '../../playback/playhead';
import { currentSpan } from '../../store/timingSelection';
import { useShotLength } from '../../commands/useShotLength';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { fixed } from '../../ui/numbers';
import { type BeyondMost, NumberField } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { NumericText, Words } from '../../ui/Words';
import { ChosenCard } from './cards/ChosenCard';
import { shortNameOf } from '../../kinds/easings';
import { ExposureCard, ExposuresCard } from './cards/ExposureCard';
import { FindingNotes } from './cards/FindingNotes';
import { MarksCard } from './cards/MarksCard';
import { PicturesDialog } from './cards/PicturesDialog';
import { SpanCard } from './cards/SpanCard';
import { CurrentChart, TimingViews } from './TimingViews';

const EXPOSURES = [
  { value: 1, label: 'On ones' },
  { value: 2, label: 'Twos' },
  { value: 3, label: 'Threes' },
] as const;

/** Of more spans than this only those about the current one are listed. */
const MOST_SPANS_SHOWN = 8;

interface TimingPanelProps {
  /** The increments, for a phone, where the panel shows one view of the timing at a time; a wide screen has them in its desk. */
  readonly numbers?: ReactNode;
}

/** When it is where: the marks, the spans between them, and how it is exposed. */
export function TimingPanel({ numbers }: TimingPanelProps) {
  const travels = useThrottledSelector((state) => activeMoveIn(state) !== null);
  // Each card follows by itself: while something is dragged none of them waits for the others.
  return (
    <View className="gap-3">
      {numbers && <TimingViews numbers={numbers} />}
      {travels ? (
        <>
          <MarksCard />
          <Spans />
          {!numbers && <CurrentChart />}
          <ExposureCard />
          <ChosenCard />
          <MoveCard />
          <ExposuresCard />
        </>
      ) : (
        <Card title="Nothing travels here yet">
          <Words tone="soft">Draw an arc, or put a figure on this one in the Figure step.</Words>
        </Card>
      )}
      <ShotCard />
    </View>
  );
}

const ShotCard = memo(function ShotCard() {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const rate = useThrottledShotValue((shot) => shot.rate);
  const edit = useEdit();
  const length = useShotLength();
  return (
    <Card title="The shot" aside={`${fixed(lengthFrames / rate, 2)} s`}>
      <NumberField
        label="Length"
        unit="frames"
        value={lengthFrames}
        min={2}
        max={LONGEST_SHOT}
        onChange={length.change}
        note={length.note}
      />
      <NumberField
        label="Rate"
        unit="a second"
        value={rate}
        min={1}
        max={240}
        decimals={3}
        onChange={(value, undoGroup) => edit('setRate', { rate: value }, undoGroup)}
      />
    </Card>
  );
});

const OUTSIDE: readonly { readonly value: Outside; readonly label: string }[] = [
  { value: 'hold', label: 'Hold' },
  { value: 'repeat', label: 'Repeat' },
  { value: 'swing', label: 'Swing' },
  { value: 'continue', label: 'Continue' },
];

const MoveCard = memo(function MoveCard() {
  const move = useThrottledFramesOfMove();
  return move ? <MoveCardOf move={move} /> : null;
});

function MoveCardOf({ move }: { readonly move: Move }) {
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { tickReach } = useSettings();
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
  const [isSpreading, setSpreading] = useState(false);
  const first = firstFrame(move);
  const last = lastFrame(move);
  const least = move.marks.length - 1;
  const setFrames = (frames: { first?: number; last?: number }, undoGroup?: string): void => {
    edit('setMoveFrames', { moveId: move.id, first, last, ...frames }, undoGroup);
  };
  const lastOfShot = lastFrameFor(lengthFrames, isClosed);
  const endsLater: BeyondMost = {
    sentence: `${lastOfShot} is the last frame ${isClosed ? 'that a loop in this shot can end on' : 'of the shot'}.`,
    label: 'Make the shot longer',
    onPress: (frame) => {
      edit('setMoveFrames', { moveId: move.id, first, last: Math.min(frame, LONGEST_SHOT), lengthens: true });
    },
  };
  const isPast = endsPastShot(move, { lengthFrames });
  return (
    <Card title="The move" aside={`${last - first} intervals`}>
      <NumberField
        label="Starts on frame"
        value={first}
        min={1}
        max={last - least}
        onChange={(frame, undoGroup) => setFrames({ first: frame }, undoGroup)}
      />
      <NumberField
        label="Ends on frame"
        value={last}
        min={first + least}
        max={lastOfShot}
        beyondMost={endsLater}
        onChange={(frame, undoGroup) => setFrames({ last: frame }, undoGroup)}
      />
      {isPast && (
        <Words tone="soft">
          It returns to its start one frame after the shot, so the loop doesn’t pause there.
        </Words>
      )}
      <View className="mt-2">
        <Segmented
          label="Exposure"
          value={move.framesHeld}
          options={EXPOSURES}
          onChange={(framesHeld) => edit('setFramesHeld', { moveId: move.id, framesHeld })}
        />
      </View>
      <FindingNotes check="unseenArrival" move={move} />
      {(['before', 'after'] as const).map((end) => (
        <View key={end} className="mt-3 gap-1">
          <Words tone="soft">{end === 'before' ? 'Before the first mark' : 'After the last mark'}</Words>
          <Segmented
            label={end === 'before' ? 'Before the first mark' : 'After the last mark'}
            value={move[end]}
            options={OUTSIDE}
            onChange={(how) => edit('setOutside', { moveId: move.id, [end]: how })}
          />
        </View>
      ))}
      <NumberField
        label="Neighbours that follow"
        unit="frames"
        value={tickReach}
        min={0}
        max={MOST_REACH}
        onChange={(reach) => dispatch(settingsChanged({ tickReach: reach }))}
      />
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button label="Number of pictures" icon={Images} onPress={() => setSpreading(true)} />
        <Button
          label="Clear timing"
          icon={Eraser}
          kind="plum"
          onPress={() => edit('clearTiming', { moveId: move.id })}
        />
      </View>
      {isSpreading && <PicturesDialog move={move} isClosed={isClosed} onClose={() => setSpreading(false)} />}
    </Card>
  );
}

/**
 * The current span with all that can be set of it, the others a line each. Drawn in slices: another span is much
 * to draw at once while a tick is dragged.
 */
const Spans = memo(function Spans() {
  const move = useThrottledMove();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const current = useThrottledPlayhead(({ frame }) => (move ? currentSpan(move, selected, frame) : 0));
  const drawn = { move: useDeferredValue(move), current: useDeferredValue(current) };
  return drawn.move && <SpansOf move={drawn.move} current={drawn.current} />;
});

interface SpansProps {
  readonly move: Move;
  readonly current: number;
}

const SpansOf = memo(function SpansOf({ move, current }: SpansProps) {
  const spans = spansOf(move);
  const half = MOST_SPANS_SHOWN / 2;
  const start = Math.max(0, Math.min(current - half, spans.length - MOST_SPANS_SHOWN));
  const shown = spans.slice(start, start + MOST_SPANS_SHOWN);
  return (
    <View className="gap-3">
      {spans.length > MOST_SPANS_SHOWN && (
        <Words tone="soft" className="px-1">
          {`Span ${current + 1} of ${spans.length}, at the playhead:`}
        </Words>
      )}
      {shown.map((span, i) =>
        span === spans[current] ? (
          <SpanCard key={span.from.id} move={move} span={span} isCurrent={spans.length > 1} />
        ) : (
          // A line has nothing of its own to keep: it goes by its place, so that other spans take over what is drawn.
          <SpanLine key={i} span={span} />
        ),
      )}
    </View>
  );
});

function SpanLine({ span: { from, to, frames, isHold } }: { readonly span: Span }) {
  return (
    <Pressable
      role="button"
      aria-label={`Go to frames ${from.frame} to ${to.frame}`}
      onPress={() => goTo(from.frame)}
      className="min-h-[44px] flex-row items-center justify-between gap-3 rounded-large border border-line bg-card px-4"
    >
      <Words className="shrink">
        {isHold ? 'Hold ' : ''}
        <NumericText>{`${from.frame} → ${to.frame}`}</NumericText>
      </Words>
      <Words tone="soft">{isHold ? `${frames} frames` : shortNameOf(from.easing)}</Words>
    </Pressable>
  );
}
