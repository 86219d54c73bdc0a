/** A place or a displacement in the field, in field units: x to the right, y down. */
export interface Vector {
  readonly x: number;
  readonly y: number;
}

export const ZERO: Vector = { x: 0, y: 0 };

export const add = (a: Vector, b: Vector): Vector => ({ x: a.x + b.x, y: a.y + b.y });
export const subtract = (a: Vector, b: Vector): Vector => ({ x: a.x - b.x, y: a.y - b.y });
export const scale = (a: Vector, k: number): Vector => ({ x: a.x * k, y: a.y * k });
export const dot = (a: Vector, b: Vector): number => a.x * b.x + a.y * b.y;
export const distance = (a: Vector, b: Vector): number => Math.hypot(b.x - a.x, b.y - a.y);
export const mix = (a: Vector, b: Vector, t: number): Vector => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});

/** The vector at length 1, or zero when it has no direction. */
export function unit(a: Vector): Vector {
  const length = Math.hypot(a.x, a.y);
  return length > 0 ? { x: a.x / length, y: a.y / length } : ZERO;
}

const DEGREES = 180 / Math.PI;

/** Direction of a vector in degrees, 0 to the right, positive clockwise as seen, in (−180, 180]. */
export function directionDeg(x: number, y: number): number {
  const angle = Math.atan2(y, x) * DEGREES;
  return angle === -180 ? 180 : angle;
}

/** The same turn without whole revolutions, in degrees, in (−180, 180]. */
export function wrapDeg(angleDeg: number): number {
  const turns = Math.ceil((angleDeg - 180) / 360);
  return angleDeg - 360 * turns;
}
