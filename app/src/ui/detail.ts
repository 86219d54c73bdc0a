/**
 * Levels of detail: things in a row are drawn in full where there is room, as hairlines where they stand close, and
 * as one soft band where even those would touch. Zooming in brings each one back.
 */

/** Things closer than this are hairlines, pixels. */
const HAIRLINE_PX = 6;
/** Things closer than this are one band, pixels. */
const BAND_PX = 2.5;

/** How strongly a band is filled. */
export const BAND_OPACITY = 0.2;

export interface ByDetail<Thing> {
  readonly full: readonly Thing[];
  readonly hairlines: readonly Thing[];
  /** Runs of things that would touch, each in the order of the row. */
  readonly bands: readonly (readonly Thing[])[];
}

/**
 * Sorts things in a row by how much room each has to its neighbours.
 * @param things in the order of the row
 * @param apart pixels between two neighbours
 */
export function byDetail<Thing>(
  things: readonly Thing[],
  apart: (a: Thing, b: Thing) => number,
): ByDetail<Thing> {
  const full: Thing[] = [];
  const hairlines: Thing[] = [];
  const bands: Thing[][] = [];
  let before = Infinity;
  let isInBand = false;
  things.forEach((thing, i) => {
    const next = things[i + 1];
    const after = next === undefined ? Infinity : apart(thing, next);
    const isBand = before < BAND_PX || after < BAND_PX;
    if (isBand) {
      // A band goes on as long as the one before is not too far.
      if (isInBand && before < BAND_PX) bands[bands.length - 1]!.push(thing);
      else bands.push([thing]);
    } else (Math.min(before, after) < HAIRLINE_PX ? hairlines : full).push(thing);
    isInBand = isBand;
    before = after;
  });
  return { full, hairlines, bands };
}

/** Whether something keeps far enough from its neighbours to be drawn by itself. @param apart pixels to each */
export const standsAlone = (...apart: readonly number[]): boolean => apart.every((gap) => gap >= BAND_PX);

/** Long ticks closer than this say nothing that a band does not, pixels. */
const LONG_APART_PX = 4;

/** Of long ticks in a row those that can be told apart. @param apart pixels between two neighbours */
export const longWithRoom = <Thing>(
  things: readonly Thing[],
  apart: (a: Thing, b: Thing) => number,
): readonly Thing[] =>
  things.filter((thing, i) => {
    const [before, after] = [things[i - 1], things[i + 1]];
    return (
      (before === undefined || apart(before, thing) >= LONG_APART_PX) &&
      (after === undefined || apart(thing, after) >= LONG_APART_PX)
    );
  });

interface Box {
  readonly left: number;
  readonly right: number;
}

/** Space between two labels of a row, pixels. */
const LABEL_GAP_PX = 9;

/**
 * Tells of one label after the other whether it has room in a row; those that are asked about first come first.
 * @param letterPx width of a letter
 */
export function labelRow(letterPx: number): (x: number, text: string) => boolean {
  const taken: Box[] = [];
  return (x, text) => {
    const half = (text.length * letterPx) / 2;
    const box = { left: x - half, right: x + half };
    const isFree = taken.every(
      ({ left, right }) => box.left >= right + LABEL_GAP_PX || box.right <= left - LABEL_GAP_PX,
    );
    if (isFree) taken.push(box);
    return isFree;
  };
}
