export const persistenceWords = {
  serverAwayTryAgain: 'The server isn’t answering. Try again when it is back.',
  serverSlow: 'The server is taking too long to answer. Try again.',
  answerUnreadable: 'The server’s answer can’t be read. Reload the page.',
  serverError: (status: number) => `The server answered with an error (${status}).`,
  theServerRefusedThis: (status: number) => `The server refused this (${status}).`,
  changedElsewhere: 'This shot was changed somewhere else. Try again.',
  isLargerThan: (name: string, maxBytes: number) =>
    `“${name}” is larger than ${Math.floor(maxBytes / 1e6)} MB.`,
  serverErrorClause: (status: number) => `the server answered with an error (${status}).`,
  browserAway: 'The browser isn’t answering.',
  undoTheLastChange: (sentence: string) => `${sentence} Undo the last change.`,
  changedInOtherWindow: 'This shot was changed in another window. You’re now seeing that version.',
  removedInOtherWindow: 'This shot was removed in another window.',
} as const;
