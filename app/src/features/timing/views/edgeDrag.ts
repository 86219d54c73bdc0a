import { createEdgeDrag } from '../../../commands/passages';
import { goTo } from '../../../playback/playhead';
import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import type { DragOptions } from './viewDrags';
import type { ViewTarget } from './viewTargets';

/** An edge of the passage: dragged to another frame, looked at by a tap. */
export function edgeDrag(
  { store, meaning }: DragOptions,
  { passage, edge }: Extract<ViewTarget, { kind: 'edge' }>,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  const drag = createEdgeDrag(store, passage, edge);
  const began = meaning(start).frame ?? 0;
  return {
    drag: (now) => drag.by((meaning(now).frame ?? 0) - began),
    tap: () => goTo(passage[edge]),
  };
}
