const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

export const backupWords = {
  title: 'Backup and this device',
  back: 'Back to the shots',
  save: 'Save everything',
  saveHelp:
    'One ZIP file with every shot, its earlier versions, the bin, pictures, sounds and your easings. Keep it on another disk.',
  read: 'Restore from a backup',
  readHelp: 'You’ll see what’s in it before anything changes.',
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
  whole: 'No problems found.',
  faulty: 'This backup is damaged. What can still be read can be added to what you have:',
  beside: 'Add to what is here',
  besideHelp:
    'Shots that are missing come back. A shot that has changed since is added under another name. Nothing is replaced.',
  instead: 'Replace everything',
  insteadHelp: 'Everything goes back to how it was in the backup. What you have now is set aside first.',
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
    'The server makes a checked copy on each day it runs, and keeps the last fourteen in its own folder.',
  noCopies: 'None yet. The first is made a minute after the server starts.',
  look: (day: string) => `See what the copy of ${day} holds`,
  lookShort: 'See',
  device: 'On this device',
  deviceHelp: 'So you can keep working while the server is away, this device keeps:',
  deviceShots: (count: number, most: number) =>
    `${counted(count, 'shot')} that can be opened without the server (at most ${most})`,
  devicePictures: (count: number) =>
    `${counted(count, 'picture or sound', 'pictures and sounds')} (at most 300)`,
  deviceSize: (size: string) => `${size} in all, the application included`,
  waiting: (edits: number, pictures: number) =>
    edits + pictures === 0
      ? 'Nothing is waiting for the server.'
      : `${counted(edits, 'shot')} with edits and ${counted(pictures, 'picture')} waiting for the server: they stay.`,
  clear: 'Clear copies of what the server has',
  cleared: 'Cleared. Anything waiting for the server is still here.',
  megabytes: (size: string) => `${size} MB`,
} as const;
