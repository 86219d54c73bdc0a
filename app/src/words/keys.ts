/**
 * The keys of the workbench: the table that handlers and help read. `bindings` are names of what is done, each with
 * its key as tinykeys writes it; a line without any is about the pointer. A handler that is missing does not compile.
 */
export const KEYS = {
  everywhere: {
    where: 'Everywhere',
    lines: [
      { shown: 'Space', does: 'Play or pause', bindings: { togglePlay: 'Space' } },
      { shown: '← →', does: 'Previous or next frame', bindings: { back: 'ArrowLeft', on: 'ArrowRight' } },
      { shown: 'Home End', does: 'First or last frame', bindings: { first: 'Home', last: 'End' } },
      { shown: 'X', does: 'Flip between two frames (chosen under Drawings)', bindings: { flip: 'x' } },
      { shown: 'B', does: 'Play two takes in turn, or together', bindings: { toggleTurns: 'b' } },
      { shown: 'Ctrl Z', does: 'Undo', bindings: { undo: '$mod+z' } },
      { shown: 'Ctrl Shift Z', does: 'Redo', bindings: { redo: '$mod+Shift+z', redoToo: '$mod+y' } },
      { shown: 'Esc', does: 'Deselect', bindings: {} },
      {
        shown: 'Alt 1 … 5',
        does: 'Arc, Figure, Timing, Sheet, Shoot',
        bindings: { goToStep: 'Alt+(Digit[1-5])' },
      },
      { shown: '?', does: 'Help for the step you are in', bindings: { help: '?', helpToo: 'Shift+?' } },
      { shown: 'Right click', does: 'See what you can do there (on a phone: press and hold)', bindings: {} },
      { shown: 'Click the frame', does: 'Go to a frame: 45, +12, 1.5 s', bindings: {} },
    ],
  },
  arc: {
    where: 'Arc',
    lines: [
      {
        shown: 'Page ↑ ↓',
        does: 'Previous or next point',
        bindings: { nextPoint: 'PageDown', previousPoint: 'PageUp' },
      },
      { shown: 'Ctrl A', does: 'Select all points of the arc', bindings: { selectAll: '$mod+a' } },
      { shown: 'Shift drag', does: 'Stay in line, or draw a box round points', bindings: {} },
      { shown: '← → ↑ ↓', does: 'Nudge the selected points by 1 unit', bindings: { nudge: '(Arrow.*)' } },
      { shown: 'Shift ← → ↑ ↓', does: 'Nudge them by 10', bindings: { nudgeFar: 'Shift+(Arrow.*)' } },
      {
        shown: 'Delete',
        does: 'Delete the selected points',
        bindings: { remove: 'Delete', removeToo: 'Backspace' },
      },
      {
        shown: 'Enter',
        does: 'Finish the arc, or keep the stroke',
        bindings: { finish: 'Enter', cancel: 'Escape', takeBack: '$mod+z' },
      },
    ],
  },
  figure: {
    where: 'Figure',
    lines: [
      {
        shown: 'Alt ← → ↑ ↓',
        does: 'Nudge the figure: a pose on this frame',
        bindings: { nudge: 'Alt+(Arrow.*)', nudgeFar: 'Alt+Shift+(Arrow.*)' },
      },
      {
        shown: 'Enter',
        does: 'Put the figure in the middle of the field',
        bindings: { putInMiddle: 'Enter', cancel: 'Escape' },
      },
      { shown: 'Shift drag', does: 'Turning the figure: in steps of 15°', bindings: {} },
    ],
  },
  shoot: {
    where: 'Shoot',
    lines: [
      {
        shown: 'Space Enter Page ↓',
        does: 'Take the next picture',
        bindings: {
          take: 'Space',
          takeToo: 'Enter',
          takeByPedal: 'PageDown',
          takeByVolume: '(AudioVolume.*)',
        },
      },
      { shown: 'P', does: 'Play or pause', bindings: { play: 'p' } },
      { shown: 'O', does: 'Hold to see the last picture over the live one', bindings: { flipLive: 'o' } },
      { shown: 'S', does: 'Skip the next picture', bindings: { skip: 's' } },
    ],
  },
  keys: {
    where: 'Strips of keys',
    lines: [
      {
        shown: 'Page ↑ ↓',
        does: 'Previous or next key',
        bindings: { next: 'PageDown', previous: 'PageUp' },
      },
      {
        shown: 'Alt ← → ↑ ↓',
        does: 'Nudge the key at the playhead',
        bindings: { nudge: 'Alt+(Arrow.*)', nudgeFar: 'Alt+Shift+(Arrow.*)' },
      },
      {
        shown: 'Delete',
        does: 'Delete the key at the playhead',
        bindings: { remove: 'Delete', removeToo: 'Backspace' },
      },
      { shown: 'Shift click', does: 'Add a key to the selection', bindings: {} },
    ],
  },
  views: {
    where: 'Ruler and graph',
    lines: [
      {
        shown: 'Page ↑ ↓',
        does: 'Previous or next mark',
        bindings: { nextMark: 'PageDown', previousMark: 'PageUp' },
      },
      {
        shown: 'Alt ← → ↑ ↓',
        does: 'Nudge the selected marks, or the tick at the playhead',
        bindings: { nudge: 'Alt+(Arrow.*)', nudgeFar: 'Alt+Shift+(Arrow.*)' },
      },
      {
        shown: 'Delete',
        does: 'Delete the selected marks',
        bindings: { remove: 'Delete', removeToo: 'Backspace' },
      },
      {
        shown: '+ − 0',
        does: 'Zoom in, zoom out, fit',
        bindings: { zoomIn: '(\\+|=)', zoomInToo: 'Shift+(\\+|=)', zoomOut: '-', fit: '0' },
      },
    ],
  },
} as const;

export type KeyPlace = keyof typeof KEYS;
