import { timingWords as words } from '../../../words/timing';
import { TERMS } from '../../../words/terms';
import { type Easing, type EasingKind, type Move, type Span, spansOf } from '@humble/core';
import ChartSpline from 'lucide-react-native/icons/chart-spline';
import Copy from 'lucide-react-native/icons/copy';
import { useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { FindingNotes } from './FindingNotes';
import { LazyEasingTray } from './LazyEasingTray';
import { EasingNumbers } from './EasingNumbers';
import { useEasingChoice } from './useEasingChoice';
import { describeEasing } from '../../../kinds/easings';
import { useThrottledEditor } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

interface SpanCardProps {
  readonly move: Move;
  readonly span: Span;
  /** Under a mark, whose span it is; between marks the head says so. */
  readonly isTitled: boolean;
}

type Manner = 'even' | 'steady' | 'soft' | 'other';

const MANNERS: readonly { readonly value: Manner; readonly label: string }[] = [
  { value: 'even', label: words.even },
  { value: 'steady', label: words.steady },
  { value: 'soft', label: words.soft },
];

const mannerOf = (easing: Easing): Manner =>
  easing.kind === 'even' ? 'even' : easing.kind === 'ramped' ? easing.ramp : 'other';

function inManner(easing: Easing, manner: Manner, offered: (kind: EasingKind) => Easing): Easing {
  if (manner === 'other') return easing;
  if (manner === 'even') return { kind: 'even' };
  const ramp = offered('ramped');
  return ramp.kind === 'ramped' ? { ...ramp, ramp: manner } : ramp;
}

export function SpanCard({ move, span: { from, to, frames, isHold }, isTitled }: SpanCardProps) {
  const edit = useEdit();
  const selectedIds = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const [isChoosing, setChoosing] = useState(false);
  const { easing } = from;
  const setEasing = (next: Easing, undoGroup?: string): void => {
    edit('setEasing', { moveId: move.id, markId: from.id, easing: next }, undoGroup);
  };
  const { offered, choose } = useEasingChoice(from.id, easing, frames, setEasing);
  if (isHold) return null;
  const others = spansOf(move)
    .filter((span) => !span.isHold && span.from.id !== from.id)
    .map((span) => span.from.id);
  const isForSelected = selectedIds.length > 1;
  const targets = isForSelected ? others.filter((id) => selectedIds.includes(id)) : others;
  const manner = mannerOf(easing);
  const isTooLong = easing.kind === 'ramped' && easing.leaveFrames + easing.arriveFrames > frames;
  return (
    <Card
      title={isTitled ? words.spanFromTo(frameNumber(from.frame), frameNumber(to.frame)) : undefined}
      term={TERMS.span}
      aside={words.increments(frames)}
      isActive
    >
      {manner === 'other' && <Words strong>{describeEasing(easing.kind).name}</Words>}
      <EasingNumbers easing={easing} frames={frames} onChange={setEasing} />
      <View className="mt-2">
        <Segmented
          label={words.easing}
          value={manner}
          options={MANNERS}
          onChange={(next) => choose(inManner(easing, next, offered))}
        />
      </View>
      <Words tone={isTooLong ? 'plum' : 'soft'} className="mb-3 mt-2">
        {isTooLong ? words.rampsTooLong(frames) : describeEasing(easing.kind).sentence(easing)}
      </Words>
      <FindingNotes check="pastTheEnd" move={move} frame={from.frame} />
      <View className="flex-row flex-wrap gap-2">
        <Button
          label={words.otherEasings}
          icon={ChartSpline}
          pressed={isChoosing}
          onPress={() => setChoosing(!isChoosing)}
        />
        {targets.length > 0 && (
          <Button
            label={isForSelected ? words.applyToSelectedSpans : words.applyToAllSpans}
            icon={Copy}
            onPress={() => edit('setEasings', { moveId: move.id, markIds: targets, easing })}
          />
        )}
      </View>
      {isChoosing && (
        <View className="mt-3">
          <LazyEasingTray
            easing={easing}
            frames={frames}
            offered={offered}
            onChoose={(next) => choose(next)}
            onClose={() => setChoosing(false)}
          />
        </View>
      )}
    </Card>
  );
}
