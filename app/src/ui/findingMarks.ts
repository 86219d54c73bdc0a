/** Radius of the ring about a frame, pixels. */
const RADIUS_PX = 3.5;

/** How wide the lines of these marks are, pixels. */
export const FINDING_LINE_PX = 1.75;

/**
 * Rings with a stroke through them at single frames, and lines along several: where something was found. To be drawn
 * as lines.
 * @param xOf pixels of a frame; null where it is not in sight
 * @param y of their upper edge
 */
export const findingMarks = (
  findings: readonly { readonly from: number; readonly until: number }[],
  xOf: (frame: number) => number | null,
  y: number,
): string =>
  findings
    .map(({ from, until }) => {
      const [a, b] = [xOf(from), xOf(until)];
      const middle = y + RADIUS_PX;
      const isRun = a !== null && b !== null && Math.abs(b - a) > 3 * RADIUS_PX;
      const run = isRun ? `M${a.toFixed(1)} ${middle}H${(b - RADIUS_PX).toFixed(1)}` : '';
      return b === null ? run : run + ringAt(b, middle);
    })
    .join('');

function ringAt(x: number, y: number): string {
  const r = RADIUS_PX;
  const ring = `M${(x - r).toFixed(1)} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
  return `${ring}M${(x - r).toFixed(1)} ${y + r}l${2 * r} ${-2 * r}`;
}
