/** Half of the wedge that points at a frame, pixels; it is as high as one and a half of it. */
const HALF_PX = 4;

/**
 * Wedges that point up at single frames, and strokes along several: where something was found.
 * @param xOf pixels of a frame; null where it is not in sight
 * @param y of the tips
 */
export const findingMarks = (
  findings: readonly { readonly from: number; readonly until: number }[],
  xOf: (frame: number) => number | null,
  y: number,
): string =>
  findings
    .map(({ from, until }) => {
      const [a, b] = [xOf(from), xOf(until)];
      const run =
        a !== null && b !== null && Math.abs(b - a) > 2 * HALF_PX
          ? `M${a.toFixed(1)} ${y + 1.5}H${b.toFixed(1)}v2H${a.toFixed(1)}Z`
          : '';
      return b === null ? run : `${run}M${b.toFixed(1)} ${y}l${-HALF_PX} ${1.5 * HALF_PX}h${2 * HALF_PX}z`;
    })
    .join('');
