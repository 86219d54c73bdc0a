import { measureArc } from '../arc/arcMeasure';
import { frameNumber } from '../model/frameNumbers';
import type { Check, CheckedTravel, Finding } from './check';

/** A heading that turns much from one picture to the next, where there is neither a mark nor a corner of the arc. */
export const snappingHeading: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel, steps, shot }) => {
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
    return steps
      .filter(
        ({ span, from, frame, headingChangeDeg }) =>
          span !== null && Math.abs(headingChangeDeg) > shot.thresholds.turnDeg && !passesCorner(from, frame),
      )
      .map(({ from, frame, headingChangeDeg }): Finding => ({
        from,
        until: frame,
        sentence: `The figure turns by ${Math.round(Math.abs(headingChangeDeg))}° on frame ${frameNumber(frame)}, without a mark or a corner there.`,
        fix: null,
      }));
  },
};
