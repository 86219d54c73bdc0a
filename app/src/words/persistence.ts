export const persistenceWords = {
  theServerDoesNotAnswerTry: 'The server does not answer. Try again when it is back.',
  theServerIsTakingTooLong: 'The server is taking too long to answer. Try again.',
  theServersAnswerCantBeRead: 'The server’s answer can’t be read. Reload the page.',
  theServerAnsweredWithAnError: (status: number) => `The server answered with an error (${status}).`,
  theServerRefusedThis: (status: number) => `The server refused this (${status}).`,
  thisShotWasChangedSomewhereElse: 'This shot was changed somewhere else. Try again.',
  isLargerThan: (name: string, maxBytes: number) =>
    `“${name}” is larger than ${Math.floor(maxBytes / 1e6)} MB.`,
  theServerAnsweredWithAnErrorAfterColon: (status: number) =>
    `the server answered with an error (${status}).`,
  theBrowserDoesNotAnswer: 'The browser does not answer.',
  undoTheLastChange: (sentence: string) => `${sentence} Undo the last change.`,
  thisShotWasChangedInAnother: 'This shot was changed in another window. You’re now seeing that version.',
  thisShotWasRemovedInAnother: 'This shot was removed in another window.',
} as const;
