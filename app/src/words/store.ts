export const storeWords = {
  frames: 'frames',
  seconds: 's',
  times: '×',
  percent: '%',
  scaleMissing: 'Millimetres need a scale: set it in the Arc step, under “Backdrop”.',
  faultInTheProgram: 'That didn’t work: something went wrong in the program. Please try again.',
} as const;
