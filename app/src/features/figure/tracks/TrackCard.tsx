import { figureWords as words } from '../../../words/figure';
import {
  type Easing,
  type Growth,
  type Key,
  type Reach,
  type TrackName,
  trackDefinition,
} from '@humble/core';
import Eraser from 'lucide-react-native/icons/eraser';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { addKey, deleteKeyAt } from '../../../commands/keys';
import { TRACK_DESCRIPTORS } from '../../../kinds/tracks';
import { useThrottledFrame } from '../../../playback/playhead';
import { reachChosen } from '../../../store/editorSlice';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField } from '../../../ui/NumberField';
import { Segmented } from '../../../ui/Segmented';
import { Words } from '../../../ui/Words';
import { KeyFrames, KeySelection } from './SelectedKeys';
import { selectTrack } from './selectTrack';
import { TrackStrip } from './TrackStrip';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

/** The choice of an easing: it belongs to the timing. */
export type EasingChoice = (props: {
  readonly id: string;
  readonly label: string;
  readonly easing: Easing;
  readonly frames: number;
  readonly onChange: (easing: Easing, undoGroup?: string) => void;
}) => ReactNode;

interface TrackCardProps {
  readonly track: TrackName;
  readonly easingChoice: EasingChoice;
}

export function TrackCard({ track, easingChoice }: TrackCardProps) {
  const { label, sentence, unit, decimals, step } = TRACK_DESCRIPTORS[track];
  const [min, max] = trackDefinition(track).range;
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const keys = useThrottledSelector((state) => selectTrack(state, track)?.keys ?? NO_KEYS);
  const reach = useThrottledEditor((editor) => editor.reach);
  const value = useThrottledSelector((state) => selectTrack(state, track)?.values[frame - 1] ?? 0);
  const moveId = useThrottledSelector((state) => selectTrack(state, track)?.move.id);
  if (moveId === undefined) return null;
  const here = keys.find((key) => key.frame === frame);
  const [from, to] = spanAt(keys, frame);
  return (
    <Card title={words.byKeys(label)} aside={keys.length === 1 ? words.oneKey : words.keyCount(keys.length)}>
      <Words tone="soft">{sentence}</Words>
      <TrackStrip track={track} />
      <View className="mt-1">
        <NumberField
          label={words.onFrame(label, frameNumber(frame))}
          unit={unit}
          value={value}
          min={min}
          max={max}
          step={step}
          decimals={decimals}
          onChange={(next, undoGroup) =>
            edit('setKey', { moveId, track, frame, value: next, reach }, undoGroup)
          }
        />
      </View>
      {keys.length > 1 && (
        <View className="gap-1">
          <Words tone="soft">{words.aChangeGoesFor}</Words>
          <Segmented
            label={words.aChangeGoesFor}
            value={reach}
            options={REACHES}
            onChange={(next) => dispatch(reachChosen(next))}
          />
        </View>
      )}
      <View className="mt-2 flex-row flex-wrap gap-2">
        {here ? (
          <Button
            label={words.deleteThisKey}
            icon={Trash}
            kind="plum"
            onPress={() => dispatch(deleteKeyAt(track, frame))}
          />
        ) : (
          <Button
            label={words.keyOnFrame(label, frameNumber(frame))}
            icon={Plus}
            onPress={() => dispatch(addKey(track, frame))}
          />
        )}
        {keys.length > 0 && (
          <Button
            label={words.clearTrack(label)}
            icon={Eraser}
            kind="quiet"
            onPress={() => edit('clearTrack', { moveId, track })}
          />
        )}
      </View>
      <KeySelection track={track} moveId={moveId} keys={keys} />
      {keys.length > 1 && <KeyFrames track={track} moveId={moveId} keys={keys} />}
      {from &&
        to &&
        easingChoice({
          id: `${track} ${from.id}`,
          label: words.fromFrameToFrame(frameNumber(from.frame), frameNumber(to.frame)),
          easing: from.easing,
          frames: to.frame - from.frame,
          onChange: (easing, undoGroup) =>
            edit('setKeyEasing', { moveId, track, keyIds: [from.id], easing }, undoGroup),
        })}
      {from && to && trackDefinition(track).grows && (
        <View className="mt-3 gap-1">
          <Words tone="soft">{words.growthTo(frameNumber(to.frame))}</Words>
          <Segmented
            label={words.growthTo(frameNumber(to.frame))}
            value={from.growth}
            options={GROWTHS}
            onChange={(growth) => edit('setKeyGrowth', { moveId, track, keyIds: [from.id], growth })}
          />
        </View>
      )}
    </Card>
  );
}

const REACHES: readonly { readonly value: Reach; readonly label: string }[] = [
  { value: 'here', label: words.thisKey },
  { value: 'after', label: words.fromHereOn },
  { value: 'before', label: words.upToHere },
  { value: 'all', label: words.allKeys },
];

const NO_KEYS: readonly Key[] = [];

const GROWTHS: readonly { readonly value: Growth; readonly label: string }[] = [
  { value: 'even', label: words.growsEvenly },
  { value: 'ratio', label: words.growsByRatio },
  { value: 'depth', label: words.growsInDepth },
];

function spanAt(keys: readonly Key[], frame: number): readonly [Key | undefined, Key | undefined] {
  const next = keys.findIndex((key) => key.frame > frame);
  return next < 0 ? [keys[keys.length - 1], undefined] : [keys[next - 1], keys[next]];
}
