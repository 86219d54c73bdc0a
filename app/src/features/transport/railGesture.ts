import type { Move } from '@humble/core';
import { Gesture, type PanGesture } from 'react-native-gesture-handler';
import { throttledStoreOf } from '../../state/throttledStore';
import { marksSelected } from '../../state/editorSlice';
import { currentFrame, goTo } from '../../state/playhead';
import type { AppStore } from '../../state/store';
import { createMarkDrag, type TimingDrag } from '../../state/timing';

export const SIDE = 14;
/** A mark is taken from so far away, pixels; the knob of the playhead comes first. */
const MARK_PX = 12;
const KNOB_PX = 10;
/** A press that moves less than this is a tap, pixels. */
const TAP_PX = 4;

/** Where a frame stands on the rail, pixels. */
export const along = (frame: number, lengthFrames: number, width: number): number =>
  SIDE + ((frame - 1) / Math.max(1, lengthFrames - 1)) * (width - 2 * SIDE);

/** The frame that pixels of the rail stand for, in real numbers. */
export const frameAlong = (x: number, lengthFrames: number, width: number): number =>
  1 + ((x - SIDE) / Math.max(1, width - 2 * SIDE)) * (lengthFrames - 1);

/** The rail as a hand meets it. */
export interface RailNow {
  readonly width: number;
  readonly lengthFrames: number;
  readonly move: Move | null;
  /** Whether marks can be dragged in time. */
  readonly canMark: boolean;
}

/** The mark that a press takes; none where the knob is. */
export function markUnder({ move, canMark, lengthFrames, width }: RailNow, x: number, frame: number) {
  if (!canMark || !move || Math.abs(along(frame, lengthFrames, width) - x) < KNOB_PX) return null;
  const away = (mark: Move['marks'][number]): number => Math.abs(along(mark.frame, lengthFrames, width) - x);
  const nearest = move.marks.reduce((best, mark) => (away(mark) < away(best) ? mark : best));
  return away(nearest) <= MARK_PX ? nearest : null;
}

interface HeldMark {
  readonly drag: TimingDrag;
  readonly frame: number;
  readonly from: number;
  hasMoved: boolean;
}

/** A hand on the rail: it drags the playhead, or a mark in time. */
export function createRailHand(store: AppStore, live: () => RailNow) {
  let held: HeldMark | null = null;
  const frameAt = (x: number): number => frameAlong(x, live().lengthFrames, live().width);
  const take = (x: number): HeldMark | null => {
    const mark = markUnder(live(), x, currentFrame());
    if (!mark) return null;
    const selected = store.getState().editor.selectedMarkIds;
    const ids = selected.includes(mark.id) ? selected : [mark.id];
    store.dispatch(marksSelected(ids));
    const drag = createMarkDrag(store, ids, mark.id);
    return drag && { drag, frame: mark.frame, from: x, hasMoved: false };
  };
  return {
    begin: (x: number): void => {
      held = take(x);
      throttledStoreOf(store).begin();
      if (!held) goTo(frameAt(x));
    },
    update: (x: number): void => {
      if (!held) return goTo(frameAt(x));
      if (!held.hasMoved && Math.abs(x - held.from) < TAP_PX) return;
      held.hasMoved = true;
      held.drag.to({ frame: held.frame + frameAt(x) - frameAt(held.from) });
    },
    end: (): void => {
      if (held && !held.hasMoved) goTo(held.frame);
      held = null;
      throttledStoreOf(store).end();
    },
  };
}

/** @param live gives the rail as it is now: the gesture outlives renders */
export function railGesture(store: AppStore, live: () => RailNow): PanGesture {
  const hand = createRailHand(store, live);
  return Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .onBegin(({ x }) => hand.begin(x))
    .onUpdate(({ x }) => hand.update(x))
    .onFinalize(() => hand.end());
}
