import { type Arc, nearestPoint, type Travel, type Vector } from '@humble/core';
import { frameNearestTo } from '@humble/core/views';
import { doEdit } from '../../../store/doEdit';
import { arcActivated, marksSelected, arcLocationSelected, pointsSelected } from '../../../store/editorSlice';
import { currentFrame, goTo } from '../../../playback/playhead';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { putWaitingOnArc } from '../../../commands/figures';
import { addMark } from '../../../commands/timing';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { Target } from '../hitTest';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { snapper } from './snapping';

type OnArc = Extract<Target, { kind: 'arc' }>;

/**
 * A place on the arc. Dragging pulls its segment, or moves the whole arc when all of it is selected; a tap
 * chooses the place, two put a point there.
 */
export function arcDrag(
  context: FieldContext,
  arc: Arc,
  { segment, t, point }: OnArc,
  start: Pointer,
): DragHandler {
  const { store, snapshot } = context;
  if (arc.locked) return {};
  const name = createUndoGroup('field');
  const by = { x: point.x - start.point.x, y: point.y - start.point.y };
  const ids = arc.points.map(({ id }) => id);
  const isWhole = snapshot().state.selectedPointIds.length === ids.length;
  const settle = snapper(context, point, isWhole ? new Set(ids) : undefined);
  return {
    drag: (now) => {
      const to = settle({ x: now.point.x + by.x, y: now.point.y + by.y }, now);
      store.dispatch(
        isWhole
          ? doEdit(
              'movePoints',
              { arcId: arc.id, pointIds: ids, by: { x: to.x - point.x, y: to.y - point.y } },
              name,
            )
          : doEdit('pullSegment', { arcId: arc.id, segment, t, to }, name),
      );
    },
    tap: () => void store.dispatch(arcLocationSelected({ segment, t })),
    tapTwice: () => {
      const done = store.dispatch(doEdit('insertPoint', { arcId: arc.id, segment, t }));
      if (done) store.dispatch(pointsSelected(done.made().points));
    },
  };
}

/** Another arc than the one being worked on: a tap goes to it. */
export const otherArcDrag = ({ store, snapshot }: FieldContext, arcId: string): DragHandler => ({
  tap: ({ point }) => {
    // In the Figure step a figure that waits comes onto the arc that is tapped.
    if (snapshot().state.edits !== 'poses' || !store.dispatch(putWaitingOnArc(arcId, point)))
      store.dispatch(arcActivated(arcId));
  },
});

/** Scrubbing along the arc looks this share of its length about where it was, so crossings hold no traps. */
const SCRUB_WINDOW = 0.12;

function scrubTo(travel: Travel, arc: Arc, point: Vector, isFirst: boolean): void {
  const s = travel.arcDistance[currentFrame() - 1] ?? 0;
  const reach = travel.arcLength * SCRUB_WINDOW;
  const nearest = nearestPoint(arc, point, isFirst ? undefined : [s - reach, s + reach]);
  if (nearest) goTo(frameNearestTo(travel, nearest.s, currentFrame()));
}

/**
 * The arc outside the Arc step: the playhead follows the pointer along it. In the Timing step two taps put a
 * mark there.
 */
export function scrubDrag({ store, snapshot }: FieldContext, arc: Arc): DragHandler {
  const travel = selectActiveTravel(store.getState());
  // A figure that waits comes onto the arc where that is tapped.
  if (!travel) return { tap: ({ point }) => void store.dispatch(putWaitingOnArc(arc.id, point)) };
  let isFirst = true;
  const follow = ({ point }: Pointer): void => {
    scrubTo(travel, arc, point, isFirst);
    isFirst = false;
  };
  const markHere = ({ point }: Pointer): void => {
    const nearest = nearestPoint(arc, point);
    if (!nearest || travel.arcLength === 0) return;
    const frame = frameNearestTo(travel, nearest.s, currentFrame());
    const lap = arc.closed ? Math.floor(travel.arcDistance[frame - 1]! / travel.arcLength) : 0;
    store.dispatch(addMark(frame, lap + nearest.s / travel.arcLength));
  };
  return {
    drag: follow,
    tap: (now) => {
      store.dispatch(marksSelected([]));
      follow(now);
    },
    ...(snapshot().state.edits === 'timing' && { tapTwice: markHere }),
  };
}
