import { type FourSpots, type Homography, homographyOf } from '../arc/homography';
import type { Transform } from '../arc/transform';
import { distance, type Vector } from '../arc/vector';
import { outOfRange } from '../model/errors';
import { blankPixels, type OnProgress, type Pixels } from './pixels';

type ThreeSpots = readonly Vector[];

const middleOf = (spots: ThreeSpots): Vector => ({
  x: spots.reduce((sum, { x }) => sum + x, 0) / spots.length,
  y: spots.reduce((sum, { y }) => sum + y, 0) / spots.length,
});

/** The turn, size and shift that take spots nearest to others, by least squares. */
function similarityTo(from: ThreeSpots, to: ThreeSpots): Transform {
  const [a, b] = [middleOf(from), middleOf(to)];
  let [real, imaginary, square] = [0, 0, 0];
  from.forEach((spot, i) => {
    const [p, q] = [
      { x: spot.x - a.x, y: spot.y - a.y },
      { x: to[i]!.x - b.x, y: to[i]!.y - b.y },
    ];
    real += p.x * q.x + p.y * q.y;
    imaginary += p.x * q.y - p.y * q.x;
    square += p.x * p.x + p.y * p.y;
  });
  const [cos, sin] = [real / square, imaginary / square];
  return { a: cos, b: sin, c: -sin, d: cos, e: b.x - cos * a.x + sin * a.y, f: b.y - sin * a.x - cos * a.y };
}

/** The affine map that takes three spots exactly to three others. */
function affineTo([a, b, c]: ThreeSpots, [p, q, r]: ThreeSpots): Transform {
  const [ux, uy, vx, vy] = [b!.x - a!.x, b!.y - a!.y, c!.x - a!.x, c!.y - a!.y];
  const det = ux * vy - vx * uy;
  const map = (along: number, across: number): [number, number] => [
    (along * vy - across * uy) / det,
    (across * ux - along * vx) / det,
  ];
  const [ma, mc] = map(q!.x - p!.x, r!.x - p!.x);
  const [mb, md] = map(q!.y - p!.y, r!.y - p!.y);
  return { a: ma, b: mb, c: mc, d: md, e: p!.x - ma * a!.x - mc * a!.y, f: p!.y - mb * a!.x - md * a!.y };
}

const placed = ({ a, b, c, d, e, f }: Transform, { x, y }: Vector): Vector => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
});

const residual = (map: Transform, from: ThreeSpots, to: ThreeSpots): number =>
  Math.max(...from.map((spot, i) => distance(placed(map, spot), to[i]!)));

const ORDERS = [
  [0, 1, 2],
  [0, 2, 1],
  [1, 0, 2],
  [1, 2, 0],
  [2, 0, 1],
  [2, 1, 0],
] as const;

/** Sheets lie turned by less than this; of two orders of three marks that fit alike, the less turned is meant. */
const MAX_TURN_DEG = 60;
/** A turn, a size and a shift are enough where marks come this near, pixels; a photograph needs more. */
const NEAR_PX = 0.4;
/** Marks that would have to move further than this share of their distance are not those of the same sheet. */
const MAX_OFF_SHARE = 0.03;

/**
 * The map that lays one sheet on another by their register marks.
 * @param from three marks of the sheet, in any order
 * @param to those of the other
 * @throws ShotError `out-of-range` where the marks are not laid out alike
 */
export function lineUpMap(from: ThreeSpots, to: ThreeSpots): Transform {
  const fits = ORDERS.map((order) => {
    const ordered = order.map((i) => from[i]!);
    const map = similarityTo(ordered, to);
    const turnDeg = Math.abs((Math.atan2(map.b, map.a) * 180) / Math.PI);
    return { ordered, map, turnDeg, off: residual(map, ordered, to) };
  }).filter(({ turnDeg }) => turnDeg <= MAX_TURN_DEG);
  const best = fits.reduce<(typeof fits)[number] | null>((a, b) => (a && a.off <= b.off ? a : b), null);
  const size = distance(to[0]!, to[1]!) + distance(to[1]!, to[2]!);
  if (!best || best.off > MAX_OFF_SHARE * size)
    throw outOfRange(
      'The register marks aren’t laid out alike on all sheets. Tap the three marks of this sheet.',
    );
  if (best.off <= NEAR_PX) return best.map;
  const affine = affineTo(best.ordered, to);
  return Number.isFinite(affine.a + affine.d) ? affine : best.map;
}

const inverse = ({ a, b, c, d, e, f }: Transform): Transform => {
  const det = a * d - b * c;
  const back = { a: d / det, b: -b / det, c: -c / det, d: a / det };
  return { ...back, e: -(back.a * e + back.c * f), f: -(back.b * e + back.d * f) };
};

/**
 * A picture read where a map says, between four pixels in a straight line each way; outside it is white paper.
 * @param map from the new picture to the old one
 */
function resampled(
  from: Pixels,
  width: number,
  height: number,
  [h0, h1, h2, h3, h4, h5, h6, h7, h8]: Homography,
  onProgress: OnProgress,
): Pixels {
  const to = blankPixels(width, height);
  const { data } = from;
  const lastColumn = from.width - 1;
  const lastRow = from.height - 1;
  // Written out: this is done for millions of pixels.
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const w = h6 * (x + 0.5) + h7 * (y + 0.5) + h8;
      const u = (h0 * (x + 0.5) + h1 * (y + 0.5) + h2) / w - 0.5;
      const v = (h3 * (x + 0.5) + h4 * (y + 0.5) + h5) / w - 0.5;
      const left = Math.floor(u);
      const top = Math.floor(v);
      const s = u - left;
      const t = v - top;
      const at = 4 * (y * width + x);
      if (!(left >= -1 && top >= -1 && left <= lastColumn && top <= lastRow)) {
        to.data.fill(255, at, at + 4);
        continue;
      }
      const column = Math.max(0, left);
      const next = Math.min(lastColumn, left + 1);
      const upperRow = Math.max(0, top) * from.width;
      const lowerRow = Math.min(lastRow, top + 1) * from.width;
      const p = 4 * (upperRow + column);
      const q = 4 * (upperRow + next);
      const r = 4 * (lowerRow + column);
      const z = 4 * (lowerRow + next);
      for (let c = 0; c < 4; c++) {
        const upper = data[p + c]! + s * (data[q + c]! - data[p + c]!);
        const lower = data[r + c]! + s * (data[z + c]! - data[r + c]!);
        to.data[at + c] = upper + t * (lower - upper);
      }
    }
    if (y % 64 === 0) onProgress(y / height);
  }
  onProgress(1);
  return to;
}

/**
 * A sheet laid on another, as large as that one.
 * @param map from the sheet to the other one
 */
export function laidOn(
  sheet: Pixels,
  map: Transform,
  { width, height }: Pick<Pixels, 'width' | 'height'>,
  onProgress: OnProgress = () => undefined,
): Pixels {
  const { a, b, c, d, e, f } = inverse(map);
  return resampled(sheet, width, height, [a, c, e, b, d, f, 0, 0, 1], onProgress);
}

/**
 * A photograph of a drawing, straightened by the four corners of its sheet.
 * @param corners clockwise from the upper left, pixels
 * @throws ShotError `out-of-range` where they are no corners of a sheet
 */
export function straightened(
  photograph: Pixels,
  corners: FourSpots,
  onProgress: OnProgress = () => undefined,
): Pixels {
  const [a, b, c, d] = corners;
  const width = Math.max(1, Math.round(Math.max(distance(a, b), distance(d, c))));
  const height = Math.max(1, Math.round(Math.max(distance(a, d), distance(b, c))));
  const sheet: FourSpots = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return resampled(photograph, width, height, homographyOf(sheet, corners), onProgress);
}
