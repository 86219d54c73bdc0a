import type { Reach } from '@humble/core';
import { View } from 'react-native';
import Undo from 'lucide-react-native/icons/corner-up-left';
import { useThrottledFrame } from '../../playback/playhead';
import { offsetReachChosen } from '../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberPair } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import { ShakesCard } from './camera/ShakesCard';
import { NoFigureYet } from './NoFigure';
import { type EasingChoice, TrackCard } from './tracks/TrackCard';
import { selectTrack } from './tracks/selectTrack';
import { useFigure } from './useFigure';
import { useThrottledEditor, useThrottledSelector } from '../../store/throttled/hooks';

const COUNTS = [
  { value: 'field', label: words.inTheField },
  { value: 'riding', label: words.riding },
] as const;

const REACHES: readonly { readonly value: Reach; readonly label: string }[] = [
  { value: 'all', label: words.allFrames },
  { value: 'here', label: words.thisKey },
  { value: 'after', label: words.fromHereOn },
  { value: 'before', label: words.upToHere },
];

const MAX_COORDINATE = 1e6;

export function OffsetGroup({ easingChoice }: { readonly easingChoice: EasingChoice }) {
  const on = useFigure();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const frame = useThrottledFrame();
  const reach = useThrottledEditor((editor) => editor.offsetReach);
  const x = useThrottledSelector((state) => selectTrack(state, 'offsetX')?.values[frame - 1] ?? 0);
  const y = useThrottledSelector((state) => selectTrack(state, 'offsetY')?.values[frame - 1] ?? 0);
  const { field: length } = useLengths();
  if (!on) return <NoFigureYet />;
  const { id: moveId, offsetIn, tracks } = on.move;
  const rides = offsetIn === 'riding';
  const set = (to: { readonly x: number; readonly y: number }, undoGroup?: string): void => {
    edit('setOffset', { moveId, frame, ...to, reach }, undoGroup);
  };
  const keyCount = Math.max(tracks.offsetX.length, tracks.offsetY.length);
  const range = { min: -MAX_COORDINATE, max: MAX_COORDINATE };
  return (
    <>
      <Card title={words.offset}>
        <Words tone="soft">{words.offTheArc}</Words>
        <View className="mt-2 gap-1">
          <Words tone="soft">{words.offsetCounts}</Words>
          <Segmented
            label={words.offsetCounts}
            value={offsetIn}
            options={COUNTS}
            onChange={(value) => edit('setOffsetIn', { moveId, offsetIn: value })}
          />
        </View>
        <NumberPair
          pair={[
            length({
              ...range,
              label: rides ? words.forward : words.across,
              value: x,
              onChange: (to, undoGroup) => set({ x: to, y }, undoGroup),
            }),
            length({
              ...range,
              label: rides ? words.right : words.down,
              value: y,
              onChange: (to, undoGroup) => set({ x, y: to }, undoGroup),
            }),
          ]}
        />
        <View className="mt-1 gap-1">
          <Words tone="soft">{words.aChangeGoesFor}</Words>
          <Segmented
            label={words.aChangeGoesFor}
            value={reach}
            options={REACHES}
            onChange={(next) => dispatch(offsetReachChosen(next))}
          />
        </View>
        <View className="mt-2 flex-row">
          <Button
            label={words.backOnTheArc}
            icon={Undo}
            disabled={keyCount === 0}
            onPress={() => edit('clearOffset', { moveId })}
          />
        </View>
      </Card>
      <ShakesCard move={on.move} />
      {keyCount > 0 && (
        <>
          <TrackCard track="offsetX" easingChoice={easingChoice} />
          <TrackCard track="offsetY" easingChoice={easingChoice} />
        </>
      )}
    </>
  );
}
