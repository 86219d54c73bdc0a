import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { type Move, spanArrivingAt } from '@humble/core';
import { type UnrolledArc } from '@humble/core/views';
import { doEdit } from '../../../store/doEdit';
import { goTo } from '../../../playback/playhead';
import type { AppStore } from '../../../store/store';
import { createUndoGroup } from '../../../ui/undoGroup';
import { defineTarget } from '../../../interaction/target';
import { selectTiming } from './selectTiming';
import type { GraphTimingView } from './timingView';

/** The exposure whose bar stands over a frame: the first one at or after it. */
function barOver({ ticks }: UnrolledArc, frame: number): number | null {
  return ticks.find((tick, i) => i > 0 && tick.frame >= frame)?.frame ?? null;
}

/** Frames of exposures that lead out of a span: which bars a hand may draw on. */
function barFrames({ ticks }: UnrolledArc, move: Move, index: number): number[] {
  const [from, to] = [move.marks[index]!.frame, move.marks[index + 1]!.frame];
  return ticks.map(({ frame }) => frame).filter((frame) => frame > from && frame <= to);
}

interface PaceOptions {
  readonly store: AppStore;
  /** The frame, in real numbers, and the increment in units of the ruler that a pointer stands for. */
  readonly meaning: (pointer: ViewPointer) => { readonly frame: number; readonly increment: number };
}

/**
 * The bars of the pace under the pointer: each one it goes over gets as tall as the pointer is high, in the span
 * where it came down. The rest of the span gives way, so that the whole stays.
 */
export function paceDrag({ store, meaning }: PaceOptions, start: ViewPointer): PressHandler<ViewPointer> {
  const now = selectTiming(store.getState());
  const first = now && barOver(now.ruler, meaning(start).frame);
  if (!now || first === null) return {};
  const { move, ruler } = now;
  const index = spanArrivingAt(move, Math.min(first, move.marks[move.marks.length - 1]!.frame));
  const markId = move.marks[index]!.id;
  const frames = barFrames(ruler, move, index);
  const undoGroup = createUndoGroup('pace');
  const drawn = new Map<number, number>();
  let last: { readonly i: number; readonly increment: number } | null = null;
  const draw = (pointer: ViewPointer): void => {
    const { frame, increment } = meaning(pointer);
    const i = frames.findIndex((candidate) => candidate >= frame);
    const at = i < 0 ? frames.length - 1 : i;
    if (at < 0) return;
    // A quick hand passes over bars between two words from it: they are drawn in a straight line.
    const from = last ?? { i: at, increment };
    const step = Math.sign(at - from.i);
    for (let k = from.i + step; step !== 0 && k !== at; k += step) {
      const share = (k - from.i) / (at - from.i);
      set(frames[k]!, from.increment + (increment - from.increment) * share);
    }
    set(frames[at]!, increment);
    last = { i: at, increment };
    store.dispatch(doEdit('drawSpacing', { moveId: move.id, markId, drawn: [...drawn] }, undoGroup));
  };
  const set = (frame: number, increment: number): void => {
    drawn.delete(frame);
    drawn.set(frame, Math.max(0, increment) / (ruler.length || 1));
  };
  let isFirst = true;
  return {
    drag: (pointer) => {
      // The bar under the press is drawn too, which a tap would not do.
      if (isFirst) draw(start);
      isFirst = false;
      draw(pointer);
    },
    tap: () => goTo(first),
  };
}

export const paceTarget = defineTarget<GraphTimingView, object>({
  kind: 'pace',
  leadPx: 1000,
  items: ({ isOnPace }, at) => (isOnPace(at) ? [at] : []),
  press: ({ store, paceMeaning }, _, start) => paceDrag({ store, meaning: paceMeaning }, start),
});
