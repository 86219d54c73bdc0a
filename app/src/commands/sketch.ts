import { type PointShape, type Vector } from '@humble/core';
import {
  closedPoints,
  closesStroke,
  pointsWithStroke,
  samplesFor,
  strokeUses,
  withEndsMet,
} from '@humble/core/views';
import { fitAside } from '../workers/fit';
import { ActionCreators } from 'redux-undo';
import {
  arcActivated,
  type Sketch,
  sketched,
  type SketchUse,
  strokeAsked,
  toolChosen,
} from '../store/editorSlice';
import { doEdit } from '../store/doEdit';
import { goTo } from '../playback/playhead';
import type { AppThunk, RootState } from '../store/store';
import { selectActiveArc } from '../store/selectors/active';

/** All that a stroke can become, the likeliest first. */
function usesOf(state: RootState, samples: readonly Vector[], reach: number): readonly SketchUse[] {
  const arc = selectActiveArc(state);
  if (!arc || arc.locked) return [{ kind: 'fresh' }];
  const near = strokeUses(arc, samples, reach).filter(({ kind }) => kind !== 'anew');
  const far: readonly SketchUse[] =
    state.editor.strokeMeans === 'anew'
      ? [{ kind: 'anew' }, { kind: 'fresh' }]
      : [{ kind: 'fresh' }, { kind: 'anew' }];
  return state.editor.strokeMeans ? [...far, ...near] : [...near, ...far];
}

/** Whether it becomes a closed arc: as one of its own, not as a piece of another. */
const isRound = ({ closes, use }: Sketch): boolean => closes && (use.kind === 'fresh' || use.kind === 'anew');

let fits = 0;
let latestFit: Promise<void> = Promise.resolve();

const fitted =
  (sketch: Sketch): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const fit = ++fits;
    const waiting: Sketch = { ...sketch, isFitting: true };
    dispatch(sketched(waiting));
    const arc = sketch.arcId === null ? null : selectActiveArc(getState());
    const closed = isRound(sketch);
    const samples =
      arc && sketch.use.kind !== 'fresh' ? samplesFor(arc, sketch.samples, sketch.use) : sketch.samples;
    const found = await fitAside(closed ? withEndsMet(samples) : samples, sketch.deviation).catch(
      (error: unknown) => {
        // What was fitted before can still be kept.
        if (getState().editor.sketch === waiting) dispatch(sketched({ ...waiting, isFitting: false }));
        throw error;
      },
    );
    if (fit !== fits || getState().editor.sketch !== waiting) return;
    const points = closed ? closedPoints(found) : found;
    dispatch(sketched({ ...waiting, fitted: points, isFitting: false }));
    // A first stroke is an arc at once; there is nothing that it could spoil.
    if (sketch.undoGroup) dispatch(doEdit('drawArc', { points, closed }, sketch.undoGroup));
  };

/**
 * A stroke came to its end.
 * @param reach how near to the arc counts as on it, field units
 * @param deviation how far the arc may lie from the stroke, field units
 * @param undoGroup a name for the undo step of a first stroke
 */
export const drawStroke =
  (
    samples: readonly Vector[],
    reach: number,
    deviation: number,
    undoGroup: string,
  ): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const arc = selectActiveArc(getState());
    const uses = usesOf(getState(), samples, reach);
    const isFirst = arc === null;
    if (isFirst) {
      dispatch(toolChosen('shape'));
      goTo(1);
    }
    latestFit = dispatch(
      fitted({
        samples,
        deviation,
        closes: closesStroke(samples, reach),
        arcId: arc?.id ?? null,
        uses,
        use: uses[0]!,
        fitted: null,
        isFitting: true,
        undoGroup: isFirst ? undoGroup : null,
      }),
    );
    await latestFit;
  };

export const changeSketch =
  (some: Partial<Pick<Sketch, 'deviation' | 'use'>>): AppThunk =>
  (dispatch, getState) => {
    const { sketch } = getState().editor;
    // What was fitted for one use says nothing about another.
    if (!sketch) return;
    latestFit = dispatch(fitted({ ...sketch, ...some, ...(some.use && { fitted: null }) }));
    void latestFit;
  };

export const keepSketch = (): AppThunk<Promise<void>> => async (dispatch, getState) => {
  if (getState().editor.sketch?.isFitting) await latestFit.catch(() => undefined);
  const { sketch } = getState().editor;
  const arc = selectActiveArc(getState());
  if (!sketch?.fitted) return;
  if (sketch.undoGroup) dispatch(sketched(null));
  else if (sketch.use.kind === 'fresh' || !arc) {
    const made = dispatch(doEdit('drawArc', { points: sketch.fitted, closed: isRound(sketch) }))?.made();
    if (made?.arcs[0]) dispatch(arcActivated(made.arcs[0]));
  } else if (
    dispatch(
      doEdit('redrawArc', {
        arcId: arc.id,
        points: pointsWithStroke(arc, sketch.use, sketch.fitted),
        ...(sketch.use.kind === 'anew' && { closed: isRound(sketch) }),
      }),
    )
  )
    dispatch(toolChosen('shape'));
};

/** The stroke is given up; the next one takes its place. */
export const redoSketch = (): AppThunk => (dispatch, getState) => {
  const { sketch, strokeMeans } = getState().editor;
  if (sketch?.undoGroup) dispatch(ActionCreators.undo());
  dispatch(strokeAsked(strokeMeans));
};

export interface SketchedShape {
  readonly points: readonly PointShape[];
  readonly closed: boolean;
}

let latest: { readonly sketch: Sketch; readonly shape: SketchedShape } | null = null;

export function selectSketchedShape(state: RootState): SketchedShape | null {
  const { sketch } = state.editor;
  if (!sketch?.fitted) return null;
  if (latest?.sketch === sketch) return latest.shape;
  const arc = selectActiveArc(state);
  const shape =
    sketch.use.kind === 'fresh' || sketch.use.kind === 'anew' || !arc
      ? { points: sketch.fitted, closed: isRound(sketch) }
      : { points: pointsWithStroke(arc, sketch.use, sketch.fitted), closed: arc.closed };
  latest = { sketch, shape };
  return shape;
}
