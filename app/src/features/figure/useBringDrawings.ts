import type { Artwork } from '@humble/core';
import { addFigure } from '../../commands/figures';
import { useBringPictures } from '../../commands/useBringPictures';
import { keepDrawing } from '../../persistence/drawings';
import { useAppDispatch, useEdit } from '../../store/hooks';

const MAX_NAME_LENGTH = 60;

/** The name of a file without its ending and a number. */
const nameFrom = (file: string): string =>
  file
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[\s_-]*\d+$/, '')
    .slice(0, MAX_NAME_LENGTH)
    .trim();

type Drawings = Extract<Artwork, { kind: 'pictures' }>['drawings'];

/**
 * Imports pictures as the artwork of a figure; of a new one that waits where none is given.
 * @param change what is to be changed of the drawings before they are used
 */
export function useBringDrawings(
  figureId: string | null,
  change: (drawings: Drawings) => Drawings = (drawings) => drawings,
) {
  const dispatch = useAppDispatch();
  const edit = useEdit();
  return useBringPictures({
    keep: keepDrawing,
    onAllThere: (drawings) => {
      const artwork: Artwork = { kind: 'pictures', drawings: [...change(drawings)] };
      return figureId === null
        ? dispatch(addFigure(artwork, nameFrom(drawings[0]!.name)))
        : edit('setArtwork', { figureId, artwork }) !== null;
    },
  });
}
