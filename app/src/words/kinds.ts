/** Everything that the interface says here. */
export const kindsWords = {
  arc: 'Arc',
  figure: 'Figure',
  sheet: 'Sheet',
  timing: 'Timing',
  turn: 'Turn',
  turnsTheFigureFromKeyTo:
    'Turns the figure from key to key, added to how it faces. Three full turns are 1080°.',
  size: 'Size',
  sizeDown: 'Size down',
  opacity: 'Opacity',
  sizesTheFigure: 'Sizes the figure about its pivot, from key to key.',
  sizesTheFigureDown: 'Sizes it up and down by itself, from key to key.',
  offsetX: 'Offset across',
  offsetY: 'Offset down',
  offsetsTheFigureAcross:
    'In the field to the right; riding along, forward. In field units, from key to key.',
  offsetsTheFigureDown: 'In the field downward; riding along, to its right. In field units, from key to key.',
  fadesTheFigure: 'Fades the figure: at 0 % it can’t be seen.',
} as const;
