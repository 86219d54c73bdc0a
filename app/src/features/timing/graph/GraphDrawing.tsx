import { GRAPH_LIVE_VIEW } from './graphLiveView';
import { evaluate, type Travel, type UnrolledArc } from '@humble/core';
import { memo, useMemo } from 'react';
import { ClipPath, Defs, G, Path, Rect, Text } from 'react-native-svg';
import { useThrottledEditor } from '../../../store/hooks';
import { LivePath, ChunkedLivePath, LiveViewContext, useLiveDrawing } from '../../../render/livePaths';
import { createChunkedPath } from '../../../render/chunkedPath';
import { currentFrame } from '../../../playback/playhead';
import type { RootState } from '../../../store/store';
import { chosenIn } from '../../../store/timingSelection';
import { colour } from '../../../ui/colour';
import { ClearSheet, Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { at, isInSight, roundStep } from '../../../ui/axis';
import {
  axisTicksPath,
  barsPath,
  chosenPath,
  constantPath,
  curveOf,
  dotsPath,
  type GraphAxes,
  graphPostsPath,
  knobsPath,
  projectionsPath,
  skippedDotsPath,
  stemsPath,
} from './graphPaths';
import { followMarks, followRuler, followTicks } from '../views/follow';
import { handlesIn, timingIn, type TimingNow } from '../views/timingIn';

interface DrawingProps {
  readonly now: TimingNow;
  readonly axes: GraphAxes;
  readonly size: { readonly width: number; readonly height: number };
  readonly tallestOf: (ruler: UnrolledArc) => number;
}

/** Name of the part of the drawing that the curve may not leave, however it is zoomed. */
const PLOT = 'graph-plot';

/** What is to be seen in the graph; its shapes follow by themselves. */
export const GraphDrawing = memo(function GraphDrawing({ now, axes, size, tallestOf }: DrawingProps) {
  useLiveDrawing();
  const { time, distance, pace } = axes;
  const paths = useMemo(() => livePaths(axes, tallestOf), [axes, tallestOf]);
  return (
    <LiveViewContext value={GRAPH_LIVE_VIEW}>
      <Drawing width={size.width} height={size.height}>
        <LivePath path={paths.chosen} fill={colour.brasswash} testID="graph-chosen" />
        <Path
          d={`M${time.start} ${distance.start}V${distance.end}M${time.start} ${distance.start}H${time.end}M${time.start} ${pace.foot}H${time.end}`}
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
          <LivePath path={paths.stems} stroke={colour.brass} strokeWidth={1.25} fill="none" />
        </G>
        <LivePath path={paths.dots} fill={colour.indigo} testID="graph-dots" />
        <LivePath path={paths.skipped} stroke={colour.soft} strokeWidth={1.5} />
        <LivePath path={paths.byHand} fill={colour.card} stroke={colour.persimmon} strokeWidth={1.5} />
        <ChunkedLivePath paths={paths.bars} fill={colour.indigo} fillOpacity={0.75} testID="pace-bars" />
        <ChunkedLivePath paths={paths.barsBack} fill="none" stroke={colour.indigo} strokeWidth={1.25} />
        <FrameNumbers now={now} axes={axes} />
        <PlaceNumbers now={now} axes={axes} />
        <LivePath path={paths.playhead} stroke={colour.brass} strokeWidth={1.5} testID="graph-playhead" />
        <LivePath path={paths.playheadTop} fill={colour.brass} />
        <LivePath path={paths.posts} stroke={colour.ink} strokeWidth={2.5} fill="none" testID="graph-posts" />
        <LivePath
          path={paths.selected}
          stroke={colour.brass}
          strokeWidth={5}
          fill="none"
          testID="graph-selected"
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

const travelIn = (state: RootState, moveId: string): Travel | undefined =>
  evaluate(state.shot.present.shot!).travels.find(({ move }) => move.id === moveId);

/** Frame numbers stand between these, pixels beneath the ground of the graph. */
const NUMBER_TOP = 11;
const NUMBER_BASE = 21;

/** What follows by itself in the graph. */
function livePaths(axes: GraphAxes, tallestOf: DrawingProps['tallestOf']) {
  const posts = (isMeant: (isSelected: boolean) => boolean) =>
    followMarks((ruler, selected) => graphPostsPath(ruler, axes, (id) => isMeant(selected.includes(id))));
  const bars = (isBackwards: boolean) =>
    followTicks((ticks, piece, tallest) => barsPath(ticks, axes, tallest, isBackwards, piece), tallestOf);
  const curve = createChunkedPath<number, number>({
    write: (plan, piece, fieldUnits) => curveOf(plan, fieldUnits, axes, piece),
    isSame: Object.is,
  });
  const playhead = (path: (x: string) => string): string =>
    isInSight(axes.time, currentFrame()) ? path(at(axes.time, currentFrame()).toFixed(1)) : '';
  return {
    curve: (state: RootState): readonly string[] => {
      const now = timingIn(state);
      const travel = now && travelIn(state, now.move.id);
      return travel ? curve(travel.plan, now.fieldUnits) : [];
    },
    projections: followTicks((ticks, piece) => projectionsPath(ticks, axes, piece)),
    axisTicks: followTicks((ticks, piece) => axisTicksPath(ticks, axes, piece)),
    constant: followRuler((ruler) => constantPath(ruler, axes)),
    dots: followRuler((ruler) => dotsPath(ruler, axes, false)),
    byHand: followRuler((ruler) => dotsPath(ruler, axes, true)),
    skipped: followRuler((ruler) => skippedDotsPath(ruler, axes)),
    posts: posts((isSelected) => !isSelected),
    selected: posts((isSelected) => isSelected),
    bars: bars(false),
    barsBack: bars(true),
    stems: (state: RootState): string => stemsPath(handlesIn(state), axes),
    knobs: (state: RootState): string => knobsPath(handlesIn(state), axes),
    chosen: (state: RootState): string => {
      const now = timingIn(state);
      const chosen = chosenIn(state);
      return now && chosen ? chosenPath(chosen, now.fieldUnits, axes) : '';
    },
    // It leaves the frame numbers legible.
    playhead: (): string => {
      const { distance, pace } = axes;
      return playhead(
        (x) =>
          `M${x} ${distance.end - 6}V${distance.start + NUMBER_TOP}M${x} ${distance.start + NUMBER_BASE + 3}V${pace.foot}`,
      );
    },
    playheadTop: (): string => playhead((x) => `M${x} ${axes.distance.end - 8}m-5 0h10l-5 7z`),
  };
}

const NUMBER_ROOM_PX = 26;

/** Frames of marks, and round ones between them where there is room. */
function FrameNumbers({ now: { move }, axes: { time, distance } }: Pick<DrawingProps, 'now' | 'axes'>) {
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const step = Math.max(1, roundStep(time.to - time.from, (time.end - time.start) / 44));
  const round: number[] = [];
  for (let f = Math.ceil(time.from / step) * step; f <= time.to; f += step) round.push(f);
  const written: { x: number; frame: number; isMark: boolean; isSelected: boolean }[] = [];
  const write = (frame: number, isMark: boolean, isSelected: boolean): void => {
    const x = at(time, frame);
    if (!isInSight(time, frame) || written.some((one) => Math.abs(one.x - x) < NUMBER_ROOM_PX)) return;
    written.push({ x, frame, isMark, isSelected });
  };
  move.marks.filter(({ id }) => selected.includes(id)).forEach(({ frame }) => write(frame, true, true));
  move.marks.forEach(({ frame }) => write(frame, true, false));
  round.forEach((frame) => write(frame, false, false));
  return written.map(({ x, frame, isMark, isSelected }) => (
    <Text
      key={frame}
      x={x}
      y={distance.start + NUMBER_BASE}
      fontSize={11}
      fontFamily={MONO}
      textAnchor="middle"
      fill={isSelected ? colour.brass : isMark ? colour.ink : colour.soft}
    >
      {String(frame)}
    </Text>
  ));
}

/** Places of posts on the ruler that stands as the axis, where there is room. */
function PlaceNumbers({ now: { ruler }, axes: { time, distance } }: Pick<DrawingProps, 'now' | 'axes'>) {
  const written: number[] = [];
  return ruler.posts.map(({ arcDistance, markIds }) => {
    const y = at(distance, arcDistance);
    if (!isInSight(distance, arcDistance) || written.some((other) => Math.abs(other - y) < 13)) return null;
    written.push(y);
    return (
      <Text
        key={markIds[0]}
        x={time.start - 15}
        y={y + 4}
        fontSize={11}
        fontFamily={MONO}
        textAnchor="end"
        fill={colour.ink}
      >
        {fixed(arcDistance, 0)}
      </Text>
    );
  });
}
