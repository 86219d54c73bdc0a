import type { Move, Passage } from '@humble/core';
import type { PointerSurface, PressHandler, ViewPointer } from '../../render/pointerSession';
import { marksSelected } from '../../store/editorSlice';
import { currentFrame, goTo } from '../../playback/playhead';
import type { AppStore } from '../../store/store';
import { poseMenu } from '../../commands/menus/figureMenus';
import { markMenu } from '../../commands/menus/timingMenus';
import { createEdgeDrag } from '../../commands/passages';
import { createMarkDrag } from '../../commands/timing';

export const SIDE = 14;
/** A mark is taken from so far away, pixels; the knob of the playhead comes first. */
const MARK_PX = 12;
const KNOB_PX = 10;

/** Where a frame stands on the rail, pixels. */
export const along = (frame: number, lengthFrames: number, width: number): number =>
  SIDE + ((frame - 1) / Math.max(1, lengthFrames - 1)) * (width - 2 * SIDE);

/** The frame that pixels of the rail stand for, in real numbers. */
export const frameAlong = (x: number, lengthFrames: number, width: number): number =>
  1 + ((x - SIDE) / Math.max(1, width - 2 * SIDE)) * (lengthFrames - 1);

/** The rail as a pointer meets it. */
export interface RailNow {
  readonly width: number;
  readonly lengthFrames: number;
  readonly move: Move | null;
  /** The passage that was picked; null for none. */
  readonly passage: Passage | null;
  /** Whether marks can be dragged in time. */
  readonly canMark: boolean;
  /** What its posts stand for where they have a menu: marks, or the poses of the figure. */
  readonly posts: 'marks' | 'poses' | null;
}

/** The mark that a press takes; none where the knob is. */
export function markUnder(rail: RailNow, x: number, frame: number) {
  const { canMark, lengthFrames, width } = rail;
  const isOnKnob = Math.abs(along(frame, lengthFrames, width) - x) < KNOB_PX;
  return canMark && !isOnKnob ? nearestMark(rail, x) : null;
}

function nearestMark({ move, lengthFrames, width }: RailNow, x: number) {
  if (!move) return null;
  const away = (mark: Move['marks'][number]): number => Math.abs(along(mark.frame, lengthFrames, width) - x);
  const nearest = move.marks.reduce((best, mark) => (away(mark) < away(best) ? mark : best));
  return away(nearest) <= MARK_PX ? nearest : null;
}

/** An edge of a passage is taken below the knob of the playhead, from so far away, pixels. */
const EDGE_PX = 14;
export const EDGE_TOP = 22;

/** The edge of the passage that a press takes; null where there is none. */
export function edgeUnder(
  { passage, lengthFrames, width }: RailNow,
  { x, y }: { readonly x: number; readonly y: number },
): 'from' | 'until' | null {
  if (!passage || y < EDGE_TOP) return null;
  const away = (edge: 'from' | 'until'): number => Math.abs(along(passage[edge], lengthFrames, width) - x);
  const nearest = away('from') < away('until') ? 'from' : 'until';
  return away(nearest) <= EDGE_PX ? nearest : null;
}

/** What a pointer does on the rail: it drags the playhead, or a mark in time. */
export function railSurface(store: AppStore, rail: RailNow): PointerSurface<ViewPointer> {
  const frameAt = (x: number): number => frameAlong(x, rail.lengthFrames, rail.width);
  return {
    pointer: (raw) => raw,
    menu: ({ x }) => {
      const mark = rail.posts && nearestMark(rail, x);
      if (!mark) return null;
      return rail.posts === 'marks' ? markMenu(store, [mark.id]) : poseMenu(store, mark.frame);
    },
    press: (start) => {
      const edge = edgeUnder(rail, start);
      if (edge) return edgeDrag(store, rail, edge, start);
      const mark = markUnder(rail, start.x, currentFrame());
      if (!mark) {
        goTo(frameAt(start.x));
        return { startsAtOnce: true, drag: ({ x }) => goTo(frameAt(x)) };
      }
      const selected = store.getState().editor.selectedMarkIds;
      const ids = selected.includes(mark.id) ? selected : [mark.id];
      store.dispatch(marksSelected(ids));
      const drag = createMarkDrag(store, ids, mark.id);
      const began = frameAt(start.x);
      return {
        drag: ({ x }) => drag?.to({ frame: mark.frame + frameAt(x) - began }),
        tap: () => goTo(mark.frame),
      };
    },
  };
}

function edgeDrag(
  store: AppStore,
  rail: RailNow,
  edge: 'from' | 'until',
  start: ViewPointer,
): PressHandler<ViewPointer> {
  const passage = rail.passage!;
  const drag = createEdgeDrag(store, passage, edge);
  const frameAt = (x: number): number => frameAlong(x, rail.lengthFrames, rail.width);
  const began = frameAt(start.x);
  return {
    drag: ({ x }) => drag.by(frameAt(x) - began),
    tap: () => goTo(passage[edge]),
  };
}
