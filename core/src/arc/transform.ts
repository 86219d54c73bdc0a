import type { Vector } from './vector';

/** An affine map of the field: x' = a·x + c·y + e, y' = b·x + d·y + f, the order of an SVG matrix. */
export interface Transform {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

export const IDENTITY: Transform = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };

export const applyTo = (m: Transform, p: Vector): Vector => ({
  x: m.a * p.x + m.c * p.y + m.e,
  y: m.b * p.x + m.d * p.y + m.f,
});

export const applyLinear = (m: Transform, p: Vector): Vector => ({
  x: m.a * p.x + m.c * p.y,
  y: m.b * p.x + m.d * p.y,
});

/** The map that does `first`, then `then`. */
export const compose = (first: Transform, then: Transform): Transform => ({
  a: then.a * first.a + then.c * first.b,
  b: then.b * first.a + then.d * first.b,
  c: then.a * first.c + then.c * first.d,
  d: then.b * first.c + then.d * first.d,
  e: then.a * first.e + then.c * first.f + then.e,
  f: then.b * first.e + then.d * first.f + then.f,
});

/** The map back; of a map that flattens there is none. */
export function inverse({ a, b, c, d, e, f }: Transform): Transform | null {
  const size = a * d - b * c;
  if (size === 0) return null;
  return {
    a: d / size,
    b: -b / size,
    c: -c / size,
    d: a / size,
    e: (c * f - d * e) / size,
    f: (b * e - a * f) / size,
  };
}

export const translation = ({ x, y }: Vector): Transform => ({ ...IDENTITY, e: x, f: y });

const about = (centre: Vector, { a, b, c, d }: Omit<Transform, 'e' | 'f'>): Transform => ({
  a,
  b,
  c,
  d,
  e: centre.x - a * centre.x - c * centre.y,
  f: centre.y - b * centre.x - d * centre.y,
});

/** @param deg clockwise as seen; whole quarters are exact */
export function rotationAbout(centre: Vector, deg: number): Transform {
  const quarter = deg / 90;
  const exact = Number.isInteger(quarter);
  const angle = (deg * Math.PI) / 180;
  const cos = exact ? [1, 0, -1, 0][((quarter % 4) + 4) % 4]! : Math.cos(angle);
  const sin = exact ? [0, 1, 0, -1][((quarter % 4) + 4) % 4]! : Math.sin(angle);
  return about(centre, { a: cos, b: sin, c: -sin, d: cos });
}

/** @param x factor across, @param y factor down, the same without it; negative mirrors, 0 flattens */
export const scalingAbout = (centre: Vector, x: number, y = x): Transform =>
  about(centre, { a: x, b: 0, c: 0, d: y });

/** Mirror image in the upright or the level line through a centre. */
export const mirrorAbout = (centre: Vector, across: 'left-right' | 'up-down'): Transform =>
  across === 'left-right' ? scalingAbout(centre, -1, 1) : scalingAbout(centre, 1, -1);
