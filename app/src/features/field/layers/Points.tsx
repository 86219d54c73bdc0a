import { selectEdits } from '../../../store/selectors/selection';
import { handlePoint } from '@humble/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { usePointerScene } from '../pointerScene';
import { SIDES, Handles } from '../overlays/PointHandles';
import { ShapeHandles } from '../overlays/ShapeHandles';
import { linesAbout, selectPlaceOfPoint, selectPoint } from './pointShapes';
import { selectActiveArc, selectActiveMove } from '../../../store/selectors/active';
import { useThrottledSelector, useThrottledEditor } from '../../../store/throttled/hooks';

const HALF_PX = 4.5;

/** Of an arc with more points they are drawn as one shape: plain dots, but for those that are selected. */
const MAX_POINTS = 250;

export const Points = memo(function Points() {
  const isShapingArcs = useThrottledSelector(selectEdits) === 'arcs';
  const isShaping = useThrottledEditor(({ tool }) => tool === 'shape' || tool === 'centre');
  const ids = useThrottledSelector((state) => {
    const arc = selectActiveArc(state);
    return arc && !arc.hidden && !arc.locked ? arc.points.map(({ id }) => id) : [];
  }, shallowEqual);
  const selected = useThrottledEditor(({ selectedPointIds }) => selectedPointIds);
  if (!isShapingArcs || !isShaping) return null;
  const chosen = new Set(selected);
  const isCrowd = ids.length > MAX_POINTS;
  return (
    <G>
      {isCrowd && <PointDots />}
      {selected.length === 1 && <Handles pointId={selected[0]!} />}
      {ids.map((id, index) =>
        !isCrowd || (chosen.has(id) && chosen.size <= MAX_POINTS) ? (
          <Point key={id} id={id} index={index} isSelected={chosen.has(id)} />
        ) : null,
      )}
      <ShapeHandles />
    </G>
  );
});

interface PointProps {
  readonly id: string;
  readonly index: number;
  readonly isSelected: boolean;
}

const Point = memo(function Point({ id, index, isSelected }: PointProps) {
  const pixel = usePixel();
  const carries = useThrottledSelector(
    (state) => selectActiveMove(state)?.marks.some(({ pointId }) => pointId === id) ?? false,
  );
  const isHovered = usePointerScene(({ hovered }) => hovered?.kind === 'point' && hovered.pointId === id);
  const half = (isHovered ? HALF_PX + 2 : HALF_PX) * pixel;
  const square = (state: RootState): string => {
    const place = selectPlaceOfPoint(state, index);
    if (!place) return '';
    const corners = [
      { x: -half, y: -half },
      { x: half, y: -half },
      { x: half, y: half },
      { x: -half, y: half },
    ];
    return `${linesAbout(place, [corners])}Z`;
  };
  return (
    <G testID={`point-${id}`}>
      <LivePath
        path={square}
        fill={isSelected ? colour.brass : colour.field}
        stroke={isSelected || isHovered ? colour.brass : colour.indigo}
        strokeWidth={1.75 * pixel}
      />
      {carries && <Timed index={index} half={half} />}
    </G>
  );
});

/** A point that carries a mark has the mark's post through it: it has a time. */
function Timed({ index, half }: { readonly index: number; readonly half: number }) {
  const pixel = usePixel();
  const foot = 2.6 * half;
  const post = (state: RootState): string => {
    const place = selectPlaceOfPoint(state, index);
    const upright = [
      { x: 0, y: -foot },
      { x: 0, y: foot },
    ];
    const base = [
      { x: -half, y: foot },
      { x: half, y: foot },
    ];
    return place ? linesAbout(place, [upright, base]) : '';
  };
  return (
    <G testID="point-with-mark">
      <LivePath path={post} stroke={colour.field} strokeWidth={4.5 * pixel} />
      <LivePath path={post} stroke={colour.ink} strokeWidth={2 * pixel} />
    </G>
  );
}

export function PointDots() {
  const pixel = usePixel();
  const dot = (x: number, y: number, half: number): string =>
    `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}z`;
  const dots = (state: RootState): string => {
    const arc = selectActiveArc(state);
    if (!arc || selectEdits(state) !== 'arcs') return '';
    return arc.points.map(({ x, y }) => dot(x, y, 3.5 * pixel)).join('');
  };
  const handles = (state: RootState): string => {
    const { selectedPointIds } = state.editor;
    const point = selectedPointIds.length === 1 ? selectPoint(state, selectedPointIds[0]!) : undefined;
    if (!point) return '';
    return SIDES.map((side) => {
      const end = handlePoint(point, side);
      return `M${point.x} ${point.y}L${end.x} ${end.y}${dot(end.x, end.y, 3 * pixel)}`;
    }).join('');
  };
  return (
    <G>
      <LivePath path={handles} fill={colour.brass} stroke={colour.brass} strokeWidth={pixel} />
      <LivePath path={dots} fill={colour.field} stroke={colour.indigo} strokeWidth={1.5 * pixel} />
    </G>
  );
}
