export const storeWords = {
  frames: 'frames',
  seconds: 's',
  times: '×',
  percent: '%',
  scaleMissing: 'Millimetres need a scale: set it in the Arc step, under “Backdrop”.',
  faultInTheProgram: 'That did not work: there is a fault in the program. Please try again.',
} as const;
