import type { Passage } from '@humble/core';
import type { Post, RulerTick } from '@humble/core/views';
import type { EasingHandle } from '../../../kinds/easings';

/** What can be taken hold of in a view of the timing, and where it lies, pixels of the view. */
export type ViewTarget = { readonly x: number; readonly y: number } & (
  | { readonly kind: 'mark'; readonly post: Post }
  | { readonly kind: 'tick'; readonly frame: number }
  | { readonly kind: 'handle'; readonly handle: EasingHandle }
  | { readonly kind: 'edge'; readonly passage: Passage; readonly edge: 'from' | 'until' }
);

/** Half of a finger's target, pixels. */
export const REACH_PX = 22;

/** A mark is taken before a tick that is no more than this nearer; a handle before all, an edge before a tick. */
const FIRST_PX: Record<ViewTarget['kind'], number> = { handle: 9, mark: 6, edge: 3, tick: 0 };

/** Ticks that can be dragged: those between two marks that are not at one place. */
export function draggable(ticks: readonly RulerTick[], posts: readonly Post[]): RulerTick[] {
  return ticks.filter(({ frame }) =>
    posts.some(({ untilFrame }, i) => frame > untilFrame && frame < (posts[i + 1]?.frame ?? -Infinity)),
  );
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
