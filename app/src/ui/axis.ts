export interface Range {
  readonly from: number;
  readonly to: number;
}

/** Values laid along pixels: `from` at `start`, `to` at `end`. An axis may run upwards, with `end` above `start`. */
export interface Axis extends Range {
  readonly start: number;
  readonly end: number;
}

const NARROWEST = 1e-9;

/** Pixels for a value. */
export const at = ({ from, to, start, end }: Axis, value: number): number =>
  start + ((value - from) / Math.max(NARROWEST, to - from)) * (end - start);

/** The value at so many pixels. */
export const valueAt = ({ from, to, start, end }: Axis, pixels: number): number =>
  from + ((pixels - start) / (end - start || 1)) * (to - from);

export const isInSight = ({ from, to }: Range, value: number): boolean => value >= from && value <= to;

/** A range kept within a whole one: as wide as it was, as far as the whole goes. */
export function within(range: Range, whole: Range): Range {
  const width = Math.min(range.to - range.from, whole.to - whole.from);
  const from = Math.min(whole.to - width, Math.max(whole.from, range.from));
  return { from, to: from + width };
}

/** A range with a value in sight: itself, or as much of the whole with the value in its middle. */
export function withInSight(range: Range, value: number): Range {
  const half = (range.to - range.from) / 2;
  return isInSight(range, value) ? range : { from: value - half, to: value + half };
}

/** A part of the whole is never made smaller than this share of it. */
const MIN_SHARE = 1 / 400;

/**
 * A range zoomed about a value that stays where it is.
 * @param factor more than 1 shows less of the whole, larger
 */
export function zoomed(range: Range, about: number, factor: number, whole: Range): Range {
  const least = (whole.to - whole.from) * MIN_SHARE;
  const width = Math.max(least, (range.to - range.from) / factor);
  const share = (about - range.from) / Math.max(NARROWEST, range.to - range.from);
  return within({ from: about - share * width, to: about + (1 - share) * width }, whole);
}

/** Tells whether something lies on pixels where nothing was before: what falls on the same ones is drawn once. */
export function onFreshPixels(least: number): (pixels: number) => boolean {
  const taken = new Set<number>();
  return (pixels) => {
    const bucket = Math.round(pixels / least);
    if (taken.has(bucket)) return false;
    taken.add(bucket);
    return true;
  };
}

/** Round numbers between which a scale of such a width is read: 1, 2 or 5 times a power of ten. */
export function roundStep(width: number, steps: number): number {
  const rough = Math.max(NARROWEST, width) / Math.max(1, steps);
  const power = 10 ** Math.floor(Math.log10(rough));
  const factor = [1, 2, 5].find((candidate) => candidate * power >= rough) ?? 10;
  return factor * power;
}
