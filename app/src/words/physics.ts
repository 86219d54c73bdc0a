/** Everything that the interface says about timing by weight. */
export const physicsWords = {
  byItsWeight: 'By its weight',
  swing: 'A pendulum: it swings as far to the other side as it is let go from.',
  toss: 'A toss: it slows on its way up and falls faster and faster.',
  bounces: 'It falls, and each bounce keeps its share of the speed.',
  line: 'It is let go at the start and comes down the line.',
  miniature: 'Miniature, 1 to',
  halfSwings: 'Half swings',
  lostInASwing: 'Lost in a swing, %',
  whatComesDown: 'What comes down',
  slides: 'Slides',
  ball: 'Ball',
  cylinder: 'Cylinder',
  hoop: 'Hoop',
  itTakes: (seconds: string, frames: string) => `It takes ${seconds} s: ${frames} frames.`,
  timeIt: 'Time it',
} as const;
