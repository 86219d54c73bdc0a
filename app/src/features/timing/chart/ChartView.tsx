import { timingWords as words } from '../../../words/timing';
import { LADDER_LIVE_VIEW } from './chartLiveView';
import { interactiveSurface } from '../../../interaction/interactiveSurface';
import { InteractiveView } from '../../../interaction/InteractiveView';
import { isHold, type Move, type Shot } from '@humble/core';
import { type Ladder, ladderOf, type Rung } from '@humble/core/views';
import { useState } from 'react';
import { Path, Text } from 'react-native-svg';
import { useAppStore } from '../../../store/hooks';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { currentFrame } from '../../../playback/playhead';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY, byDetail } from '../../../ui/detail';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { at, type Axis } from '../../../ui/axis';
import { useViewKeys } from '../../../interaction/useViewKeys';
import { type ChartPointerView, rungAt, rungTarget } from './rungTarget';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from '../../../store/selectors/active';
import { frameNumber } from '../../../store/frameNumbers';

const WIDTH = 148;
const RAIL = 66;
const KEY_HALF = 24;
const RUNG_HALF = 14;
const MARGIN = 16;

interface LadderProps {
  readonly shot: Shot;
  readonly move: Move;
  readonly index: number;
  readonly height: number;
}

/** The ladder of a span: the keys as long rungs, the drawings between as short ones that can be dragged. */
export function ChartView({ shot, move, index, height }: LadderProps) {
  const store = useAppStore();
  const ladder = ladderOf(shot, move, index);
  const axis = axisOf(ladder, height);
  const markId = ladder.from.id;
  const now = (): { readonly ladder: Ladder; readonly move: Move } | null =>
    selectChart(store.getState(), markId);
  const surface = interactiveSurface<ChartPointerView>({
    view: () => {
      const held = now();
      return held && { ...held, store, axis };
    },
    targets: [rungTarget],
    ground: () => ({}),
    hover: (pointer) => {
      const held = pointer && now();
      setHoveredFrame((held && rungAt({ ...held, axis }, pointer.y)?.frame) ?? null);
    },
  });
  return (
    <InteractiveView
      testID="ladder"
      label={words.chartDescription(
        frameNumber(ladder.from.frame),
        frameNumber(ladder.to.frame),
        ladder.rungs.length,
      )}
      liveView={LADDER_LIVE_VIEW}
      surface={surface}
      keys={useViewKeys()}
      width={WIDTH}
      height={height}
      className="cursor-ns-resize"
    >
      {() => <LadderDrawing ladder={ladder} axis={axis} height={height} />}
    </InteractiveView>
  );
}

function selectChart(state: RootState, markId: string) {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  const index = move?.marks.findIndex(({ id }) => id === markId) ?? -1;
  if (!shot || !move || index < 0 || index > move.marks.length - 2) return null;
  if (isHold(move.marks[index]!, move.marks[index + 1]!)) return null;
  return { move, ladder: ladderOf(shot, move, index) };
}

/** The start on top, as a chart is drawn; what goes past the keys has its room. */
function axisOf({ rungs }: Ladder, height: number): Axis {
  const shares = rungs.map(({ share }) => share);
  return {
    from: Math.min(0, ...shares),
    to: Math.max(1, ...shares),
    start: MARGIN,
    end: height - MARGIN,
  };
}

function rungPaths({ rungs }: Ladder, axis: Axis) {
  const y = ({ share }: Rung): number => at(axis, share);
  const { full, hairlines, bands } = byDetail(rungs, (a, b) => Math.abs(y(b) - y(a)));
  const left = RAIL - RUNG_HALF;
  return {
    rungs: [...full, ...hairlines].map((rung) => `M${left} ${y(rung).toFixed(1)}h${2 * RUNG_HALF}`).join(''),
    bands: bands
      .map((band) => {
        const [first, last] = [y(band[0]!), y(band[band.length - 1]!)];
        return `M${left} ${first.toFixed(1)}h${2 * RUNG_HALF}V${last.toFixed(1)}h${-2 * RUNG_HALF}Z`;
      })
      .join(''),
  };
}

interface DrawingProps {
  readonly ladder: Ladder;
  readonly axis: Axis;
  readonly height: number;
}

const MIN_DISTANCE_PX = 13;

function LadderDrawing({ ladder, axis, height }: DrawingProps) {
  useLiveDrawing();
  const { from, to, rungs } = ladder;
  const { from: least, to: most } = axis;
  const [rungsPath] = useState(() =>
    lruMemoize((move: Move, lengthFrames: number, markId: string, low: number, high: number, end: number) => {
      const scale = { from: low, to: high, start: MARGIN, end };
      const i = move.marks.findIndex(({ id }) => id === markId);
      return rungPaths(ladderOf({ lengthFrames }, move, i), scale);
    }),
  );
  const path =
    (part: 'rungs' | 'bands') =>
    (state: RootState): string => {
      const now = selectChart(state, from.id);
      const lengthFrames = state.shot.present.shot?.lengthFrames ?? 1;
      return now ? rungsPath(now.move, lengthFrames, from.id, least, most, axis.end)[part] : '';
    };
  const seen = (state: RootState): string => {
    const rung = selectChart(state, from.id)?.ladder.rungs.find(({ frame }) => frame === currentFrame());
    return rung ? `M${RAIL - RUNG_HALF} ${at(axis, rung.share).toFixed(1)}h${2 * RUNG_HALF}` : '';
  };
  const written = [at(axis, 0), at(axis, 1)];
  const numbers = rungs.filter(({ share }) => {
    const y = at(axis, share);
    if (written.some((other) => Math.abs(other - y) < MIN_DISTANCE_PX)) return false;
    written.push(y);
    return true;
  });
  const type = { fontSize: 11, fontFamily: MONO } as const;
  return (
    <LiveViewContext value={LADDER_LIVE_VIEW}>
      <Drawing width={WIDTH} height={height}>
        <Path d={`M${RAIL} ${at(axis, least)}V${at(axis, most)}`} stroke={colour.ink} strokeWidth={1.5} />
        {[
          { share: 0, mark: from },
          { share: 1, mark: to },
        ].map(({ share, mark }) => (
          <Path
            key={mark.id}
            d={`M${RAIL - KEY_HALF} ${at(axis, share)}h${2 * KEY_HALF}`}
            stroke={colour.ink}
            strokeWidth={3}
          />
        ))}
        <LivePath path={path('bands')} fill={colour.indigo} fillOpacity={BAND_OPACITY} />
        <LivePath path={path('rungs')} stroke={colour.indigo} strokeWidth={1.75} testID="ladder-rungs" />
        <LivePath path={seen} stroke={colour.brass} strokeWidth={4} />
        {[
          { share: 0, frame: from.frame, tone: colour.ink },
          { share: 1, frame: to.frame, tone: colour.ink },
          ...numbers.map((rung) => ({ ...rung, tone: colour.soft })),
        ].map(({ share, frame, tone }) => (
          <Text
            key={frame}
            {...type}
            x={RAIL - KEY_HALF - 6}
            y={at(axis, share) + 4}
            textAnchor="end"
            fill={tone}
          >
            {String(frameNumber(frame))}
          </Text>
        ))}
        {numbers.map(({ frame, share }) => (
          <Text key={frame} {...type} x={RAIL + KEY_HALF + 6} y={at(axis, share) + 4} fill={colour.indigo}>
            {`${fixed(share * 100, 1)} %`}
          </Text>
        ))}
      </Drawing>
    </LiveViewContext>
  );
}
