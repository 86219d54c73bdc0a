import { SHORTCUTS } from '../../kinds/shortcuts';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { ShortcutList } from './ShortcutList';

/** A card of all keys. */
export function ShortcutsDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog title="Keyboard" isOpen onClose={onClose}>
      {SHORTCUTS.map((group) => (
        <ShortcutList key={group.where} {...group} />
      ))}
      <Words tone="soft">Ctrl is ⌘ on a Mac. On anything that can be dragged, the arrow keys work too.</Words>
    </Dialog>
  );
}
