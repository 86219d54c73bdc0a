import { MAX_OUTLINE_POINTS, MAX_OUTLINE_RINGS } from '../model/limits';
import type { Outline } from '../model/schema';

/** How far each pixel of a picture covers what lies beneath it: 0 to 255, row by row. */
export interface AlphaMask {
  readonly width: number;
  readonly height: number;
  readonly alpha: Uint8Array | Uint8ClampedArray;
}

/** A pixel is seen from here on. */
const SEEN = 32;
/** A ring is simplified to within this at first, pixels of the mask; further where it has too many points. */
const TOLERANCE = 0.6;
const COARSER = 1.4;
/** Rings of less than this share of the largest are specks. */
const MIN_SHARE = 0.01;

type Ring = readonly (readonly [x: number, y: number])[];

/** Right, down, left, up: the directions of edges about pixels, in order of turning clockwise as seen. */
const STEPS = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
] as const;

function ringsOf({ width, height, alpha }: AlphaMask): Ring[] {
  const isSeen = (x: number, y: number): boolean =>
    x >= 0 && y >= 0 && x < width && y < height && alpha[y * width + x]! >= SEEN;
  const leaves = (x: number, y: number, direction: number): boolean => {
    switch (direction) {
      case 0:
        return isSeen(x, y) && !isSeen(x, y - 1);
      case 1:
        return isSeen(x - 1, y) && !isSeen(x, y);
      case 2:
        return isSeen(x - 1, y - 1) && !isSeen(x - 1, y);
      default:
        return isSeen(x, y - 1) && !isSeen(x - 1, y - 1);
    }
  };
  const across = width + 1;
  const walked = new Uint8Array(across * (height + 1));
  const rings: Ring[] = [];
  for (let startY = 0; startY <= height; startY++)
    for (let startX = 0; startX <= width; startX++) {
      // Every ring has an edge to the right: it is begun there.
      if (!leaves(startX, startY, 0) || walked[startY * across + startX]) continue;
      const ring: [number, number][] = [];
      let [x, y, direction] = [startX, startY, 0];
      do {
        if (direction === 0) walked[y * across + x] = 1;
        ring.push([x, y]);
        x += STEPS[direction]![0];
        y += STEPS[direction]![1];
        // The sharpest turn to the right first: pixels that touch at a corner are apart.
        direction = [1, 0, 3, 2].map((turn) => (direction + turn) % 4).find((next) => leaves(x, y, next))!;
      } while (x !== startX || y !== startY || direction !== 0);
      rings.push(ring);
    }
  return rings;
}

const areaOf = (ring: Ring): number =>
  ring.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = ring[(i + 1) % ring.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);

function awayFromLine([x, y]: Ring[number], [ax, ay]: Ring[number], [bx, by]: Ring[number]): number {
  const length = Math.hypot(bx - ax, by - ay);
  return length === 0
    ? Math.hypot(x - ax, y - ay)
    : Math.abs((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length;
}

/** The points of an open line that are needed to stay within a tolerance of it (Ramer 1972, Douglas and Peucker 1973). */
function simplified(line: Ring, tolerance: number): Ring {
  const kept = new Uint8Array(line.length);
  kept[0] = kept[line.length - 1] = 1;
  const pieces: [number, number][] = [[0, line.length - 1]];
  for (let piece = pieces.pop(); piece; piece = pieces.pop()) {
    const [from, to] = piece;
    let [worst, off] = [from, tolerance];
    for (let i = from + 1; i < to; i++) {
      const away = awayFromLine(line[i]!, line[from]!, line[to]!);
      if (away > off) [worst, off] = [i, away];
    }
    if (worst === from) continue;
    kept[worst] = 1;
    pieces.push([from, worst], [worst, to]);
  }
  return line.filter((_, i) => kept[i]);
}

function simplifiedRing(ring: Ring): Ring {
  const middle = Math.floor(ring.length / 2);
  const halves = [ring.slice(0, middle + 1), [...ring.slice(middle), ring[0]!]];
  for (let tolerance = TOLERANCE; ; tolerance *= COARSER) {
    const points = halves.flatMap((half) => simplified(half, tolerance).slice(0, -1));
    if (points.length <= MAX_OUTLINE_POINTS) return points;
  }
}

/**
 * The outline of what is seen of a picture: rings round its parts, the largest first, holes running the other way.
 * @param mask the picture, or a smaller copy of it
 * @param scale units of the picture for each pixel of the mask
 * @returns null when nothing of it is to be seen
 */
export function traceOutline(mask: AlphaMask, scale: number): Outline | null {
  const rings = ringsOf(mask)
    .map((ring) => ({ ring, area: Math.abs(areaOf(ring)) }))
    .sort((a, b) => b.area - a.area);
  const largest = rings[0]?.area ?? 0;
  const outline = rings
    .filter(({ area }) => area >= largest * MIN_SHARE)
    .slice(0, MAX_OUTLINE_RINGS)
    .map(({ ring }) => simplifiedRing(ring))
    .filter((ring) => ring.length >= 3)
    .map((ring) => ring.flatMap(([x, y]) => [x, y].map((value) => Number((value * scale).toFixed(1)))));
  return outline.length > 0 ? outline : null;
}
