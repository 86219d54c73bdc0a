import { View } from 'react-native';
import { Dialog } from '../../ui/Dialog';
import { NumericText, Words } from '../../ui/Words';

interface ShortcutGroup {
  readonly where: string;
  readonly shortcuts: readonly (readonly [keys: string, action: string])[];
}

const GROUPS: readonly ShortcutGroup[] = [
  {
    where: 'Everywhere',
    shortcuts: [
      ['Space', 'Play or pause'],
      ['← →', 'One frame back or on'],
      ['Home End', 'First or last frame'],
      ['Ctrl Z', 'Undo'],
      ['Ctrl Shift Z', 'Redo'],
      ['Esc', 'Deselect'],
      ['Alt 1 … 4', 'Arc, Figure, Timing, Sheet'],
      ['?', 'This list'],
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

interface ShortcutsDialogProps {
  readonly onClose: () => void;
}

export function ShortcutsDialog({ onClose }: ShortcutsDialogProps) {
  return (
    <Dialog title="Keyboard" isOpen onClose={onClose}>
      {GROUPS.map(({ where, shortcuts }) => (
        <View key={where}>
          <Words role="heading" strong>
            {where}
          </Words>
          {shortcuts.map(([keys, action]) => (
            <View
              key={action}
              className="flex-row items-center justify-between gap-4 border-b border-line py-2"
            >
              <Words size="body" className="shrink">
                {action}
              </Words>
              <NumericText tone="soft">{keys}</NumericText>
            </View>
          ))}
        </View>
      ))}
      <Words tone="soft">Ctrl is ⌘ on a Mac. On anything that can be dragged, the arrow keys work too.</Words>
    </Dialog>
  );
}
