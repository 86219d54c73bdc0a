import { benchWords as words } from '../words/bench';
import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useAppDispatch, useAppStore, useEdit, useSession } from '../store/hooks';
import { restoreShots, saveAsCopy } from '../commands/openDocument';
import { offlineStart } from '../persistence/laterParts';
import { type MessageAction, messageDismissed, messageShown } from '../store/sessionSlice';
import { Toast } from '../ui/Toast';
import { createUndoGroup } from '../ui/undoGroup';

export function Messages() {
  const message = useSession((session) => session.message);
  const dispatch = useAppDispatch();
  const done = useCallback(() => dispatch(messageDismissed()), [dispatch]);
  const offer = useOffer();
  if (!message) return null;
  const { id, text, action } = message;
  const offered = action && offer(action);
  const act = (): void => {
    done();
    offered?.onPress();
  };
  return (
    <Toast key={id} text={text} onDone={done} action={offered && { label: offered.label, onPress: act }} />
  );
}

function useOffer(): (action: MessageAction) => { readonly label: string; readonly onPress: () => void } {
  const store = useAppStore();
  const router = useRouter();
  const edit = useEdit();
  return (action) => {
    switch (action.kind) {
      case 'restore':
        return { label: words.restore, onPress: () => void restoreShots(action.shotIds) };
      case 'save-copy':
        return {
          label: words.saveAsANewShot,
          onPress: () => {
            const { shot } = store.getState().shot.present;
            if (shot) void saveAsCopy(shot).then((id) => id && router.replace(`/shot/${id}`));
          },
        };
      case 'new-version':
        return {
          label: action.label,
          onPress: () =>
            void offlineStart()
              .then(({ startNewVersion }) => startNewVersion())
              .then((isStarting) => isStarting || store.dispatch(messageShown(action.otherwise))),
        };
      case 'instead':
        return {
          label: action.label,
          onPress: () => edit(action.edit.name, action.edit.args as never, createUndoGroup('instead')),
        };
    }
  };
}
