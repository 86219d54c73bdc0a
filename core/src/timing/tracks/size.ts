import { defineTrack } from './trackDefinition';

/** The least and the most that a figure is sized to, percent. */
const SIZE_RANGE = [0.1, 10_000] as const;

/** Size in percent of the figure's own, about its pivot: across, and down too unless that has a track of its own. */
export const size = defineTrack({
  name: 'size',
  said: 'size',
  range: SIZE_RANGE,
  resting: 100,
  grows: true,
  column: 'size_percent',
});

/** Height in percent, for a move whose sizes run apart. */
export const sizeDown = defineTrack({
  name: 'sizeDown',
  said: 'height',
  range: SIZE_RANGE,
  resting: 100,
  grows: true,
  column: 'size_down_percent',
});
