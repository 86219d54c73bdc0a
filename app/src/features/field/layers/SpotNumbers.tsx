import { evaluate, travelOfMove } from '@humble/core';
import { fifthsOf, followedSpots, spotTrail } from '@humble/core/views';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { Text } from 'react-native-svg';
import { usePixel } from '../../../render/pixel';
import { useSettings } from '../../../store/hooks';
import { selectShot } from '../../../store/selectors/active';
import type { RootState } from '../../../store/store';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';
import { colour } from '../../../ui/colour';
import { MONO } from '../../../ui/fonts';
import { visibleTravels } from './arcPaths';
import { NUMBER_AWAY_PX, NUMBER_SIZE_PX, numberedTicks } from './numberedTicks';
import { tickAt } from './spotTicks';

/** Numbers of followed spots stand nearer to their path than those of the arc. */
const AWAY_SHARE = 0.7;

/** Every fifth picture of each followed spot that has room for its number, as texts: `frame x y`. */
function selectNumbers(state: RootState, pixel: number): readonly string[] {
  const shot = selectShot(state);
  if (!shot) return [];
  const ticks = visibleTravels(shot, state.editor.soloFigureId).flatMap(({ move }) => {
    const travel = travelOfMove(evaluate(shot), move.id);
    if (!travel) return [];
    const isFifth = fifthsOf(move);
    return followedSpots(travel).flatMap((followed) => {
      const places = spotTrail(travel, followed);
      return places.flatMap(({ frame }, i) => (isFifth(frame, i) ? [{ frame, ...tickAt(places, i) }] : []));
    });
  });
  return numberedTicks(ticks, pixel).map(({ frame, x, y, acrossX, acrossY }) => {
    const away = AWAY_SHARE * NUMBER_AWAY_PX * pixel;
    return `${frame} ${(x - acrossX * away).toFixed(1)} ${(y - acrossY * away).toFixed(1)}`;
  });
}

export const SpotNumbers = memo(function SpotNumbers() {
  const pixel = usePixel();
  const { showsTrail, showsNumbers } = useSettings();
  const numbers = useThrottledSelector((state) => selectNumbers(state, pixel), shallowEqual);
  if (!showsTrail || !showsNumbers) return null;
  return numbers.map((number) => {
    const [frame, x, y] = number.split(' ').map(Number) as [number, number, number];
    const type = {
      x,
      y: y + 4 * pixel,
      fontSize: NUMBER_SIZE_PX * pixel,
      fontFamily: MONO,
      textAnchor: 'middle',
    } as const;
    return [
      <Text
        key={`${number} halo`}
        {...type}
        fill={colour.field}
        stroke={colour.field}
        strokeWidth={3.5 * pixel}
      >
        {String(frameNumber(frame))}
      </Text>,
      <Text key={number} {...type} fill={colour.slate}>
        {String(frameNumber(frame))}
      </Text>,
    ];
  });
});
