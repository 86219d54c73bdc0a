export const helpWords = {
  keyboard: 'Keyboard',
  ctrlIsOnAMacOn: 'Ctrl is ⌘ on a Mac. On anything that can be dragged, the arrow keys work too.',
  whatItsFor: (label: string) => `${label}: what it’s for`,
  inItsPanel: 'In its panel',
  words: 'Words',
  keys: 'Keys',
  guide: 'Guide',
  tryIt: 'Try it: a lantern in ten strokes',
  allKeys: 'All keys',
} as const;
