import { LONGEST_SHOT } from '../model/limits';
import type { Note, Shot } from '../model/schema';
import { type FrameMap, wholeFrame } from './frameMap';
import { findMove } from './moveChange';

/** Notes in the order of their frames. */
export const inOrder = (notes: readonly Note[]): readonly Note[] =>
  [...notes].sort((a, b) => a.from - b.from || a.until - b.until);

/**
 * The shot with its notes where their frames are now: those of the figure whose time it is, or all of them. A note of
 * which nothing is left stays on the frame where it was.
 */
export function withNotesAlong(shot: Shot, moveId: string | null, map: FrameMap): Shot {
  const figureId = moveId === null ? null : findMove(shot, moveId).figureId;
  const frameOf = (frame: number): number => Math.min(LONGEST_SHOT + 1, Math.max(1, wholeFrame(map(frame))));
  const moved = ({ from, until, ...note }: Note): Note => {
    const [start, end] = [frameOf(from), frameOf(until + 1) - 1];
    return { ...note, from: Math.min(start, Math.max(start, end)), until: Math.max(start, end) };
  };
  const notes = shot.notes.map((note) =>
    moveId === null || note.figureId === figureId ? moved(note) : note,
  );
  return { ...shot, notes: inOrder(notes) };
}
