export const removedWords = {
  seconds: (fixed: string) => `${fixed} seconds`,
  removedShots: 'Removed shots',
  nothingWasRemoved: 'Nothing was removed.',
  removedWhen: (when: string) => `removed ${when}`,
  restore: 'Restore',
  restoreNamed: (name: string) => `Restore ${name}`,
  fetchingTheShots: 'Loading the shots…',
} as const;
