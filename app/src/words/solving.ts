export const solvingWords = {
  steps: 'Its steps',
  inOnePicture: 'from picture to picture',
  noneAbove: 'Largest step',
  noneBelow: 'Smallest step',
  givesWay: 'Adjust',
  framesGive: 'Frames',
  easingGives: 'Easing',
  framesChange: 'The span gets as many frames as it needs, and later marks follow.',
  easingChanges: 'The frames stay; leaving and arriving get shorter.',
  noneAboveAnywhere: (length: string) => `Largest step ${length} in the whole move`,
} as const;
