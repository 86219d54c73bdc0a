const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

export const backupWords = {
  title: 'Backup and this device',
  back: 'Back to the shots',
  save: 'Save everything',
  saveHelp:
    'One ZIP file with every shot, its earlier versions, the bin, pictures, sounds and your easings. Keep it on another disk.',
  read: 'Restore from a backup',
  readHelp: 'You see what it holds before anything changes.',
  reading: (name: string) => `Checking “${name}”…`,
  readingCopy: (day: string) => `Checking the copy of ${day}…`,
  cancel: 'Cancel',
  holds: (when: string | null) => (when === null ? 'This backup holds' : `This backup of ${when} holds`),
  contents: (shots: number, revisions: number, pictures: number, sounds: number) =>
    [
      counted(shots, 'shot'),
      counted(revisions, 'earlier version'),
      counted(pictures, 'picture'),
      counted(sounds, 'sound'),
    ].join(', '),
  moreInBin: (count: number) => `, and ${counted(count, 'shot')} in the bin`,
  moreShots: (count: number) => `and ${counted(count, 'more shot', 'more shots')}`,
  whole: 'Nothing is wrong with it.',
  faulty: 'Something is wrong with it. What can be read can be added beside what you have:',
  beside: 'Add to what is here',
  besideHelp:
    'Shots that are missing come back. A shot that has changed since is added under another name. Nothing is replaced.',
  instead: 'Replace everything',
  insteadHelp: 'Everything becomes what it was. What is here now is set aside first.',
  reallyInstead: (count: number) =>
    `Replace everything with the ${counted(count, 'shot')} of this backup? What is here now is set aside in the folder of the daily copies.`,
  keep: 'Keep what is here',
  restoring: 'Restoring…',
  added: (added: number, renamed: number, same: number) =>
    `${counted(added, 'shot')} added${renamed > 0 ? `, ${renamed} under another name` : ''}${same > 0 ? `, ${same} unchanged` : ''}.`,
  replaced: (count: number, file: string) =>
    `${counted(count, 'shot')} restored. What was here before is in copies/${file}.`,
  copies: 'Daily copies',
  copiesHelp:
    'The server keeps a checked copy of each day on which it runs, the last fourteen of them, in its own folder.',
  noCopies: 'There is none yet: the first is made a minute after the server starts.',
  look: (day: string) => `See what the copy of ${day} holds`,
  lookShort: 'See',
  device: 'On this device',
  deviceHelp: 'So that you can go on while the server is away, this device keeps:',
  deviceShots: (count: number, most: number) =>
    `${counted(count, 'shot')} that can be opened without the server (at most ${most})`,
  devicePictures: (count: number) =>
    `${counted(count, 'picture or sound', 'pictures and sounds')} (at most 300)`,
  deviceSize: (size: string) => `${size} in all, the application included`,
  waiting: (edits: number, pictures: number) =>
    edits + pictures === 0
      ? 'Nothing waits for the server.'
      : `${counted(edits, 'shot')} with edits and ${counted(pictures, 'picture')} that wait for the server: they stay.`,
  clear: 'Clear copies of what the server has',
  cleared: 'Cleared. What waits for the server is still here.',
  megabytes: (size: string) => `${size} MB`,
} as const;
