import type { Move, Shake } from '@humble/core';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { useThrottledFrame } from '../../../playback/playhead';
import { frameField } from '../../../store/frames';
import { useEdit } from '../../../store/hooks';
import { useLengths } from '../../../store/lengths';
import { Button, IconButton } from '../../../ui/Button';
import { Card } from '../../../ui/Card';
import { NumberField, NumberPair } from '../../../ui/NumberField';
import { Words } from '../../../ui/Words';
import { cameraMoveWords as words } from '../../../words/cameraMove';

const KINDS: Readonly<Record<Shake['kind'], string>> = { tremble: words.tremble, knock: words.knock };
const MAX_FRAMES = 20_000;
/** A knock dies away over so many frames at first. */
const FRESH_FADE = 12;

/** Trembles and knocks on top of a move. */
export function ShakesCard({ move }: { readonly move: Move }) {
  const edit = useEdit();
  const frame = useThrottledFrame();
  const { id: moveId, shakes } = move;
  return (
    <Card title={words.shake}>
      <Words tone="soft">{words.shakeSentence}</Words>
      {shakes.map((shake, i) => (
        <ShakeFields
          key={shake.id}
          moveId={moveId}
          shake={shake}
          name={words.number(KINDS[shake.kind], i + 1)}
        />
      ))}
      <View className="mt-2 flex-row flex-wrap gap-2">
        <Button
          label={words.tremble}
          onPress={() => edit('addShake', { moveId, kind: 'tremble', from: frame })}
        />
        <Button
          label={words.knock}
          onPress={() => edit('addShake', { moveId, kind: 'knock', from: frame, fadeFrames: FRESH_FADE })}
        />
      </View>
    </Card>
  );
}

interface ShakeFieldsProps {
  readonly moveId: string;
  readonly shake: Shake;
  readonly name: string;
}

function ShakeFields({ moveId, shake, name }: ShakeFieldsProps) {
  const edit = useEdit();
  const { field: length } = useLengths();
  const set = (some: Partial<Omit<Shake, 'id'>>, undoGroup?: string): void => {
    edit('setShake', { moveId, shakeId: shake.id, ...some }, undoGroup);
  };
  return (
    <View className="mt-2 border-t border-line pt-2">
      <View className="flex-row items-center justify-between">
        <Words strong>{name}</Words>
        <View className="flex-row items-center gap-1">
          <Button
            label={words.another}
            kind="quiet"
            onPress={() => set({ seed: (shake.seed + 1) % 1_000_000 })}
          />
          <IconButton
            label={words.remove(name)}
            icon={Trash}
            onPress={() => edit('removeShake', { moveId, shakeId: shake.id })}
          />
        </View>
      </View>
      <NumberPair
        pair={[
          frameField({
            label: words.begins,
            value: shake.from,
            min: 1,
            max: MAX_FRAMES,
            onChange: (from, undoGroup) => set({ from }, undoGroup),
          }),
          {
            label: words.fades,
            unit: words.frames,
            value: shake.fadeFrames,
            min: 0,
            max: MAX_FRAMES,
            onChange: (fadeFrames, undoGroup) => set({ fadeFrames }, undoGroup),
          },
        ]}
      />
      <NumberPair
        pair={[
          length({
            label: words.amplitude,
            value: shake.amplitude,
            min: 0,
            max: 1e6,
            onChange: (amplitude, undoGroup) => set({ amplitude }, undoGroup),
          }),
          {
            label: words.turn,
            unit: '°',
            value: shake.turnDeg,
            min: 0,
            max: 180,
            decimals: 1,
            onChange: (turnDeg, undoGroup) => set({ turnDeg }, undoGroup),
          },
        ]}
      />
      <NumberField
        label={words.swing}
        value={shake.swingFrames}
        min={1}
        max={240}
        decimals={1}
        onChange={(swingFrames, undoGroup) => set({ swingFrames }, undoGroup)}
      />
    </View>
  );
}
