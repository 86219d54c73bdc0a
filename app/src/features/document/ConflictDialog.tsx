import { documentWords as words } from '../../words/document';
import { useState } from 'react';
import { useAppDispatch, useSession } from '../../store/hooks';
import { settleConflict } from '../../commands/openDocument';
import { conflictPutOff } from '../../store/sessionSlice';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Words } from '../../ui/Words';
import { useThrottledShotValue } from '../../store/throttled/hooks';

/** Someone else saved the shot meanwhile: the user says which version stays; the other becomes a copy. */
export function ConflictDialog() {
  const name = useThrottledShotValue((shot) => shot.name);
  const theirs = useSession((session) => session.theirs);
  const isPutOff = useSession((session) => session.isConflictPutOff);
  const dispatch = useAppDispatch();
  const [isBusy, setBusy] = useState(false);
  const keep = async (which: 'mine' | 'theirs'): Promise<void> => {
    setBusy(true);
    await settleConflict(which);
    setBusy(false);
  };
  return (
    <Dialog
      title={words.changedSomewhereElse}
      isOpen={theirs !== null && !isPutOff}
      onClose={() => dispatch(conflictPutOff(true))}
    >
      <Words size="body">{words.conflictHelp(name)}</Words>
      <Words tone="soft">{words.otherVersionKept}</Words>
      <Button label={words.keepMyVersion} kind="brass" disabled={isBusy} onPress={() => void keep('mine')} />
      <Button label={words.useTheOtherVersion} disabled={isBusy} onPress={() => void keep('theirs')} />
    </Dialog>
  );
}
