export const kindsWords = {
  arc: 'Arc',
  figure: 'Figure',
  sheet: 'Sheet',
  shoot: 'Shoot',
  timing: 'Timing',
  turn: 'Turn',
  turnHelp: 'Turns the figure from key to key, added to how it faces. Three full turns are 1080°.',
  size: 'Size',
  sizeDown: 'Height',
  opacity: 'Opacity',
  sizesTheFigure: 'Sizes the figure about its pivot, from key to key.',
  sizesTheFigureDown: 'Sizes it up and down by itself, from key to key.',
  offsetX: 'Offset across',
  offsetY: 'Offset down',
  offsetAcrossHelp:
    'Moves the figure to the right in the field, or forward when it rides along. In field units.',
  offsetsTheFigureDown:
    'Moves the figure down in the field, or to its right when it rides along. In field units.',
  fadesTheFigure: 'Fades the figure: at 0 % it can’t be seen.',
} as const;
