import { timingWords as words } from '../../../words/timing';
import { LADDER_LIVE_VIEW } from './chartLiveView';
import type { ViewPointer } from '../../../render/pointerSession';
import { useViewPointer } from '../../../playback/useViewPointer';
import { isHold, type Move, type Shot } from '@humble/core';
import { type Ladder, ladderOf, type Rung } from '@humble/core/views';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { Path, Text } from 'react-native-svg';
import { pictureMenu } from '../../../commands/menus/timingMenus';
import { doEdit } from '../../../store/doEdit';
import { useAppStore } from '../../../store/hooks';
import { LiveViewContext } from '../../../render/createLiveShapes';
import { LivePath, useLiveDrawing } from '../../../playback/liveShapes';
import { currentFrame, goTo } from '../../../playback/playhead';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY, byDetail } from '../../../ui/detail';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { createUndoGroup } from '../../../ui/undoGroup';
import { fixed } from '../../../ui/numbers';
import { at, type Axis, valueAt } from '../../../ui/axis';
import { useViewKeys } from '../views/useViewKeys';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from '../../../store/selectors/active';
import { frameNumber } from '../../../store/frameNumbers';

const WIDTH = 148;
const RAIL = 66;
const KEY_HALF = 24;
const RUNG_HALF = 14;
const MARGIN = 16;
const TAKE_PX = 16;

interface LadderProps {
  readonly shot: Shot;
  readonly move: Move;
  /** Which mark the span starts at. */
  readonly index: number;
  readonly height: number;
}

/** The ladder of a span: the keys as long rungs, the drawings between as short ones that can be dragged. */
export function ChartView({ shot, move, index, height }: LadderProps) {
  const store = useAppStore();
  const view = useRef<View>(null);
  const ladder = ladderOf(shot, move, index);
  const axis = axisOf(ladder, height);
  const keys = useViewKeys(null);
  const markId = ladder.from.id;
  const now = (): { readonly ladder: Ladder; readonly move: Move } | null =>
    selectChart(store.getState(), markId);
  const rungAt = (y: number): Rung | null => {
    let best: Rung | null = null;
    let least = TAKE_PX;
    for (const rung of now()?.ladder.rungs ?? []) {
      const away = Math.abs(at(axis, rung.share) - y);
      if (away >= least) continue;
      least = away;
      best = rung;
    }
    return best;
  };
  const gesture = useViewPointer<ViewPointer>(view, LADDER_LIVE_VIEW, {
    pointer: (raw) => raw,
    press: (start) => {
      const rung = rungAt(start.y);
      const held = now();
      if (!rung || !held) return {};
      const { from, to } = held.ladder;
      const name = createUndoGroup('ladder');
      return {
        tap: () => goTo(rung.frame),
        drag: ({ y }) => {
          const share = rung.share + valueAt(axis, y) - valueAt(axis, start.y);
          goTo(rung.frame);
          store.dispatch(
            doEdit(
              'moveTick',
              {
                moveId: held.move.id,
                frame: rung.frame,
                fraction: from.fraction + share * (to.fraction - from.fraction),
                reachFrames: 0,
              },
              name,
            ),
          );
        },
      };
    },
    menu: ({ y }) => {
      const rung = rungAt(y);
      return rung && pictureMenu(store, rung.frame);
    },
    hover: (at) => setHoveredFrame((at && rungAt(at.y)?.frame) ?? null),
  });
  return (
    <GestureDetector gesture={gesture} touchAction="none">
      <View
        ref={view}
        collapsable={false}
        testID="ladder"
        role="application"
        tabIndex={0}
        aria-label={words.spacingChartOfFramesToDrawings(
          frameNumber(ladder.from.frame),
          frameNumber(ladder.to.frame),
          ladder.rungs.length,
        )}
        style={{ width: WIDTH, height }}
        className="cursor-ns-resize"
        {...keys}
      >
        <LadderDrawing ladder={ladder} axis={axis} height={height} />
      </View>
    </GestureDetector>
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

/** Rungs where they have room, and bands where they would touch. */
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
