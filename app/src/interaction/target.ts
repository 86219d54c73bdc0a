import type { Vector } from '@humble/core';
import type { PressHandler, ViewPointer } from '../render/pointerSession';
import type { ContextMenu } from '../ui/contextMenu';

/** Half of a finger's target, pixels. */
const REACH_PX = 22;

/** One thing that can be taken hold of, where it lies in its view: pixels. */
export type Placed<Item> = Item & Vector;

/**
 * A kind of thing that can be taken hold of in a view (a mark, a key, an edge …). A new kind is a file with its
 * descriptor, and a line in the table of each view that has it.
 */
export interface TargetDescriptor<View, Item> {
  readonly kind: string;
  /** All of its kind that are in sight. @param at the pointer, for what lies along a whole line */
  readonly items: (view: View, at: Vector) => readonly Placed<Item>[];
  /** From how far away it is taken, pixels; a finger's reach without it. */
  readonly reachPx?: (view: View) => number;
  /** It is taken before another kind that is no more than this nearer, pixels. */
  readonly leadPx?: number;
  /** What a press holds from then on; null where a press is for what lies beneath. */
  readonly press?: (view: View, item: Placed<Item>, start: ViewPointer) => PressHandler<ViewPointer> | null;
  readonly menu?: (view: View, item: Placed<Item>) => ContextMenu | null;
}

export interface FoundTarget {
  readonly kind: string;
  /** How far away it is, less the lead of its kind, pixels. */
  readonly rank: number;
  readonly press: ((start: ViewPointer) => PressHandler<ViewPointer> | null) | undefined;
  readonly menu: (() => ContextMenu | null) | undefined;
}

export type Target<View> = (view: View, at: Vector) => FoundTarget | null;

export const defineTarget =
  <View, Item>({
    kind,
    items,
    reachPx = () => REACH_PX,
    leadPx = 0,
    press,
    menu,
  }: TargetDescriptor<View, Item>): Target<View> =>
  (view, at) => {
    let nearest: Placed<Item> | null = null;
    let least = Infinity;
    for (const item of items(view, at)) {
      const away = Math.hypot(item.x - at.x, item.y - at.y);
      if (away > reachPx(view) || away >= least) continue;
      least = away;
      nearest = item;
    }
    const item = nearest;
    return (
      item && {
        kind,
        rank: least - leadPx,
        press: press && ((start) => press(view, item, start)),
        menu: menu && (() => menu(view, item)),
      }
    );
  };

/** What lies under a pointer and can be pressed, or has a menu; of kinds alike far away the first. */
export function targetAt<View>(
  targets: readonly Target<View>[],
  view: View,
  at: Vector,
  wanted: 'press' | 'menu' = 'press',
): FoundTarget | null {
  let best: FoundTarget | null = null;
  for (const target of targets) {
    const found = target(view, at);
    if (found?.[wanted] && (!best || found.rank < best.rank)) best = found;
  }
  return best;
}
