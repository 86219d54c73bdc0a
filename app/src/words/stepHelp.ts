import type { TermName } from './terms';

/** What is said about one step. */
export interface StepHelp {
  readonly lead: string;
  /** What is done there, in the order in which it usually is. */
  readonly ways: readonly string[];
  /** A line for each group of its panel. */
  readonly groups: readonly (readonly [group: string, line: string])[];
  /** Words that are used there. */
  readonly terms: readonly TermName[];
  /** Whose keys belong to it; see `kinds/shortcuts`. */
  readonly keys: readonly string[];
}

/** Help for each step. A step that is missing does not compile. */
export const STEP_HELP = {
  arc: {
    lead: 'Draw the path that something travels along. One stroke is enough: a figure appears on it, with a move over the whole shot.',
    ways: [
      'Draw in the field, then pull the arc or its points into shape. Tap a point to select it.',
      'Start a stroke at an end of the arc to go on from there, or on the arc to replace a part of it.',
      'You can reshape the arc without losing its timing.',
      'Right-click anything, or press and hold it on a phone, to see what you can do with it.',
    ],
    groups: [
      ['This arc', 'Its length, its direction, open or closed, and what its marks keep when it changes.'],
      ['Place', 'The points or the spot you selected: where they are, and what can be done there.'],
      ['Draw', 'All the ways to another arc: freehand, point by point, shapes, poses, acting, SVG.'],
      ['All arcs', 'Names, colours and order, and which of them are hidden or locked.'],
      ['Backdrop', 'The picture underneath, and the scale that turns field units into millimetres.'],
    ],
    terms: ['arc', 'trail', 'field', 'backdrop'],
    keys: ['Arc'],
  },
  figure: {
    lead: 'Say what rides the arc, where it is on which frame, and how it turns.',
    ways: [
      'Drag the figure in the field: it gets a pose on the frame at the playhead.',
      'Go to another frame and put it somewhere else. The arc and its marks follow.',
      'Or act it out: press, move in real time, and lift.',
    ],
    groups: [
      [
        'Figures',
        'Which figures there are, which is in front, and which arc carries each. Add one or import its picture.',
      ],
      ['Pose', 'Where the figure is on this frame, and how it gets to the next pose.'],
      ['Looks', 'A stand-in or your own pictures, how tall it is, and the spot that sits on the arc.'],
      [
        'Turn',
        'Whether it turns with the arc, which way it faces, and keys that turn it further. Drag the ring in the field to turn it.',
      ],
      [
        'Size',
        'Keys that make it grow, shrink or fade, and how it grows between them. Drag the square in the field to size it.',
      ],
      ['Offset', 'How far it stands off its arc. Drag the figure in the field, or type a distance.'],
      ['Cycle', 'Drawings that repeat as it travels, planted spots and their slip, and flipping.'],
      ['Parts', 'More parts on the same arc, like a tail or a trailer.'],
      ['Act', 'Record a gesture, or thin one that you recorded.'],
    ],
    terms: ['figure', 'pivot', 'pose', 'ghost'],
    keys: ['Figure'],
  },
  timing: {
    lead: 'Say when it is where. Ticks that are close together are slow; ticks far apart are fast.',
    ways: [
      'Drag a tick, on the arc, on the ruler or in the graph: the others make room.',
      'Drag the figure along its arc: its mark on that frame moves too.',
      'Add a mark on a frame where it has to be at a certain place.',
      'Type for how many frames each span leaves and arrives slowly.',
    ],
    groups: [
      [
        'Mark',
        'The marks you selected, or the frame at the playhead: a new mark, a hold, a skipped picture.',
      ],
      ['Span', 'How the figure gets from one mark to the next.'],
      ['Range', 'Find the frames of a part of the arc, and expose a range differently.'],
      ['Takes', 'Other timings of the same arcs, and how two of them differ.'],
      ['Move', 'Its first and last frame, its exposure, what it does before and after, and its weight.'],
      ['Shot', 'How long the shot is, and how many frames a second has.'],
    ],
    terms: ['move', 'mark', 'span', 'spacing', 'chart', 'pace', 'exposure', 'hold'],
    keys: ['Ruler and graph'],
  },
  sheet: {
    lead: 'Take the increments to the desk or the set, in units that your ruler has.',
    ways: [
      'Choose millimetres and the step of your ruler: rounded increments still add up to the whole.',
      'Type an increment, and the rest of its span gives way.',
      'In the exposure sheet, drag the tab at the end of a picture; type notes and what is heard.',
      'Add a sound, and tap cues on it while it plays.',
      'Look at what the checks found, fix it or let it be.',
      'Export the table for a spreadsheet, or the arc as a drawing.',
    ],
    groups: [],
    terms: ['increment', 'exposure', 'field'],
    keys: [],
  },
} as const satisfies Readonly<Record<string, StepHelp>>;
