export interface Term {
  readonly word: string;
  readonly meaning: string;
}

/** The words that this application uses in a sense of its own, in the order of the work. */
export const TERMS = {
  shot: {
    word: 'Shot',
    meaning: 'One piece of work: a frame rate, a length in frames, a field, and what travels in it.',
  },
  field: {
    word: 'Field',
    meaning:
      'What the camera sees. It’s measured in field units, and in millimetres once you set its scale under “Backdrop”.',
  },
  backdrop: {
    word: 'Backdrop',
    meaning: 'A picture under everything: a layout, or a photograph of the set. It’s never exported.',
  },
  arc: {
    word: 'Arc',
    meaning: 'The path that something travels along. Its points shape it; they have no time.',
  },
  pivot: { word: 'Pivot', meaning: 'The spot of the figure that sits on the arc, and about which it turns.' },
  figure: { word: 'Figure', meaning: 'What travels. Its pivot is the spot that sits on the arc.' },
  pose: {
    word: 'Pose',
    meaning: 'Where the figure is on one frame. Put it somewhere else on another, and arc and timing follow.',
  },
  move: {
    word: 'Move',
    meaning: 'The travel of one figure along one arc, from its first frame to its last.',
  },
  passage: {
    word: 'Passage',
    meaning:
      'A run of frames that you change as one: make it longer or shorter, shift it, play it backwards. Everything on those frames comes along.',
  },
  mark: {
    word: 'Mark',
    meaning:
      'A promise in time: on this frame, be at this place on the arc. At a stop the figure comes to rest; through a pass it travels on.',
  },
  span: {
    word: 'Span',
    meaning:
      'The frames between two marks. Each has an easing of its own: how slowly it leaves and arrives, in frames. Some say ease out and ease in for this, and some the other way round.',
  },
  spacing: { word: 'Spacing', meaning: 'The gaps between one position and the next.' },
  increment: {
    word: 'Increment',
    meaning: 'One gap: how far to move for the next exposure. 21 positions have 20 increments.',
  },
  chart: {
    word: 'Spacing chart',
    meaning: 'The ladder of ticks between two keys, as it stands in the corner of a key drawing.',
  },
  exposure: {
    word: 'Exposure',
    meaning: 'How many frames one drawing or one placement is held for: on ones, twos or threes.',
  },
  hold: { word: 'Hold', meaning: 'The figure stays where it is for some frames.' },
  pace: { word: 'Pace', meaning: 'How far it goes on each frame, as bars. Tall bars are fast.' },
  ghost: { word: 'Ghost', meaning: 'The figure as it stands on another frame, shown faintly.' },
  trail: { word: 'Trail', meaning: 'The ticks along the arc, one for each exposure.' },
} as const satisfies Readonly<Record<string, Term>>;

export type TermName = keyof typeof TERMS;
