import { type Arc, type ArcPoint, handlePlace, measureArc, shapeHandles } from '@humble/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { Circle, G, Path, Rect } from 'react-native-svg';
import { activeArcIn, activeMoveIn, useThrottledSelector, useEditor, useSession } from '../../../state/hooks';
import type { RootState } from '../../../state/store';
import { colour } from '../../../ui/colour';
import { LiveGroup, LivePath, usePixel } from '../../../state/live';
import { useScene } from '../scene';

const HALF_PX = 4.5;
/** Of an arc with more points they are drawn as one shape: plain dots, but for those that are selected. */
const MOST_POINTS = 250;

const directionsOf = new WeakMap<Arc, readonly number[]>();

/** Direction of the arc at each of its points, degrees. */
function directions(arc: Arc): readonly number[] {
  const known = directionsOf.get(arc);
  if (known) return known;
  const { segments } = measureArc(arc);
  const found = arc.points.map((_, i) => {
    const leaving = segments[i];
    if (leaving) return leaving.headingDeg[0] ?? 0;
    const arriving = segments[i - 1]?.headingDeg;
    return arriving?.[arriving.length - 1] ?? 0;
  });
  directionsOf.set(arc, found);
  return found;
}

const pointIn = (state: RootState, id: string): ArcPoint | undefined =>
  activeArcIn(state)?.points.find((point) => point.id === id);

/** Where a point lies and how it is turned: in line with the arc, corners by 45° more. */
function pointPlace(state: RootState, index: number): string {
  const arc = activeArcIn(state);
  const point = arc?.points[index];
  if (!arc || !point) return '';
  const turn = directions(arc)[index]! + (point.kind === 'corner' ? 45 : 0);
  return `translate(${point.x} ${point.y}) rotate(${turn})`;
}

/** Points of the arc that is worked on, the handles of the selected one, and those of a ready shape. */
export const Points = memo(function Points() {
  const isArcStep = useSession((session) => session.step === 'arc');
  const isShaping = useEditor(({ tool }) => tool === 'shape' || tool === 'centre');
  const ids = useThrottledSelector((state) => {
    const arc = activeArcIn(state);
    return arc && !arc.hidden && !arc.locked ? arc.points.map(({ id }) => id) : [];
  }, shallowEqual);
  const selected = useEditor(({ selectedPointIds }) => selectedPointIds);
  if (!isArcStep || !isShaping) return null;
  const chosen = new Set(selected);
  const isCrowd = ids.length > MOST_POINTS;
  return (
    <G>
      {isCrowd && <PointDots />}
      {selected.length === 1 && <Handles pointId={selected[0]!} />}
      {ids.map((id, index) =>
        !isCrowd || (chosen.has(id) && chosen.size <= MOST_POINTS) ? (
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
    (state) => activeMoveIn(state)?.marks.some(({ pointId }) => pointId === id) ?? false,
  );
  const isHovered = useScene(({ hovered }) => hovered?.kind === 'point' && hovered.pointId === id);
  const half = (isHovered ? HALF_PX + 2 : HALF_PX) * pixel;
  return (
    <LiveGroup place={(state) => pointPlace(state, index)} testID={`point-${id}`}>
      <Rect
        x={-half}
        y={-half}
        width={2 * half}
        height={2 * half}
        fill={isSelected ? colour.brass : colour.field}
        stroke={isSelected || isHovered ? colour.brass : colour.indigo}
        strokeWidth={1.75 * pixel}
      />
      {carries && <Timed half={half} />}
    </LiveGroup>
  );
});

/** A point that carries a mark has the mark's post through it: it has a time. */
function Timed({ half }: { readonly half: number }) {
  const pixel = usePixel();
  const d = `M0 ${-2.6 * half}V${2.6 * half}M${-half} ${2.6 * half}H${half}`;
  return (
    <G testID="point-with-mark">
      <Path d={d} stroke={colour.field} strokeWidth={4.5 * pixel} />
      <Path d={d} stroke={colour.ink} strokeWidth={2 * pixel} />
    </G>
  );
}

/** Points and the handles of the selected one as plain dots, for the loupe and for very many of them. */
export function PointDots() {
  const pixel = usePixel();
  const dot = (x: number, y: number, half: number): string =>
    `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}z`;
  const dots = (state: RootState): string => {
    const arc = activeArcIn(state);
    if (!arc || state.session.step !== 'arc') return '';
    return arc.points.map(({ x, y }) => dot(x, y, 3.5 * pixel)).join('');
  };
  const handles = (state: RootState): string => {
    const { selectedPointIds } = state.editor;
    const point = selectedPointIds.length === 1 ? pointIn(state, selectedPointIds[0]!) : undefined;
    if (!point) return '';
    return SIDES.map((side) => {
      const end = handlePlace(point, side);
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

const SIDES = ['in', 'out'] as const;

function Handles({ pointId }: { readonly pointId: string }) {
  const pixel = usePixel();
  const stems = (state: RootState): string => {
    const point = pointIn(state, pointId);
    if (!point) return '';
    return SIDES.map((side) => {
      const end = handlePlace(point, side);
      return `M${point.x} ${point.y}L${end.x} ${end.y}`;
    }).join('');
  };
  const sides = useThrottledSelector((state) => {
    const point = pointIn(state, pointId);
    return point ? SIDES.filter((side) => point[side].x !== 0 || point[side].y !== 0) : [];
  }, shallowEqual);
  return (
    <G>
      <LivePath path={stems} stroke={colour.field} strokeWidth={3.5 * pixel} />
      <LivePath path={stems} stroke={colour.brass} strokeWidth={1.25 * pixel} />
      {sides.map((side) => (
        <HandleEnd key={side} pointId={pointId} side={side} />
      ))}
    </G>
  );
}

function HandleEnd({ pointId, side }: { readonly pointId: string; readonly side: 'in' | 'out' }) {
  const pixel = usePixel();
  const isHovered = useScene(({ hovered }) => hovered?.kind === 'handle' && hovered.side === side);
  const place = (state: RootState): string => {
    const point = pointIn(state, pointId);
    if (!point) return '';
    const end = handlePlace(point, side);
    return `translate(${end.x} ${end.y})`;
  };
  return (
    <LiveGroup place={place} testID={`handle-${side}`}>
      <Circle
        r={(isHovered ? 7 : 5) * pixel}
        fill={colour.brass}
        stroke={colour.field}
        strokeWidth={1.5 * pixel}
      />
    </LiveGroup>
  );
}

/** Handles of a ready shape: rings, so that none of them is taken for a point. */
function ShapeHandles() {
  const ids = useThrottledSelector((state) => {
    const arc = activeArcIn(state);
    return arc?.shape && !arc.hidden && !arc.locked ? shapeHandles(arc.shape).map(({ id }) => id) : [];
  }, shallowEqual);
  return ids.map((id) => <ShapeHandle key={id} id={id} />);
}

function ShapeHandle({ id }: { readonly id: string }) {
  const pixel = usePixel();
  const isHovered = useScene(({ hovered }) => hovered?.kind === 'shape-handle' && hovered.id === id);
  const place = (state: RootState): string => {
    const shape = activeArcIn(state)?.shape;
    const handle = shape && shapeHandles(shape).find((candidate) => candidate.id === id);
    return handle ? `translate(${handle.at.x} ${handle.at.y})` : '';
  };
  const radius = (isHovered ? 10 : 8) * pixel;
  return (
    <LiveGroup place={place} testID={`shape-handle-${id}`}>
      <Circle r={radius} fill="none" stroke={colour.field} strokeWidth={6 * pixel} />
      <Circle
        r={radius}
        fill={colour.brasswash}
        fillOpacity={0.6}
        stroke={colour.brass}
        strokeWidth={2.5 * pixel}
      />
    </LiveGroup>
  );
}
