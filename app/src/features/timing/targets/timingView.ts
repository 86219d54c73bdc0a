import type { Passage, Vector } from '@humble/core';
import type { AppStore } from '../../../store/store';
import type { PlacedHandle, PlacedMark, TimingNow } from './selectTiming';

/** What a pointer on a view stands for; null where the view does not say. */
export interface Meaning {
  readonly frame: number | null;
  readonly arcDistance: number | null;
}

export interface TimingView {
  readonly store: AppStore;
  readonly now: TimingNow;
  /** Where a frame and a place on the ruler lie, pixels; null where that is out of sight. */
  readonly place: (of: PlacedMark) => Vector | null;
  readonly meaning: (pointer: Vector) => Meaning;
  /** The same for a mark, which one moves in time or in place: small strays to the side do not count. */
  readonly markMeaning: (pointer: Vector, start: Vector) => Meaning;
  /** The frame that is looked at where nothing is taken hold of. */
  readonly frameAt: (pointer: Vector) => number;
  readonly reachPx: number;
  /** Marks at one place are several targets: they lie beside each other in time. */
  readonly splitsPosts: boolean;
}

/** The graph besides: it shows time as well. */
export interface GraphTimingView extends TimingView {
  readonly handles: readonly (PlacedHandle & Vector)[];
  readonly edges: readonly (Vector & { readonly passage: Passage; readonly edge: 'from' | 'until' })[];
  readonly isOnPace: (at: Vector) => boolean;
  readonly paceMeaning: (pointer: Vector) => { readonly frame: number; readonly increment: number };
}
