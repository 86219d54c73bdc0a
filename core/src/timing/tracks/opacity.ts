import { defineTrack } from './trackDefinition';

/** How far the figure covers what lies beneath it, percent. */
export const opacity = defineTrack({
  name: 'opacity',
  said: 'opacity',
  range: [0, 100],
  resting: 100,
  grows: false,
  column: 'opacity_percent',
});
