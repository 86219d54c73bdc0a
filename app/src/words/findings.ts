/** Everything that the interface says about what the checks find. */
export const findingWords = {
  checking: 'Checking …',
  nothingFound: 'Nothing found',
  findings: (count: number) => (count === 1 ? '1 finding' : `${count} findings`),
  whatTheChecksFound: 'What the checks found',
  nothingToMend: 'The checks found nothing to fix.',
  goToFrame: (frame: number, sentence: string) => `Go to frame ${frame}: ${sentence}`,
  andMore: (further: number) => `And ${further} more.`,
} as const;
