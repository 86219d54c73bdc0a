import type { Vector } from '../arc/vector';
import { brightness, type Pixels } from './pixels';

/** A sheet has so many register marks: crosses, or holes. */
export const MARKS_ON_SHEET = 3;

/** Something dark on the paper that could be a register mark. */
interface Blob {
  readonly kind: 'cross' | 'hole';
  readonly at: Vector;
  /** The longer side of its box, pixels. */
  readonly size: number;
}

/** Darker than this share of white is dark. */
const DARK = 0.5;
/** Sizes of a mark, shares of the sheet's longer side. */
const [MIN_SIZE, MAX_SIZE] = [0.006, 0.09];
/** Marks lie within this share of the sheet from its edge. */
const EDGE_BAND = 0.22;
/** A box that is longer than so many times its width is no mark. */
const MAX_LONG = 3.2;
/** A hole fills so much of its box; a cross no more than that, and its arms cross near its middle. */
const HOLE_FILL = 0.6;
const CROSS_FILL = 0.5;
const MIDDLE_SHARE = 0.18;
/** Of a cross so much of its ink lies on its two arms. */
const ON_ARMS = 0.8;
const ARM_SHARE = 0.2;
/** Marks of one sheet are alike in size. */
const ALIKE = 1.6;

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
  readonly pixels: number[];
}

function darkness({ width, height, data }: Pixels): Float32Array {
  const dark = new Float32Array(width * height);
  for (let i = 0; i < dark.length; i++)
    dark[i] = 1 - brightness(data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!) / 255;
  return dark;
}

/** Dark things that hang together, all eight neighbours counted; those of more pixels than a mark can have end early. */
function darkThings(dark: Float32Array, width: number, height: number, most: number): Box[] {
  const seen = new Uint8Array(dark.length);
  const things: Box[] = [];
  for (let start = 0; start < dark.length; start++) {
    if (seen[start] || dark[start]! < DARK) continue;
    const box: Box = { left: width, right: 0, top: height, bottom: 0, pixels: [] };
    const queue = [start];
    seen[start] = 1;
    for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
      const x = at % width;
      const y = (at - x) / width;
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.top = Math.min(box.top, y);
      box.bottom = Math.max(box.bottom, y);
      if (box.pixels.length <= most) box.pixels.push(at);
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const nx = x + dx;
          const ny = y + dy;
          const next = ny * width + nx;
          if (nx < 0 || ny < 0 || nx >= width || ny >= height || seen[next] || dark[next]! < DARK) continue;
          seen[next] = 1;
          queue.push(next);
        }
    }
    things.push(box);
  }
  return things;
}

/** The middle of what is dark within a box and a little about it, so that soft edges count: exact to a part of a pixel. */
function middleOf(
  dark: Float32Array,
  width: number,
  height: number,
  { left, right, top, bottom }: Box,
): Vector {
  let [sum, x, y] = [0, 0, 0];
  for (let row = Math.max(0, top - 2); row <= Math.min(height - 1, bottom + 2); row++)
    for (let column = Math.max(0, left - 2); column <= Math.min(width - 1, right + 2); column++) {
      // Paper is never quite white: what is hardly dark would pull the middle to its own.
      const weight = Math.max(0, dark[row * width + column]! - 0.15);
      sum += weight;
      x += weight * (column + 0.5);
      y += weight * (row + 0.5);
    }
  return { x: x / sum, y: y / sum };
}

function markIn(box: Box, dark: Float32Array, width: number, height: number): Blob | null {
  const { left, right, top, bottom, pixels } = box;
  const [across, down] = [right - left + 1, bottom - top + 1];
  const size = Math.max(across, down);
  const side = Math.max(width, height);
  if (size < MIN_SIZE * side || size > MAX_SIZE * side || size > MAX_LONG * Math.min(across, down))
    return null;
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  const fromEdge = Math.min(x / width, 1 - x / width, y / height, 1 - y / height);
  if (fromEdge > EDGE_BAND || left === 0 || top === 0 || right === width - 1 || bottom === height - 1)
    return null;
  const at = middleOf(dark, width, height, box);
  const fill = pixels.length / (across * down);
  const isCentred =
    Math.abs(at.x - 0.5 - x) < MIDDLE_SHARE * across && Math.abs(at.y - 0.5 - y) < MIDDLE_SHARE * down;
  if (!isCentred) return null;
  if (fill >= HOLE_FILL) return { kind: 'hole', at, size };
  if (fill > CROSS_FILL || across > 1.5 * down || down > 1.5 * across) return null;
  const onArms = pixels.filter((pixel) => {
    const [px, py] = [(pixel % width) - x, Math.floor(pixel / width) - y];
    return Math.abs(px) <= ARM_SHARE * across || Math.abs(py) <= ARM_SHARE * down;
  });
  return onArms.length >= ON_ARMS * pixels.length ? { kind: 'cross', at, size } : null;
}

const spreadOf = ([a, b, c]: readonly Vector[]): number =>
  Math.hypot(a!.x - b!.x, a!.y - b!.y) +
  Math.hypot(b!.x - c!.x, b!.y - c!.y) +
  Math.hypot(c!.x - a!.x, c!.y - a!.y);

function bestThree(marks: readonly Blob[]): readonly Vector[] | null {
  let [best, most]: [readonly Vector[] | null, number] = [null, 0];
  for (let i = 0; i < marks.length; i++)
    for (let j = i + 1; j < marks.length; j++)
      for (let k = j + 1; k < marks.length; k++) {
        const three = [marks[i]!, marks[j]!, marks[k]!];
        const sizes = three.map(({ size }) => size);
        if (Math.max(...sizes) > ALIKE * Math.min(...sizes)) continue;
        const spread = spreadOf(three.map(({ at }) => at));
        if (spread > most) [best, most] = [three.map(({ at }) => at), spread];
      }
  return best;
}

/** Of more things than this that look like marks most are none. */
const MAX_CANDIDATES = 40;

export interface FoundMarks {
  /** All three, from left to right; or as many as there are. */
  readonly marks: readonly Vector[];
  readonly isComplete: boolean;
}

/**
 * The register marks of a sheet: three crosses, or else three holes, near its edge and as far from each other as they can
 * be.
 * @param even a sheet whose light is even
 */
export function findRegisterMarks(even: Pixels): FoundMarks {
  const { width, height } = even;
  const dark = darkness(even);
  const most = (MAX_SIZE * Math.max(width, height)) ** 2;
  const blobs = darkThings(dark, width, height, most).flatMap(
    (box) => markIn(box, dark, width, height) ?? [],
  );
  const leftToRight = (marks: readonly Vector[]): readonly Vector[] =>
    [...marks].sort((a, b) => a.x - b.x || a.y - b.y);
  for (const kind of ['cross', 'hole'] as const) {
    const marks = blobs.filter((blob) => blob.kind === kind);
    if (marks.length > MAX_CANDIDATES) continue;
    const three = bestThree(marks);
    if (three) return { marks: leftToRight(three), isComplete: true };
  }
  const crosses = blobs.filter(({ kind }) => kind === 'cross');
  const some = crosses.length > 0 ? crosses : blobs;
  return { marks: leftToRight(some.slice(0, MARKS_ON_SHEET).map(({ at }) => at)), isComplete: false };
}
