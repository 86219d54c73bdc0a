/**
 * The groups of each step's panel: what they are called, and their line in the help of the step. A new group is an
 * entry here, and its content in `screens/steps`, which does not compile without it.
 */
export const groupWords = {
  arc: {
    arc: {
      label: 'This arc',
      help: 'The points or the spot you selected; its length, its direction, open or closed.',
    },
    draw: {
      label: 'Draw',
      help: 'All the ways to another arc: freehand, point by point, shapes, poses, acting, SVG.',
    },
    all: {
      label: 'Arcs',
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
      help: 'Which figures there are, which is in front, which arc carries each, and what they look like.',
    },
    keys: {
      label: 'Keys',
      help: 'Place, drawing, turn, size, offset, opacity and lean on this frame, one line each. Tap a post to set a key; tap a line to open it.',
    },
    drawings: {
      label: 'Drawings',
      help: 'Which drawing is shown when: drawings that repeat as it travels, planted spots and their slip, and flipping.',
    },
    parts: { label: 'Parts', help: 'More parts on the same arc, like a tail or a trailer.' },
    act: { label: 'Act', help: 'Record a gesture, or thin one that you recorded.' },
  },
  timing: {
    here: {
      label: 'Here',
      help: 'What is on this frame: the mark, or the span between two marks and how it leaves and arrives.',
    },
    range: {
      label: 'Range',
      help: 'Find the frames of a part of the arc, and expose a range differently.',
    },
    move: {
      label: 'Move',
      help: 'Its first and last frame, its exposure, what it does before and after, and its weight.',
    },
    takes: { label: 'Takes', help: 'Other timings of the same arcs, and how two of them differ.' },
    shot: { label: 'Shot', help: 'How long the shot is, and how many frames a second has.' },
  },
  sheet: {
    increments: {
      label: 'Increments',
      help: 'How far the figure goes from frame to frame; type another length.',
    },
    exposures: {
      label: 'Exposures',
      help: 'The shot frame by frame: drawings, holds, notes and what is heard.',
    },
    charts: { label: 'Charts', help: 'The pace over the shot, and how many increments have which size.' },
    pan: { label: 'Pan', help: 'Steps for the camera or for the artwork under it, and for each plane.' },
    sound: { label: 'Sound', help: 'A sound to time the shot to, its beats, and cues by frame.' },
  },
  shoot: {
    next: {
      label: 'Next',
      help: 'What to move, and how far, for the next picture. Take it here.',
    },
    stands: {
      label: 'Plan and actual',
      help: 'Where the figure really stood, how far that is from the plan, and how to go on from there.',
    },
    pictures: {
      label: 'Pictures',
      help: 'What you have taken: hide a picture, hold it longer, or reshoot from it.',
    },
    camera: {
      label: 'Camera',
      help: 'Which camera, the last picture over the live one, and the perspective of the set.',
    },
  },
} as const;
