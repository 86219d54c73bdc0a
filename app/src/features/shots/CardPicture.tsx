import { type Immutable, STAND_INS } from '@humble/core';
import type { ShotCard } from '@humble/core/files';
import { View } from 'react-native';
import Svg, { Image, Path } from 'react-native-svg';
import { pictureAddress } from '../../persistence/pictures';
import { colour } from '../../ui/colour';

/** Lines on a card are this many hundredths of the field's width. */
const LINE_SHARE = 0.0085;
/** So much of its own strength a backdrop has on a card: the arc comes first. */
const BACKDROP_SHARE = 0.55;

/** A shot's own arc, with its figures as ghosts and its backdrop. */
export function CardPicture({ card }: { readonly card: Immutable<ShotCard> }) {
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
