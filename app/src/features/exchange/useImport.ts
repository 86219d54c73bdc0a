import { IMPORT_KINDS, isZip } from '@humble/core';
import { firstFrameNumber } from '../../store/frameNumbers';
import { errorSentence } from '../../store/errorSentence';
import { exchangeWords as words } from '../../words/exchange';
import type { PlaceColumn, ReadIncrements } from '@humble/core/files';
import { useCallback } from 'react';
import { fileFormats } from '../../commands/fileFormats';
import { filmCommands } from '../../commands/filmCommands';
import { importShotFile } from '../../commands/importShotFile';
import { useAppDispatch, useAppStore, useEdit } from '../../store/hooks';
import { messageShown } from '../../store/sessionSlice';
import { pickFile } from '../../ui/files';
import { selectActiveMove } from '../../store/selectors/active';

const READABLE_FILES = [
  ...Object.values(IMPORT_KINDS).flatMap(({ extensions, mimeType }) => [...extensions, mimeType]),
  '.zip',
].join(',');

/** The most that a film may weigh as a file, bytes. */
const MAX_FILM_BYTES = 400_000_000;

/**
 * Reads a file as a new shot, or a ZIP file as a film. Resolves with the id of a shot to open, or null when there is
 * none: a film came into the list, or nothing came of it and why was said.
 */
export function useImportShot(): () => Promise<string | null> {
  const dispatch = useAppDispatch();
  return useCallback(async () => {
    try {
      const file = await pickFile(READABLE_FILES, MAX_FILM_BYTES);
      if (!file) return null;
      if (isZip(file.bytes)) {
        await (await filmCommands()).importFilm(file.bytes);
        return null;
      }
      return dispatch(importShotFile(file));
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    }
    return null;
  }, [dispatch]);
}

/** A table of increments whose columns do not say the same: one of them has to be chosen. */
export interface UndecidedTable {
  readonly fileName: string;
  readonly table: ReadIncrements;
  readonly columns: readonly PlaceColumn[];
}

export const COLUMN_NAMES: Readonly<Record<PlaceColumn, string>> = {
  place: words.placeAlongTheArc,
  percent: words.percentOfTheArc,
  along: words.alongColumn,
  total: words.runningTotal,
  ruler: words.incrementsOnTheRuler,
  ruler_total: words.rulerTotalColumn,
};

/**
 * Takes the timing of the move that is being worked on from a table of increments. One undo step.
 * @param column the one that leads, where several say different things
 * @returns the table when a column has to be chosen
 */
export function useTakeTiming(): (
  fileName: string,
  table: ReadIncrements,
  column?: PlaceColumn,
) => Promise<UndecidedTable | null> {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const edit = useEdit();
  return useCallback(
    async (fileName, table, column) => {
      const { withTimingFrom } = await fileFormats();
      const { shot } = store.getState().shot.present;
      const move = selectActiveMove(store.getState());
      if (!shot || !move) return null;
      const timing = withTimingFrom(shot, move.id, table, column);
      if (timing.outcome === 'choose') return { fileName, table, columns: timing.columns };
      if (timing.outcome === 'unchanged') dispatch(messageShown(words.importUnchanged(fileName)));
      else if (edit('replaceShot', { shot: timing.shot }))
        dispatch(
          messageShown(
            words.importFollowed(
              COLUMN_NAMES[timing.column],
              fileName,
              timing.moved,
              timing.moved === 1 ? 'place' : 'places',
            ),
          ),
        );
      return null;
    },
    [dispatch, edit, store],
  );
}

export function useImportTiming(onUndecided: (table: UndecidedTable) => void): () => Promise<void> {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const take = useTakeTiming();
  return useCallback(async () => {
    try {
      const file = await pickFile('.csv,.tsv,.txt,text/csv,text/tab-separated-values');
      if (!file) return;
      const move = selectActiveMove(store.getState());
      const { decodedText, readIncrementsCsv } = await fileFormats();
      const undecided = await take(
        file.name,
        readIncrementsCsv(decodedText(file.bytes), move?.id, firstFrameNumber()),
      );
      if (undecided) onUndecided(undecided);
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
    }
  }, [dispatch, onUndecided, store, take]);
}
