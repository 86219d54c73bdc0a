export const emptyListWords = {
  noShotsYet: 'No shots yet',
  aShotIsOnePieceOf:
    'A shot is one piece of work: a length in frames, and what travels in it. One stroke gives you an arc, its increments and something to play.',
  drawSomethingNow: 'Draw something now',
  openTheDemoFilm: 'Open the demo film',
  importAFile: 'Import a file',
  tryIt: 'Try it: a lantern in ten strokes',
} as const;
