import type { ComponentType } from 'react';

/** Where the field is in its view: pixels of the view, and of one field unit. */
export interface FieldLayerProps {
  readonly size: { readonly width: number; readonly height: number };
  readonly projection: {
    readonly offset: { readonly x: number; readonly y: number };
    readonly scale: number;
  };
}

/** What a step lays under the arcs of the field, and over all of it. */
export interface FieldLayers {
  /** Fills the view. */
  readonly Under?: ComponentType<FieldLayerProps>;
  /** Shapes in field units. */
  readonly Over?: ComponentType;
}
