import type { Post, RulerTick, UnrolledArc } from '@humble/core';
import { at, type Axis, isInSight } from './axis';
import type { EasingHandle } from '../easings';
import type { PlacedHandle } from './timingIn';

/** What can be taken hold of in a view of the timing, and where it lies, pixels of the view. */
export type ViewTarget = { readonly x: number; readonly y: number } & (
  | { readonly kind: 'mark'; readonly post: Post }
  | { readonly kind: 'tick'; readonly frame: number }
  | { readonly kind: 'handle'; readonly handle: EasingHandle }
);

/** Half of a finger's target, pixels. */
export const REACH_PX = 22;
/** A mark is taken before a tick that is no more than this nearer; a handle before both. */
const FIRST_PX: Record<ViewTarget['kind'], number> = { handle: 9, mark: 6, tick: 0 };

/** Ticks that can be dragged: those between two marks that are not at one place. */
export function draggable(ticks: readonly RulerTick[], posts: readonly Post[]): RulerTick[] {
  return ticks.filter(({ frame }) =>
    posts.some(({ untilFrame }, i) => frame > untilFrame && frame < (posts[i + 1]?.frame ?? -Infinity)),
  );
}

/** A knob keeps so far from the marks of its span, pixels: both are to be seen, and to be taken. */
const CLEAR_PX = 16;
/** But no further than this share of the span. */
const MOST_ASIDE = 1 / 3;

/**
 * Where the knob of a handle stands in the graph, pixels: at the handle, and beside a mark that it would lie on, as
 * it does when an easing leaves or arrives over no frames.
 */
export function knobSpot(
  { frame, place, ends }: Pick<PlacedHandle, 'frame' | 'place' | 'ends'>,
  time: Axis,
  way: Axis,
): { readonly x: number; readonly y: number } {
  const spot = { x: at(time, frame), y: at(way, place) };
  const aside = Math.min(CLEAR_PX, (at(time, ends[1].frame) - at(time, ends[0].frame)) * MOST_ASIDE);
  ends.forEach((end, i) => {
    const x = at(time, end.frame);
    if (Math.hypot(spot.x - x, spot.y - at(way, end.place)) < aside) spot.x = i === 0 ? x + aside : x - aside;
  });
  return spot;
}

/** What lies in the graph: frames to the right, places upwards. */
export function graphTargets(
  { ticks, posts }: UnrolledArc,
  handles: readonly PlacedHandle[],
  time: Axis,
  way: Axis,
): ViewTarget[] {
  const seen = (frame: number, place: number): boolean => isInSight(time, frame) && isInSight(way, place);
  return [
    ...handles.map((placed): ViewTarget => ({
      kind: 'handle',
      handle: placed.handle,
      ...knobSpot(placed, time, way),
    })),
    ...posts
      .flatMap((post) => post.markIds.map((id, i) => ({ ...post, markIds: [id], frame: post.frames[i]! })))
      .filter((post) => seen(post.frame, post.place))
      .map((post): ViewTarget => ({
        kind: 'mark',
        post,
        x: at(time, post.frame),
        y: at(way, post.place),
      })),
    ...draggable(ticks, posts)
      .filter(({ frame, place }) => seen(frame, place))
      .map(({ frame, place }): ViewTarget => ({
        kind: 'tick',
        frame,
        x: at(time, frame),
        y: at(way, place),
      })),
  ];
}

/** What lies on the ruler, all on one line. */
export function rulerTargets({ ticks, posts }: UnrolledArc, along: Axis, y: number): ViewTarget[] {
  return [
    ...posts
      .filter(({ place }) => isInSight(along, place))
      .map((post): ViewTarget => ({ kind: 'mark', post, x: at(along, post.place), y })),
    ...draggable(ticks, posts)
      .filter(({ place }) => isInSight(along, place))
      .map(({ frame, place }): ViewTarget => ({ kind: 'tick', frame, x: at(along, place), y })),
  ];
}

/** The thing to be taken at a place of a view; null on empty ground. */
export function targetNear(
  targets: readonly ViewTarget[],
  x: number,
  y: number,
  reach: number = REACH_PX,
): ViewTarget | null {
  let best: ViewTarget | null = null;
  let least = Infinity;
  for (const target of targets) {
    const away = Math.hypot(target.x - x, target.y - y);
    if (away > reach || away - FIRST_PX[target.kind] >= least) continue;
    least = away - FIRST_PX[target.kind];
    best = target;
  }
  return best;
}

/** One line that says what a press there will do. */
export function hintOf(target: ViewTarget | null): string {
  switch (target?.kind) {
    case 'handle':
      return `Drag: ${target.handle.hint}.`;
    case 'mark':
      return `Drag: move the mark on frame ${target.post.frame}. Tap: select it.`;
    case 'tick':
      return `Drag: move the tick of frame ${target.frame}.`;
    default:
      return 'Drag: look at another frame.';
  }
}
