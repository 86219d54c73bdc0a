import { useEffect } from 'react';
import { watchChecks } from '../../commands/watchChecks';
import { useAppDispatch } from '../../store/hooks';

/** Checks the open shot whatever step one is in. It shows nothing itself. */
export function FindingsWatch() {
  const dispatch = useAppDispatch();
  useEffect(() => dispatch(watchChecks()), [dispatch]);
  return null;
}
