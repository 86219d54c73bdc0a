import type { ReadyShape } from '../model/schema';
import { fromCubics } from './cubicChain';
import { type FreshShapeName, SHAPES, shapeDefinition } from './shapes';
import type { ShapeHandle as HandleOf, Similarity } from './shapes/shapeDefinition';
import type { PointShape } from './smoothing';
import { applyTo, type Transform } from './transform';
import { directionDeg, type Vector } from './vector';

export interface ShapePoints {
  readonly points: readonly PointShape[];
  readonly closed: boolean;
}

export type ShapeHandle = HandleOf<ReadyShape>;

export const FRESH_SHAPES = SHAPES.flatMap(({ fresh }) => Object.keys(fresh)) as readonly FreshShapeName[];

/** The points of a ready shape. Ends are where they were put; round parts are true to 4e-6 of their radius. */
export function shapePoints(shape: ReadyShape): ShapePoints {
  const { cubics, closed, isCorner } = shapeDefinition(shape.kind);
  const points = fromCubics(cubics(shape), closed, isCorner);
  return { points: shape.reversed ? reversedPoints(points, closed) : points, closed };
}

/** The same points the other way round; a closed arc keeps its first point. */
export function reversedPoints<P extends PointShape>(points: readonly P[], closed: boolean): readonly P[] {
  const turned = [...points].reverse().map((point) => ({
    ...point,
    in: point.out,
    out: point.in,
    // What leaned towards the next point leans towards the one before, which is the next one now.
    shaping: point.shaping ? { ...point.shaping, lean: -point.shaping.lean } : point.shaping,
  }));
  if (!closed) return turned;
  return [turned[turned.length - 1]!, ...turned.slice(0, -1)];
}

export function freshShape(
  name: FreshShapeName,
  field: { readonly width: number; readonly height: number },
): ReadyShape {
  const centre = { x: field.width / 2, y: field.height / 2 };
  const unit = Math.min(field.width, field.height) / 10;
  const point = (across: number, down: number): Vector => ({
    x: centre.x + across * unit,
    y: centre.y + down * unit,
  });
  const { fresh } = SHAPES.find((definition) => name in definition.fresh)!;
  return fresh[name]({ centre, unit, point });
}

export const shapeHandles = (shape: ReadyShape): readonly ShapeHandle[] =>
  shapeDefinition(shape.kind).handles(shape);

/** The shape with one of its handles put somewhere else. An unknown handle changes nothing. */
export const withShapeHandle = (shape: ReadyShape, id: string, to: Vector): ReadyShape =>
  shapeHandles(shape)
    .find((handle) => handle.id === id)
    ?.dragged(to) ?? shape;

/** A transform as a turn, one scale and a shift; null when it mirrors or distorts. */
function similarityOf(transform: Transform): Similarity | null {
  const { a, b, c, d } = transform;
  const size = Math.max(Math.abs(a), Math.abs(b), Math.abs(c), Math.abs(d));
  if (Math.abs(a - d) > 1e-9 * size || Math.abs(b + c) > 1e-9 * size) return null;
  return { point: (p) => applyTo(transform, p), factor: Math.hypot(a, b), deg: directionDeg(a, b) };
}

/** The shape moved, turned or scaled as a whole; null when the result is no such shape any more. */
export function transformedShape(shape: ReadyShape, transform: Transform): ReadyShape | null {
  const { transformed, isUpright } = shapeDefinition(shape.kind);
  const similarity = similarityOf(transform);
  if (!similarity || (isUpright && Math.abs(similarity.deg) > 1e-9)) return null;
  return transformed(shape, similarity);
}
