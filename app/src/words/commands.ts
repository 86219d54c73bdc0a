export const commandsWords = {
  theMarkIsCopied: 'Mark copied.',
  marksAreCopied: (count: number) => `${count} marks copied.`,
  strokeDiscarded: 'You left before keeping the stroke, so it was discarded.',
  moveStretched: 'The move was stretched to fit.',
  dontStretchTheMove: 'Don’t stretch the move',
  moveNotStretched: 'The move wasn’t stretched.',
  stretchTheMove: 'Stretch the move',
  tooManyPictures: (most: number, count: number) =>
    `A sequence has at most ${most} pictures; these are ${count}.`,
} as const;
