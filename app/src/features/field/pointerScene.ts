import type { Vector } from '@humble/core';
import type { SnapGuide } from '@humble/core/views';
import { createExternalStore, useExternalStore } from '../../ui/externalStore';
import type { Target } from './hitTest';

/**
 * What stands in the field only while the pointer is over it. Not application state: it changes with every
 * movement of the pointer and is never saved.
 */
export interface PointerScene {
  readonly hovered: Target | null;
  readonly stroke: readonly Vector[];
  readonly marquee: { readonly from: Vector; readonly to: Vector } | null;
  readonly guides: readonly SnapGuide[];
  readonly pointer: Vector | null;
  readonly isDragging: boolean;
  /** Where the figure is acted out, field units; null when it is not. */
  readonly acting: Vector | null;
  /** Beats left before a gesture is recorded; null when none is counted in. */
  readonly count: number | null;
  readonly finger: Vector | null;
}

export const EMPTY_POINTER_SCENE: PointerScene = {
  hovered: null,
  stroke: [],
  marquee: null,
  guides: [],
  pointer: null,
  isDragging: false,
  acting: null,
  count: null,
  finger: null,
};

const scene = createExternalStore(EMPTY_POINTER_SCENE, { notifiesOncePerFrame: true });

export const currentPointerScene = scene.get;
export const subscribePointerScene = scene.subscribe;
export const setPointerScene = (some: Partial<PointerScene>): void => scene.set({ ...scene.get(), ...some });

export const usePointerScene = <Value>(pick: (scene: PointerScene) => Value): Value =>
  useExternalStore(scene, pick);
