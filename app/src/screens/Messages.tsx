import { useCallback } from 'react';
import { api, failureSentence } from '../state/api';
import { useAppDispatch, useSession } from '../state/hooks';
import { messageGone, said } from '../state/sessionSlice';
import { Toast } from '../ui/Toast';

/** The latest message, with the way back it offers. */
export function Messages() {
  const message = useSession((session) => session.message);
  const dispatch = useAppDispatch();
  const done = useCallback(() => dispatch(messageGone()), [dispatch]);
  if (!message) return null;
  const { id, text, restoreId } = message;
  const restore = async (): Promise<void> => {
    done();
    const result = await dispatch(api.endpoints.restoreShot.initiate(restoreId!));
    dispatch(said(result.error ? failureSentence(result.error) : `“${result.data.shot.name}” is back.`));
  };
  return (
    <Toast
      key={id}
      text={text}
      onDone={done}
      action={restoreId ? { label: 'Bring it back', onPress: () => void restore() } : undefined}
    />
  );
}
