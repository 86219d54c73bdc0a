import type { ComponentType } from 'react';
import type { Target } from '../../interaction/target';
import type { RailView } from './railView';

export interface RailLayerProps {
  readonly x: (frame: number) => number;
  readonly lengthFrames: number;
}

export interface RailTarget {
  readonly find: Target<RailView>;
  /** Draws it, within the rail's SVG; what has none is drawn with the rail. */
  readonly Layer?: ComponentType<RailLayerProps>;
}
