import { readIncrementsCsv, ShotError, withTimingFrom } from '@humble/core';
import { useCallback } from 'react';
import { api, failureSentence } from '../../state/api';
import { useActiveMove, useAppDispatch, useAppSelector, useEdit } from '../../state/hooks';
import { said } from '../../state/sessionSlice';
import { pickFile } from '../../ui/files';
import { readShot } from './readShot';

const sentenceOf = (error: unknown): string =>
  error instanceof ShotError || error instanceof Error ? error.message : 'This file cannot be read.';

/** Reads a file as a new shot. Resolves with its id, or null when nothing came of it and why was said. */
export function useImportShot(): () => Promise<string | null> {
  const dispatch = useAppDispatch();
  return useCallback(async () => {
    try {
      const file = await pickFile('.json,.csv,application/json,text/csv');
      if (!file) return null;
      const result = await dispatch(api.endpoints.createShot.initiate(readShot(file)));
      if (result.data) return result.data.id;
      dispatch(said(failureSentence(result.error)));
    } catch (error) {
      dispatch(said(sentenceOf(error)));
    }
    return null;
  }, [dispatch]);
}

/** Reads a table of increments as the timing of the move that is being worked on. One undo step. */
export function useImportTiming(): () => Promise<void> {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const shot = useAppSelector((state) => state.shot.present.shot);
  const move = useActiveMove();
  return useCallback(async () => {
    if (!shot || !move) return;
    try {
      const file = await pickFile('.csv,text/csv');
      if (!file) return;
      if (edit('replaceShot', { shot: withTimingFrom(shot, move.id, readIncrementsCsv(file.text)) }))
        dispatch(said(`The timing now follows “${file.name}”.`));
    } catch (error) {
      dispatch(said(sentenceOf(error)));
    }
  }, [dispatch, edit, shot, move]);
}
