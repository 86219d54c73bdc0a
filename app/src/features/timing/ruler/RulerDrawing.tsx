import { RULER_LIVE_VIEW } from './rulerLiveView';
import type { ShotFinding } from '@humble/core/checks';
import type { Travel } from '@humble/core';
import { followedSpots, type Post, spotTrail, type UnrolledArc, unrolledArc } from '@humble/core/views';
import { memo, useMemo } from 'react';
import { Path, Text } from 'react-native-svg';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, ChunkedLivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { selectActiveFindings } from '../../../store/selectors/activeFindings';
import { selectComparison } from '../../../store/selectors/comparison';
import type { RootState } from '../../../store/store';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { selectPickedRange } from '../../../store/selectors/timingSelection';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY } from '../../../ui/detail';
import { Drawing } from '../../../ui/Drawing';
import { FINDING_LINE_PX, findingMarks } from '../../../ui/findingMarks';
import { MONO, SANS } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { OTHER_TAKE } from '../../../ui/otherTake';
import { at, type Axis, isInSight } from '../../../ui/axis';
import { followMarks, followRuler, followTicks } from '../targets/follow';
import {
  BASE,
  byHandPath,
  evenBandPath,
  evenPath,
  incrementLabels,
  LONG,
  otherTicksPath,
  postNames,
  postsByDetail,
  postsPath,
  SHORT,
  skippedPath,
  tickBandsPath,
  rulerTicksPath,
  spotTicksPath,
} from './rulerPaths';
import { arcDistanceAtPlayhead, selectTiming } from '../targets/selectTiming';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from '../../../store/selectors/active';
import { useThrottledEditor, useThrottledSelector } from '../../../store/throttled/hooks';

/** Height of the ruler, and room at both of its ends, pixels. */
export const HEIGHT = 84;
export const SIDE = 12;
/** A letter of a take's name, which stands among the increments, pixels. */
const NAME_PX = 6;

interface DrawingProps {
  readonly ruler: UnrolledArc;
  readonly axis: Axis;
  readonly width: number;
}

const isSelectedIn =
  (selected: readonly string[]) =>
  ({ markIds }: Post): boolean =>
    markIds.some((id) => selected.includes(id));

export const RulerDrawing = memo(function RulerDrawing({ ruler, axis, width }: DrawingProps) {
  useLiveDrawing();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const otherTake = useThrottledSelector((state) => selectComparison(state)?.name ?? null);
  const paths = useMemo(() => livePaths(axis), [axis]);
  const end = Math.min(at(axis, ruler.to), axis.end);
  return (
    <LiveViewContext value={RULER_LIVE_VIEW}>
      <Drawing width={width} height={HEIGHT}>
        {otherTake !== null && (
          <Text x={SIDE} y={23} fontSize={11} fontFamily={SANS} fill={colour[OTHER_TAKE.tone]}>
            {otherTake}
          </Text>
        )}
        <LivePath path={paths.chosen} fill={colour.brasswash} testID="ruler-chosen" />
        <LivePath path={paths.evenBand} fill={colour.soft} fillOpacity={BAND_OPACITY} />
        <LivePath path={paths.even} stroke={colour.soft} strokeWidth={1} strokeOpacity={0.7} />
        <LivePath
          path={paths.otherTake}
          stroke={colour[OTHER_TAKE.tone]}
          strokeWidth={1.5}
          testID="ruler-other-take"
        />
        <Path
          d={`M${Math.max(axis.start, at(axis, ruler.from))} ${BASE}H${end}`}
          stroke={colour.ink}
          strokeWidth={1.5}
        />
        <ChunkedLivePath
          paths={paths.tickBands}
          fill={colour.indigo}
          fillOpacity={BAND_OPACITY}
          testID="ruler-tick-bands"
        />
        <ChunkedLivePath paths={paths.short} stroke={colour.indigo} strokeWidth={1.25} testID="ruler-ticks" />
        <ChunkedLivePath
          paths={paths.long}
          stroke={colour.indigo}
          strokeWidth={1.5}
          testID="ruler-long-ticks"
        />
        <LivePath path={paths.spots} stroke={colour.slate} strokeWidth={1.25} testID="ruler-spots" />
        <LivePath path={paths.skipped} stroke={colour.soft} strokeWidth={1.25} testID="ruler-skipped" />
        <LivePath
          path={paths.byHand}
          stroke={colour.persimmon}
          strokeWidth={1.5}
          strokeDasharray="4 3"
          fill={colour.card}
          testID="ruler-by-hand"
        />
        {incrementLabels(ruler, axis, (along) => fixed(along, 1))
          .filter(({ x }) => otherTake === null || x > SIDE + NAME_PX * (otherTake.length + 2))
          .map(({ x, text }) => (
            <Text
              key={x}
              x={x}
              y={BASE - LONG - 4}
              fontSize={11}
              fontFamily={MONO}
              textAnchor="middle"
              fill={colour.indigo}
            >
              {text}
            </Text>
          ))}
        <LivePath path={paths.bands} fill={colour.ink} fillOpacity={BAND_OPACITY} />
        <LivePath path={paths.hairlines} stroke={colour.ink} strokeWidth={1} testID="ruler-hairlines" />
        <LivePath path={paths.posts} stroke={colour.ink} strokeWidth={2.5} fill="none" testID="ruler-posts" />
        <LivePath
          path={paths.selected}
          stroke={colour.brass}
          strokeWidth={4.5}
          fill="none"
          testID="ruler-selected"
        />
        {postNames(ruler, axis, isSelectedIn(selected), width).map(({ x, y, text, isSelected }) => (
          <Text
            key={`${x} ${y}`}
            x={x}
            y={y}
            fontSize={11}
            fontFamily={MONO}
            fontWeight={isSelected ? '600' : '400'}
            textAnchor="middle"
            fill={isSelected ? colour.brass : colour.ink}
          >
            {text}
          </Text>
        ))}
        <LivePath
          path={paths.findings}
          fill="none"
          stroke={colour.plum}
          strokeWidth={FINDING_LINE_PX}
          testID="ruler-findings"
        />
        <LivePath path={paths.needle} stroke={colour.brass} strokeWidth={3.5} testID="ruler-needle" />
        <LivePath path={paths.needleHead} fill={colour.brass} />
      </Drawing>
    </LiveViewContext>
  );
});

function livePaths(axis: Axis) {
  const needle = (state: RootState, path: (x: string) => string): string => {
    const ruler = selectTiming(state)?.ruler;
    return ruler?.ticks.length ? path(at(axis, arcDistanceAtPlayhead(ruler)).toFixed(2)) : '';
  };
  const posts = lruMemoize((ruler: UnrolledArc) => postsByDetail(ruler, axis));
  const others = lruMemoize((ruler: UnrolledArc) => otherTicksPath(ruler, axis));
  const spots = lruMemoize((travel: Travel, perUnit: number) =>
    spotTicksPath(
      followedSpots(travel).map((followed) => spotTrail(travel, followed)),
      perUnit,
      axis,
    ),
  );
  const found = lruMemoize((findings: readonly ShotFinding[], { ticks }: UnrolledArc) =>
    findingMarks(
      findings,
      (frame) => {
        const tick = ticks.findLast((one) => one.frame <= frame);
        return tick && isInSight(axis, tick.arcDistance) ? at(axis, tick.arcDistance) : null;
      },
      BASE + 2,
    ),
  );
  const unlessCompared =
    (path: (state: RootState) => string) =>
    (state: RootState): string =>
      selectComparison(state) ? '' : path(state);
  return {
    short: followTicks((ticks, piece) => rulerTicksPath(ticks, axis, false, piece)),
    long: followTicks((ticks, piece) => rulerTicksPath(ticks, axis, true, piece)),
    tickBands: followTicks((ticks, piece) => tickBandsPath(ticks, axis, piece)),
    // While takes are compared the row above is the other take's.
    even: unlessCompared(followRuler((ruler) => evenPath(ruler, axis))),
    evenBand: unlessCompared(followRuler((ruler) => evenBandPath(ruler, axis))),
    otherTake: (state: RootState): string => {
      const comparison = selectComparison(state);
      const move = selectActiveMove(state);
      const same = comparison && comparison.other.moves.find(({ id }) => id === move?.id);
      return same ? others(unrolledArc(comparison.other, same)) : '';
    },
    findings: (state: RootState): string => {
      const ruler = selectTiming(state)?.ruler;
      return ruler ? found(selectActiveFindings(state), ruler) : '';
    },
    spots: (state: RootState): string => {
      const timing = selectTiming(state);
      const travel = selectActiveTravel(state);
      return timing && travel ? spots(travel, 1 / timing.fieldUnits) : '';
    },
    skipped: followRuler((ruler) => skippedPath(ruler, axis)),
    byHand: followRuler((ruler) => byHandPath(ruler, axis)),
    posts: followRuler((ruler) => posts(ruler).full),
    hairlines: followRuler((ruler) => posts(ruler).hairlines),
    bands: followRuler((ruler) => posts(ruler).bands),
    selected: followMarks((ruler, selected) => postsPath(ruler, axis, isSelectedIn(selected))),
    needle: (state: RootState): string => needle(state, (x) => `M${x} ${BASE}v${-SHORT}`),
    needleHead: (state: RootState): string => needle(state, (x) => `M${x} 13m-6 0h12l-6 8z`),
    chosen: (state: RootState): string => {
      const now = selectTiming(state);
      const chosen = selectPickedRange(state);
      if (!now || !chosen) return '';
      const [a, b] = [chosen.stretch.from, chosen.stretch.to].map((s) => at(axis, s / now.fieldUnits));
      return `M${a} 2H${Math.max(b!, a! + 2)}V${BASE}H${a}Z`;
    },
  };
}
