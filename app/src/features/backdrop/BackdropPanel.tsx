import { backdropWords as words } from '../../words/backdrop';
import { TERMS } from '../../words/terms';
import type { Backdrop } from '@humble/core';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import Picture from 'lucide-react-native/icons/image';
import Lock from 'lucide-react-native/icons/lock';
import LockOpen from 'lucide-react-native/icons/lock-open';
import Move from 'lucide-react-native/icons/move';
import Trash from 'lucide-react-native/icons/trash';
import { View } from 'react-native';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { useLengths } from '../../store/lengths';
import { toolChosen } from '../../store/editorSlice';
import { useBringPictures } from '../../commands/useBringPictures';
import { useMissingPictures } from '../../persistence/useMissingPictures';
import { ActionRow } from '../../ui/ActionRow';
import { Button } from '../../ui/Button';
import { Card } from '../../ui/Card';
import { NumberField, NumberPair } from '../../ui/NumberField';
import { Slider } from '../../ui/Slider';
import { Words } from '../../ui/Words';
import { CalibrateCard } from './CalibrateCard';
import { keepBackdrop } from './keepBackdrop';
import { PlanesCard } from './PlanesCard';
import { useThrottledEditor, useThrottledShotValue } from '../../store/throttled/hooks';

export function BackdropPanel() {
  const backdrop = useThrottledShotValue((shot) => shot.backdrop);
  const edit = useEdit();
  const isMissing = useMissingPictures(backdrop?.pictures);
  const { bring, cancel, progress } = useBringPictures({
    keep: keepBackdrop,
    onAllThere: (pictures) => edit('putBackdrop', { pictures }) !== null,
  });
  return (
    <>
      <Card title={words.backdrop} term={TERMS.backdrop} aside={backdrop ? factsOf(backdrop) : undefined}>
        <Words tone="soft" className="mb-3">
          {backdrop ? words.backdropNote : words.backdropHelp}
        </Words>
        {isMissing && (
          <Words role="alert" tone="plum" className="mb-3">
            {words.picturesMissing}
          </Words>
        )}
        <View className="flex-row flex-wrap gap-2">
          {progress ? (
            <Button label={words.stop} onPress={cancel} />
          ) : (
            <Button
              label={backdrop ? words.changePictures : words.choosePictures}
              icon={Picture}
              onPress={() => void bring()}
            />
          )}
        </View>
        {progress && (
          <Words role="status" tone="soft" className="mt-2">
            {words.ofPicturesLoaded(progress.done, progress.of)}
          </Words>
        )}
      </Card>
      {backdrop && <Placing backdrop={backdrop} />}
      <PlanesCard backdrop={backdrop} />
      <CalibrateCard />
    </>
  );
}

export function BackdropSummary() {
  const backdrop = useThrottledShotValue((shot) => shot.backdrop);
  return (
    <Words tone="soft" numberOfLines={1}>
      {backdrop ? backdrop.pictures[0]!.name || factsOf(backdrop) : 'none'}
    </Words>
  );
}

const factsOf = ({ pictures }: Backdrop): string =>
  pictures.length > 1 ? words.pictures(pictures.length) : `${pictures[0]!.width} × ${pictures[0]!.height}`;

const MAX_COORDINATE = 1e6;

function Placing({ backdrop }: { readonly backdrop: Backdrop }) {
  const isMoving = useThrottledEditor((editor) => editor.tool === 'backdrop');
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const set = (some: Partial<Omit<Backdrop, 'pictures'>>, undoGroup?: string): void => {
    edit('setBackdrop', some, undoGroup);
  };
  const { hidden, locked } = backdrop;
  const { field: length } = useLengths();
  const range = { min: -MAX_COORDINATE, max: MAX_COORDINATE, disabled: locked } as const;
  const move = (): void => {
    dispatch(toolChosen(isMoving ? 'shape' : 'backdrop'));
  };
  return (
    <Card title={backdrop.pictures[0]!.name || words.picture}>
      <Slider
        label={words.strength}
        text={`${Math.round(backdrop.strength * 100)}%`}
        value={backdrop.strength}
        min={0}
        max={1}
        onChange={(strength, undoGroup) => set({ strength }, undoGroup)}
      />
      <ActionRow
        actions={[
          {
            label: isMoving ? words.done : words.moveByHand,
            icon: Move,
            pressed: isMoving,
            disabled: locked,
            onPress: move,
          },
          {
            label: hidden ? words.show : words.hide,
            icon: hidden ? EyeOff : Eye,
            pressed: hidden,
            onPress: () => set({ hidden: !hidden }),
          },
          {
            label: locked ? words.unlock : words.lock,
            icon: locked ? Lock : LockOpen,
            pressed: locked,
            onPress: () => {
              if (isMoving) dispatch(toolChosen('shape'));
              set({ locked: !locked });
            },
          },
          {
            label: words.remove,
            icon: Trash,
            isRemoval: true,
            disabled: locked,
            onPress: () => {
              if (isMoving) dispatch(toolChosen('shape'));
              edit('removeBackdrop', undefined);
            },
          },
        ]}
      />
      <NumberPair
        pair={[
          length({
            ...range,
            label: words.middleAcross,
            value: backdrop.x,
            onChange: (x, g) => set({ x }, g),
          }),
          length({ ...range, label: words.middleDown, value: backdrop.y, onChange: (y, g) => set({ y }, g) }),
        ]}
      />
      <NumberPair
        pair={[
          length({
            ...range,
            label: words.width,
            min: 1,
            value: backdrop.width,
            onChange: (width, g) => set({ width }, g),
          }),
          {
            disabled: locked,
            decimals: 1,
            label: words.turnedBy,
            unit: '°',
            min: -3600,
            max: 3600,
            value: backdrop.turnDeg,
            onChange: (turnDeg, g) => set({ turnDeg }, g),
          },
        ]}
      />
      {backdrop.pictures.length > 1 && (
        <NumberField
          label={words.framesForEachPicture}
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
