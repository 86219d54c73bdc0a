/** Everything that the interface says about timing by weight. */
export const physicsWords = {
  byItsWeight: 'By its weight',
  swing: 'A pendulum: let go on one side, it swings just as far to the other.',
  toss: 'A toss: it slows down on the way up and speeds up on the way down.',
  bounces: 'It falls, and each bounce keeps part of its speed.',
  line: 'Let go at the start, it falls or rolls down the line.',
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
