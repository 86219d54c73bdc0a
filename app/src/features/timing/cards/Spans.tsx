import { spansOf } from '@humble/core';
import { memo, useDeferredValue } from 'react';
import { useThrottledPlayhead } from '../../../playback/playhead';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { SpanCard } from './SpanCard';
import { useMarksAtHand } from './useMarksAtHand';
import { useThrottledEditor, useThrottledMove } from '../../../store/throttled/hooks';

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
