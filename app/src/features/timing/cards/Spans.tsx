import { spansOf } from '@humble/core';
import { memo, useDeferredValue } from 'react';
import { shortNameOf } from '../../../kinds/easings';
import { useThrottledPlayhead } from '../../../playback/playhead';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { NumericText } from '../../../ui/Words';
import { SpanCard } from './SpanCard';
import { useMarksAtHand } from './useMarksAtHand';
import { useThrottledEditor, useThrottledMove } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

/**
 * The span at hand with all that can be set of it. Drawn in its turn: another span is much to draw at once while a
 * tick is dragged.
 */
export const SpanAtHand = memo(function SpanAtHand() {
  const move = useThrottledMove();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const current = useThrottledPlayhead(({ frame }) => (move ? currentSpan(move, selected, frame) : 0));
  const isTitled = useMarksAtHand().length > 0;
  const drawn = { move: useDeferredValue(move), current: useDeferredValue(current) };
  const span = drawn.move && spansOf(drawn.move)[drawn.current];
  return span && <SpanCard key={span.from.id} move={drawn.move!} span={span} isTitled={isTitled} />;
});

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
