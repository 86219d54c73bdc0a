import { timingWords as words } from '../../../words/timing';
import { type Move, type Span, spansOf } from '@humble/core';
import { memo, useDeferredValue } from 'react';
import { Pressable, View } from 'react-native';
import { shortNameOf } from '../../../kinds/easings';
import { goTo, useThrottledPlayhead } from '../../../playback/playhead';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { NumericText, Words } from '../../../ui/Words';
import { SpanCard } from './SpanCard';
import { useThrottledEditor, useThrottledMove } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

/** Of more spans than this only those about the current one are listed. */
const MAX_SPANS_SHOWN = 8;

/**
 * The current span with all that can be set of it, the others a line each. Drawn in slices: another span is much
 * to draw at once while a tick is dragged.
 */
export const Spans = memo(function Spans() {
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
  const half = MAX_SPANS_SHOWN / 2;
  const start = Math.max(0, Math.min(current - half, spans.length - MAX_SPANS_SHOWN));
  const shown = spans.slice(start, start + MAX_SPANS_SHOWN);
  return (
    <View className="gap-3">
      {spans.length > MAX_SPANS_SHOWN && (
        <Words tone="soft" className="px-1">
          {words.spanOfAtThePlayhead(current + 1, spans.length)}
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
      aria-label={words.goToFramesTo(frameNumber(from.frame), frameNumber(to.frame))}
      onPress={() => goTo(from.frame)}
      className="min-h-[44px] flex-row items-center justify-between gap-3 rounded-large border border-line bg-card px-4"
    >
      <Words className="shrink">
        {isHold ? words.holdBefore : ''}
        <NumericText>{`${frameNumber(from.frame)} → ${frameNumber(to.frame)}`}</NumericText>
      </Words>
      <Words tone="soft">{isHold ? words.frameCount(frames) : shortNameOf(from.easing)}</Words>
    </Pressable>
  );
}

export const SpanSummary = memo(function SpanSummary() {
  const move = useThrottledMove();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const current = useThrottledPlayhead(({ frame }) => (move ? currentSpan(move, selected, frame) : 0));
  const span = move && spansOf(move)[current];
  if (!span) return null;
  const how = span.isHold ? 'hold' : shortNameOf(span.from.easing);
  return (
    <NumericText tone="soft">{`${frameNumber(span.from.frame)} → ${frameNumber(span.to.frame)} ${how.toLowerCase()}`}</NumericText>
  );
});
