import {
  countCycles,
  type Cycle,
  cycleFrames,
  type Figure,
  firstFrame,
  lastFrame,
  MAX_SHOT_FRAMES,
  type Move,
  type Travel,
} from '@humble/core';
import { View } from 'react-native';
import { frameField } from '../../store/frames';
import { useAppStore, useEdit } from '../../store/hooks';
import { selectActiveTravel } from '../../store/selectors/selection';
import { useLengths } from '../../store/lengths';
import { Button } from '../../ui/Button';
import { NumberPair } from '../../ui/NumberField';
import { Segmented } from '../../ui/Segmented';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';
import { figuresWords as words } from '../../words/figures';
import { useThrottledShotValue } from '../../store/throttled/hooks';

const OUTSIDE = [
  { value: 'hold', label: words.hold },
  { value: 'repeat', label: words.repeat },
  { value: 'swing', label: words.swing },
  { value: 'hide', label: words.notShownThere },
] as const;

interface CycleFieldsProps {
  readonly move: Move;
  readonly cycle: Cycle;
  readonly drawings: Extract<Figure['artwork'], { kind: 'pictures' }>['drawings'];
}

export function CycleFields({ move: { id: moveId }, cycle, drawings }: CycleFieldsProps) {
  const edit = useEdit();
  const lengthFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const { field: length } = useLengths();
  const set = (some: Partial<Cycle>, undoGroup?: string): void => {
    edit('setCycle', { moveId, cycle: some }, undoGroup);
  };
  const { from, until, swings } = cycle;
  const last = until ?? lengthFrames;
  const oneCycle = cycleFrames(drawings, swings);
  return (
    <>
      <NumberPair
        pair={[
          frameField({
            label: words.cycleFrom,
            value: from,
            min: 1,
            max: MAX_SHOT_FRAMES,
            onChange: (frame, undoGroup) => set({ from: frame }, undoGroup),
          }),
          frameField({
            label: words.cycleUntil,
            value: last,
            min: from,
            max: MAX_SHOT_FRAMES,
            onChange: (frame, undoGroup) => set({ until: frame }, undoGroup),
          }),
        ]}
      />
      <NumberPair
        pair={[
          {
            label: words.startDrawing,
            value: Math.min(cycle.startDrawing, drawings.length),
            min: 1,
            max: drawings.length,
            onChange: (startDrawing, undoGroup) => set({ startDrawing }, undoGroup),
          },
          cycle.by === 'way'
            ? length({
                label: words.advance,
                value: cycle.advance,
                min: 0.001,
                max: 1e6,
                onChange: (advance, undoGroup) => set({ advance }, undoGroup),
              })
            : {
                label: words.cycleTimes,
                value: (last - from + 1) / oneCycle,
                min: 1,
                max: Math.max(1, Math.floor(MAX_SHOT_FRAMES / oneCycle)),
                decimals: 2,
                onChange: (times, undoGroup) =>
                  set({ until: from + Math.max(1, Math.round(times * oneCycle)) - 1 }, undoGroup),
              },
        ]}
      />
      {cycle.by === 'time' && (
        <WholeCycles
          range={last - from + 1}
          oneCycle={oneCycle}
          onFrames={(frames) => set({ until: from + frames - 1 })}
        />
      )}
      <Toggle label={words.swings} value={swings} onChange={(value) => set({ swings: value })} />
      {(['before', 'after'] as const).map((side) => (
        <View key={side} className="mt-1 gap-1">
          <Words tone="soft">{words[side]}</Words>
          <Segmented
            label={words[side]}
            value={cycle[side]}
            options={OUTSIDE}
            onChange={(value) => set({ [side]: value })}
          />
        </View>
      ))}
    </>
  );
}

interface WholeCyclesProps {
  readonly range: number;
  readonly oneCycle: number;
  readonly onFrames: (frames: number) => void;
}

function WholeCycles({ range, oneCycle, onFrames }: WholeCyclesProps) {
  const { cycles, over, shorter, longer } = countCycles(range, oneCycle);
  if (over === 0) return <Words tone="soft">{words.wholeCycles(cycles)}</Words>;
  return (
    <View className="gap-2">
      <Words tone="plum">{words.cyclesOver(cycles, over)}</Words>
      <View className="flex-row flex-wrap gap-2">
        {[shorter, longer].map(
          (frames) =>
            frames !== null && (
              <Button key={frames} label={words.makeItFrames(frames)} onPress={() => onFrames(frames)} />
            ),
        )}
      </View>
    </View>
  );
}

export const FOLLOW = [
  { value: 'once', label: words.once, sentence: words.onceSentence },
  { value: 'time', label: words.byTime, sentence: words.byTimeSentence },
  { value: 'way', label: words.byWay, sentence: words.byWaySentence },
] as const;

interface FollowProps extends Pick<CycleFieldsProps, 'drawings'> {
  readonly move: Move;
}

function fittingAdvance({ arcLength, move }: Travel, oneCycle: number): number {
  const frames = lastFrame(move) - firstFrame(move);
  return Math.max(1, arcLength / Math.max(1, Math.round(frames / oneCycle)));
}

export function FollowChoice({ move: { id: moveId, cycle }, drawings }: FollowProps) {
  const edit = useEdit();
  const store = useAppStore();
  const value = cycle?.by ?? 'once';
  return (
    <View className="mt-2 gap-1">
      <Words tone="soft">{words.follow}</Words>
      <Segmented
        label={words.follow}
        value={value}
        options={FOLLOW}
        onChange={(by) => {
          const travel = selectActiveTravel(store.getState());
          const advance =
            travel && !cycle ? { advance: fittingAdvance(travel, cycleFrames(drawings, false)) } : {};
          edit('setCycle', { moveId, cycle: by === 'once' ? null : { by, ...advance } });
        }}
      />
      <Words tone="soft">{FOLLOW.find((one) => one.value === value)!.sentence}</Words>
    </View>
  );
}
