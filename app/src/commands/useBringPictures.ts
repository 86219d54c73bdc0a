import { errorSentence } from '../store/errorSentence';
import { MAX_SEQUENCE_LENGTH, PICTURE_TYPES } from '@humble/core';
import { useEffect, useState } from 'react';
import { messageShown } from '../store/sessionSlice';
import { useAppDispatch } from '../store/hooks';
import { pickPictures } from '../ui/files';
import { commandsWords as words } from '../words/commands';

interface Progress {
  readonly done: number;
  readonly of: number;
  readonly stop: AbortController;
}

/** A file that was brought to the server, and what it has to say of it; empty for nothing. */
interface Brought<Kept> {
  readonly kept: Kept;
  readonly note: string;
}

interface BringPictures<Kept> {
  readonly keep: (file: File, signal: AbortSignal) => Promise<Brought<Kept>>;
  /** All of them are there. @returns whether they could be used */
  readonly onAllThere: (all: readonly Kept[]) => boolean;
}

/**
 * Asks for pictures, or takes those that are given, and brings them to the server one by one. They are used when all of
 * them are there, or none is.
 */
export function useBringPictures<Kept>({ keep, onAllThere }: BringPictures<Kept>) {
  const [progress, setProgress] = useState<Progress | null>(null);
  const dispatch = useAppDispatch();
  useEffect(() => () => progress?.stop.abort(), [progress?.stop]);
  const bring = async (given?: readonly File[]): Promise<void> => {
    const files = given ?? (await pickPictures([...PICTURE_TYPES, '.svg'].join(',')));
    if (files.length === 0) return;
    if (files.length > MAX_SEQUENCE_LENGTH) {
      dispatch(messageShown(words.tooManyPictures(MAX_SEQUENCE_LENGTH, files.length)));
      return;
    }
    const stop = new AbortController();
    const all: Kept[] = [];
    const notes: string[] = [];
    try {
      for (const file of files) {
        setProgress({ done: all.length, of: files.length, stop });
        const { kept, note } = await keep(file, stop.signal);
        all.push(kept);
        if (note) notes.push(note);
      }
      if (onAllThere(all) && notes[0]) dispatch(messageShown(notes[0]));
    } catch (error) {
      if (!stop.signal.aborted) dispatch(messageShown(errorSentence(error)));
    } finally {
      setProgress(null);
    }
  };
  return { bring, cancel: () => progress?.stop.abort(), progress };
}
