import type { TrackDescriptor } from './trackDescriptor';

export const turn: TrackDescriptor = {
  label: 'Turn',
  sentence: 'Turns the figure from key to key, added to how it faces. Three full turns are 1080°.',
  unit: '°',
  decimals: 1,
  step: 5,
  leastShown: 60,
};
