import { GRAPH_LIVE_VIEW } from './graphLiveView';
import { evaluate, type Travel, travelOfMove } from '@humble/core';
import { type UnrolledArc } from '@humble/core/views';
import { memo, useMemo } from 'react';
import { ClipPath, Defs, G, Path, Rect } from 'react-native-svg';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, ChunkedLivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { createChunkedPath } from '../../../render/chunkedPath';
import type { ShotFinding } from '@humble/core/checks';
import { currentFrame } from '../../../playback/playhead';
import { useSoundWave, wavePath } from '../../../playback/soundWave';
import { selectActiveFindings } from '../../../store/selectors/activeFindings';
import { selectComparison } from '../../../store/selectors/comparison';
import type { RootState } from '../../../store/store';
import { selectPickedRange, selectPassage } from '../../../store/selectors/timingSelection';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY } from '../../../ui/detail';
import { ClearSheet, Drawing } from '../../../ui/Drawing';
import { FINDING_LINE_PX, findingMarks } from '../../../ui/findingMarks';
import { OTHER_TAKE } from '../../../ui/otherTake';
import { at, type Axis, isInSight, valueAt } from '../../../ui/axis';
import {
  axisTicksPath,
  barsPath,
  chosenPath,
  constantPath,
  curveOf,
  dotsPath,
  graphPostsByDetail,
  graphPostsPath,
  knobsPath,
  POST_HALF_PX,
  projectionsPath,
  skippedDotsPath,
  stemsPath,
} from './graphPaths';
import type { GraphAxes } from './graphAxes';
import { EDGE_PX, edgesOf } from './knobs';
import { FrameNumbers, NUMBER_BASE, PlaceNumbers } from './GraphNumbers';
import { followMarks, followRuler, followTicks } from '../targets/follow';
import { selectHandles, selectTiming, type TimingNow } from '../targets/selectTiming';
import { lruMemoize } from '@reduxjs/toolkit';

interface DrawingProps {
  readonly now: TimingNow;
  readonly axes: GraphAxes;
  readonly size: { readonly width: number; readonly height: number };
  readonly tallestOf: (ruler: UnrolledArc) => number;
}

/** Name of the part of the drawing that the curve may not leave, however it is zoomed. */
const PLOT = 'graph-plot';

export const GraphDrawing = memo(function GraphDrawing({ now, axes, size, tallestOf }: DrawingProps) {
  useLiveDrawing();
  const { time, distance, pace } = axes;
  const paths = useMemo(() => livePaths(axes, tallestOf), [axes, tallestOf]);
  return (
    <LiveViewContext value={GRAPH_LIVE_VIEW}>
      <Drawing width={size.width} height={size.height}>
        <Wave axes={axes} rate={now.rate} />
        <LivePath path={paths.chosen} fill={colour.brasswash} testID="graph-chosen" />
        <Path
          d={`M${time.start} ${distance.start}V${distance.end}M${time.start} ${distance.start}H${time.end}M${pace.time.start} ${pace.foot}H${pace.time.end}`}
          stroke={colour.line}
          strokeWidth={1}
        />
        <ChunkedLivePath
          paths={paths.projections}
          stroke={colour.indigo}
          strokeWidth={1}
          strokeOpacity={0.28}
          testID="graph-projections"
        />
        <ChunkedLivePath
          paths={paths.axisTicks}
          stroke={colour.indigo}
          strokeWidth={1.25}
          testID="graph-axis-ticks"
        />
        <Defs>
          <ClipPath id={PLOT}>
            <Rect
              x={time.start}
              y={distance.end - 1}
              width={time.end - time.start + 1}
              height={distance.start - distance.end + 2}
            />
          </ClipPath>
        </Defs>
        <G clipPath={`url(#${PLOT})`}>
          <ClearSheet width={size.width} height={size.height} />
          <LivePath path={paths.constant} stroke={colour.soft} strokeWidth={1} strokeDasharray="2 4" />
          <ChunkedLivePath
            paths={paths.curve}
            stroke={colour.indigo}
            strokeWidth={2}
            fill="none"
            testID="graph-curve"
          />
          <LivePath
            path={paths.otherTake}
            stroke={colour[OTHER_TAKE.tone]}
            strokeWidth={2}
            strokeDasharray={OTHER_TAKE.dashes.join(' ')}
            fill="none"
            testID="graph-other-take"
          />
          <LivePath path={paths.stems} stroke={colour.brass} strokeWidth={1.25} fill="none" />
        </G>
        <LivePath path={paths.dots} fill={colour.indigo} testID="graph-dots" />
        <LivePath path={paths.skipped} stroke={colour.soft} strokeWidth={1.5} />
        <LivePath path={paths.byHand} fill={colour.card} stroke={colour.persimmon} strokeWidth={1.5} />
        <ChunkedLivePath paths={paths.bars} fill={colour.indigo} fillOpacity={0.75} testID="pace-bars" />
        <ChunkedLivePath paths={paths.barsBack} fill="none" stroke={colour.indigo} strokeWidth={1.25} />
        <FrameNumbers now={now} axes={axes} />
        <PlaceNumbers now={now} axes={axes} />
        <LivePath
          path={paths.findings}
          fill="none"
          stroke={colour.plum}
          strokeWidth={FINDING_LINE_PX}
          testID="graph-findings"
        />
        <LivePath path={paths.playhead} stroke={colour.brass} strokeWidth={1.5} testID="graph-playhead" />
        <LivePath path={paths.playheadTop} fill={colour.brass} />
        <LivePath
          path={paths.bands}
          stroke={colour.ink}
          strokeWidth={2 * POST_HALF_PX}
          strokeOpacity={BAND_OPACITY}
          fill="none"
        />
        <LivePath path={paths.hairlines} stroke={colour.ink} strokeWidth={1} testID="graph-hairlines" />
        <LivePath path={paths.posts} stroke={colour.ink} strokeWidth={2.5} fill="none" testID="graph-posts" />
        <LivePath
          path={paths.selected}
          stroke={colour.brass}
          strokeWidth={5}
          fill="none"
          testID="graph-selected"
        />
        <LivePath
          path={paths.edges}
          fill={colour.brass}
          stroke={colour.card}
          strokeWidth={1.5}
          testID="graph-edges"
        />
        <LivePath
          path={paths.knobs}
          fill={colour.brass}
          stroke={colour.card}
          strokeWidth={1.5}
          testID="graph-knobs"
        />
      </Drawing>
    </LiveViewContext>
  );
});

const WAVE_HALF = 14;

function Wave({ axes: { time, distance }, rate }: { readonly axes: GraphAxes; readonly rate: number }) {
  const wave = useSoundWave();
  if (!wave) return null;
  const secondsAt = (x: number): number => (valueAt(time, x) - 1) / rate;
  return (
    <Path
      d={wavePath(wave, secondsAt, time, distance.start - WAVE_HALF - 1, WAVE_HALF)}
      fill={colour.ink}
      fillOpacity={0.45}
      testID="graph-wave"
    />
  );
}

const travelIn = (state: RootState, moveId: string): Travel | undefined =>
  travelOfMove(evaluate(state.shot.present.shot!), moveId);

/** Frame numbers stand between these, pixels beneath the ground of the graph. */
const NUMBER_TOP = 11;

function livePaths(axes: GraphAxes, tallestOf: DrawingProps['tallestOf']) {
  const posts = lruMemoize((ruler: UnrolledArc) => graphPostsByDetail(ruler, axes));
  const bars = (isBackwards: boolean) =>
    followTicks((ticks, piece, tallest) => barsPath(ticks, axes, tallest, isBackwards, piece), tallestOf);
  const curve = createChunkedPath<number, number>({
    write: (plan, piece, fieldUnits) => curveOf(plan, fieldUnits, axes, piece),
    isSame: Object.is,
  });
  const otherCurve = lruMemoize((plan: ArrayLike<number>, fieldUnits: number, shift: number) => {
    const { from, to } = axes.time;
    return curveOf(plan, fieldUnits, { ...axes, time: { ...axes.time, from: from - shift, to: to - shift } });
  });
  const found = lruMemoize((findings: readonly ShotFinding[]) =>
    findingMarks(
      findings,
      (frame) => (isInSight(axes.time, frame) ? at(axes.time, frame) : null),
      axes.distance.start + 1,
    ),
  );
  const playhead = (path: (x: string, inPace: string) => string): string => {
    const xIn = (time: Axis): string => at(time, currentFrame()).toFixed(1);
    return isInSight(axes.time, currentFrame()) ? path(xIn(axes.time), xIn(axes.pace.time)) : '';
  };
  return {
    curve: (state: RootState): readonly string[] => {
      const now = selectTiming(state);
      const travel = now && travelIn(state, now.move.id);
      return travel ? curve(travel.plan, now.fieldUnits) : [];
    },
    otherTake: (state: RootState): string => {
      const now = selectTiming(state);
      const comparison = selectComparison(state);
      const travel = now && comparison && travelOfMove(evaluate(comparison.other), now.move.id);
      return travel ? otherCurve(travel.plan, now.fieldUnits, comparison.shift) : '';
    },
    findings: (state: RootState): string => found(selectActiveFindings(state)),
    projections: followTicks((ticks, piece) => projectionsPath(ticks, axes, piece)),
    axisTicks: followTicks((ticks, piece) => axisTicksPath(ticks, axes, piece)),
    constant: followRuler((ruler) => constantPath(ruler, axes)),
    dots: followRuler((ruler) => dotsPath(ruler, axes, false)),
    byHand: followRuler((ruler) => dotsPath(ruler, axes, true)),
    skipped: followRuler((ruler) => skippedDotsPath(ruler, axes)),
    posts: followRuler((ruler) => posts(ruler).full),
    hairlines: followRuler((ruler) => posts(ruler).hairlines),
    bands: followRuler((ruler) => posts(ruler).bands),
    selected: followMarks((ruler, selected) => graphPostsPath(ruler, axes, selected)),
    bars: bars(false),
    barsBack: bars(true),
    stems: (state: RootState): string => stemsPath(selectHandles(state), axes),
    knobs: (state: RootState): string => knobsPath(selectHandles(state), axes),
    chosen: (state: RootState): string => {
      const now = selectTiming(state);
      const chosen = selectPickedRange(state);
      return now && chosen ? chosenPath(chosen, now.fieldUnits, axes) : '';
    },
    edges: (state: RootState): string => {
      const passage = selectPassage(state);
      return edgesOf(passage, axes.time)
        .map(
          (edge) =>
            `M${(at(axes.time, passage![edge]) - 5).toFixed(1)} ${axes.distance.end}h10v${EDGE_PX}h-10Z`,
        )
        .join('');
    },
    playhead: (): string => {
      const { distance, pace } = axes;
      return playhead(
        (x, inPace) =>
          `M${x} ${distance.end - 6}V${distance.start + NUMBER_TOP}M${inPace} ${pace.isBeside ? distance.end : distance.start + NUMBER_BASE + 3}V${pace.foot}`,
      );
    },
    playheadTop: (): string => playhead((x) => `M${x} ${axes.distance.end - 8}m-5 0h10l-5 7z`),
  };
}
