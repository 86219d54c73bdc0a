import {
  beginsExposure,
  evaluate,
  exposureFrames,
  measureArc,
  pointAtDistance,
  type Travel,
} from '@humble/core';
import { byDetail } from '../../../ui/detail';
import { selectActiveTravel } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { selectPickedRange, type RangeOnTravel } from '../../../store/selectors/timingSelection';
import { acrossPath, postPath, visibleTravels } from './arcPaths';
import { lruMemoize } from '@reduxjs/toolkit';

const spotsOf = ({ move, arc, arcLength }: Travel) =>
  move.marks.map(({ id, fraction, kind }) => {
    const { x, y, headingDeg } = pointAtDistance(arc, fraction * arcLength);
    const turn = (headingDeg * Math.PI) / 180;
    return { id, kind, x, y, acrossX: -Math.sin(turn), acrossY: Math.cos(turn) };
  });

const postsOf = (travel: Travel, pixel: number, markIds: readonly string[]): string =>
  spotsOf(travel)
    .filter(({ id }) => markIds.includes(id))
    .map((spot) => postPath(spot, spot.kind, pixel))
    .join('');

function postsByDetail(travel: Travel, pixel: number) {
  const { full, hairlines, bands } = byDetail(
    spotsOf(travel),
    (a, b) => Math.hypot(a.x - b.x, a.y - b.y) / pixel,
  );
  return {
    full: full.map((spot) => postPath(spot, spot.kind, pixel)).join(''),
    hairlines: hairlines.map((spot) => acrossPath(spot, pixel)).join(''),
    bands: bands
      .map((band) =>
        band.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''),
      )
      .join(''),
  };
}

/** How finely a chosen stretch is followed. */
const STRETCH_STEPS = 64;

function stretchPath({ arc, arcLength }: Travel, { stretch }: RangeOnTravel): string {
  if (measureArc(arc).length === 0) return '';
  const { from, to } = stretch;
  const steps = Math.max(2, Math.ceil((STRETCH_STEPS * (to - from)) / (arcLength || 1)));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const { x, y } = pointAtDistance(arc, from + ((to - from) * i) / steps);
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
  }).join('');
}

const LOZENGE_PX = 7;

function byHandPaths({ move, x, y }: Travel, pixel: number): { lozenges: string; lines: string } {
  const r = LOZENGE_PX * pixel;
  const put = move.overrides.filter(({ frame }) => frame <= x.length && beginsExposure(move, frame));
  return {
    lozenges: put
      .map(({ frame }) => `M${x[frame - 1]! - r} ${y[frame - 1]}l${r} ${-r}l${r} ${r}l${-r} ${r}z`)
      .join(''),
    lines: put
      .map(({ frame, dx, dy }) => `M${x[frame - 1]! - dx} ${y[frame - 1]! - dy}l${dx} ${dy}`)
      .join(''),
  };
}

const CROSS_PX = 5;

function skippedCrosses({ move, arc, arcLength, x, y }: Travel, pixel: number): string {
  const frames = new Set(exposureFrames(move, x.length));
  const r = CROSS_PX * pixel;
  return move.skips
    .flatMap(({ frame, cut }) => {
      if (cut) return [pointAtDistance(arc, cut.fraction * arcLength)];
      return frames.has(frame) ? [{ x: x[frame - 1]!, y: y[frame - 1]! }] : [];
    })
    .map((at) => `M${at.x - r} ${at.y - r}l${2 * r} ${2 * r}m0 ${-2 * r}l${-2 * r} ${2 * r}`)
    .join('');
}

export function livePaths(pixel: number) {
  const active = (work: (travel: Travel) => string) => {
    const kept = lruMemoize(work);
    return (state: RootState): string => {
      const travel = selectActiveTravel(state);
      return travel && !travel.arc.hidden ? kept(travel) : '';
    };
  };
  const all = lruMemoize((travels: readonly Travel[]) => {
    const each = travels.map((travel) => postsByDetail(travel, pixel));
    const join = (detail: keyof (typeof each)[number]): string => each.map((one) => one[detail]).join('');
    return { full: join('full'), hairlines: join('hairlines'), bands: join('bands') };
  });
  const posts =
    (detail: 'full' | 'hairlines' | 'bands') =>
    (state: RootState): string => {
      const { shot } = state.shot.present;
      return shot && evaluate(shot).travels.length > 0
        ? all(visibleTravels(shot, state.editor.soloFigureId))[detail]
        : '';
    };
  const selected = lruMemoize((travel: Travel, ids: readonly string[]) =>
    ids.length > 0 ? postsOf(travel, pixel, ids) : '',
  );
  const stretch = lruMemoize(stretchPath);
  return {
    posts: posts('full'),
    hairlines: posts('hairlines'),
    bands: posts('bands'),
    selected: (state: RootState): string => {
      const travel = selectActiveTravel(state);
      return travel && !travel.arc.hidden ? selected(travel, state.editor.selectedMarkIds) : '';
    },
    chosen: (state: RootState): string => {
      const travel = selectActiveTravel(state);
      const chosen = selectPickedRange(state);
      return travel && chosen && !travel.arc.hidden ? stretch(travel, chosen) : '';
    },
    lozenges: active((travel) => byHandPaths(travel, pixel).lozenges),
    lines: active((travel) => byHandPaths(travel, pixel).lines),
    skipped: active((travel) => skippedCrosses(travel, pixel)),
  };
}
