import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import type { UnrolledArc } from '@humble/core/views';
import type { AppStore } from '../../../store/store';
import type { ViewTarget } from './viewTargets';
import { markDrag } from './markDrag';
import { tickDrag } from './tickDrag';
import { easingDrag } from '../graph/easingDrag';
import { edgeDrag } from './edgeDrag';
import { groundDrag } from './groundDrag';

/** What a pointer on a view stands for; null where the view does not say. */
export interface Meaning {
  readonly frame: number | null;
  /** Units of the ruler. */
  readonly arcDistance: number | null;
}

export interface DragOptions {
  readonly store: AppStore;
  readonly ruler: UnrolledArc;
  readonly meaning: (pointer: { readonly x: number; readonly y: number }) => Meaning;
  /** The frame that is looked at where nothing is taken hold of. */
  readonly frameAt: (pointer: { readonly x: number; readonly y: number }) => number;
}

/** What a press on a view of the timing holds from then on. */
export function createViewDragHandler(
  options: DragOptions,
  target: ViewTarget | null,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  switch (target?.kind) {
    case 'mark':
      return markDrag(options, target, start);
    case 'tick':
      return start.isShift || options.store.getState().editor.isSelectingSeveral
        ? groundDrag(options, start)
        : tickDrag(options, target.frame, start);
    case 'handle':
      return easingDrag(options, target, start);
    case 'edge':
      return edgeDrag(options, target, start);
    default:
      return groundDrag(options, start);
  }
}
