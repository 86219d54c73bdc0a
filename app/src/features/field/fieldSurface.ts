import { fieldWords as words } from '../../words/field';
import { distance, type Vector } from '@humble/core';
import { frameNearestTo } from '@humble/core/views';
import { setHoveredFrame } from '../../playback/hoveredFrame';
import { currentFrame } from '../../playback/playhead';
import { DOUBLE_TAP_PX, type PointerSurface } from '../../render/pointerSession';
import { selectActiveTravel } from '../../store/selectors/selection';
import { createDragHandler } from './createDragHandler';
import type { DragHandler, FieldContext, Pointer } from './dragHandler';
import { fieldMenu } from './fieldMenu';
import { pointsAt, REACH_PX, type Target, targetAt } from './hitTest';
import { currentPointerScene, EMPTY_POINTER_SCENE, setPointerScene } from './pointerScene';
import { MIN_SCALE, pannedBy, toField, zoomedAt } from './viewport';

interface TappedPoint {
  readonly view: Vector;
  readonly pointId: string | null;
}

/** @param context gives what the pointer meets now: the surface outlives renders */
export function createFieldSurface(context: () => FieldContext): PointerSurface<Pointer> {
  const snapshot = () => context().snapshot();
  let target: Target | null = null;
  let tapped: TappedPoint | null = null;
  let hoveredName = '';
  // Where the view was when it was taken hold of: events come faster than renders, so each counts from here
  // and none is lost.
  let { viewport, projection } = snapshot();
  const startFromView = (): void => {
    ({ viewport, projection } = snapshot());
  };
  const reach = (): number => REACH_PX / snapshot().projection.scale;
  const inField = (onView: Vector): Vector => toField(snapshot().projection, onView);

  const chosenTarget = (now: Pointer): Target => {
    const { state } = snapshot();
    const nearest = targetAt(state, now.point, reach());
    if (nearest.kind !== 'point' || !state.arc || !tapped?.pointId) return nearest;
    const { view, pointId } = tapped;
    const isThere = distance(view, now.view) <= DOUBLE_TAP_PX;
    const isBeneath = pointsAt(state.arc, now.point, reach()).some(({ id }) => id === pointId);
    const isChosen = state.selectedPointIds.length === 1 && state.selectedPointIds[0] === pointId;
    return isThere && isBeneath && isChosen ? { kind: 'point', pointId } : nearest;
  };

  const pointBeneath = (now: Pointer, pressed: Target): string | null => {
    const { arc, selectedPointIds } = snapshot().state;
    if (pressed.kind !== 'point' || !arc || !tapped || distance(tapped.view, now.view) > DOUBLE_TAP_PX)
      return null;
    if (tapped.pointId !== pressed.pointId || selectedPointIds.length !== 1) return null;
    const points = pointsAt(arc, now.point, reach());
    if (points.length < 2) return null;
    const i = points.findIndex(({ id }) => id === pressed.pointId);
    return points[(i + 1) % points.length]!.id;
  };

  const tapWith =
    (pressed: Target, act: DragHandler['tap']) =>
    (now: Pointer): void => {
      const beneath = pointBeneath(now, pressed);
      if (beneath && !now.isShift)
        createDragHandler(context(), { kind: 'point', pointId: beneath }, now).tap?.(now);
      else act?.(now);
      tapped = {
        view: now.view,
        pointId: pressed.kind === 'point' ? (beneath ?? pressed.pointId) : null,
      };
    };

  const frameUnder = (under: Target): number | null => {
    if (snapshot().state.edits === 'arcs') return null;
    if ('frame' in under) return under.frame;
    const travel = under.kind === 'arc' ? selectActiveTravel(context().store.getState()) : null;
    return travel && under.kind === 'arc' ? frameNearestTo(travel, under.s, currentFrame()) : null;
  };

  return {
    pointer: ({ x, y, isShift, isTouch, trail }) => ({
      view: { x, y },
      point: inField({ x, y }),
      isShift,
      isTouch,
      trail: (trail.length > 0 ? trail : [{ x, y, at: performance.now() }]).map((spot) => ({
        ...inField(spot),
        ms: spot.at,
      })),
    }),
    press: (start) => {
      startFromView();
      const pressed = chosenTarget(start);
      target = pressed;
      const handler = createDragHandler(context(), pressed, start);
      return {
        ...handler,
        // Two taps finish an arc that is placed point by point, wherever the second one lies.
        name: pressed.kind === 'placing' ? 'placing' : nameOf(pressed),
        tap: tapWith(pressed, handler.tap),
        ...(handler.tapTwice && { tapTwice: tapWith(pressed, handler.tapTwice) }),
      };
    },
    menu: (at) => fieldMenu(context(), chosenTarget(at), at),
    dragged: (now) =>
      setPointerScene({
        finger: now.isTouch && needsLoupe(target) ? now.view : null,
        pointer: now.point,
        isDragging: true,
      }),
    pan: (by) => context().viewChanges(pannedBy(viewport, projection, by.x, by.y)),
    released: (wasTouch) => {
      target = null;
      const { hovered, pointer } = currentPointerScene();
      // A finger that is lifted is nowhere; a mouse still points.
      setPointerScene({ ...EMPTY_POINTER_SCENE, hovered, pointer: wasTouch ? null : pointer });
    },
    hover: (view) => {
      if (!view || snapshot().projection.scale <= MIN_SCALE) {
        hoveredName = '';
        setPointerScene({ hovered: null, pointer: null });
        setHoveredFrame(null);
        return;
      }
      const pointer = inField(view);
      const under = targetAt(snapshot().state, pointer, reach());
      const isNew = nameOf(under) !== hoveredName;
      hoveredName = nameOf(under);
      setPointerScene(isNew ? { hovered: under, pointer } : { pointer });
      setHoveredFrame(frameUnder(under));
    },
    pinchBegins: startFromView,
    pinch: (factor, by, focal) => {
      const zoomed = zoomedAt(viewport, projection, focal, factor);
      const scale = (projection.scale * zoomed.zoom) / viewport.zoom;
      context().viewChanges(pannedBy(zoomed, { ...projection, scale }, by.x, by.y));
    },
  };
}

/** Things that a finger hides while it drags them: the loupe shows them. */
const LOUPED = new Set<Target['kind']>([
  'point',
  'handle',
  'shape-handle',
  'arc',
  'placing',
  'ruler',
  'grip',
  'mark',
  'tick',
  'by-hand',
  'stand',
  'stage-figure',
  'corner',
  'figure',
  'knob',
  'rider',
]);
const needsLoupe = (target: Target | null): boolean => target !== null && LOUPED.has(target.kind);

function nameOf(target: Target): string {
  switch (target.kind) {
    case 'handle':
      return `handle ${target.pointId} ${target.side}`;
    case 'point':
      return `point ${target.pointId}`;
    case 'shape-handle':
      return `shape-handle ${target.id}`;
    case 'grip':
      return `grip ${target.grip}`;
    case 'rider':
      return `rider ${target.rider.riderId}`;
    case 'other-arc':
      return `other-arc ${target.arcId}`;
    case 'mark':
      return `mark ${target.markIds.join(' ')}`;
    case 'tick':
    case 'by-hand':
      return `${target.kind} ${target.frame}`;
    case 'placing':
      return target.closes ? words.placingCloses : 'placing';
    default:
      return target.kind;
  }
}
