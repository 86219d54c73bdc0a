import { measureArc, pointBuffer, writePoint } from '../arc/arcMeasure';
import { wrapDeg } from '../arc/vector';
import type { Check, CheckedTravel, Finding } from './check';

/** A bend is looked at in so many steps; where none of them turns by more than this, degrees, it is one and no corner. */
const LOOKS = 64;
const SMOOTH_DEG = 12;
/** Round a bend that turns further than this in one picture nobody sees where it went, degrees. */
const HAIRPIN_DEG = 120;

/** How far the direction of an arc turns between two places, degrees; null where it does so at once. */
function bendBetween({ arc }: CheckedTravel['travel'], from: number, to: number): number | null {
  const measure = measureArc(arc);
  const at = pointBuffer();
  writePoint(measure, from, arc.points[0], at);
  let [turned, before] = [0, at.headingDeg];
  for (let i = 1; i <= LOOKS; i++) {
    writePoint(measure, from + ((to - from) * i) / LOOKS, arc.points[0], at);
    const step = wrapDeg(at.headingDeg - before);
    if (Math.abs(step) > SMOOTH_DEG) return null;
    turned += step;
    before = at.headingDeg;
  }
  return turned;
}

/**
 * A heading that turns much from one picture to the next, where there is neither a mark nor a corner of the arc, and which
 * is not that of a smooth bend that the figure follows.
 */
export const snappingHeading: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel, steps, shot, frameNumber }) => {
    const { arc, arcDistance, arcLength } = travel;
    const { startDistance } = measureArc(arc);
    const corners = arc.points.flatMap(({ kind }, i) => (kind === 'corner' ? [startDistance[i]!] : []));
    const passesCorner = (from: number, frame: number): boolean => {
      const [a, b] = [arcDistance[from - 1]!, arcDistance[frame - 1]!];
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      return corners.some((s) => {
        const lap = arc.closed && arcLength > 0 ? Math.ceil((low - s) / arcLength) * arcLength : 0;
        return s + lap >= low && s + lap <= high;
      });
    };
    const { turnDeg } = shot.thresholds;
    const followsBend = (from: number, frame: number, headingChangeDeg: number): boolean => {
      if (!travel.move.turnsWithArc || Math.abs(headingChangeDeg) > HAIRPIN_DEG) return false;
      const bend = bendBetween(travel, arcDistance[from - 1]!, arcDistance[frame - 1]!);
      return bend !== null && Math.abs(headingChangeDeg - bend) <= turnDeg;
    };
    return steps
      .filter(
        ({ span, from, frame, headingChangeDeg }) =>
          span !== null &&
          Math.abs(headingChangeDeg) > turnDeg &&
          !passesCorner(from, frame) &&
          !followsBend(from, frame, headingChangeDeg),
      )
      .map(({ from, frame, headingChangeDeg }): Finding => ({
        from,
        until: frame,
        sentence: `The figure turns by ${Math.round(Math.abs(headingChangeDeg))}° on frame ${frameNumber(frame)}, without a mark or a corner there.`,
        fix: null,
      }));
  },
};
