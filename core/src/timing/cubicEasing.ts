const NEWTON_STEPS = 8;
const BISECTIONS = 60;

const along = (a: number, b: number, t: number): number =>
  3 * (1 - t) * (1 - t) * t * a + 3 * (1 - t) * t * t * b + t * t * t;
const slope = (a: number, b: number, t: number): number =>
  3 * (1 - t) * (1 - t) * a + 6 * (1 - t) * t * (b - a) + 3 * t * t * (1 - b);

function parameterAt(x1: number, x2: number, x: number): number {
  let t = x;
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const off = along(x1, x2, t) - x;
    if (Math.abs(off) < 1e-14) return t;
    const rate = slope(x1, x2, t);
    if (Math.abs(rate) < 1e-6) break;
    t -= off / rate;
  }
  if (t >= 0 && t <= 1 && Math.abs(along(x1, x2, t) - x) < 1e-12) return t;
  let [low, high] = [0, 1];
  for (let i = 0; i < BISECTIONS; i++) {
    t = (low + high) / 2;
    if (along(x1, x2, t) < x) low = t;
    else high = t;
  }
  return t;
}

const clamped = (value: number): number => Math.min(1, Math.max(0, value));

/**
 * Share of the way on a cubic Bézier easing in the unit square.
 * @param x share of the time, 0 to 1
 * @param handles x1 and x2 are clamped to 0 … 1, so that there is one place for each time; y1 and y2 are
 *   free, which gives anticipation and overshoot
 */
export function cubicEasing(
  x: number,
  { x1, y1, x2, y2 }: { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number },
): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  return along(y1, y2, parameterAt(clamped(x1), clamped(x2), x));
}
