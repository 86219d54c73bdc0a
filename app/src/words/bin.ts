export const binWords = {
  removedShots: 'Removed shots',
  back: 'Back to the shots',
  nothingWasRemoved: 'Nothing was removed.',
  help: (days: number) =>
    `A removed shot stays here for ${days} days. Then it’s removed for good, and so are the pictures and sounds that it alone uses.`,
  seconds: (fixed: string) => `${fixed} seconds`,
  removedWhen: (when: string) => `removed ${when}`,
  goneIn: (days: number) =>
    days <= 0 ? 'gone today' : days === 1 ? 'gone tomorrow' : `gone in ${days} days`,
  restore: 'Restore',
  restoreNamed: (name: string) => `Restore ${name}`,
  removeForGood: 'Remove for good',
  removeForGoodNamed: (name: string) => `Remove ${name} for good`,
  empty: 'Empty the bin',
  reallyOne: (name: string) => `Remove “${name}” for good? Nothing can bring it back.`,
  reallyAll: (count: number) =>
    count === 1
      ? 'Remove 1 shot for good? Nothing can bring it back.'
      : `Remove ${count} shots for good? Nothing can bring them back.`,
  keep: 'Keep',
  fetchingTheShots: 'Loading the shots…',
} as const;
