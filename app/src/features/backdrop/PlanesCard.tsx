import { type Backdrop, MAX_PLANES, PLANE_DISTANCE, type Plane } from '@humble/core';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Layers from 'lucide-react-native/icons/layers';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import { useBringPictures } from '../../commands/useBringPictures';
import { useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { useThrottledShotValue } from '../../store/throttled/hooks';
import { Button, IconButton } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';
import { Words } from '../../ui/Words';
import { backdropWords } from '../../words/backdrop';
import { planesWords as words } from '../../words/planes';
import { keepBackdrop } from './keepBackdrop';

/** A further picture is twice as far away at first, the next one farther still. */
const FRESH_DISTANCES = [2, 3, 4];
const MAX_COORDINATE = 1e6;

/** Pictures in depth: a camera step moves each by as much as its distance leaves of it. */
export function PlanesCard({ backdrop }: { readonly backdrop: Backdrop | null }) {
  const planes = useThrottledShotValue((shot) => shot.planes);
  const edit = useEdit();
  const { bring, cancel, progress } = useBringPictures({
    keep: keepBackdrop,
    onAllThere: (pictures) =>
      edit('addPlane', {
        pictures,
        distance: FRESH_DISTANCES[planes.length] ?? FRESH_DISTANCES[FRESH_DISTANCES.length - 1]!,
        name: words.name(planes.length + 2),
      }) !== null,
  });
  return (
    <Card
      title={words.planes}
      aside={planes.length > 0 ? words.count(planes.length + (backdrop ? 1 : 0)) : undefined}
    >
      <Words tone="soft">{words.sentence}</Words>
      {backdrop && (
        <NumberField
          label={words.backdropDistance}
          value={backdrop.distance}
          min={PLANE_DISTANCE.min}
          max={PLANE_DISTANCE.max}
          step={0.1}
          decimals={2}
          onChange={(distance, undoGroup) => edit('setBackdrop', { distance }, undoGroup)}
        />
      )}
      {planes.map((plane) => (
        <PlaneFields key={plane.id} plane={plane} />
      ))}
      <View className="mt-2 flex-row flex-wrap gap-2">
        {progress ? (
          <Button label={backdropWords.stop} onPress={cancel} />
        ) : (
          <Button
            label={words.add}
            icon={Layers}
            disabled={planes.length + 1 >= MAX_PLANES}
            onPress={() => void bring()}
          />
        )}
      </View>
    </Card>
  );
}

function PlaneFields({ plane }: { readonly plane: Plane }) {
  const edit = useEdit();
  const { field: length } = useLengths();
  const [typed, setTyped] = useState<string | null>(null);
  const { id: planeId, name, hidden } = plane;
  const set = (some: Partial<Omit<Plane, 'id'>>, undoGroup?: string): void => {
    edit('setPlane', { planeId, ...some }, undoGroup);
  };
  const keepName = (): void => {
    if (typed !== null && typed.trim() !== '' && typed.trim() !== name) set({ name: typed.trim() });
    setTyped(null);
  };
  const range = { min: -MAX_COORDINATE, max: MAX_COORDINATE } as const;
  return (
    <View className="mt-2 border-t border-line pt-2">
      <View className="flex-row items-end gap-1">
        <TextField
          label={words.nameOf}
          value={typed ?? name}
          onChange={setTyped}
          onSubmit={keepName}
          onBlur={keepName}
          className="min-w-0 flex-1"
        />
        <IconButton
          label={hidden ? words.show(name) : words.hide(name)}
          icon={hidden ? EyeOff : Eye}
          pressed={hidden}
          onPress={() => set({ hidden: !hidden })}
        />
        <IconButton
          label={words.remove(name)}
          icon={Trash}
          onPress={() => edit('removePlane', { planeId })}
        />
      </View>
      <NumberPair
        pair={[
          {
            label: words.distance,
            value: plane.distance,
            min: PLANE_DISTANCE.min,
            max: PLANE_DISTANCE.max,
            step: 0.1,
            decimals: 2,
            onChange: (distance, undoGroup) => set({ distance }, undoGroup),
          },
          length({
            label: words.width,
            value: plane.width,
            min: 0.001,
            max: MAX_COORDINATE,
            onChange: (width, undoGroup) => set({ width }, undoGroup),
          }),
        ]}
      />
      <NumberPair
        pair={[
          length({
            ...range,
            label: words.across,
            value: plane.x,
            onChange: (x, undoGroup) => set({ x }, undoGroup),
          }),
          length({
            ...range,
            label: words.down,
            value: plane.y,
            onChange: (y, undoGroup) => set({ y }, undoGroup),
          }),
        ]}
      />
    </View>
  );
}
