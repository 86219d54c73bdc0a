import type { KeyPlace } from './keys';
import type { TermName } from './terms';

export interface StepHelp {
  readonly lead: string;
  /** What is done there, in the order in which it usually is. */
  readonly ways: readonly string[];
  readonly terms: readonly TermName[];
  readonly keys: readonly KeyPlace[];
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
    terms: ['arc', 'trail', 'field', 'backdrop'],
    keys: ['arc'],
  },
  figure: {
    lead: 'Choose what travels along the arc, where it is on each frame, and how it turns.',
    ways: [
      'Drag the figure, or tap where it should be: that is its pose on this frame.',
      'Go to another frame and put it somewhere else. The arc and its marks follow.',
      'Or act it out: press, move in real time, and lift.',
    ],
    terms: ['figure', 'pivot', 'pose', 'ghost'],
    keys: ['figure', 'keys'],
  },
  timing: {
    lead: 'Decide where it is on each frame. Ticks that are close together are slow; ticks far apart are fast.',
    ways: [
      'Drag a tick, on the arc, on the ruler or in the graph: the others make room.',
      'Drag the figure along its arc: its mark on that frame moves too.',
      'Add a mark on a frame where it has to be at a certain place.',
      'Type how many frames each span takes to leave and to arrive.',
    ],
    terms: ['move', 'mark', 'span', 'spacing', 'chart', 'pace', 'exposure', 'hold'],
    keys: ['views'],
  },
  sheet: {
    lead: 'Take the increments to the desk or the set, in units that your ruler has.',
    ways: [
      'Choose millimetres and the step of your ruler: rounded increments still add up to the whole.',
      'Type an increment, and the rest of its span gives way.',
      'In the exposure sheet, drag the tab at the end of a picture; type notes and what is heard.',
      'Add a sound, and tap cues on it while it plays.',
      'Look at what there is to check; fix it or ignore it.',
      'Export the table for a spreadsheet, or the arc as a drawing.',
    ],
    terms: ['increment', 'exposure', 'field'],
    keys: [],
  },
  shoot: {
    lead: 'Place the figure and take one picture after another. The big number says how far to move it for the next one.',
    ways: [
      'Move the figure to the cross-hair, then tap Take, or press Space, Enter or Page down.',
      'Tap where it really stands, or drag the mark there: the next number counts from that place.',
      'When it’s off, go back to the plan at once, over three pictures, or spread it over the rest.',
      'Skip a picture that reads too slow, take one again, or put one in halfway.',
      'Play what you have taken at true speed. What’s still to come is played from the plan.',
    ],
    terms: ['increment', 'exposure', 'ghost'],
    keys: ['shoot'],
  },
} as const satisfies Readonly<Record<string, StepHelp>>;
