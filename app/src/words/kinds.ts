/** Everything that the interface says here. */
export const kindsWords = {
  arc: 'Arc',
  figure: 'Figure',
  sheet: 'Sheet',
  timing: 'Timing',
  turn: 'Turn',
  turnsTheFigureFromKeyTo:
    'Turns the figure from key to key, added to how it faces. Three full turns are 1080°.',
} as const;
