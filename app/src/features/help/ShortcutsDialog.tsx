import { helpWords as words } from '../../words/help';
import { type KeyPlace, KEYS } from '../../words/keys';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { ShortcutList } from './ShortcutList';

const PLACES = Object.keys(KEYS) as KeyPlace[];

export function ShortcutsDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog title={words.keyboard} isOpen onClose={onClose}>
      {PLACES.map((place) => (
        <ShortcutList key={place} place={place} />
      ))}
      <Words tone="soft">{words.ctrlIsOnAMacOn}</Words>
    </Dialog>
  );
}
