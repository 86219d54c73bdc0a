import { useCallback } from 'react';
import { useAppDispatch, useSession } from '../state/hooks';
import { restoreShot } from '../state/openDocument';
import { messageGone } from '../state/sessionSlice';
import { Toast } from '../ui/Toast';

/** The latest message, with the way back it offers. */
export function Messages() {
  const message = useSession((session) => session.message);
  const dispatch = useAppDispatch();
  const done = useCallback(() => dispatch(messageGone()), [dispatch]);
  if (!message) return null;
  const { id, text, restoreId } = message;
  const restore = (shotId: string): void => {
    done();
    void restoreShot(shotId);
  };
  return (
    <Toast
      key={id}
      text={text}
      onDone={done}
      action={restoreId ? { label: 'Bring it back', onPress: () => restore(restoreId) } : undefined}
    />
  );
}
