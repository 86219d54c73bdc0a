import { arcLength } from '../arc/arcMeasure';
import { findArc } from '../model/parts';
import type { Move, Shot } from '../model/schema';
import { withMarksMoved } from '../timing/markEdits';
import { type OfMove, withMove } from '../timing/moveChange';
import { type Span, spansOf } from '../timing/placeInTime';
import { easingUnder, framesUnder, keepsTo, type SpanPlan, type StepRule } from '../timing/solve';

export const planOf = (move: Move, span: Span, length: number): SpanPlan => ({
  easing: span.from.easing,
  distance: (span.to.fraction - span.from.fraction) * length,
  frames: span.frames,
  framesHeld: move.framesHeld,
});

/** Edits that work one thing of a timing out from the others. */
export const solveEdits = {
  /**
   * No increment longer than `most`, or shorter than `least`, field units: the frames of a span give way, and later
   * marks with them, or its easing does. Spans that keep to it already, and holds, stay as they are.
   * @param args.markId the mark that the span starts at; null for all spans of the move
   * @throws ShotError `out-of-range` where a span cannot keep to it
   */
  keepSteps: (
    shot: Shot,
    {
      moveId,
      markId,
      gives,
      ...rule
    }: OfMove & StepRule & { readonly markId: string | null; readonly gives: 'frames' | 'easing' },
  ): Shot =>
    withMove(
      shot,
      moveId,
      (move) => {
        const length = arcLength(findArc(shot, move.arcId));
        const asked = spansOf(move).filter(
          (span) => !span.isHold && (markId === null || span.from.id === markId),
        );
        return asked.reduceRight((now, span) => {
          const plan = planOf(move, span, length);
          if (keepsTo(plan, rule)) return now;
          if (gives === 'frames') {
            const byFrames = framesUnder(plan, rule).frames - plan.frames;
            return withMarksMoved(now, [span.to.id], { byFrames, byFraction: 0, takesLater: true });
          }
          const easing = easingUnder(plan, rule);
          return {
            ...now,
            marks: now.marks.map((mark) => (mark.id === span.from.id ? { ...mark, easing } : mark)),
          };
        }, move);
      },
      true,
    ),
} as const;
