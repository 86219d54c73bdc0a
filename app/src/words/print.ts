/** Everything that the interface says about printing. */
export const printWords = {
  print: 'Print',
  sheet: 'Sheet',
  sheets: { track: 'Track', ladder: 'Charts', sheet: 'Exposures', table: 'Increments' },
  about: {
    track:
      'The arcs at true scale, to lay under the puppet: a tick for each picture, a cross for its foot at each mark.',
    ladder: 'Spacing charts for the corner of a key drawing, and the arc as a paper ruler.',
    sheet: 'One line for each frame: what is seen, heard and noted.',
    table: 'The increments, each with a box to tick off.',
  },
  paper: 'Paper',
  papers: { a4: 'A4', letter: 'Letter' },
  lies: 'Orientation',
  upright: 'Portrait',
  across: 'Landscape',
  pageOf: (page: number, of: number) => `Page ${page} of ${of}`,
  pagePicture: (page: number, of: number) => `Page ${page} of ${of} as it is printed`,
  before: 'Previous page',
  after: 'Next page',
  save: 'Save PDF',
  making: 'Making the PDF …',
  printAtFull: 'Print it at 100 %, not “fit to page”. The bar on each page is 100 mm long.',
  fontsAreMissing: 'The fonts couldn’t be loaded. Try again once the server is back.',
} as const;
