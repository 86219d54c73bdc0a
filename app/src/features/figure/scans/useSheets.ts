import { type DrawingPicture, PICTURE_LIMITS } from '@humble/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { keepOutlined } from '../../../persistence/drawings';
import { errorSentence } from '../../../store/errorSentence';
import { useAppDispatch, useEdit } from '../../../store/hooks';
import { messageShown } from '../../../store/sessionSlice';
import { scansWords as words } from '../../../words/scans';
import {
  openSheetDesk,
  type ScanLevels,
  type ScannedSheet,
  type SheetDesk,
  type Spot,
} from '../../../workers/scan';

/** Marks of a sheet: three line it up. */
export const MARKS = 3;

/** A worker holds all of them at once. */
const MAX_SHEETS = 24;

const isLinedUp = ({ marks }: ScannedSheet): boolean => marks.length === MARKS;

/**
 * Sheets of paper on their way to be drawings: read and evened one after another in a worker, which ends when the page
 * that shows them goes.
 */
export function useSheets(files: readonly File[], figureId: string, onDone: () => void) {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  const [desk, setDesk] = useState<SheetDesk | null>(null);
  const [sheets, setSheets] = useState<readonly ScannedSheet[]>([]);
  const [levels, setLevels] = useState<ScanLevels>({ white: 240, black: 60 });
  const [working, setWorking] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);

  const fail = useCallback(
    (sentence: string): void => {
      dispatch(messageShown(sentence));
      onDone();
    },
    [dispatch, onDone],
  );

  useEffect(() => {
    const opened = openSheetDesk();
    let isWanted = true;
    const readAll = async (): Promise<void> => {
      const read: ScannedSheet[] = [];
      const large = files.find(({ size }) => size > PICTURE_LIMITS.bytes);
      if (large || files.length > MAX_SHEETS) {
        fail(large ? words.tooLarge(large.name, PICTURE_LIMITS.bytes / 1e6) : words.tooMany(MAX_SHEETS));
        return;
      }
      for (const file of files) {
        const tell = (done: number): void => {
          if (isWanted) setWorking(words.getting(file.name, Math.round(100 * done)));
        };
        tell(0);
        const sheet = await opened.read(file, tell).catch(() => null);
        if (!isWanted) return;
        if (!sheet) {
          fail(words.cannotBeRead(file.name));
          return;
        }
        read.push(sheet);
      }
      const [first] = read;
      if (first) setLevels(first.levels);
      setSheets(read);
      setDesk(opened);
      setWorking(null);
    };
    void readAll();
    return () => {
      isWanted = false;
      stop.current?.abort();
      opened.close();
    };
    // The files that were chosen do not change while they are looked at.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const change = (index: number, sheet: ScannedSheet): void =>
    setSheets((all) => all.map((one, i) => (i === index ? sheet : one)));

  const straighten = async (index: number, corners: readonly [Spot, Spot, Spot, Spot]): Promise<boolean> => {
    try {
      const sheet = await desk!.straighten(index, corners);
      change(index, sheet);
      return true;
    } catch (error) {
      dispatch(messageShown(errorSentence(error)));
      return false;
    }
  };

  const use = async (): Promise<void> => {
    if (!desk) return;
    const asked = new AbortController();
    stop.current = asked;
    const first = sheets[0]!;
    const linesUp = sheets.length > 1 && sheets.every(isLinedUp);
    const drawings: DrawingPicture[] = [];
    try {
      for (const [i, sheet] of sheets.entries()) {
        const { name } = files[i]!;
        const tell = (done: number): void => {
          if (!asked.signal.aborted) setWorking(words.working(i + 1, sheets.length, Math.round(100 * done)));
        };
        tell(0);
        const marks = isLinedUp(sheet) && linesUp ? { own: sheet.marks, first: first.marks } : null;
        const cleared = await desk.clear(i, levels, marks, tell);
        if (asked.signal.aborted) return;
        if (!cleared) {
          dispatch(messageShown(words.empty(name)));
          return;
        }
        setWorking(words.keeping(i + 1, sheets.length));
        const file = new File([cleared.bytes as BlobPart], name.replace(/\.[a-z0-9]+$/i, '') + '.png', {
          type: 'image/png',
        });
        drawings.push(await keepOutlined(file, cleared.outline, asked.signal));
      }
      if (edit('setArtwork', { figureId, artwork: { kind: 'pictures', drawings } })) onDone();
    } catch (error) {
      if (!asked.signal.aborted) dispatch(messageShown(errorSentence(error)));
    } finally {
      stop.current = null;
      setWorking(null);
    }
  };

  const cancel = (): void => {
    if (sheets.length === 0) onDone();
    stop.current?.abort();
    setWorking(null);
  };

  return { desk, sheets, levels, setLevels, working, change, straighten, use, cancel };
}
