import type { Travel } from '@humble/core';
import { followedSpots, ticksPath, spotOn, spotTrail, type TrailPlace } from '@humble/core/views';
import { memo, useState } from 'react';
import { G } from 'react-native-svg';
import { LivePath } from '../../../playback/liveShapes';
import { usePixel } from '../../../render/pixel';
import { useSettings } from '../../../store/hooks';
import { selectShot } from '../../../store/selectors/active';
import type { RootState } from '../../../store/store';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { BAND_OPACITY, standsAlone } from '../../../ui/detail';
import { colour } from '../../../ui/colour';
import { circlePath } from '../../../ui/circlePath';
import { visibleTravels } from './arcPaths';
import { SpotNumbers } from './SpotNumbers';
import { tickAt } from './spotTicks';
import { selectSeenFrame } from './partsAtPlayhead';

/** Half of the length of a tick, pixels. */
const TICK_PX = 4;
const DOT_PX = 3;

interface TrailPaths {
  readonly line: string;
  readonly ticks: string;
  readonly bands: string;
}

const NOTHING: TrailPaths = { line: '', ticks: '', bands: '' };

function pathsOf(places: readonly TrailPlace[], pixel: number): TrailPaths {
  const spot = ({ x, y }: TrailPlace): string => `${x.toFixed(1)} ${y.toFixed(1)}`;
  const gap = (i: number): number => (places[i]?.increment ?? Infinity) / pixel;
  let bands = '';
  const ticks: ReturnType<typeof tickAt>[] = [];
  places.forEach((place, i) => {
    if (standsAlone(gap(i), gap(i + 1))) ticks.push(tickAt(places, i));
    if (i > 0 && gap(i) > 0 && !standsAlone(gap(i))) bands += `M${spot(places[i - 1]!)}L${spot(place)}`;
  });
  return { line: `M${places.map(spot).join('L')}`, ticks: ticksPath(ticks, TICK_PX * pixel), bands };
}

const known = new WeakMap<Travel, { readonly pixel: number; readonly paths: TrailPaths }>();

function trailsOf(travel: Travel, pixel: number): TrailPaths {
  const found = known.get(travel);
  if (found?.pixel === pixel) return found.paths;
  const each = followedSpots(travel)
    .map((followed) => spotTrail(travel, followed))
    .filter(({ length }) => length > 1)
    .map((places) => pathsOf(places, pixel));
  const all = (name: keyof TrailPaths): string => each.map((paths) => paths[name]).join('');
  const paths = each.length > 0 ? { line: all('line'), ticks: all('ticks'), bands: all('bands') } : NOTHING;
  known.set(travel, { pixel, paths });
  return paths;
}

const seenTravels = (state: RootState): readonly Travel[] => {
  const shot = selectShot(state);
  return shot ? visibleTravels(shot, state.editor.soloFigureId) : [];
};

const hasSpots = ({ figure, move }: Travel): boolean =>
  figure.followedSpots.length > 0 || move.riders.some(({ followedSpots: spots }) => spots.length > 0);

/** The paths of followed spots: their line, ticks and where they bunch, and where each is at the playhead. */
export const SpotTrails = memo(function SpotTrails() {
  const pixel = usePixel();
  const { showsTrail, guideStrength } = useSettings();
  const isSeen = useThrottledSelector((state) => seenTravels(state).some(hasSpots));
  const [d] = useState(
    () => (name: keyof TrailPaths, at: number) => (state: RootState) =>
      seenTravels(state)
        .map((travel) => trailsOf(travel, at)[name])
        .join(''),
  );
  if (!isSeen || !showsTrail) return null;
  const dots = (state: RootState): string =>
    seenTravels(state)
      .flatMap((travel) =>
        followedSpots(travel).map((followed) => spotOn(travel, followed, selectSeenFrame(state, travel))),
      )
      .map((at) => (at ? circlePath(at, DOT_PX * pixel) : ''))
      .join('');
  return (
    <G opacity={guideStrength}>
      <LivePath path={d('line', pixel)} fill="none" stroke={colour.field} strokeWidth={3.5 * pixel} />
      <LivePath
        path={d('bands', pixel)}
        fill="none"
        stroke={colour.slate}
        strokeOpacity={BAND_OPACITY}
        strokeWidth={2 * TICK_PX * pixel}
      />
      <LivePath
        path={d('line', pixel)}
        fill="none"
        stroke={colour.slate}
        strokeWidth={1.25 * pixel}
        testID="spot-trail"
      />
      <LivePath
        path={d('ticks', pixel)}
        fill="none"
        stroke={colour.slate}
        strokeWidth={1.25 * pixel}
        testID="spot-ticks"
      />
      <SpotNumbers />
      <LivePath path={dots} fill={colour.slate} stroke={colour.field} strokeWidth={1.25 * pixel} />
    </G>
  );
});
