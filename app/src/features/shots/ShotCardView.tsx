import { shotsWords as words } from '../../words/shots';
import { STAND_INS } from '@humble/core';
import { type ShotCard } from '@humble/core/files';
import EllipsisVertical from 'lucide-react-native/icons/ellipsis-vertical';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Image, Path } from 'react-native-svg';
import type { ListedShot } from '../../persistence/api';
import { pictureAddress } from '../../persistence/pictures';
import { IconButton } from '../../ui/Button';
import { colour } from '../../ui/colour';
import { fixed, writeNumber } from '../../ui/numbers';
import { NumericText, Words } from '../../ui/Words';
import { changedAt } from './changedAt';
import type { Twin } from './twinsOf';

interface ShotCardViewProps {
  readonly shot: ListedShot;
  /** Which one it is of several with its name; null when no other has it. */
  readonly twin: Twin | null;
  readonly columns: number;
  readonly onOpen: () => void;
  readonly onMenu: () => void;
}

export const ShotCardView = memo(function ShotCardView({
  shot,
  twin,
  columns,
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

/** Lines on a card are this many hundredths of the field's width. */
const LINE_SHARE = 0.0085;
/** So much of its own strength a backdrop has on a card: the arc comes first. */
const BACKDROP_SHARE = 0.55;

function CardPicture({ card }: { readonly card: ShotCard }) {
  const { width, height, arcs, ticks, ghosts, outlines, backdrop } = card;
  const line = width * LINE_SHARE;
  return (
    <View style={{ aspectRatio: 16 / 9 }}>
      <Svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`} preserveAspectRatio="xMidYMid meet">
        {backdrop && (
          <Image
            href={pictureAddress(backdrop.sha256)}
            x={backdrop.x - backdrop.width / 2}
            y={backdrop.y - backdrop.height / 2}
            width={backdrop.width}
            height={backdrop.height}
            preserveAspectRatio="none"
            opacity={backdrop.strength * BACKDROP_SHARE}
            transform={`rotate(${backdrop.turnDeg} ${backdrop.x} ${backdrop.y})`}
          />
        )}
        {ghosts.map((ghost, i) => {
          const { look, placement } = ghost;
          const isLast = i === ghosts.length - 1;
          // Lines of an even width, in the artwork's own units.
          const drawn = line / Math.max(1e-6, Math.hypot(placement[0]!, placement[1]!));
          return (
            <Path
              key={i}
              d={typeof look === 'number' ? outlines[look] : STAND_INS[look].silhouette}
              transform={`matrix(${placement.join(' ')})`}
              fill={isLast ? colour.ink : 'none'}
              stroke={isLast ? colour.ink : colour.cool}
              strokeWidth={drawn}
              opacity={(0.3 + 0.7 * ghost.strength) * (ghost.opacity ?? 1)}
            />
          );
        })}
        {arcs.map((d) => (
          <Path key={d} d={d} fill="none" stroke={colour.indigo} strokeWidth={line} strokeLinecap="round" />
        ))}
        <Path d={ticks} fill="none" stroke={colour.indigo} strokeWidth={line * 0.8} />
      </Svg>
    </View>
  );
}
