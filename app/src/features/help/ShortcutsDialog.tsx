import { helpWords as words } from '../../words/help';
import { SHORTCUTS } from '../../words/shortcuts';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { ShortcutList } from './ShortcutList';

/** A card of all keys. */
export function ShortcutsDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog title={words.keyboard} isOpen onClose={onClose}>
      {SHORTCUTS.map((group) => (
        <ShortcutList key={group.where} {...group} />
      ))}
      <Words tone="soft">{words.ctrlIsOnAMacOn}</Words>
    </Dialog>
  );
}
