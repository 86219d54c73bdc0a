import { shotMenuWords as words } from '../../words/shotMenu';
import { edits, MAX_NAME_LENGTH } from '@humble/core';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import Clapperboard from 'lucide-react-native/icons/clapperboard';
import Copy from 'lucide-react-native/icons/copy';
import Download from 'lucide-react-native/icons/download';
import FolderOpen from 'lucide-react-native/icons/folder-open';
import Pencil from 'lucide-react-native/icons/pencil';
import RotateCw from 'lucide-react-native/icons/rotate-cw';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { View } from 'react-native';
import { changeStoredShot, orderShots } from '../../commands/films';
import { movedBy } from './filmsOf';
import { api, documentAddress, failureSentence, type ListedShot } from '../../persistence/api';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Menu } from '../../ui/Menu';
import { saveAddress } from '../../ui/files';
import { TextField } from '../../ui/TextField';

interface ShotMenuProps {
  readonly shot: ListedShot;
  readonly siblings: readonly ListedShot[];
  readonly films: readonly string[];
  readonly onClose: () => void;
  readonly onOpen: (id: string) => void;
}

export function ShotMenu({ shot, siblings, films, onClose, onOpen }: ShotMenuProps) {
  const dispatch = useAppDispatch();
  const [asked, setAsked] = useState<'name' | 'film' | null>(null);
  const duplicate = async (): Promise<void> => {
    const result = await dispatch(api.endpoints.duplicateShot.initiate(shot.id));
    dispatch(
      messageShown(
        result.data ? words.wasAddedToTheList(result.data.shot.name) : failureSentence(result.error),
      ),
    );
  };
  const remove = async (): Promise<void> => {
    const result = await dispatch(api.endpoints.removeShot.initiate(shot.id));
    dispatch(
      result.error
        ? messageShown(failureSentence(result.error))
        : messageShown(words.wasRemoved(shot.name), { kind: 'restore', shotIds: [shot.id] }),
    );
  };
  if (asked === 'name')
    return (
      <NameDialog
        title={words.rename}
        label={words.name}
        name={shot.name}
        onKeep={(name) => changeStoredShot(shot.id, (stored) => edits.renameShot(stored, { name }))}
        onClose={onClose}
      />
    );
  if (asked === 'film')
    return (
      <NameDialog
        title={words.moveToFilm}
        label={words.film}
        name={shot.film}
        offers={films.filter((film) => film !== shot.film)}
        mayBeEmpty
        onKeep={(film) => changeStoredShot(shot.id, (stored) => edits.setFilm(stored, { film }))}
        onClose={onClose}
      />
    );
  const [earlier, later] = [movedBy(siblings, shot.id, -1), movedBy(siblings, shot.id, 1)];
  if (shot.damage)
    return (
      <Menu
        title={shot.name}
        onClose={onClose}
        items={[
          { label: words.tryOpeningItAgain, icon: RotateCw, onPress: () => onOpen(shot.id) },
          {
            label: words.downloadTheFile,
            icon: Download,
            onPress: () => saveAddress(documentAddress(shot.id)),
          },
          { label: words.remove, icon: Trash, onPress: () => void remove() },
        ]}
      />
    );
  return (
    <Menu
      title={shot.name}
      onClose={onClose}
      items={[
        { label: words.open, icon: FolderOpen, onPress: () => onOpen(shot.id) },
        { label: words.rename, icon: Pencil, onPress: () => setAsked('name'), staysOpen: true },
        { label: words.moveToFilm, icon: Clapperboard, onPress: () => setAsked('film'), staysOpen: true },
        {
          label: words.moveEarlier,
          icon: ArrowLeft,
          disabled: !earlier,
          onPress: () => earlier && void orderShots(earlier),
        },
        {
          label: words.moveLater,
          icon: ArrowRight,
          disabled: !later,
          onPress: () => later && void orderShots(later),
        },
        { label: words.duplicate, icon: Copy, onPress: () => void duplicate() },
        { label: words.remove, icon: Trash, onPress: () => void remove() },
      ]}
    />
  );
}

interface NameDialogProps {
  readonly title: string;
  readonly label: string;
  readonly name: string;
  readonly offers?: readonly string[];
  readonly mayBeEmpty?: boolean;
  /** @throws Error with a sentence */
  readonly onKeep: (name: string) => Promise<void>;
  readonly onClose: () => void;
}

function NameDialog({
  title,
  label,
  name: given,
  offers = [],
  mayBeEmpty = false,
  onKeep,
  onClose,
}: NameDialogProps) {
  const [name, setName] = useState(given);
  const [error, setError] = useState<string>();
  const keep = async (): Promise<void> => {
    const next = name.trim();
    if (next === '' && !mayBeEmpty) return setError(words.giveItAName);
    try {
      await onKeep(next);
      onClose();
    } catch (failure) {
      setError(failure instanceof Error ? failure.message : String(failure));
    }
  };
  return (
    <Dialog title={title} isOpen onClose={onClose}>
      <TextField
        label={label}
        value={name}
        onChange={(text) => setName(text.slice(0, MAX_NAME_LENGTH))}
        onSubmit={() => void keep()}
        error={error}
        autoFocus
      />
      {offers.length > 0 && (
        <View role="group" aria-label={words.namesThatThereAre} className="flex-row flex-wrap gap-2">
          {offers.map((offer) => (
            <Button key={offer} label={offer} pressed={offer === name} onPress={() => setName(offer)} />
          ))}
        </View>
      )}
      <Button label={title} kind="brass" onPress={() => void keep()} />
    </Dialog>
  );
}
