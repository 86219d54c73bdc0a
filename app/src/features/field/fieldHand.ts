import { distance, type Vector } from '@humble/core';
import { throttledStoreOf } from '../../state/throttledStore';
import { beginInteraction, endInteraction } from '../../state/live';
import { currentFrame } from '../../state/playhead';
import { setHoveredFrame } from '../../state/hoveredFrame';
import { activeTravelIn } from '../../state/selection';
import { pointsAt, REACH_PX, type Target, targetAt } from './hitTest';
import type { FieldContext, DragHandler, Pointer } from './dragHandler';
import { currentScene, EMPTY_SCENE, setScene } from './scene';
import { frameNearestTo } from './drags/arcDrags';
import { createDragHandler } from './createDragHandler';
import type { PointerTrail } from '../../ui/usePointerTrail';
import { pannedBy, toField, zoomedAt } from './viewport';

/** A press that moves less than this is a tap, pixels. */
const TAP_PX = 5;
/** Two taps within this time and distance are one double tap. */
const TWICE_MS = 350;
const TWICE_PX = 24;

interface LastTap {
  readonly at: number;
  readonly view: Vector;
  readonly target: string;
  /** The point it selected; a further tap goes on to the one beneath. */
  readonly pointId: string | null;
}

/** What a hand may come with. */
export interface HandTools {
  readonly context: FieldContext;
  readonly trail: PointerTrail;
}

/** A finger, pen or mouse on the field, from press to release; and two fingers. All places in pixels of the view. */
export interface FieldHand {
  readonly begin: (view: Vector, isTouch: boolean) => void;
  readonly update: (view: Vector) => void;
  readonly end: (view: Vector) => void;
  readonly pinchBegins: (focal: Vector) => void;
  readonly pinches: (factor: number, focal: Vector) => void;
  readonly pinchEnds: () => void;
  readonly hovers: (view: Vector) => void;
  readonly leaves: () => void;
}

/** @param live gives what the hand meets now: it outlives renders */
export function createFieldHand(live: () => HandTools): FieldHand {
  const snapshot = () => live().context.snapshot();
  const held = {
    hold: null as DragHandler | null,
    target: null as Target | null,
    start: { x: 0, y: 0 } as Vector,
    hasMoved: false,
    isPinching: false,
    isTouch: false,
    focal: { x: 0, y: 0 } as Vector,
    lastTap: null as LastTap | null,
    hovered: '',
    // Where the view was when it was taken hold of: events come faster than renders, so each
    // counts from here and none is lost.
    viewport: snapshot().viewport,
    projection: snapshot().projection,
  };
  const reach = (): number => REACH_PX / snapshot().projection.scale;
  const inField = (onView: Vector): Vector => toField(snapshot().projection, onView);
  const pointer = (view: Vector): Pointer => {
    const passed = live().trail.take();
    return {
      view,
      place: inField(view),
      isShift: live().trail.isShift(),
      isTouch: held.isTouch,
      trail: (passed.length > 0 ? passed : [{ ...view, at: performance.now() }]).map((spot) => ({
        ...inField(spot),
        ms: spot.at,
      })),
    };
  };
  const letGo = (): void => {
    throttledStoreOf(live().context.store).end();
    endInteraction();
    held.hold = null;
    held.target = null;
    const { hovered, pointer } = currentScene();
    // A finger that is lifted is nowhere; a mouse still points.
    setScene({ ...EMPTY_SCENE, hovered, pointer: held.isTouch ? null : pointer });
  };

  /** The nearest thing, unless repeated taps went on to one beneath it. */
  const chosenTarget = (now: Pointer): Target => {
    const { state } = snapshot();
    const target = targetAt(state, now.place, reach());
    const { lastTap } = held;
    if (target.kind !== 'point' || !state.arc || !lastTap?.pointId) return target;
    const isThere = distance(lastTap.view, now.view) <= TWICE_PX;
    const isBeneath = pointsAt(state.arc, now.place, reach()).some(({ id }) => id === lastTap.pointId);
    const isChosen = state.selectedPointIds.length === 1 && state.selectedPointIds[0] === lastTap.pointId;
    return isThere && isBeneath && isChosen ? { kind: 'point', pointId: lastTap.pointId } : target;
  };

  /** The point that a tap goes on to when the one before stayed where it was. */
  const pointBeneath = (now: Pointer, target: Target): string | null => {
    const { arc, selectedPointIds } = snapshot().state;
    const { lastTap } = held;
    if (target.kind !== 'point' || !arc || !lastTap || distance(lastTap.view, now.view) > TWICE_PX)
      return null;
    if (lastTap.pointId !== target.pointId || selectedPointIds.length !== 1) return null;
    const points = pointsAt(arc, now.place, reach());
    if (points.length < 2) return null;
    const i = points.findIndex(({ id }) => id === target.pointId);
    return points[(i + 1) % points.length]!.id;
  };

  const begin = (view: Vector, isTouch: boolean): void => {
    held.isTouch = isTouch;
    const { viewport, projection } = snapshot();
    Object.assign(held, { start: view, viewport, projection, hasMoved: false });
    const now = pointer(view);
    held.target = chosenTarget(now);
    held.hold = createDragHandler(live().context, held.target, now);
    throttledStoreOf(live().context.store).begin();
    beginInteraction('field');
  };

  const update = (view: Vector): void => {
    const { hold, start, viewport, projection } = held;
    if (!hold || held.isPinching) return;
    if (!held.hasMoved && !hold.startsAtOnce && distance(view, start) < TAP_PX) return;
    held.hasMoved = true;
    const now = pointer(view);
    if (hold.drag) {
      hold.drag(now);
      setScene({
        finger: held.isTouch && needsLoupe(held.target) ? view : null,
        pointer: now.place,
        isDragging: true,
      });
    } else live().context.viewChanges(pannedBy(viewport, projection, view.x - start.x, view.y - start.y));
  };

  const tap = (hold: DragHandler, target: Target, now: Pointer): void => {
    const { lastTap } = held;
    const name = nameOf(target);
    const pressedAt = live().trail.pressedAt();
    const isTwice =
      lastTap !== null &&
      pressedAt - lastTap.at < TWICE_MS &&
      distance(lastTap.view, now.view) <= TWICE_PX &&
      (lastTap.target === name || target.kind === 'placing');
    const beneath = pointBeneath(now, target);
    if (beneath && !now.isShift)
      createDragHandler(live().context, { kind: 'point', pointId: beneath }, now).tap?.(now);
    else if (isTwice && hold.tapTwice) hold.tapTwice(now);
    else hold.tap?.(now);
    held.lastTap = {
      at: isTwice ? -Infinity : pressedAt,
      view: now.view,
      target: name,
      pointId: target.kind === 'point' ? (beneath ?? target.pointId) : null,
    };
  };

  const end = (view: Vector): void => {
    const { hold, target } = held;
    if (hold && target && !held.isPinching) {
      const now = pointer(view);
      if (held.hasMoved || hold.startsAtOnce) hold.drop?.(now);
      else tap(hold, target, now);
    }
    letGo();
  };

  const pinchBegins = (focal: Vector): void => {
    if (!held.hasMoved || held.hold?.startsAtOnce) held.hold?.cancel?.();
    letGo();
    const { viewport, projection } = snapshot();
    Object.assign(held, { isPinching: true, focal, viewport, projection });
  };

  const pinches = (factor: number, to: Vector): void => {
    const { viewport, projection, focal } = held;
    const zoomed = zoomedAt(viewport, projection, focal, factor);
    const scale = (projection.scale * zoomed.zoom) / viewport.zoom;
    live().context.viewChanges(pannedBy(zoomed, { ...projection, scale }, to.x - focal.x, to.y - focal.y));
  };

  const pinchEnds = (): void => {
    held.isPinching = false;
  };

  const hovers = (view: Vector): void => {
    // While something is held, what else lies under the pointer does not matter.
    if (held.hold) return;
    const place = inField(view);
    const target = targetAt(snapshot().state, place, reach());
    const name = nameOf(target);
    const isNew = name !== held.hovered;
    held.hovered = name;
    setScene(isNew ? { hovered: target, pointer: place } : { pointer: place });
    setHoveredFrame(frameUnder(target));
  };

  /** The frame that what lies under the pointer stands for, for the read-out. */
  const frameUnder = (target: Target): number | null => {
    const { state } = snapshot();
    if (state.step === 'arc') return null;
    if ('frame' in target) return target.frame;
    const travel = target.kind === 'arc' ? activeTravelIn(live().context.store.getState()) : null;
    return travel && target.kind === 'arc' ? frameNearestTo(travel, target.s, currentFrame()) : null;
  };

  const leaves = (): void => {
    held.hovered = '';
    setScene({ hovered: null, pointer: null });
    setHoveredFrame(null);
  };

  return { begin, update, end, pinchBegins, pinches, pinchEnds, hovers, leaves };
}

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
  'figure',
]);
const needsLoupe = (target: Target | null): boolean => target !== null && LOUPED.has(target.kind);

/** The same name for the same thing under the pointer, wherever on it the pointer is. */
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
    case 'other-arc':
      return `other-arc ${target.arcId}`;
    case 'mark':
      return `mark ${target.markIds.join(' ')}`;
    case 'tick':
    case 'by-hand':
      return `${target.kind} ${target.frame}`;
    case 'placing':
      return target.closes ? 'placing closes' : 'placing';
    default:
      return target.kind;
  }
}
