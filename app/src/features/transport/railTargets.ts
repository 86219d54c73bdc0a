import type { Mark, Passage } from '@humble/core';
import { poseMenu } from '../../commands/menus/figureMenus';
import { markMenu } from '../../commands/menus/timingMenus';
import { createEdgeDrag } from '../../commands/passages';
import { createMarkDrag } from '../../commands/timing';
import { interactiveSurface } from '../../interaction/interactiveSurface';
import { defineTarget } from '../../interaction/target';
import { goTo } from '../../playback/playhead';
import type { PointerSurface, ViewPointer } from '../../render/pointerSession';
import { marksSelected } from '../../store/editorSlice';
import { noteTarget } from './noteTarget';
import type { RailTarget } from './railTarget';
import { EDGE_TOP, isOnKnob, railFrame, type RailView, railX } from './railView';

/** A mark is taken from so far away, pixels. */
const MARK_PX = 12;
/** An edge of a passage is taken from so far away, pixels. */
const EDGE_PX = 14;

interface PassageEdge {
  readonly passage: Passage;
  readonly edge: 'from' | 'until';
}

const railEdgeTarget = defineTarget<RailView, PassageEdge>({
  kind: 'edge',
  leadPx: 100,
  reachPx: () => EDGE_PX,
  items: (rail, { y }) => {
    const { passage } = rail;
    if (!passage || y < EDGE_TOP) return [];
    return (['until', 'from'] as const).map((edge) => ({ passage, edge, x: railX(rail, passage[edge]), y }));
  },
  press: (rail, { passage, edge }, start) => {
    const drag = createEdgeDrag(rail.store, passage, edge);
    const began = railFrame(rail, start);
    return {
      drag: (now) => drag.by(railFrame(rail, now) - began),
      tap: () => goTo(passage[edge]),
    };
  },
});

const railMarkTarget = defineTarget<RailView, { readonly mark: Mark }>({
  kind: 'mark',
  reachPx: () => MARK_PX,
  items: (rail, { y }) => (rail.move?.marks ?? []).map((mark) => ({ mark, x: railX(rail, mark.frame), y })),
  menu: ({ store, posts }, { mark }) => {
    if (!posts) return null;
    return posts === 'marks' ? markMenu(store, [mark.id]) : poseMenu(store, mark.frame);
  },
  press: (rail, { mark }, start) => {
    const { store, canMark } = rail;
    if (!canMark || isOnKnob(rail, start)) return null;
    const selected = store.getState().editor.selectedMarkIds;
    const ids = selected.includes(mark.id) ? selected : [mark.id];
    store.dispatch(marksSelected(ids));
    const drag = createMarkDrag(store, ids, mark.id);
    const began = railFrame(rail, start);
    return {
      drag: (now) => drag?.to({ frame: mark.frame + railFrame(rail, now) - began }),
      tap: () => goTo(mark.frame),
    };
  },
});

/** What can be taken hold of on the rail; of things alike near the first. */
export const RAIL_TARGETS: readonly RailTarget[] = [
  { find: railEdgeTarget },
  noteTarget,
  { find: railMarkTarget },
];

export const railSurface = (rail: RailView): PointerSurface<ViewPointer> =>
  interactiveSurface<RailView>({
    view: () => rail,
    targets: RAIL_TARGETS.map(({ find }) => find),
    ground: (_, start) => {
      goTo(railFrame(rail, start));
      return { startsAtOnce: true, drag: scrubFrom(rail, start) };
    },
  });

/** So far above the rail a finger scrubs half as fast, pixels. */
const FINER_PX = 40;
/** A finger on the rail strays so far above it, pixels. */
const STRAY_PX = 12;

/** The playhead under a finger; one that has left the rail upward scrubs finer, the further the finer. */
function scrubFrom(rail: RailView, start: ViewPointer): (now: ViewPointer) => void {
  let frame = railFrame(rail, start);
  let last = start;
  let hasLeft = false;
  return (now) => {
    hasLeft ||= now.y < -STRAY_PX;
    const above = Math.max(0, -STRAY_PX - now.y);
    const by = (railFrame(rail, now) - railFrame(rail, last)) / (1 + above / FINER_PX);
    frame = hasLeft ? Math.min(rail.lengthFrames, Math.max(1, frame + by)) : railFrame(rail, now);
    last = now;
    goTo(frame);
  };
}
