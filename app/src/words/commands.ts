const shots = (count: number): string => (count === 1 ? '1 shot' : `${count} shots`);

/** Everything that the interface says here. */
export const commandsWords = {
  thatCouldNotBeDone: 'That could not be done.',
  ofShotsWereDoneBeforeThat: (done: number, count: number) =>
    ` ${done} of ${count} shots were done before that.`,
  copy: (film: string) => `${film} copy`,
  wasAddedToTheList: (name: string) => `“${name}” was added to the list.`,
  filmWasRemoved: (film: string, count: number) =>
    film ? `“${film}” was removed, with ${shots(count)}.` : `${shots(count)} removed.`,
  shotsWithoutFilm: 'Shots',
  theZIPFileIsWithoutThe: (missing: string) =>
    `The ZIP file is without ${missing}: the server does not have it.`,
  filmWasImported: (film: string, count: number) =>
    film ? `“${film}” was imported: ${shots(count)}.` : `${shots(count)} imported.`,
  isBack: (name: string) => `“${name}” is back.`,
  shotsAreBack: (count: number) => `${count} shots are back.`,
  myVersion: ' (my version)',
  savedAs: (name: string) => `Saved as “${name}”.`,
  otherVersion: ' (other version)',
  theOtherVersionIsKeptAs: (name: string) => `The other version is kept as “${name}”.`,
  thisGestureCouldNotBeThinned: 'This gesture could not be thinned.',
  theMarkIsCopied: 'The mark is copied.',
  marksAreCopied: (count: number) => `${count} marks are copied.`,
  youLeftBeforeKeepingTheStroke: 'You left before keeping the stroke, so it was discarded.',
  theMoveWasStretchedToFit: 'The move was stretched to fit.',
  dontStretchTheMove: 'Don’t stretch the move',
  theMoveWasntStretched: 'The move wasn’t stretched.',
  stretchTheMove: 'Stretch the move',
  aSequenceHasAtMostPictures: (most: number, count: number) =>
    `A sequence has at most ${most} pictures; these are ${count}.`,
  thisIsNoPicture: 'This is no picture.',
} as const;
