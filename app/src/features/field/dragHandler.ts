import type { Vector } from '@humble/core';
import type { PointerSample } from '@humble/core/views';
import type { PressHandler } from '../../render/pointerSession';
import type { AppStore } from '../../store/store';
import type { FieldState } from './hitTest';
import type { Projection, Viewport } from './viewport';

export interface Pointer {
  readonly view: Vector;
  readonly point: Vector;
  readonly isShift: boolean;
  readonly isTouch: boolean;
  /** Where it has been since the last event, the latest last, and when. Field units, milliseconds. */
  readonly trail: readonly PointerSample[];
}

export interface FieldSnapshot {
  readonly state: FieldState;
  readonly viewport: Viewport;
  readonly projection: Projection;
}

export interface FieldContext {
  readonly store: AppStore;
  readonly snapshot: () => FieldSnapshot;
  readonly viewChanges: (viewport: Viewport | null) => void;
}

export type DragHandler = PressHandler<Pointer>;
