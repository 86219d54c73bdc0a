import SvgPath from 'svgpath';

/** Lengths of SVG paths by brute force, from the definitions of the commands: the reference for imports. */

const ORDER = 16;
const PIECES = 8;

/** Nodes and weights of Gauss–Legendre quadrature on [−1, 1], by Newton's method on the polynomial. */
const GAUSS = Array.from({ length: ORDER }, (_, i) => {
  let x = Math.cos((Math.PI * (i + 0.75)) / (ORDER + 0.5));
  let slope = 1;
  for (let step = 0; step < 100; step++) {
    let [before, now] = [1, x];
    for (let k = 2; k <= ORDER; k++) [before, now] = [now, ((2 * k - 1) * x * now - (k - 1) * before) / k];
    slope = (ORDER * (x * now - before)) / (x * x - 1);
    const next = x - now / slope;
    if (Math.abs(next - x) < 1e-16) break;
    x = next;
  }
  return { x, w: 2 / ((1 - x * x) * slope * slope) };
});

function integral(f: (t: number) => number, from: number, to: number): number {
  let sum = 0;
  for (let piece = 0; piece < PIECES; piece++) {
    const half = (to - from) / PIECES / 2;
    const middle = from + (2 * piece + 1) * half;
    for (const { x, w } of GAUSS) sum += w * half * f(middle + x * half);
  }
  return sum;
}

type Place = readonly [x: number, y: number];

function cubicLength(p: Place, q: Place, r: Place, e: Place): number {
  return integral(
    (t) => {
      const [a, b, c] = [3 * (1 - t) * (1 - t), 6 * (1 - t) * t, 3 * t * t];
      const x = a * (q[0] - p[0]) + b * (r[0] - q[0]) + c * (e[0] - r[0]);
      const y = a * (q[1] - p[1]) + b * (r[1] - q[1]) + c * (e[1] - r[1]);
      return Math.sqrt(x * x + y * y);
    },
    0,
    1,
  );
}

const quadraticLength = (p: Place, q: Place, e: Place): number =>
  integral(
    (t) =>
      2 *
      Math.hypot((1 - t) * (q[0] - p[0]) + t * (e[0] - q[0]), (1 - t) * (q[1] - p[1]) + t * (e[1] - q[1])),
    0,
    1,
  );

function arcLengthOf(from: Place, [rx, ry, turn, large, sweep, x, y]: readonly number[]): number {
  const phi = (turn! * Math.PI) / 180;
  const [dx, dy] = [(from[0] - x!) / 2, (from[1] - y!) / 2];
  const px = Math.cos(phi) * dx + Math.sin(phi) * dy;
  const py = -Math.sin(phi) * dx + Math.cos(phi) * dy;
  let [a, b] = [Math.abs(rx!), Math.abs(ry!)];
  if (a === 0 || b === 0) return 2 * Math.hypot(dx, dy);
  if (dx === 0 && dy === 0) return 0;
  const lambda = (px * px) / (a * a) + (py * py) / (b * b);
  if (lambda > 1) [a, b] = [a * Math.sqrt(lambda), b * Math.sqrt(lambda)];
  const chord = Math.min(1, Math.hypot(px / a, py / b));
  const short = 2 * Math.asin(chord);
  const angle = large === 1 ? 2 * Math.PI - short : short;
  if (a === b) return a * angle;
  // In the circle's measure the centre lies across the chord from its middle.
  const across = ((large === sweep ? -1 : 1) * Math.sqrt(Math.max(0, 1 - chord * chord))) / chord;
  const start = Math.atan2(py / b + (across * px) / a, px / a - (across * py) / b);
  const sign = sweep === 1 ? 1 : -1;
  return integral((t) => Math.hypot(a * Math.sin(t), b * Math.cos(t)), start, start + sign * angle) * sign;
}

/** Length of all that a path draws, closing lines included. */
export function trueLength(data: string): number {
  let total = 0;
  let [x, y] = [0, 0];
  let begin: Place = [0, 0];
  SvgPath.from(data)
    .abs()
    .unshort()
    .iterate(([command, ...n]: [string, ...number[]]) => {
      const from: Place = [x, y];
      const at = (i: number): Place => [n[i]!, n[i + 1]!];
      const to: Place =
        command === 'H'
          ? [n[0]!, y]
          : command === 'V'
            ? [x, n[0]!]
            : command === 'Z'
              ? begin
              : at(n.length - 2);
      if (command === 'C') total += cubicLength(from, at(0), at(2), to);
      else if (command === 'Q') total += quadraticLength(from, at(0), to);
      else if (command === 'A') total += arcLengthOf(from, n);
      else if (command !== 'M') total += Math.hypot(to[0] - x, to[1] - y);
      if (command === 'M') begin = to;
      [x, y] = to;
    });
  return total;
}
