export const scansWords = {
  scans: 'Scans or photos',
  title: 'Drawings on paper',
  getting: (name: string, percent: number) => `Reading “${name}”: ${percent} %`,
  working: (sheet: number, of: number, percent: number) =>
    of === 1 ? `Clearing the paper: ${percent} %` : `Clearing sheet ${sheet} of ${of}: ${percent} %`,
  cancel: 'Cancel',
  white: 'Paper white',
  black: 'Line black',
  level: (value: number) => `${value} of 255`,
  sheet: (number: number, of: number) => `Sheet ${number} of ${of}`,
  picture: (number: number) => `Sheet ${number} with its paper cleared`,
  untouched: (number: number) => `Sheet ${number} as scanned`,
  previous: 'Previous sheet',
  next: 'Next sheet',
  found: 'The register marks were found on every sheet, and the sheets are lined up.',
  notFound: (sheets: string) =>
    `The register marks weren’t found on ${sheets}. Tap the three marks on it, or use the sheets as they are.`,
  sheetNamed: (numbers: readonly number[]) =>
    numbers.length === 1 ? `sheet ${numbers[0]!}` : `sheets ${numbers.join(', ')}`,
  noMarks: 'No register marks were found. Tap the three marks on each sheet, or use the sheets as they are.',
  tapMarks: 'Tap three marks',
  marksTapped: (count: number) => `${count} of 3 marks tapped`,
  corners: 'Straighten',
  dragCorners: 'Drag the four corners onto the corners of the paper.',
  applyCorners: 'Straighten it',
  use: (count: number) => (count === 1 ? 'Use this drawing' : `Use ${count} drawings`),
  keeping: (done: number, of: number) => `Saving drawing ${done} of ${of} …`,
  tooLarge: (name: string, megabytes: number) =>
    `“${name}” is larger than ${megabytes} MB. Save a smaller version.`,
  tooMany: (most: number) => `You can import up to ${most} sheets at once. Choose fewer.`,
  cannotBeRead: (name: string) => `“${name}” isn’t a picture that this browser can read.`,
  empty: (name: string) => `Nothing is left of “${name}”. Move the sliders, or check the sheet.`,
} as const;
