import { type Arc, fitStroke, nearestPlace, type Travel, type Vector } from '@humble/core';
import { useMemo } from 'react';
import { Gesture } from 'react-native-gesture-handler';
import { currentFrame, goTo } from '../../state/playhead';
import { gestureName } from '../../ui/gestureName';
import { useLive } from '../../ui/useLive';
import { type FieldState, REACH_PX, type Target, targetAt } from './hitTest';
import { pannedBy, type Projection, toField, type Viewport, zoomedAt } from './viewport';

/** What the field lets happen; each call is one change while something is dragged. */
export interface FieldActions {
  readonly strokeGrows: (places: readonly Vector[]) => void;
  readonly strokeEnds: (points: ReturnType<typeof fitStroke>) => void;
  readonly pointMoves: (pointId: string, to: Vector, gesture: string) => void;
  readonly handleMoves: (pointId: string, side: 'in' | 'out', to: Vector, gesture: string) => void;
  readonly pointTapped: (pointId: string) => void;
  readonly arcTapped: (stretch: number, t: number) => void;
  readonly groundTapped: () => void;
  readonly hovers: (target: Target | null) => void;
  readonly viewChanges: (viewport: Viewport) => void;
}

export interface FieldSituation {
  readonly state: FieldState;
  readonly viewport: Viewport;
  readonly projection: Projection;
  readonly travel: Travel | null;
}

/** A press that moves less than this is a tap, pixels. */
const TAP_PX = 5;
/** How far a fitted arc may lie from the stroke, pixels. */
const STROKE_DEVIATION_PX = 2.5;
/** A shorter stroke was a slip of the hand, pixels. */
const LEAST_STROKE_PX = 12;
/** Scrubbing along the arc looks this share of its length about where it was, so crossings hold no traps. */
const SCRUB_WINDOW = 0.12;

/** The exposure whose place is nearest to a distance along the arc; of equals the one nearest in time. */
export function frameNearestTo(travel: Travel, s: number, from: number): number {
  let best = from;
  let least = Infinity;
  for (let i = 0; i < travel.place.length; i++) {
    const away = Math.abs(travel.place[i]! - s) + Math.abs(i + 1 - from) * 1e-9 * (1 + travel.arcLength);
    if (away < least) {
      least = away;
      best = i + 1;
    }
  }
  return best;
}

function scrubTo(travel: Travel, arc: Arc, place: Vector, isFirst: boolean): void {
  const s = travel.place[currentFrame() - 1] ?? 0;
  const reach = travel.arcLength * SCRUB_WINDOW;
  const nearest = nearestPlace(arc, place, isFirst ? undefined : [s - reach, s + reach]);
  if (nearest) goTo(frameNearestTo(travel, nearest.s, currentFrame()));
}

/** One pan gesture with our own hit test, a pinch, and a hover. They outlive renders and read `live`. */
export function useFieldGestures(situation: () => FieldSituation, actions: FieldActions) {
  const live = useLive({ situation, actions });
  return useMemo(() => {
    const held = {
      target: null as Target | null,
      hovered: '',
      name: '',
      grip: { x: 0, y: 0 } as Vector,
      start: { x: 0, y: 0 } as Vector,
      hasMoved: false,
      isPinching: false,
      stroke: [] as Vector[],
      focal: { x: 0, y: 0 } as Vector,
      // Where the view was when it was taken hold of: events come faster than renders, so each
      // counts from here and none is lost.
      viewport: live().situation().viewport,
      projection: live().situation().projection,
    };
    const reach = (): number => REACH_PX / live().situation().projection.scale;
    const inField = (onView: Vector): Vector => toField(live().situation().projection, onView);
    const letGo = (): void => {
      held.target = null;
      held.stroke = [];
      live().actions.strokeGrows([]);
    };

    const begin = (x: number, y: number): void => {
      const { state } = live().situation();
      const place = inField({ x, y });
      const target = targetAt(state, place, reach());
      const at =
        target.kind === 'point'
          ? state.arc?.points.find((point) => point.id === target.pointId)
          : target.kind === 'handle'
            ? handleEnd(state.arc, target)
            : undefined;
      Object.assign(held, {
        target,
        name: gestureName('field'),
        // What is taken hold of does not jump to the pointer.
        grip: at ? { x: at.x - place.x, y: at.y - place.y } : { x: 0, y: 0 },
        start: { x, y },
        viewport: live().situation().viewport,
        projection: live().situation().projection,
        hasMoved: false,
        stroke: target.kind === 'draw' ? [place] : [],
      });
      if (target.kind === 'point') live().actions.pointTapped(target.pointId);
    };

    const update = (x: number, y: number): void => {
      const { target } = held;
      const { actions: act } = live();
      const now = live().situation();
      if (!target || held.isPinching) return;
      if (!held.hasMoved && Math.hypot(x - held.start.x, y - held.start.y) < TAP_PX) return;
      const isFirst = !held.hasMoved;
      held.hasMoved = true;
      const place = inField({ x, y });
      const to = { x: place.x + held.grip.x, y: place.y + held.grip.y };
      if (target.kind === 'draw') {
        held.stroke.push(place);
        act.strokeGrows(held.stroke);
      } else if (target.kind === 'point') act.pointMoves(target.pointId, to, held.name);
      else if (target.kind === 'handle') act.handleMoves(target.pointId, target.side, to, held.name);
      else if (target.kind === 'arc' && now.state.step !== 'arc' && now.travel && now.state.arc)
        scrubTo(now.travel, now.state.arc, place, isFirst);
      else act.viewChanges(pannedBy(held.viewport, held.projection, x - held.start.x, y - held.start.y));
    };

    const end = (x: number, y: number): void => {
      const { target, hasMoved, stroke } = held;
      const { actions: act } = live();
      const now = live().situation();
      if (!target || held.isPinching) return letGo();
      if (target.kind === 'draw') {
        const length = stroke.reduce(
          (sum, p, i) => sum + (i > 0 ? Math.hypot(p.x - stroke[i - 1]!.x, p.y - stroke[i - 1]!.y) : 0),
          0,
        );
        if (length * now.projection.scale >= LEAST_STROKE_PX)
          act.strokeEnds(fitStroke(stroke, { allowedDeviation: STROKE_DEVIATION_PX / now.projection.scale }));
      } else if (!hasMoved && target.kind === 'arc') {
        if (now.state.step === 'arc') act.arcTapped(target.stretch, target.t);
        else if (now.travel && now.state.arc) scrubTo(now.travel, now.state.arc, inField({ x, y }), true);
      } else if (!hasMoved && target.kind === 'ground') act.groundTapped();
      letGo();
    };

    const drag = Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .maxPointers(2)
      .onBegin(({ x, y }) => begin(x, y))
      .onUpdate(({ x, y, numberOfPointers }) => {
        if (numberOfPointers < 2) update(x, y);
      })
      .onFinalize(({ x, y }) => end(x, y));

    const pinch = Gesture.Pinch()
      .runOnJS(true)
      .onStart(({ focalX, focalY }) => {
        letGo();
        const { viewport, projection } = live().situation();
        Object.assign(held, { isPinching: true, focal: { x: focalX, y: focalY }, viewport, projection });
      })
      .onUpdate(({ scale, focalX, focalY }) => {
        const { viewport, projection, focal } = held;
        const zoomed = zoomedAt(viewport, projection, focal, scale);
        const nowScale = (projection.scale * zoomed.zoom) / viewport.zoom;
        live().actions.viewChanges(
          pannedBy(zoomed, { ...projection, scale: nowScale }, focalX - focal.x, focalY - focal.y),
        );
      })
      .onFinalize(() => {
        held.isPinching = false;
      });

    const tellHover = (target: Target | null): void => {
      const name = target ? nameOf(target) : '';
      if (name === held.hovered) return;
      held.hovered = name;
      live().actions.hovers(target);
    };
    const hover = Gesture.Hover()
      .runOnJS(true)
      .onUpdate(({ x, y }) => {
        // While something is held, what else lies under the pointer does not matter.
        if (!held.target) tellHover(targetAt(live().situation().state, inField({ x, y }), reach()));
      })
      .onEnd(() => tellHover(null));

    return Gesture.Simultaneous(drag, pinch, hover);
  }, [live]);
}

/** The same name for the same thing under the pointer, wherever on it the pointer is. */
const nameOf = (target: Target): string =>
  target.kind === 'handle'
    ? `handle ${target.pointId} ${target.side}`
    : target.kind === 'point'
      ? `point ${target.pointId}`
      : target.kind;

function handleEnd(
  arc: Arc | null,
  { pointId, side }: { pointId: string; side: 'in' | 'out' },
): Vector | undefined {
  const point = arc?.points.find((candidate) => candidate.id === pointId);
  return point && { x: point.x + point[side].x, y: point.y + point[side].y };
}
