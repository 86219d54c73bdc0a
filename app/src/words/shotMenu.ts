/** Everything that the interface says of what can be done with a shot. */
export const shotMenuWords = {
  rename: 'Rename',
  duplicate: 'Duplicate',
  remove: 'Remove',
  giveItAName: 'Give it a name.',
  name: 'Name',
  film: 'Film',
  wasAddedToTheList: (name: string) => `“${name}” was added to the list.`,
  wasRemoved: (name: string) => `“${name}” was removed.`,
  moveToFilm: 'Move to film',
  tryOpeningItAgain: 'Try opening it again',
  downloadTheFile: 'Download the file',
  open: 'Open',
  moveEarlier: 'Move earlier',
  moveLater: 'Move later',
  namesThatThereAre: 'Existing films',
} as const;
