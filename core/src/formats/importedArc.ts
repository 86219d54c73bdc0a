import type { Cubic } from '../arc/cubic';
import { fromCubics } from '../arc/cubicChain';
import type { PointShape } from '../arc/smoothing';
import { applyTo, type Transform } from '../arc/transform';
import { outOfRange } from '../model/errors';
import { MAX_POINTS } from '../model/limits';
import { isWithinReach, type SubPath } from './svgPathData';

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Where a cubic turns back in one direction, as parameters within it. */
function turningPoints(p: number, q: number, r: number, e: number): number[] {
  const a = e - p + 3 * (q - r);
  const b = 2 * (p - 2 * q + r);
  const c = q - p;
  const inside = (t: number): boolean => t > 0 && t < 1;
  if (Math.abs(a) < 1e-12 * (Math.abs(b) + Math.abs(c))) return [-c / b].filter(inside);
  const root = b * b - 4 * a * c;
  if (root < 0) return [];
  return [(-b + Math.sqrt(root)) / (2 * a), (-b - Math.sqrt(root)) / (2 * a)].filter(inside);
}

function extent(p: number, q: number, r: number, e: number): readonly [number, number] {
  const at = (t: number): number =>
    (1 - t) ** 3 * p + 3 * (1 - t) ** 2 * t * q + 3 * (1 - t) * t ** 2 * r + t ** 3 * e;
  const values = [p, e, ...turningPoints(p, q, r, e).map(at)];
  return [Math.min(...values), Math.max(...values)];
}

export function boxAround(cubics: readonly Cubic[]): Box {
  let box: Box = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
  for (const { start, control1, control2, end } of cubics) {
    const [left, right] = extent(start.x, control1.x, control2.x, end.x);
    const [top, bottom] = extent(start.y, control1.y, control2.y, end.y);
    box = {
      left: Math.min(box.left, left),
      top: Math.min(box.top, top),
      right: Math.max(box.right, right),
      bottom: Math.max(box.bottom, bottom),
    };
  }
  return box;
}

const MAX_SCALE = 1e6;

const FITTED_SHARE = 0.8;

/** The map that brings paths to the middle of a field, as large as fits with some room round them. */
export function fittingTransform(
  paths: readonly SubPath[],
  field: { readonly width: number; readonly height: number },
): Transform {
  const box = boxAround(paths.flatMap(({ cubics }) => cubics));
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  // What is hardly there at all is put in the middle as it is: made large it would be noise.
  const scales = [field.width / width, field.height / height].filter((k) => k <= MAX_SCALE);
  const scale = scales.length > 0 ? FITTED_SHARE * Math.min(...scales) : 1;
  return {
    a: scale,
    b: 0,
    c: 0,
    d: scale,
    e: field.width / 2 - (scale * (box.left + box.right)) / 2,
    f: field.height / 2 - (scale * (box.top + box.bottom)) / 2,
  };
}

/** The points of an arc along an imported path. @throws ShotError when it is too long for one */
export function importedPoints({ cubics, closed }: SubPath, transform: Transform): readonly PointShape[] {
  if (cubics.length >= MAX_POINTS)
    throw outOfRange(`This path has ${cubics.length} segments; an arc holds at most ${MAX_POINTS}.`);
  const transformed = (p: { x: number; y: number }) => applyTo(transform, p);
  const placed = cubics.map(({ start, control1, control2, end }) => ({
    start: transformed(start),
    control1: transformed(control1),
    control2: transformed(control2),
    end: transformed(end),
  }));
  if (!placed.every(isWithinReach)) throw outOfRange('This path leads too far outside the field.');
  return fromCubics(placed, closed);
}
