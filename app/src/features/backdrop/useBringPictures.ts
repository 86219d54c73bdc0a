import { backdropWords as words } from '../../words/backdrop';
import { LONGEST_SEQUENCE, type Picture, PICTURE_TYPES } from '@humble/core';
import { useEffect, useState } from 'react';
import { useAppDispatch, useEdit } from '../../store/hooks';
import { keepPicture } from '../../persistence/pictures';
import { messageShown } from '../../store/sessionSlice';
import { pickPictures } from '../../ui/files';

interface Progress {
  readonly done: number;
  readonly of: number;
  readonly stop: AbortController;
}

/** Brings pictures to the server one by one and lays them under the shot when all of them are there. */
export function useBringPictures() {
  const [progress, setProgress] = useState<Progress | null>(null);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  useEffect(() => () => progress?.stop.abort(), [progress?.stop]);
  const bring = async (): Promise<void> => {
    const files = await pickPictures([...PICTURE_TYPES, '.svg'].join(','));
    if (files.length === 0) return;
    if (files.length > LONGEST_SEQUENCE) {
      dispatch(messageShown(words.aSequenceHasAtMostPictures(LONGEST_SEQUENCE, files.length)));
      return;
    }
    const stop = new AbortController();
    const pictures: Picture[] = [];
    const notes: string[] = [];
    try {
      for (const file of files) {
        setProgress({ done: pictures.length, of: files.length, stop });
        const { picture, note } = await keepPicture(file, stop.signal);
        pictures.push(picture);
        if (note) notes.push(note);
      }
      if (edit('putBackdrop', { pictures }) && notes[0]) dispatch(messageShown(notes[0]));
    } catch (error) {
      if (!stop.signal.aborted)
        dispatch(messageShown(error instanceof Error ? error.message : words.thisIsNoPicture));
    } finally {
      setProgress(null);
    }
  };
  return { bring, cancel: () => progress?.stop.abort(), progress };
}
