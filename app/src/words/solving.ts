export const solvingWords = {
  steps: 'Its steps',
  inOnePicture: 'from picture to picture',
  noneAbove: 'None above',
  noneBelow: 'None below',
  givesWay: 'What gives way',
  framesGive: 'Frames',
  easingGives: 'Easing',
  framesChange: 'The span gets as many frames as it needs, and later marks follow.',
  easingChanges: 'The frames stay; leaving and arriving get shorter.',
  noneAboveAnywhere: (length: string) => `None above ${length} in the whole move`,
} as const;
