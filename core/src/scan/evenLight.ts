import { brightness, type OnProgress, type Pixels } from './pixels';

/** The brightness of paper under a drawing, on a grid of cells. */
interface PaperLight {
  readonly columns: number;
  readonly rows: number;
  readonly cell: number;
  /** Of each cell, and each colour in turn. */
  readonly light: Float32Array;
}

/** So many cells go along the longer side. */
const CELLS = 48;
const MIN_CELL = 8;
/** The brightest pixels of a cell are looked at; so many of them are left out as sparkle. */
const SPARKLE_SHARE = 0.02;
/** No paper is darker than this: a picture of black things has no paper at all. */
const MIN_LIGHT = 24;

function brightestOf(
  { width, height, data }: Pixels,
  x0: number,
  y0: number,
  cell: number,
): [number, number, number] {
  const counts = new Uint32Array(256);
  const x1 = Math.min(width, x0 + cell);
  const y1 = Math.min(height, y0 + cell);
  const sums = new Float64Array(3 * 256);
  for (let y = y0; y < y1; y++)
    for (let x = x0; x < x1; x++) {
      const at = 4 * (y * width + x);
      const level = Math.round(brightness(data[at]!, data[at + 1]!, data[at + 2]!));
      counts[level]!++;
      for (let c = 0; c < 3; c++) sums[3 * level + c]! += data[at + c]!;
    }
  let left = SPARKLE_SHARE * (x1 - x0) * (y1 - y0);
  for (let level = 255; level >= 0; level--) {
    left -= counts[level]!;
    if (left < 0)
      return [0, 1, 2].map((c) => sums[3 * level + c]! / counts[level]!) as [number, number, number];
  }
  return [255, 255, 255];
}

function overNeighbours(
  { columns, rows }: Pick<PaperLight, 'columns' | 'rows'>,
  from: Float32Array,
  of: (values: readonly number[]) => number,
): Float32Array {
  const to = new Float32Array(from.length);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      for (let c = 0; c < 3; c++) {
        const values: number[] = [];
        for (let r = Math.max(0, row - 1); r <= Math.min(rows - 1, row + 1); r++)
          for (let k = Math.max(0, column - 1); k <= Math.min(columns - 1, column + 1); k++)
            values.push(from[3 * (r * columns + k) + c]!);
        to[3 * (row * columns + column) + c] = of(values);
      }
  return to;
}

/** The light on the paper: the brightest of each cell and its neighbours, blurred. */
function paperLight(pixels: Pixels, onProgress: OnProgress): PaperLight {
  const { width, height } = pixels;
  const cell = Math.max(MIN_CELL, Math.ceil(Math.max(width, height) / CELLS));
  const [columns, rows] = [Math.ceil(width / cell), Math.ceil(height / cell)];
  let light: Float32Array = new Float32Array(3 * columns * rows);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++)
      light.set(brightestOf(pixels, column * cell, row * cell, cell), 3 * (row * columns + column));
    onProgress((row + 1) / rows);
  }
  const grid = { columns, rows };
  // Brightest, then darkest of neighbours: a cell full of line takes the paper about it, and light that falls off stays.
  light = overNeighbours(grid, light, (values) => Math.max(...values));
  light = overNeighbours(grid, light, (values) => Math.min(...values));
  light = overNeighbours(
    grid,
    light,
    (values) => values.reduce((sum, value) => sum + value, 0) / values.length,
  );
  return { ...grid, cell, light };
}

/** Between the middles of cells: which cell is before a pixel, and how far it is to the next one. */
function betweenCells(count: number, cell: number, length: number) {
  const before = new Int32Array(length);
  const after = new Int32Array(length);
  const share = new Float32Array(length);
  for (let i = 0; i < length; i++) {
    const at = Math.min(count - 1, Math.max(0, (i + 0.5) / cell - 0.5));
    before[i] = Math.floor(at);
    after[i] = Math.min(count - 1, before[i]! + 1);
    share[i] = at - before[i]!;
  }
  return { before, after, share };
}

/**
 * A drawing on paper with its light evened: each colour divided by a blurred maximum of what is about it, so that paper is
 * white everywhere.
 */
export function evenLight(pixels: Pixels, onProgress: OnProgress = () => undefined): Pixels {
  const { width, height, data } = pixels;
  const { columns, rows, cell, light } = paperLight(pixels, (done) => onProgress(done / 2));
  const even = new Uint8ClampedArray(data.length);
  const across = betweenCells(columns, cell, width);
  const down = betweenCells(rows, cell, height);
  const row = new Float32Array(3 * columns);
  for (let y = 0; y < height; y++) {
    const upper = 3 * columns * down.before[y]!;
    const lower = 3 * columns * down.after[y]!;
    for (let k = 0; k < row.length; k++)
      row[k] = light[upper + k]! + down.share[y]! * (light[lower + k]! - light[upper + k]!);
    for (let x = 0; x < width; x++) {
      const at = 4 * (y * width + x);
      const left = 3 * across.before[x]!;
      const right = 3 * across.after[x]!;
      const share = across.share[x]!;
      for (let c = 0; c < 3; c++) {
        const paper = row[left + c]! + share * (row[right + c]! - row[left + c]!);
        even[at + c] = (255 * data[at + c]!) / Math.max(MIN_LIGHT, paper);
      }
      even[at + 3] = data[at + 3]!;
    }
    if (y % 64 === 0) onProgress(0.5 + y / height / 2);
  }
  onProgress(1);
  return { width, height, data: even };
}
