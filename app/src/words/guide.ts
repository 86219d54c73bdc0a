export const guideWords = {
  title: 'Guide',
  back: 'Back',
  loading: 'Loading the guide…',
  missing:
    'The guide can’t be loaded. Open it once while the server is running, and it stays on this device.',
  open: (number: number, title: string) => `Chapter ${number}: ${title}`,
  next: (title: string) => `Next: ${title}`,
  allChapters: 'All chapters',
  tryIt: 'Try it: a lantern in ten strokes',
  tryItHelp: 'Make your first shot, with four hints along the way.',
  shotName: 'A lantern in ten strokes',
  hint: (number: number) => `Hint ${number} of 4`,
  hints: [
    'Draw one stroke across the paper, with a finger or the mouse.',
    'It’s already moving: press play. Then go to Figure, then Figures, and choose the lantern.',
    'Go to Timing and make it leave more slowly: over 24 frames instead of 12.',
    'Take the numbers with you: Shot menu, Export, Increments as CSV.',
  ],
  done: 'That’s a lantern in ten strokes. The guide picks up from here.',
  leave: 'Leave the hints',
  toTheGuide: 'Guide',
  guideHelp: 'Ten short chapters, in the order you’d work. Each ends with a file you can use.',
} as const;
