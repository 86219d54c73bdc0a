export const PICTURE_LIMITS = {
  leastSide: 1,
  mostSide: 65_535,
  bytes: 40_000_000,
  /** The most pixels. Browsers on a tablet give up on more. */
  pixels: 40_000_000,
} as const;

interface Size {
  readonly width: number;
  readonly height: number;
}

export function sizeFault({ width, height }: Size): string | null {
  const { leastSide, mostSide, pixels } = PICTURE_LIMITS;
  if (!(width >= leastSide && height >= leastSide)) return 'This picture has no pixels.';
  if (width > mostSide || height > mostSide)
    return `This picture is ${Math.round(width)} × ${Math.round(height)} pixels; a side may have ${mostSide.toLocaleString('en-GB')}. Save it smaller.`;
  if (width * height > pixels)
    return `This picture has ${Math.round((width * height) / 1e6)} megapixels; ${pixels / 1e6} are the most. Save it smaller.`;
  return null;
}

/**
 * A drawing's size brought within the limits: a drawing has no pixels of its own, only proportions.
 * @returns null when it is too long and thin for that
 */
export function fittedSize({ width, height }: Size): Size | null {
  const { leastSide, mostSide, pixels } = PICTURE_LIMITS;
  if (!(width > 0 && height > 0 && Number.isFinite(width) && Number.isFinite(height))) return null;
  const most = Math.min(1, mostSide / width, mostSide / height, Math.sqrt(pixels / width / height));
  const scale = Math.max(most, leastSide / width, leastSide / height);
  if (scale > 1 ? most < 1 : scale > most) return null;
  // Whole pixels where it is made smaller: the product of two rounded numbers could pass the limit by a hair.
  const side = (length: number): number =>
    Math.max(leastSide, scale < 1 ? Math.floor(length * scale) : Math.min(mostSide, length * scale));
  const fitted = { width: side(width), height: side(height) };
  return sizeFault(fitted) === null ? fitted : null;
}
