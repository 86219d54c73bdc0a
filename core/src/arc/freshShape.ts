import type { ReadyShape } from '../shot/schema';
import type { Vector } from './vector';

/** What a fresh ready shape can be. A circle is an ellipse that is kept round. */
export const SHAPE_KINDS = [
  'line',
  'three-places',
  'circle',
  'ellipse',
  'swing',
  'toss',
  'bounces',
  'wave',
  'eight',
  'spiral',
] as const;
export type FreshShapeKind = (typeof SHAPE_KINDS)[number];

/** A ready shape at a size that fits a field, in its middle. */
export function freshShape(
  kind: FreshShapeKind,
  field: { readonly width: number; readonly height: number },
): ReadyShape {
  const centre = { x: field.width / 2, y: field.height / 2 };
  const unit = Math.min(field.width, field.height) / 10;
  const place = (x: number, y: number): Vector => ({ x: centre.x + x * unit, y: centre.y + y * unit });
  const reversed = false;
  switch (kind) {
    case 'line':
      return { kind, reversed, from: place(-4, 0), to: place(4, 0) };
    case 'circle':
    case 'ellipse':
      return {
        kind: 'ellipse',
        reversed,
        centre,
        radiusX: (kind === 'circle' ? 3 : 4) * unit,
        radiusY: (kind === 'circle' ? 3 : 2) * unit,
        turnDeg: 0,
        startDeg: 0,
        isRound: kind === 'circle',
      };
    case 'three-places':
      return { kind, reversed, from: place(-4, 1.5), through: place(0, -1.5), to: place(4, 1.5) };
    case 'swing':
      return { kind, reversed, hang: place(0, -4), length: 7 * unit, fromDeg: -35, toDeg: 35 };
    case 'toss':
      return { kind, reversed, from: place(-4, 2), to: place(4, 2), height: 5 * unit };
    case 'bounces':
      return { kind, reversed, from: place(-4, -3), to: place(4, 3), count: 3, restitution: 0.7 };
    case 'wave':
      return { kind, reversed, from: place(-4.5, 0), to: place(4.5, 0), count: 2, height: 1.5 * unit };
    case 'eight':
      return { kind, reversed, centre, width: 7 * unit, height: 4 * unit, turnDeg: 0 };
    case 'spiral':
      return {
        kind,
        reversed,
        centre,
        innerRadius: 0.5 * unit,
        outerRadius: 3.5 * unit,
        turns: 2,
        startDeg: 0,
      };
  }
}
