import type { Easing } from '@humble/core';

export interface EasingNumber<Of extends Easing> {
  readonly label: string;
  readonly unit?: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly decimals?: number;
  readonly set: (value: number) => Of;
}

export interface EasingHandle {
  readonly id: string;
  /** What a drag of it changes, as the end of “Drag: …”. */
  readonly hint: string;
  readonly x: number;
  readonly share: number;
  /** The end of the span that a stem leads to, as x and share; none for a knob on the curve itself. */
  readonly stem: { readonly x: number; readonly share: number } | null;
}

export interface SpanPlace {
  readonly x: number;
  readonly share: number;
}

/**
 * Everything the interface has to know of one kind of easing. A new kind is a file with one of these, and a
 * line in the table.
 */
export interface EasingDescriptor<Of extends Easing> {
  readonly name: string;
  readonly shortName?: (easing: Of) => string;
  /** The easing with its numbers, in words; its name where it has none. */
  readonly inWords?: (easing: Of) => string;
  readonly sentence: (easing: Of) => string;
  readonly numbers?: (easing: Of, frames: number) => readonly EasingNumber<Of>[];
  readonly handles?: (easing: Of, frames: number) => readonly EasingHandle[];
  readonly dragged?: (easing: Of, handleId: string, to: SpanPlace, frames: number) => Of;
}
