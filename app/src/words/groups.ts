/**
 * The groups of each step's panel: what they are called, and their line in the help of the step. A new group is an
 * entry here, and its content in `screens/steps`, which does not compile without it.
 */
export const groupWords = {
  arc: {
    arc: {
      label: 'This arc',
      help: 'Its length, its direction, open or closed, and what its marks keep when it changes.',
    },
    place: {
      label: 'Place',
      help: 'The points or the spot you selected: where they are, and what can be done there.',
    },
    draw: {
      label: 'Draw',
      help: 'All the ways to another arc: freehand, point by point, shapes, poses, acting, SVG.',
    },
    all: {
      label: 'All arcs',
      help: 'Names, colours and order, and which of them are hidden or locked.',
    },
    backdrop: {
      label: 'Backdrop',
      help: 'The picture underneath, and the scale that turns field units into millimetres.',
    },
  },
  figure: {
    figures: {
      label: 'Figures',
      help: 'Which figures there are, which is in front, and which arc carries each. Add one or import its picture.',
    },
    pose: {
      label: 'Pose',
      help: 'Where the figure is on this frame, and how it gets to the next pose.',
    },
    looks: {
      label: 'Looks',
      help: 'A stand-in or your own pictures, how tall it is, and the spot that sits on the arc.',
    },
    turn: {
      label: 'Turn',
      help: 'Whether it turns with the arc, which way it faces, and keys that turn it further. Drag the ring in the field to turn it.',
    },
    size: {
      label: 'Size',
      help: 'Keys that make it grow, shrink or fade, and how it grows between them. Drag the square in the field to size it.',
    },
    offset: {
      label: 'Offset',
      help: 'How far it stands off its arc. Drag the figure in the field, or type a distance.',
    },
    cycle: {
      label: 'Cycle',
      help: 'Drawings that repeat as it travels, planted spots and their slip, and flipping.',
    },
    parts: { label: 'Parts', help: 'More parts on the same arc, like a tail or a trailer.' },
    act: { label: 'Act', help: 'Record a gesture, or thin one that you recorded.' },
  },
  timing: {
    mark: {
      label: 'Mark',
      help: 'The marks you selected, or the frame at the playhead: a new mark, a hold, a skipped picture.',
    },
    span: { label: 'Span', help: 'How the figure gets from one mark to the next.' },
    keys: { label: 'Keys', help: 'The keys of turn, size and offset that you selected under the ruler.' },
    range: {
      label: 'Range',
      help: 'Find the frames of a part of the arc, and expose a range differently.',
    },
    takes: { label: 'Takes', help: 'Other timings of the same arcs, and how two of them differ.' },
    move: {
      label: 'Move',
      help: 'Its first and last frame, its exposure, what it does before and after, and its weight.',
    },
    shot: { label: 'Shot', help: 'How long the shot is, and how many frames a second has.' },
  },
  sheet: {},
} as const;
