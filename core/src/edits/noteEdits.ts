import { ShotError, outOfRange } from '../model/errors';
import { MAX_NOTE_LENGTH, MAX_SHOT_FRAMES } from '../model/limits';
import { changePart } from '../model/parts';
import type { Note, Shot } from '../model/schema';
import { inOrder, withMoreNotes } from '../timing/notes';

type Written = Pick<Note, 'from' | 'until' | 'text' | 'figureId'>;

function checked<Part extends Written>(note: Part, shot: Shot): Part {
  const { from, until, figureId } = note;
  const text = note.text.trim();
  if (text === '' || text.length > MAX_NOTE_LENGTH)
    throw outOfRange(`A note has 1 to ${MAX_NOTE_LENGTH} letters.`);
  if (![from, until].every(Number.isInteger) || from < 1 || until < from || until > MAX_SHOT_FRAMES + 1)
    throw outOfRange('A note is about a frame, or goes from one to a later one.');
  if (figureId !== null && !shot.figures.some(({ id }) => id === figureId))
    throw new ShotError('unknown-id', `The shot has no figure ${figureId}.`);
  return { ...note, text };
}

export const noteEdits = {
  addNote: (shot: Shot, note: Written): Shot => {
    const { from, until, text, figureId } = checked(note, shot);
    return withMoreNotes(shot, [{ from, until, text, figureId }]);
  },

  changeNote: (shot: Shot, { noteId, ...some }: { readonly noteId: string } & Partial<Written>): Shot => ({
    ...shot,
    notes: inOrder(changePart(shot.notes, noteId, (note) => checked({ ...note, ...some }, shot))),
  }),

  removeNote: (shot: Shot, { noteId }: { readonly noteId: string }): Shot => ({
    ...shot,
    notes: shot.notes.filter(({ id }) => id !== noteId),
  }),
} as const;
