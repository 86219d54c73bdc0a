import { View } from 'react-native';
import { Dialog } from '../../ui/Dialog';
import { NumericText, Words } from '../../ui/Words';

const SHORTCUTS: readonly (readonly [keys: string, what: string])[] = [
  ['Space', 'Play or pause'],
  ['← →', 'One frame back or on'],
  ['Home End', 'First or last frame'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Delete', 'Delete the selected points'],
  ['Ctrl A', 'Select all points of the arc'],
  ['Page ↑ ↓', 'The point before or after'],
  ['← → ↑ ↓', 'Nudge the selected points by 1 unit'],
  ['Shift ← →', 'Nudge them by 10'],
  ['Shift drag', 'In line, or a box round points'],
  ['Enter', 'Finish the arc, keep the stroke'],
  ['Esc', 'Let go of what is selected'],
  ['Alt ← → ↑ ↓', 'In the Figure step: nudge the figure, a pose on this frame'],
  ['Page ↑ ↓', 'In a view of the timing: the mark before or after'],
  ['Alt ← → ↑ ↓', 'There: nudge the marks, or the tick at the playhead'],
  ['Delete', 'There: delete the selected marks'],
  ['+ − 0', 'There: closer, further, all of it'],
  ['Page ↑ ↓', 'In a strip of keys: the key before or after'],
  ['Alt ← → ↑ ↓', 'There: nudge the key at the playhead'],
  ['Delete', 'There: delete the key at the playhead'],
  ['Alt 1 … 4', 'Arc, Figure, Timing, Sheet'],
  ['?', 'This list'],
];

interface ShortcutsDialogProps {
  readonly onClose: () => void;
}

export function ShortcutsDialog({ onClose }: ShortcutsDialogProps) {
  return (
    <Dialog title="Keyboard" isOpen onClose={onClose}>
      {SHORTCUTS.map(([keys, what]) => (
        <View key={what} className="flex-row items-center justify-between gap-4 border-b border-line py-2">
          <Words size="body">{what}</Words>
          <NumericText tone="soft">{keys}</NumericText>
        </View>
      ))}
      <Words tone="soft">Ctrl is ⌘ on a Mac. On anything that can be dragged, the arrow keys work too.</Words>
    </Dialog>
  );
}
