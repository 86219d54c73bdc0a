/** Everything that the interface says about the pace of a film. */
export const filmPaceWords = {
  title: 'Pace over the film',
  reading: (read: number, count: number) => `Reading shot ${read} of ${count} …`,
  unit: '% of the field’s width per frame',
  chart: (film: string, seconds: string) => `Pace over ${film}, ${seconds} s`,
  whatItIs: 'How far the fastest figure moves on each frame. Dashed lines are cuts.',
  nothingTravels: 'Nothing moves in this film yet.',
  saveAsCsv: 'Save as CSV',
  shot: 'Shot',
  average: 'average',
  quickest: 'fastest',
  onFrame: (percent: string, frame: number) => `${percent} at ${frame}`,
  standsStill: 'stands still',
  leftOut: (name: string, sentence: string) => `“${name}” is left out. ${sentence}`,
} as const;
