import { type Move, type Span, spansOf } from '@humble/core';
import { largestIncrement, planOf, smallestIncrement } from '@humble/core/views';
import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { useThrottledPlayhead } from '../../../playback/playhead';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { useLengths } from '../../../store/lengths';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { solvingWords as words } from '../../../words/solving';
import { TERMS } from '../../../words/terms';
import { useThrottledEditor, useThrottledMove, useThrottledSelector } from '../../../store/throttled/hooks';

const GIVES = [
  { value: 'frames', label: words.framesGive },
  { value: 'easing', label: words.easingGives },
] as const;

/** Lengths in fields go so far, field units. */
const MAX_COORDINATE = 1e5;

/** Those of the span that is worked on, in its turn: while something is dragged nothing waits for it. */
export const CurrentSteps = memo(function CurrentSteps() {
  const move = useDeferredValue(useThrottledMove());
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const index = useThrottledPlayhead(({ frame }) => (move ? currentSpan(move, selected, frame) : 0));
  const span = move && spansOf(move)[index];
  return span && !span.isHold ? <StepsCard move={move} span={span} /> : null;
});

interface StepsCardProps {
  readonly move: Move;
  readonly span: Span;
}

function StepsCard({ move, span }: StepsCardProps) {
  const edit = useEdit();
  const { field: length, text } = useLengths();
  const [gives, setGives] = useState<'frames' | 'easing'>('frames');
  const way = useThrottledSelector((state) => selectActiveTravel(state)?.arcLength ?? 0);
  const plan = planOf(move, span, way);
  const largest = largestIncrement(plan);
  const keep = (rule: { readonly most?: number; readonly least?: number }, undoGroup?: string): void => {
    edit('keepSteps', { moveId: move.id, markId: span.from.id, gives, ...rule }, undoGroup);
  };
  const isLonger = move.marks.length > 2;
  return (
    <Card title={words.steps} term={TERMS.increment} aside={words.inOnePicture}>
      <NumberPair
        pair={[
          length({
            label: words.noneAbove,
            value: largest,
            min: 0,
            max: MAX_COORDINATE,
            onChange: (most, undoGroup) => keep({ most }, undoGroup),
          }),
          length({
            label: words.noneBelow,
            value: smallestIncrement(plan),
            min: 0,
            max: MAX_COORDINATE,
            onChange: (least, undoGroup) => keep({ least }, undoGroup),
          }),
        ]}
      />
      <Words tone="soft" className="mb-1 mt-2">
        {words.givesWay}
      </Words>
      <Segmented label={words.givesWay} value={gives} options={GIVES} onChange={setGives} />
      <Words tone="soft" className="mt-2">
        {gives === 'frames' ? words.framesChange : words.easingChanges}
      </Words>
      {isLonger && (
        <View className="mt-2 flex-row">
          <Button
            label={words.noneAboveAnywhere(text(largest))}
            onPress={() => edit('keepSteps', { moveId: move.id, markId: null, gives, most: largest })}
          />
        </View>
      )}
    </Card>
  );
}
