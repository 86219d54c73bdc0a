import { FURTHEST_TURN } from '../../model/limits';
import { defineTrack } from './trackDefinition';

/** Degrees that are added to the heading, clockwise as seen, without end: three full turns are 1080. */
export const turn = defineTrack({
  name: 'turn',
  range: [-FURTHEST_TURN, FURTHEST_TURN],
  resting: 0,
  grows: false,
  column: 'turn_deg',
});
