import { shotsWords as words } from '../../words/shots';
import EllipsisVertical from 'lucide-react-native/icons/ellipsis-vertical';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import type { ListedShot } from '../../persistence/api';
import { IconButton } from '../../ui/Button';
import { fixed, writeNumber } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { CardPicture } from './CardPicture';
import { changedAt } from './changedAt';
import type { Twin } from './twinsOf';

interface ShotCardViewProps {
  readonly shot: ListedShot;
  /** Which one it is of several with its name; null when no other has it. */
  readonly twin: Twin | null;
  readonly columns: number;
  /** The server is away, and this device has no copy of it. */
  readonly isAway?: boolean;
  readonly onOpen: () => void;
  readonly onMenu: () => void;
}

export const ShotCardView = memo(function ShotCardView({
  shot,
  twin,
  columns,
  isAway = false,
  onOpen,
  onMenu,
}: ShotCardViewProps) {
  const { name, lengthFrames, rate, updatedAt, card, damage } = shot;
  const seconds = fixed(lengthFrames / rate, 2);
  const which = twin && words.twin(twin.number, twin.count);
  return (
    <View
      style={{ flex: 1, maxWidth: `${100 / columns}%` }}
      className="overflow-hidden rounded-large border border-line bg-card"
      testID={`card-${name}`}
    >
      <Pressable
        role="link"
        aria-label={
          damage
            ? words.damagedWhatCanBeDone(name)
            : [words.openFramesSeconds(name, lengthFrames, seconds), which].filter(Boolean).join(', ')
        }
        onPress={damage ? onMenu : onOpen}
        className="flex-1"
      >
        <View className="border-b border-line bg-field">
          <CardPicture card={damage ? { ...card, arcs: [], ghosts: [], ticks: '' } : card} />
          {(damage || card.arcs.length === 0) && (
            <View className="absolute inset-0 items-center justify-center px-3">
              <Words tone={damage ? 'plum' : 'soft'} className="text-center">
                {damage ? 'damaged' : words.noArcYet}
              </Words>
            </View>
          )}
        </View>
        <View className="min-h-[96px] flex-1 px-3 pb-3 pt-2">
          <Words size="body" strong numberOfLines={3} className="pr-8">
            {name}
          </Words>
          {which && (
            <Words tone="soft" size="tiny" className="pr-8">
              {which}
            </Words>
          )}
          {isAway && (
            <Words tone="plum" size="tiny" className="pr-8 pt-1">
              {words.notOnThisDevice}
            </Words>
          )}
          {damage && (
            <Words tone="plum" size="tiny" numberOfLines={3} className="pr-8 pt-1">
              {damage.sentence}
            </Words>
          )}
          <View className="mt-auto pt-2">
            <NumericText tone="soft" size="tiny" numberOfLines={1}>
              {words.framesAt(lengthFrames, writeNumber(rate, 3))}
            </NumericText>
            <NumericText tone="soft" size="tiny" numberOfLines={1}>
              {`${seconds} s · ${changedAt(updatedAt, new Date())}`}
            </NumericText>
          </View>
        </View>
      </Pressable>
      <View className="absolute bottom-[40px] right-0">
        <IconButton label={words.moreFor(name)} icon={EllipsisVertical} onPress={onMenu} />
      </View>
    </View>
  );
});
