import type { Backdrop } from '@humble/core';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Picture from 'lucide-react-native/icons/image';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import Move from 'lucide-react-native/icons/move';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { useAppDispatch, useEdit, useThrottledEditor, useThrottledShotValue } from '../../store/hooks';
import { toolChosen } from '../../store/editorSlice';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField } from '../../ui/NumberField';
import { Slider } from '../../ui/Slider';
import { Words } from '../../ui/Words';
import { CalibrateCard } from './CalibrateCard';
import { useBringPictures } from './useBringPictures';
import { useMissingPictures } from './useMissingPictures';

/** What lies under everything: a layout, a photograph of the set, a sequence of them. */
export function BackdropPanel() {
  const backdrop = useThrottledShotValue((shot) => shot.backdrop);
  const isMissing = useMissingPictures(backdrop);
  const { bring, cancel, progress } = useBringPictures();
  return (
    <View className="gap-3">
      <Card title="Backdrop" aside={backdrop ? factsOf(backdrop) : undefined}>
        <Words tone="soft" className="mb-3">
          {backdrop
            ? 'It lies under everything and is never exported.'
            : 'A layout or a photograph of the set: PNG, JPEG, WebP or SVG. Several files make a sequence.'}
        </Words>
        {isMissing && (
          <Words role="alert" tone="plum" className="mb-3">
            This shot came without its pictures. Choose them again; their place is kept.
          </Words>
        )}
        <View className="flex-row flex-wrap gap-2">
          {progress ? (
            <Button label="Stop" onPress={cancel} />
          ) : (
            <Button
              label={backdrop ? 'Change pictures' : 'Choose pictures'}
              icon={Picture}
              onPress={() => void bring()}
            />
          )}
        </View>
        {progress && (
          <Words role="status" tone="soft" className="mt-2">
            {`${progress.done} of ${progress.of} pictures loaded`}
          </Words>
        )}
      </Card>
      {backdrop && <Placing backdrop={backdrop} />}
      <CalibrateCard />
    </View>
  );
}

const factsOf = ({ pictures }: Backdrop): string =>
  pictures.length > 1 ? `${pictures.length} pictures` : `${pictures[0]!.width} × ${pictures[0]!.height}`;

const FURTHEST = 1e6;

/** Where the backdrop lies, how large, and how strongly it is seen. */
function Placing({ backdrop }: { readonly backdrop: Backdrop }) {
  const isMoving = useThrottledEditor((editor) => editor.tool === 'backdrop');
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const set = (some: Partial<Omit<Backdrop, 'pictures'>>, undoGroup?: string): void => {
    edit('setBackdrop', some, undoGroup);
  };
  const { hidden, locked } = backdrop;
  const units = { unit: 'units', min: -FURTHEST, max: FURTHEST, decimals: 1, disabled: locked } as const;
  const move = (): void => {
    dispatch(toolChosen(isMoving ? 'shape' : 'backdrop'));
  };
  return (
    <Card title={backdrop.pictures[0]!.name || 'Picture'}>
      <Slider
        label="Strength"
        text={`${Math.round(backdrop.strength * 100)}%`}
        value={backdrop.strength}
        min={0}
        max={1}
        onChange={(strength, undoGroup) => set({ strength }, undoGroup)}
      />
      <View className="mb-2 flex-row flex-wrap gap-2">
        <Button
          label={isMoving ? 'Done' : 'Move by hand'}
          icon={Move}
          pressed={isMoving}
          disabled={locked}
          onPress={move}
        />
        <Button
          label={hidden ? 'Show' : 'Hide'}
          icon={hidden ? EyeOff : Eye}
          pressed={hidden}
          onPress={() => set({ hidden: !hidden })}
        />
        <Button
          label={locked ? 'Unlock' : 'Lock'}
          icon={locked ? Lock : LockOpen}
          pressed={locked}
          onPress={() => {
            if (isMoving) dispatch(toolChosen('shape'));
            set({ locked: !locked });
          }}
        />
        <Button
          label="Remove"
          icon={Trash}
          kind="plum"
          disabled={locked}
          onPress={() => {
            if (isMoving) dispatch(toolChosen('shape'));
            edit('removeBackdrop', undefined);
          }}
        />
      </View>
      <NumberField label="Middle, across" value={backdrop.x} onChange={(x, g) => set({ x }, g)} {...units} />
      <NumberField label="Middle, down" value={backdrop.y} onChange={(y, g) => set({ y }, g)} {...units} />
      <NumberField
        label="Width"
        value={backdrop.width}
        onChange={(width, g) => set({ width }, g)}
        {...units}
        min={1}
      />
      <NumberField
        label="Turned by"
        value={backdrop.turnDeg}
        onChange={(turnDeg, g) => set({ turnDeg }, g)}
        {...units}
        unit="°"
        min={-3600}
        max={3600}
      />
      {backdrop.pictures.length > 1 && (
        <NumberField
          label="Frames for each picture"
          value={backdrop.framesEach}
          min={1}
          max={240}
          disabled={locked}
          onChange={(framesEach, g) => set({ framesEach }, g)}
        />
      )}
    </Card>
  );
}
