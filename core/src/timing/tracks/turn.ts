import { MAX_TURN_DEG } from '../../model/limits';
import { defineTrack } from './trackDefinition';

/** Degrees that are added to the heading, clockwise as seen, without end: three full turns are 1080. */
export const turn = defineTrack({
  name: 'turn',
  said: 'turn',
  range: [-MAX_TURN_DEG, MAX_TURN_DEG],
  resting: 0,
  grows: false,
  column: 'turn_deg',
});
