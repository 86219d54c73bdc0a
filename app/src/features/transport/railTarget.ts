import type { ComponentType } from 'react';
import type { Target } from '../../interaction/target';
import type { RailView } from './railView';

/** What the drawing of a target is told of the rail. */
export interface RailLayerProps {
  /** Where a frame stands, pixels. */
  readonly x: (frame: number) => number;
  readonly lengthFrames: number;
}

/** Something on the rail that can be taken hold of. A new one is its file, and a line in `RAIL_TARGETS`. */
export interface RailTarget {
  readonly find: Target<RailView>;
  /** Draws it, within the rail's SVG; what has none is drawn with the rail. */
  readonly Layer?: ComponentType<RailLayerProps>;
}
