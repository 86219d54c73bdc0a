import { MAX_COORDINATE } from '../../model/limits';
import { defineTrack } from './trackDefinition';

const OFFSET = {
  range: [-MAX_COORDINATE, MAX_COORDINATE],
  resting: 0,
  grows: false,
  isLength: true,
} as const;

/** How far the figure stands off its place on the arc, field units: to the right in the field, or forward when riding. */
export const offsetX = defineTrack({ name: 'offsetX', said: 'offset across', ...OFFSET, column: 'offset_x' });

/** The same downward in the field, or to the right of the arc's direction when riding. */
export const offsetY = defineTrack({ name: 'offsetY', said: 'offset down', ...OFFSET, column: 'offset_y' });
