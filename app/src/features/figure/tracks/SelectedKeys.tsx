import { type Key, MAX_SHOT_FRAMES, trackDefinition, type TrackName } from '@humble/core';
import ClipboardPaste from 'lucide-react-native/icons/clipboard-paste';
import Copy from 'lucide-react-native/icons/copy';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { copyKeys } from '../../../commands/keys';
import { TRACK_DESCRIPTORS } from '../../../kinds/tracks';
import { useThrottledFrame } from '../../../playback/playhead';
import { keysSelected } from '../../../store/editorSlice';
import { frameField } from '../../../store/frames';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { Button } from '../../../ui/Button';
import { NumberPair } from '../../../ui/NumberField';
import { useGestureBaseline } from '../../../ui/useGestureBaseline';
import { Words } from '../../../ui/Words';
import { figureWords as words } from '../../../words/figure';
import { selectActiveMove } from '../../../store/selectors/active';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';

interface KeysProps {
  readonly track: TrackName;
  readonly moveId: string;
  readonly keys: readonly Key[];
}

export function KeySelection({ track, moveId, keys }: KeysProps) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const frame = useThrottledFrame();
  const selected = useSelectedKeys(track, keys);
  const copied = useThrottledEditor((editor) => editor.copiedKeys);
  const keyIds = selected.map(({ id }) => id);
  const select = (ids: readonly string[]): void => {
    dispatch(keysSelected({ track, ids }));
  };
  if (keys.length < 2 && selected.length === 0 && copied?.track !== track) return null;
  return (
    <View className="mt-2 gap-2">
      {selected.length > 0 && (
        <Words role="status" tone="soft">
          {words.keysSelected(selected.length)}
        </Words>
      )}
      <View className="flex-row flex-wrap gap-2">
        {selected.length === 0 && keys.length > 1 && (
          <Button label={words.selectAllKeys} onPress={() => select(keys.map(({ id }) => id))} />
        )}
        {selected.length > 0 && (
          <>
            <Button label={words.copyKeys} icon={Copy} onPress={() => dispatch(copyKeys(track, keyIds))} />
            <Button
              label={words.deleteKeys}
              icon={Trash}
              kind="plum"
              onPress={() => edit('deleteKeys', { moveId, track, keyIds })}
            />
            <Button label={words.selectNone} kind="quiet" onPress={() => select([])} />
          </>
        )}
        {copied?.track === track && (
          <Button
            label={words.pasteKeys}
            icon={ClipboardPaste}
            onPress={() => edit('pasteKeys', { moveId, track, copied: copied.keys, at: frame })}
          />
        )}
      </View>
    </View>
  );
}

function useSelectedKeys(track: TrackName, keys: readonly Key[]): readonly Key[] {
  const selected = useThrottledEditor((editor) => editor.selectedKeys);
  return selected?.track === track ? keys.filter(({ id }) => selected.ids.includes(id)) : NO_KEYS;
}

/**
 * From which frame to which the keys go, those that are selected or else all: another first frame shifts them, another
 * last one stretches them.
 */
export function KeyFrames({ track, moveId, keys: all }: KeysProps) {
  const edit = useEdit();
  const selected = useSelectedKeys(track, all);
  const keys = selected.length > 1 ? selected : all;
  const keyIds = keys.map(({ id }) => id);
  const [first, last] = [keys[0]!.frame, keys[keys.length - 1]!.frame];
  const stretch = (from: number, to: number, undoGroup?: string): void => {
    edit('stretchKeys', { moveId, track, first: from, last: to, keyIds }, undoGroup);
  };
  const start = useGestureBaseline({ first, last });
  return (
    <NumberPair
      pair={[
        frameField({
          label: words.keysFrom,
          value: first,
          min: 1,
          max: MAX_SHOT_FRAMES,
          onChange: (frame, undoGroup) => {
            const was = start(undoGroup);
            stretch(frame, Math.min(MAX_SHOT_FRAMES, was.last + frame - was.first), undoGroup);
          },
        }),
        frameField({
          label: words.keysTo,
          value: last,
          min: first + keys.length - 1,
          max: MAX_SHOT_FRAMES,
          onChange: (frame, undoGroup) => stretch(first, frame, undoGroup),
        }),
      ]}
    />
  );
}

export function SelectedKeys() {
  const track = useThrottledEditor(({ selectedKeys }) => selectedKeys?.track);
  return track ? <KeysOf track={track} /> : null;
}

function KeysOf({ track }: { readonly track: TrackName }) {
  const edit = useEdit();
  const moveId = useThrottledSelector((state) => selectActiveMove(state)?.id);
  const all = useThrottledSelector((state) => selectActiveMove(state)?.tracks[track] ?? NO_KEYS);
  const reach = useThrottledEditor((editor) => editor.reach);
  const [key, ...more] = useSelectedKeys(track, all);
  const { label, unit, decimals, step } = TRACK_DESCRIPTORS[track];
  if (!key || moveId === undefined) return null;
  const [min, max] = trackDefinition(track).range;
  return (
    <View className="gap-2 pb-2">
      {more.length === 0 ? (
        <NumberPair
          pair={[
            frameField({
              label: words.keyFrame,
              value: key.frame,
              min: 1,
              max: MAX_SHOT_FRAMES,
              onChange: (frame, undoGroup) =>
                edit(
                  'moveKeys',
                  { moveId, track, keyIds: [key.id], byFrames: frame - key.frame, byValue: 0 },
                  undoGroup,
                ),
            }),
            {
              label,
              unit,
              value: key.value,
              min,
              max,
              step,
              decimals,
              onChange: (value, undoGroup) =>
                edit('setKey', { moveId, track, frame: key.frame, value, reach }, undoGroup),
            },
          ]}
        />
      ) : (
        <KeyFrames track={track} moveId={moveId} keys={all} />
      )}
      <KeySelection track={track} moveId={moveId} keys={all} />
    </View>
  );
}

const NO_KEYS: readonly Key[] = [];
