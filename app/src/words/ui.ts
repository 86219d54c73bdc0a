export const uiWords = {
  partMissingTryAgain: 'The server does not answer, and this part of the page hasn’t loaded yet. Try again.',
  filesCanBeSavedInThe: 'Files can be saved in the browser only.',
  close: 'Close',
  partMissing: 'The server does not answer, and this part of the page hasn’t loaded yet.',
  tryAgain: 'Try again',
  isNotANumber: (text: string) => `“${text}” is not a number.`,
  isTheLeastHere: (min: string) => `At least ${min}.`,
  isTheMostHere: (max: string) => `At most ${max}.`,
  less: (label: string) => `Less: ${label}`,
  more: (label: string) => `More: ${label}`,
  whatMeans: (title: string, word: string) => `${title}: what “${word}” means`,
  across: 'Across',
  down: 'Down',
  degrees: (valueDeg: number) => `${valueDeg} degrees`,
  isLargerThanMBThatIs: (name: string, mostBytes: number) =>
    `“${name}” is larger than ${mostBytes} MB: that is more than can be read here.`,
  cannotBeRead: (name: string) => `“${name}” cannot be read.`,
} as const;
