/** Everything that the interface says here. */
export const backdropWords = {
  mm: 'mm',
  cm: 'cm',
  inches: 'inches',
  notSet: 'not set',
  unitsPerMm: (unitsPerMm: string) => `${unitsPerMm} units per mm`,
  scale: 'Scale',
  theLineIsUnitsLongHow: (fieldLength: string) =>
    `The line is ${fieldLength} units long. How long is it on the set?`,
  drawALineInTheField:
    'Draw a line in the field over something whose length you know: a ruler, a plank, a puppet.',
  withAScalePlacesAndIncrements:
    'With a scale, places and increments are given in millimetres, ready for a ruler.',
  knownLength: 'Known length',
  unitOfItsLength: 'Unit of its length',
  setThisScale: 'Set this scale',
  discard: 'Discard',
  setTheScale: 'Set the scale',
  measureAgain: 'Measure again',
  aSequenceHasAtMostPictures: (most: number, count: number) =>
    `A sequence has at most ${most} pictures; these are ${count}.`,
  thisIsNoPicture: 'This is no picture.',
  backdrop: 'Backdrop',
  itLiesUnderEverythingAndIs: 'It lies under everything and is never exported.',
  aLayoutOrAPhotographOf:
    'A layout or a photograph of the set: PNG, JPEG, WebP or SVG. Several files make a sequence.',
  thisShotCameWithoutItsPictures:
    'This shot came without its pictures. Choose them again; their place is kept.',
  stop: 'Stop',
  changePictures: 'Change pictures',
  choosePictures: 'Choose pictures',
  ofPicturesLoaded: (done: number, of: number) => `${done} of ${of} pictures loaded`,
  pictures: (count: number) => `${count} pictures`,
  picture: 'Picture',
  strength: 'Strength',
  done: 'Done',
  moveByHand: 'Move by hand',
  show: 'Show',
  hide: 'Hide',
  unlock: 'Unlock',
  lock: 'Lock',
  remove: 'Remove',
  middleAcross: 'Middle, across',
  middleDown: 'Middle, down',
  width: 'Width',
  turnedBy: 'Turned by',
  framesForEachPicture: 'Frames for each picture',
} as const;
