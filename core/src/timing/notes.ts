import { outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_SHOT_FRAMES, MAX_NOTES } from '../model/limits';
import type { Note, Shot } from '../model/schema';
import { type FrameMap, wholeFrame } from './frameMap';
import { findMove } from './moveChange';

/** Notes in the order of their frames. */
export const inOrder = (notes: readonly Note[]): readonly Note[] =>
  [...notes].sort((a, b) => a.from - b.from || a.until - b.until);

/** Which notes go along with a move: those about its figure. With the time of all (null) all of them go along. */
export function notesOf(shot: Shot, moveId: string | null): (note: Note) => boolean {
  const figureId = moveId === null ? null : findMove(shot, moveId).figureId;
  return (note) => moveId === null || note.figureId === figureId;
}

/**
 * The shot with its notes where their frames are now: those of the figure whose time it is, or all of them. A note of
 * which nothing is left stays on the frame where it was.
 */
export function withNotesAlong(shot: Shot, moveId: string | null, map: FrameMap): Shot {
  const goesAlong = notesOf(shot, moveId);
  const frameOf = (frame: number): number =>
    Math.min(MAX_SHOT_FRAMES + 1, Math.max(1, wholeFrame(map(frame))));
  const moved = ({ from, until, ...note }: Note): Note => {
    const [start, end] = [frameOf(from), frameOf(until + 1) - 1];
    return { ...note, from: Math.min(start, Math.max(start, end)), until: Math.max(start, end) };
  };
  return { ...shot, notes: inOrder(shot.notes.map((note) => (goesAlong(note) ? moved(note) : note))) };
}

/** The shot with more notes. They get ids of their own. @throws ShotError `out-of-range` where there are too many */
export function withMoreNotes(shot: Shot, notes: readonly Omit<Note, 'id'>[]): Shot {
  if (notes.length === 0) return shot;
  if (shot.notes.length + notes.length > MAX_NOTES)
    throw outOfRange(`A shot has at most ${MAX_NOTES} notes.`);
  const first = Number(freshId('note', shot.notes).slice('note'.length));
  const added = notes.map((note, i) => ({ ...note, id: `note${first + i}` }));
  return { ...shot, notes: inOrder([...shot.notes, ...added]) };
}
