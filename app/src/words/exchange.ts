export const exchangeWords = {
  placeAlongTheArc: 'Place along the arc',
  percentOfTheArc: 'Percent of the arc',
  alongColumn: 'Increments along the arc',
  runningTotal: 'Running total',
  incrementsOnTheRuler: 'Increments on the ruler',
  rulerTotalColumn: 'Running total on the ruler',
  importUnchanged: (fileName: string) => `Nothing in “${fileName}” differs from this move.`,
  importFollowed: (column: string, fileName: string, moved: number, what: string) =>
    `The timing follows “${column}” in “${fileName}”: ${moved} ${what} moved.`,
  whichColumnCounts: 'Which column sets the timing?',
  chooseColumnHelp: (fileName: string) =>
    `Several columns of “${fileName}” differ from this move, and they disagree.`,
  exportIt: 'Export',
  fetching: 'Loading…',
  without: (names: string) => `The file doesn’t include ${names}: it couldn’t be loaded.`,
  copied: 'Copied.',
  clipboardRefused: 'The browser didn’t allow copying. Export a file instead.',
} as const;
