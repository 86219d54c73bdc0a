import type { PointerSample, Vector } from '@humble/core';
import type { AppStore } from '../../state/store';
import type { FieldState } from './hitTest';
import type { Projection, Viewport } from './viewport';

/** Where the pointer is, and how it is held. */
export interface Pointer {
  /** Pixels of the view. */
  readonly view: Vector;
  /** Field units. */
  readonly place: Vector;
  readonly isShift: boolean;
  readonly isTouch: boolean;
  /** Where it has been since the last word from it, the latest last, and when. Field units, milliseconds. */
  readonly trail: readonly PointerSample[];
}

/** What the hand meets in the field. */
export interface FieldSnapshot {
  readonly state: FieldState;
  readonly viewport: Viewport;
  readonly projection: Projection;
}

/** All that a hold needs to do its work. */
export interface FieldContext {
  readonly store: AppStore;
  readonly snapshot: () => FieldSnapshot;
  readonly viewChanges: (viewport: Viewport | null) => void;
}

/** What is held from the press on, and what becomes of it. */
export interface DragHandler {
  /** True when the pointer moved and what is held follows. Without it a drag moves the view. */
  readonly drag?: (now: Pointer) => void;
  /** The drag came to its end. */
  readonly drop?: (now: Pointer) => void;
  /** The press ended where it began. */
  readonly tap?: (now: Pointer) => void;
  /** It did so twice in short order, in place of the second tap. */
  readonly tapTwice?: (now: Pointer) => void;
  /** The smallest movement counts, and a press without any is a drag. */
  readonly startsAtOnce?: boolean;
  /** A second finger came down: what the press alone did is taken back. */
  readonly cancel?: () => void;
}
