import { evaluateMove, type Move, MAX_RIDERS, type Taper } from '@humble/core';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Toggle } from '../../../ui/Toggle';
import { createUndoGroup } from '../../../ui/undoGroup';
import { useIntoView } from '../../../ui/useIntoView';
import { Words } from '../../../ui/Words';
import { partsWords as words } from '../../../words/parts';
import { useThrottledShot } from '../../../store/throttled/hooks';

const GAPS = [
  { value: 'nose-to-tail', label: words.noseToTail },
  { value: 'distance', label: words.gapDistance },
  { value: 'frames', label: words.gapFrames },
] as const;

const TAPERS: readonly { readonly value: Taper; readonly label: string }[] = [
  { value: 'even', label: words.evenSteps },
  { value: 'ratio', label: words.steadyRatio },
];

interface ChainCardProps {
  readonly move: Move;
  readonly onDone: () => void;
}

const FRESH_COUNT = 7;

/** The form of a chain. It is there as soon as the form is, and follows every number; all of it is one undo step. */
export function ChainCard({ move, onDone }: ChainCardProps) {
  const edit = useEdit();
  const shot = useThrottledShot();
  const { field: length } = useLengths();
  const [undoGroup] = useState(() => createUndoGroup('chain'));
  const [hadParts] = useState(move.riders.length > 0);
  const [count, setCount] = useState(Math.max(FRESH_COUNT, move.riders.length + 1));
  const [gap, setGap] = useState<(typeof GAPS)[number]['value']>('nose-to-tail');
  const [distance, setDistance] = useState(() => Math.round(evaluateMove(shot, move).figureHeight / 2));
  const [frames, setFrames] = useState(2);
  const [toPercent, setToPercent] = useState(40);
  const [taper, setTaper] = useState<Taper>('even');
  const [isLaidOut, setLaidOut] = useState(true);
  const { id: moveId } = move;
  useEffect(() => {
    const between = gap === 'nose-to-tail' ? gap : gap === 'distance' ? { distance } : { frames };
    edit('makeChain', { moveId, count, gap: between, toPercent, taper, isLaidOut }, undoGroup);
  }, [edit, moveId, count, gap, distance, frames, toPercent, taper, isLaidOut, undoGroup]);
  const view = useRef<View>(null);
  useIntoView(view, true, 'start');
  return (
    <>
      <View ref={view} className="scroll-mt-28" />
      <Card title={words.chainTitle} isActive>
        <NumberPair
          pair={[
            { label: words.chainCount, value: count, min: 2, max: MAX_RIDERS + 1, onChange: setCount },
            {
              label: words.lastSize,
              unit: '%',
              value: toPercent,
              min: 1,
              max: 1000,
              step: 5,
              onChange: setToPercent,
            },
          ]}
        />
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.chainGap}</Words>
          <Segmented label={words.chainGap} value={gap} options={GAPS} onChange={setGap} />
        </View>
        {gap === 'distance' && (
          <NumberField
            {...length({ label: words.gapLength, value: distance, min: 0, max: 1e6, onChange: setDistance })}
          />
        )}
        {gap === 'frames' && (
          <NumberField label={words.gapCount} value={frames} min={1} max={1000} onChange={setFrames} />
        )}
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.taper}</Words>
          <Segmented label={words.taper} value={taper} options={TAPERS} onChange={setTaper} />
        </View>
        <Toggle label={words.laidOut} value={isLaidOut} onChange={setLaidOut} />
        {hadParts && <Words tone="soft">{words.chainReplaces}</Words>}
        <View className="mt-2 flex-row">
          <Button label={words.chainDone} kind="brass" onPress={onDone} />
        </View>
      </Card>
    </>
  );
}
