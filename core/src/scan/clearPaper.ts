import { blankPixels, brightness, type OnProgress, type Pixels } from './pixels';

/** From which brightness on paper is clear, and up to which line is whole; 0 to 255. */
export interface Levels {
  readonly white: number;
  readonly black: number;
}

/** Paper and line differ by so much at least. */
export const LEAST_CONTRAST = 8;
/** Paper is as bright as all but so many standard deviations of it. */
const PAPER_SPREAD = 3;
const MAX_WHITE = 250;

function histogramOf({ data }: Pixels): Float64Array {
  const counts = new Float64Array(256);
  for (let at = 0; at < data.length; at += 4)
    if (data[at + 3]! > 0) counts[Math.round(brightness(data[at]!, data[at + 1]!, data[at + 2]!))]!++;
  return counts;
}

/** The level that divides dark from bright best: the greatest variance between both (Otsu 1979). */
function dividingLevel(counts: Float64Array): number {
  const all = counts.reduce((sum, count) => sum + count, 0);
  const total = counts.reduce((sum, count, level) => sum + level * count, 0);
  let [count, sum, best, most] = [0, 0, 128, -1];
  for (let level = 0; level < 255; level++) {
    count += counts[level]!;
    sum += level * counts[level]!;
    if (count === 0 || count === all) continue;
    const apart = sum / count - (total - sum) / (all - count);
    const variance = count * (all - count) * apart * apart;
    if (variance > most) [best, most] = [level, variance];
  }
  return best;
}

function meanOf(counts: Float64Array, from: number, until: number): { mean: number; spread: number } {
  let [count, sum, square] = [0, 0, 0];
  for (let level = from; level <= until; level++) {
    count += counts[level]!;
    sum += level * counts[level]!;
    square += level * level * counts[level]!;
  }
  const mean = count > 0 ? sum / count : (from + until) / 2;
  return { mean, spread: count > 0 ? Math.sqrt(Math.max(0, square / count - mean * mean)) : 0 };
}

/** Paper white and line black of a drawing whose light is even, as they are found in it. */
export function findLevels(even: Pixels): Levels {
  const counts = histogramOf(even);
  const level = dividingLevel(counts);
  const paper = meanOf(counts, level + 1, 255);
  const line = meanOf(counts, 0, level);
  const white = Math.round(Math.min(MAX_WHITE, Math.max(level, paper.mean - PAPER_SPREAD * paper.spread)));
  return { white, black: Math.round(Math.max(0, Math.min(white - LEAST_CONTRAST, line.mean))) };
}

/** A line's own colour is told apart from the paper's from so much of it on. */
const COLOURED = 0.02;

/**
 * A drawing on clear ground: paper is clear, the line is as much there as it is darker than paper, and keeps its softness
 * and its colour.
 * @param even a drawing whose light is even
 */
export function clearPaper(
  even: Pixels,
  { white, black }: Levels,
  onProgress: OnProgress = () => undefined,
): Pixels {
  const { width, height, data } = even;
  const clear = blankPixels(width, height);
  const range = Math.max(LEAST_CONTRAST, white - black);
  for (let at = 0; at < data.length; at += 4) {
    const level = brightness(data[at]!, data[at + 1]!, data[at + 2]!);
    const there = Math.min(1, Math.max(0, (white - level) / range));
    if (there > COLOURED) {
      for (let c = 0; c < 3; c++) clear.data[at + c] = (data[at + c]! - (1 - there) * white) / there;
      clear.data[at + 3] = there * data[at + 3]!;
    }
    if (at % (1 << 20) === 0) onProgress(at / data.length);
  }
  onProgress(1);
  return clear;
}

/** A pixel of a line is seen from this much on, 0 to 255. */
const SEEN = 40;

/**
 * A small mask of a drawing in line, in which what the line encloses is whole: thin lines are kept, and only what the
 * outside reaches is clear.
 * @param side the longer side of the mask, pixels
 */
export function enclosedMask(
  { width, height, data }: Pixels,
  side: number,
): { readonly width: number; readonly height: number; readonly alpha: Uint8ClampedArray } {
  const scale = Math.max(1, Math.max(width, height) / side);
  const [columns, rows] = [Math.max(1, Math.round(width / scale)), Math.max(1, Math.round(height / scale))];
  const alpha = new Uint8ClampedArray(columns * rows);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const to =
        Math.min(rows - 1, Math.floor(y / scale)) * columns + Math.min(columns - 1, Math.floor(x / scale));
      const seen = data[4 * (y * width + x) + 3]!;
      if (seen >= SEEN && seen > alpha[to]!) alpha[to] = seen;
    }
  // What is clear and reached from the edge lies outside.
  const outside = new Uint8Array(columns * rows);
  const queue: number[] = [];
  const reach = (x: number, y: number): void => {
    const at = y * columns + x;
    if (x < 0 || y < 0 || x >= columns || y >= rows || outside[at] || alpha[at]! > 0) return;
    outside[at] = 1;
    queue.push(at);
  };
  for (let x = 0; x < columns; x++) {
    reach(x, 0);
    reach(x, rows - 1);
  }
  for (let y = 0; y < rows; y++) {
    reach(0, y);
    reach(columns - 1, y);
  }
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    const x = at % columns;
    const y = (at - x) / columns;
    reach(x + 1, y);
    reach(x - 1, y);
    reach(x, y + 1);
    reach(x, y - 1);
  }
  for (let at = 0; at < alpha.length; at++) alpha[at] = outside[at] ? 0 : 255;
  return { width: columns, height: rows, alpha };
}
