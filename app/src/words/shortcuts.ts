/** Keys and what they do, as pairs, by where they go. */
export interface ShortcutGroup {
  readonly where: string;
  readonly shortcuts: readonly (readonly [keys: string, action: string])[];
}

/** All keys of the workbench. */
export const SHORTCUTS: readonly ShortcutGroup[] = [
  {
    where: 'Everywhere',
    shortcuts: [
      ['Space', 'Play or pause'],
      ['← →', 'One frame back or on'],
      ['Home End', 'First or last frame'],
      ['X', 'Flip between two frames (chosen under Cycle)'],
      ['B', 'Play two takes in turn, or together'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Shift Z', 'Redo'],
      ['Esc', 'Deselect'],
      ['Alt 1 … 4', 'Arc, Figure, Timing, Sheet'],
      ['?', 'Help for the step you are in'],
      ['Right click', 'See what you can do there (on a phone: press and hold)'],
      ['Click the frame', 'Go to a frame: 45, +12, 1.5 s'],
    ],
  },
  {
    where: 'Arc',
    shortcuts: [
      ['Page ↑ ↓', 'Previous or next point'],
      ['Ctrl A', 'Select all points of the arc'],
      ['Shift drag', 'Stay in line, or draw a box round points'],
      ['← → ↑ ↓', 'Nudge the selected points by 1 unit'],
      ['Shift ← → ↑ ↓', 'Nudge them by 10'],
      ['Delete', 'Delete the selected points'],
      ['Enter', 'Finish the arc, or keep the stroke'],
    ],
  },
  {
    where: 'Figure',
    shortcuts: [
      ['Alt ← → ↑ ↓', 'Nudge the figure: a pose on this frame'],
      ['Page ↑ ↓', 'On a strip of keys: previous or next key'],
      ['Alt ← → ↑ ↓', 'On a strip of keys: nudge the key at the playhead'],
      ['Delete', 'On a strip of keys: delete the key at the playhead'],
      ['Shift drag', 'Turning the figure: in steps of 15°'],
      ['Shift click', 'Add a key on a strip to the selection'],
    ],
  },
  {
    where: 'Ruler and graph',
    shortcuts: [
      ['Page ↑ ↓', 'Previous or next mark'],
      ['Alt ← → ↑ ↓', 'Nudge the selected marks, or the tick at the playhead'],
      ['Delete', 'Delete the selected marks'],
      ['+ − 0', 'Zoom in, zoom out, fit'],
    ],
  },
];
