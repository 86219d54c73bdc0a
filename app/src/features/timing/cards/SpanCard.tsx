import { timingWords as words } from '../../../words/timing';
import { TERMS } from '../../../words/terms';
import { type Easing, type EasingKind, type Move, type Span, spansOf } from '@humble/core';
import AlignVerticalSpaceAround from 'lucide-react-native/icons/align-vertical-space-around';
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
import { useThrottledArc, useThrottledEditor } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

/** By halves the steps soon get finer than a hand can place, so that is for the last few drawings. */
const LAST_IN_HALVES = 3;

interface SpanCardProps {
  readonly move: Move;
  readonly span: Span;
  /** Under a mark, whose span it is; between marks the head says so. */
  readonly isTitled: boolean;
}

type Manner = 'even' | 'steady' | 'soft' | 'slow-place' | 'other';

const MANNERS: readonly { readonly value: Manner; readonly label: string }[] = [
  { value: 'even', label: words.even },
  { value: 'steady', label: words.steady },
  { value: 'soft', label: words.soft },
];

/** Round a closed arc something is often slow at one point of it: at the bottom, say. */
const MANNERS_ROUND = [...MANNERS, { value: 'slow-place', label: words.slowPoint }] as const;

const mannerOf = (easing: Easing): Manner =>
  easing.kind === 'even' || easing.kind === 'slow-place'
    ? easing.kind
    : easing.kind === 'ramped'
      ? easing.ramp
      : 'other';

function inManner(easing: Easing, manner: Manner, offered: (kind: EasingKind) => Easing): Easing {
  if (manner === 'other') return easing;
  if (manner === 'even') return { kind: 'even' };
  if (manner === 'slow-place') return offered(manner);
  const ramp = offered('ramped');
  return ramp.kind === 'ramped' ? { ...ramp, ramp: manner } : ramp;
}

export function SpanCard({ move, span: { from, to, frames, isHold }, isTitled }: SpanCardProps) {
  const edit = useEdit();
  const selectedIds = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const isClosed = useThrottledArc((arc) => arc.closed) ?? false;
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
      {(manner === 'other' || (manner === 'slow-place' && !isClosed)) && (
        <Words strong>{describeEasing(easing.kind).name}</Words>
      )}
      <EasingNumbers easing={easing} frames={frames} onChange={setEasing} />
      <View className="mt-2">
        <Segmented
          label={words.easing}
          value={manner}
          options={isClosed ? MANNERS_ROUND : MANNERS}
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
        <Button
          label={words.halves}
          icon={AlignVerticalSpaceAround}
          onPress={() =>
            edit('makeChart', {
              moveId: move.id,
              markId: from.id,
              chart: { kind: 'halves', toward: 'end', last: LAST_IN_HALVES },
            })
          }
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
