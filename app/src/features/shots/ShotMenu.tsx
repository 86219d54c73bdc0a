import { edits, LONGEST_NAME } from '@humble/core';
import Copy from 'lucide-react-native/icons/copy';
import Download from 'lucide-react-native/icons/download';
import FolderOpen from 'lucide-react-native/icons/folder-open';
import Pencil from 'lucide-react-native/icons/pencil';
import RotateCw from 'lucide-react-native/icons/rotate-cw';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { api, documentAddress, failureSentence, type ShotSummary } from '../../persistence/api';
import { useAppDispatch } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Menu } from '../../ui/Menu';
import { saveAddress } from '../../ui/files';
import { TextField } from '../../ui/TextField';

interface ShotMenuProps {
  readonly shot: ShotSummary;
  readonly onClose: () => void;
  readonly onOpen: (id: string) => void;
}

/** What can be done with a shot from the list. */
export function ShotMenu({ shot, onClose, onOpen }: ShotMenuProps) {
  const dispatch = useAppDispatch();
  const [isRenaming, setRenaming] = useState(false);
  const duplicate = async (): Promise<void> => {
    const result = await dispatch(api.endpoints.duplicateShot.initiate(shot.id));
    dispatch(
      messageShown(
        result.data ? `“${result.data.shot.name}” was added to the list.` : failureSentence(result.error),
      ),
    );
  };
  const remove = async (): Promise<void> => {
    const result = await dispatch(api.endpoints.removeShot.initiate(shot.id));
    dispatch(
      result.error
        ? messageShown(failureSentence(result.error))
        : messageShown(`“${shot.name}” was removed.`, { kind: 'restore', shotIds: [shot.id] }),
    );
  };
  if (isRenaming) return <RenameDialog shot={shot} onClose={onClose} />;
  if (shot.damage)
    return (
      <Menu
        title={shot.name}
        onClose={onClose}
        items={[
          { label: 'Try opening it again', icon: RotateCw, onPress: () => onOpen(shot.id) },
          {
            label: 'Download the file',
            icon: Download,
            onPress: () => saveAddress(documentAddress(shot.id)),
          },
          { label: 'Remove', icon: Trash, onPress: () => void remove() },
        ]}
      />
    );
  return (
    <Menu
      title={shot.name}
      onClose={onClose}
      items={[
        { label: 'Open', icon: FolderOpen, onPress: () => onOpen(shot.id) },
        { label: 'Rename', icon: Pencil, onPress: () => setRenaming(true), staysOpen: true },
        { label: 'Duplicate', icon: Copy, onPress: () => void duplicate() },
        { label: 'Remove', icon: Trash, onPress: () => void remove() },
      ]}
    />
  );
}

function RenameDialog({ shot, onClose }: { readonly shot: ShotSummary; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const [name, setName] = useState(shot.name);
  const [error, setError] = useState<string>();
  const rename = async (): Promise<void> => {
    const next = name.trim();
    if (next === '') return setError('Give it a name.');
    const request = dispatch(api.endpoints.readShot.initiate(shot.id, { forceRefetch: true }));
    const current = await request;
    request.unsubscribe();
    const result = current.isSuccess
      ? await dispatch(
          api.endpoints.saveShot.initiate({
            id: shot.id,
            revision: current.data.revision,
            shot: edits.renameShot(current.data.shot, { name: next }),
          }),
        )
      : current;
    if (result.error) return setError(failureSentence(result.error));
    onClose();
  };
  return (
    <Dialog title="Rename" isOpen onClose={onClose}>
      <TextField
        label="Name"
        value={name}
        onChange={(text) => setName(text.slice(0, LONGEST_NAME))}
        onSubmit={() => void rename()}
        error={error}
        autoFocus
      />
      <Button label="Rename" kind="brass" onPress={() => void rename()} />
    </Dialog>
  );
}
