import { currentTake, type Taken } from '@humble/core';
import { standingPictures } from '@humble/core/shoot';
import Eye from 'lucide-react-native/icons/eye';
import EyeOff from 'lucide-react-native/icons/eye-off';
import RotateCcw from 'lucide-react-native/icons/rotate-ccw';
import Undo from 'lucide-react-native/icons/undo-2';
import { useState } from 'react';
import { FlatList, Image, Pressable, View } from 'react-native';
import { shootOverFrom } from '../../commands/shooting';
import { smallPictureAddress } from '../../persistence/pictures';
import { goTo, useThrottledFrame } from '../../playback/playhead';
import { frameNumber } from '../../store/frameNumbers';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { selectToldPicture } from '../../store/selectors/shooting';
import { useThrottledSelector, useThrottledShot } from '../../store/throttled/hooks';
import { ActionRow } from '../../ui/ActionRow';
import { FoldingSection } from '../../ui/FoldingSection';
import { NumberField } from '../../ui/NumberField';
import { NumericText, Words } from '../../ui/Words';
import { shootWords as words } from '../../words/shoot';

const MAX_HOLD = 240;
const PICTURE_PX = { width: 96, height: 54 } as const;
/** So many are listed of those that were shot over. */
const MAX_SET_ASIDE = 60;

/** What was taken, picture by picture, and what can be done with the one that is looked at. */
export function PicturesGroup() {
  const shot = useThrottledShot();
  const frame = useThrottledFrame();
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const told = useThrottledSelector((state) => selectToldPicture(state, frame));
  const pictures = standingPictures(shot);
  if (!told && shot.shoot.pictures.length === 0) return <Words tone="soft">{words.noPictures}</Words>;
  return (
    <View className="gap-2">
      <Words tone="soft">{words.picturesTaken(pictures.length)}</Words>
      <Strip pictures={pictures} chosen={told} onChoose={(taken) => goTo(taken.frame)} />
      {told && (
        <>
          <NumberField
            label={words.hold}
            value={told.framesHeld}
            min={1}
            max={MAX_HOLD}
            onChange={(frames, undoGroup) => edit('holdTaken', { takenId: told.id, frames }, undoGroup)}
          />
          <ActionRow
            actions={[
              {
                label: told.isHidden ? words.show : words.hide,
                icon: told.isHidden ? Eye : EyeOff,
                pressed: told.isHidden,
                onPress: () => edit('hideTaken', { takenId: told.id, isHidden: !told.isHidden }),
              },
              {
                label: words.shootOver,
                icon: RotateCcw,
                onPress: () => dispatch(shootOverFrom(told.frame)),
              },
            ]}
          />
        </>
      )}
      <SetAside />
    </View>
  );
}

interface StripProps {
  readonly pictures: readonly Taken[];
  readonly chosen: Taken | null;
  readonly onChoose: (taken: Taken) => void;
}

/** So many are drawn at first: more than a wide panel shows. */
const FIRST_DRAWN = 12;
/** Room between two, pixels. */
const GAP_PX = 4;
const BORDER_PX = 2;
const ITEM_PX = PICTURE_PX.width + 2 * BORDER_PX + GAP_PX;

const layoutOf = (_: unknown, index: number) => ({ length: ITEM_PX, offset: ITEM_PX * index, index });

/** Pictures side by side; of many only those in sight are drawn. */
const Strip = ({ pictures, chosen, onChoose }: StripProps) => (
  <FlatList
    horizontal
    data={pictures}
    keyExtractor={({ id }) => id}
    getItemLayout={layoutOf}
    initialNumToRender={FIRST_DRAWN}
    windowSize={3}
    initialScrollIndex={Math.max(0, chosen ? pictures.indexOf(chosen) - 1 : 0)}
    extraData={chosen}
    contentContainerClassName="pb-1"
    role="list"
    aria-label={words.pictures}
    renderItem={({ item: taken }) => (
      <View role="listitem" style={{ width: ITEM_PX }}>
        <Pressable
          role="button"
          aria-label={`${words.pictureOn(frameNumber(taken.frame))}${taken.isHidden ? `, ${words.hidden}` : ''}`}
          aria-pressed={taken === chosen}
          onPress={() => onChoose(taken)}
          style={{ width: ITEM_PX - GAP_PX }}
          className={`rounded-small border-2 ${taken === chosen ? 'border-brass' : 'border-transparent'} ${taken.isHidden ? 'opacity-40' : ''}`}
        >
          <Image
            source={{ uri: smallPictureAddress(taken.picture.sha256) }}
            style={PICTURE_PX}
            aria-hidden
            resizeMode="cover"
          />
          <NumericText size="tiny" tone="soft" className="text-center">
            {`${frameNumber(taken.frame)}${taken.isHidden ? ` ${words.hidden}` : ''}`}
          </NumericText>
        </Pressable>
      </View>
    )}
  />
);

function SetAside() {
  const shot = useThrottledShot();
  const edit = useEdit();
  const [isOpen, setOpen] = useState(false);
  const takeId = currentTake(shot).id;
  const aside = shot.shoot.pictures.filter((taken) => taken.isSetAside && taken.takeId === takeId);
  const [chosen, setChosen] = useState<Taken | null>(null);
  if (aside.length === 0) return null;
  return (
    <FoldingSection
      title={`${words.setAsidePictures}: ${words.picturesTaken(aside.length)}`}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      <Strip pictures={aside.slice(-MAX_SET_ASIDE)} chosen={chosen} onChoose={setChosen} />
      <ActionRow
        actions={[
          {
            label: words.bringBack,
            icon: Undo,
            disabled: !chosen,
            onPress: () => chosen && edit('bringTakenBack', { takenId: chosen.id }),
          },
        ]}
      />
    </FoldingSection>
  );
}
