import { applyTo, rotationAbout, type Vector } from '@humble/core';

/** A box round what is selected, with grips to move, turn and scale it. Field units. */
export interface SelectionBox {
  readonly centre: Vector;
  readonly halfWidth: number;
  readonly halfHeight: number;
  readonly turnDeg: number;
}

export type Grip = 'move' | 'turn' | 'scale';

export interface SelectionGrip {
  readonly grip: Grip;
  readonly at: Vector;
}

/** Room between what is selected and its frame, pixels: points at the edge stay free to be taken. */
const PADDING_PX = 30;

/** The frame round places. @param pixel size of one pixel of the view, field units */
export function selectionBoxRound(points: readonly Vector[], pixel: number): SelectionBox | null {
  if (points.length < 2) return null;
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return {
    centre: { x: (left + right) / 2, y: (top + bottom) / 2 },
    halfWidth: (right - left) / 2 + PADDING_PX * pixel,
    halfHeight: (bottom - top) / 2 + PADDING_PX * pixel,
    turnDeg: 0,
  };
}

export function selectionBoxCorners({
  centre,
  halfWidth,
  halfHeight,
  turnDeg,
}: SelectionBox): readonly Vector[] {
  const turn = rotationAbout(centre, turnDeg);
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([x, y]) => applyTo(turn, { x: centre.x + x! * halfWidth, y: centre.y + y! * halfHeight }));
}

interface Box {
  readonly from: Vector;
  readonly to: Vector;
}

const inside = ({ x, y }: Vector, { from, to }: Box): Vector => ({
  x: Math.min(to.x, Math.max(from.x, x)),
  y: Math.min(to.y, Math.max(from.y, y)),
});

/**
 * The grips of a frame: one at each corner scales, one above turns, one below moves.
 * @param seen the part of the field in sight: a grip that lay outside could not be reached
 */
export function selectionBoxGrips(frame: SelectionBox, seen: Box): readonly SelectionGrip[] {
  const turn = rotationAbout(frame.centre, frame.turnDeg);
  const side = (y: number): Vector =>
    applyTo(turn, { x: frame.centre.x, y: frame.centre.y + y * frame.halfHeight });
  return [
    ...selectionBoxCorners(frame).map((at) => ({ grip: 'scale' as const, at })),
    { grip: 'turn' as const, at: side(-1) },
    { grip: 'move' as const, at: side(1) },
  ].map(({ grip, at }) => ({ grip, at: inside(at, seen) }));
}
