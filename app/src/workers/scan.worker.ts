// By their own ways in: the worker needs nothing else of the core.
import {
  clearPaper,
  enclosedMask,
  evenLight,
  findLevels,
  findRegisterMarks,
  laidOn,
  lineUpMap,
  type OnProgress,
  type Pixels,
  straightened,
} from '@humble/core/scan';
import { traceOutline } from '@humble/core/traceOutline';
import { expose, transfer } from 'comlink';
import type { ClearedSheet, ScanLevels, ScannedSheet, SheetShown, Spot } from './scan';

/** Sheets are worked on no larger than this, pixels: finer than a pencil, and light enough for a phone. */
const MAX_SIDE = 2_400;
/** The longer side of the copy that an outline is traced from, pixels. */
const MASK_PX = 192;

const sheets: Pixels[] = [];

function contextOf(width: number, height: number): OffscreenCanvasRenderingContext2D {
  return new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
}

async function pixelsOf(file: Blob): Promise<Pixels> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, MAX_SIDE / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const context = contextOf(width, height);
  // What is clear already is paper.
  context.fillStyle = '#FFFFFF';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}

function seen(pixels: Pixels): ScannedSheet {
  const { width, height } = pixels;
  const { marks, isComplete } = findRegisterMarks(pixels);
  return { width, height, levels: findLevels(pixels), marks, isComplete };
}

const imageOf = ({ data, width, height }: Pixels): ImageData =>
  new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width, height);

async function pngOf(pixels: Pixels): Promise<Uint8Array> {
  const context = contextOf(pixels.width, pixels.height);
  context.putImageData(imageOf(pixels), 0, 0);
  const blob = await context.canvas.convertToBlob({ type: 'image/png' });
  return new Uint8Array(await blob.arrayBuffer());
}

const scanner = {
  /** Reads a sheet, evens its light, and looks for its marks. @throws Error when it is no picture */
  read: async (file: Blob, onProgress: OnProgress): Promise<ScannedSheet> => {
    const even = evenLight(await pixelsOf(file), onProgress);
    sheets.push(even);
    return seen(even);
  },

  straighten: (index: number, corners: readonly [Spot, Spot, Spot, Spot]): ScannedSheet => {
    sheets[index] = straightened(sheets[index]!, corners);
    return seen(sheets[index]);
  },

  /** A sheet as it will be, small enough to be shown. */
  show: async (index: number, { levels, isClear, side }: SheetShown): Promise<ImageBitmap> => {
    const sheet = sheets[index]!;
    const scale = Math.min(1, side / Math.max(sheet.width, sheet.height));
    const width = Math.max(1, Math.round(sheet.width * scale));
    const height = Math.max(1, Math.round(sheet.height * scale));
    const whole = await createImageBitmap(imageOf(sheet), {
      resizeWidth: width,
      resizeHeight: height,
      resizeQuality: 'medium',
    });
    if (!isClear) return transfer(whole, [whole]);
    const context = contextOf(width, height);
    context.drawImage(whole, 0, 0);
    whole.close();
    const cleared = clearPaper(context.getImageData(0, 0, width, height), levels);
    const shown = await createImageBitmap(imageOf(cleared));
    return transfer(shown, [shown]);
  },

  /**
   * A sheet with its paper cleared, laid on the first one where both have their marks, and the outline of what is drawn
   * on it; null where nothing is left of it.
   * @throws ShotError where the marks are laid out otherwise
   */
  clear: async (
    index: number,
    levels: ScanLevels,
    marks: { readonly own: readonly Spot[]; readonly first: readonly Spot[] } | null,
    onProgress: OnProgress,
  ): Promise<ClearedSheet | null> => {
    const sheet = sheets[index]!;
    const laid = marks
      ? laidOn(sheet, lineUpMap(marks.own, marks.first), sheets[0]!, (done) => onProgress(done / 2))
      : sheet;
    const clear = clearPaper(laid, levels, (done) => onProgress(0.5 + done / 2));
    // Register marks are for lining up: they are no part of the drawing.
    for (const { x, y } of marks?.first ?? []) wipe(clear, x, y);
    const mask = enclosedMask(clear, MASK_PX);
    const outline = traceOutline(mask, clear.width / mask.width);
    if (!outline) return null;
    const bytes = await pngOf(clear);
    return transfer({ bytes, outline, width: clear.width, height: clear.height }, [bytes.buffer]);
  },
};

/** A register mark is wiped this far about its middle, as a share of the sheet's longer side. */
const WIPED = 0.03;

function wipe({ data, width, height }: Pixels, x: number, y: number): void {
  const reach = Math.round(WIPED * Math.max(width, height));
  const [left, right] = [Math.max(0, Math.round(x) - reach), Math.min(width, Math.round(x) + reach)];
  for (let row = Math.max(0, Math.round(y) - reach); row < Math.min(height, Math.round(y) + reach); row++)
    data.fill(0, 4 * (row * width + left), 4 * (row * width + right));
}

export type SheetScanner = typeof scanner;
expose(scanner);
