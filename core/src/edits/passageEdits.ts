import { outOfRange } from '../model/errors';
import { MAX_SHOT_FRAMES } from '../model/limits';
import type { Arc, Move, Note, Shot } from '../model/schema';
import { outAndBack, repeatedPassage, reversedPassage } from '../timing/copiedPassage';
import { frameOfSeconds } from '../timing/cues';
import { durationMap, durationOf, type HoldsInDuration } from '../timing/duration';
import { type FrameMap, withFrameMap } from '../timing/frameMap';
import { withMarksOnFrames } from '../timing/marksOnCues';
import { findMove, type OfMove, withMove, withMoves } from '../timing/moveChange';
import { inOrder, notesOf, withMoreNotes, withNotesAlong } from '../timing/notes';
import { type PartFrames, type PartOfArc, withPartOnFrames } from '../timing/partOfArc';
import { lastFrame } from '../timing/placeInTime';
import {
  checkPassage,
  type Later,
  type Passage,
  shiftMap,
  startMap,
  stretchMap,
  timeMap,
  withEdges,
} from '../timing/passage';

/** Whose time it is: that of one move, or of all figures at once (null). */
export type OfTime = { readonly moveId: string | null };
type OfPassage = OfTime & Passage;

/** The move that notes go along with, of those whose time it is: the one with the earliest mark after a frame. */
function leading(shot: Shot, moveId: string | null, frame: number): Pick<Move, 'marks'> {
  const moves = shot.moves.filter(({ id }) => moveId === null || id === moveId);
  const after = ({ marks }: Move): number => marks.find((mark) => mark.frame > frame)?.frame ?? Infinity;
  return [...moves].sort((a, b) => after(a) - after(b))[0] ?? { marks: [] };
}

function changePassage(
  shot: Shot,
  { moveId, from, until }: OfPassage,
  change: (move: Move, arc: Arc | null) => Move,
): Shot {
  checkPassage({ from, until });
  return withMoves(
    shot,
    moveId,
    (move, arc) => {
      const edged = withEdges(move, { from, until });
      const next = change(edged, arc);
      return next === edged ? move : next;
    },
    true,
  );
}

function remapped(shot: Shot, passage: OfPassage, mapOf: (move: Pick<Move, 'marks'>) => FrameMap): Shot {
  const next = changePassage(shot, passage, (move) => withFrameMap(move, mapOf(move)));
  if (next.notes.length === 0) return next;
  return withNotesAlong(next, passage.moveId, mapOf(leading(shot, passage.moveId, passage.until)));
}

/** A mark this far from a cue goes onto it, seconds. */
const CUE_REACH_SECONDS = 0.25;

type NoteRange = Pick<Note, 'from' | 'until'>;

/**
 * A passage that has copies after it now: notes after it come so much later as what follows it does, and each copy has
 * the notes that lie within the passage.
 * @param copiesOf where a note lies on the copies, which take up so many frames together
 */
function withNotesOfCopies(
  before: Shot,
  after: Shot,
  { moveId, from, until }: OfPassage,
  copiesOf: (note: Note, frames: number) => readonly NoteRange[],
): Shot {
  const lastOf = (shot: Shot): number => {
    const moves = shot.moves.filter(({ id }) => moveId === null || id === moveId);
    return Math.max(0, ...moves.map(lastFrame));
  };
  const by = lastOf(after) - lastOf(before);
  const goesAlong = notesOf(before, moveId);
  const later = (frame: number): number => Math.min(MAX_SHOT_FRAMES + 1, frame > until ? frame + by : frame);
  const moved = after.notes.map((note) =>
    goesAlong(note) ? { ...note, from: later(note.from), until: later(note.until) } : note,
  );
  const within = before.notes.filter((note) => goesAlong(note) && note.from >= from && note.until <= until);
  return withMoreNotes(
    { ...after, notes: inOrder(moved) },
    within.flatMap((note) => copiesOf(note, by).map((range) => ({ ...note, ...range }))),
  );
}

function checkMoves({ marks }: Move, { from, until }: Passage): void {
  const isOn = (frame: number): boolean => marks.some((mark) => mark.frame === frame);
  if (!isOn(from) || !isOn(until))
    throw outOfRange('The passage has to lie between the first mark of the move and its last.');
}

/** Everything that can be done to some of the time of one figure, or of all of them. */
export const passageEdits = {
  /**
   * A move in another number of frames from where it begins; the notes about its figure go along. The shot grows
   * with it, and shrinks where the move filled it.
   * @throws ShotError `out-of-range` as `durationMap`
   */
  setDuration: (
    shot: Shot,
    { moveId, frames, holds }: OfMove & { readonly frames: number; readonly holds: HoldsInDuration },
  ): Shot => {
    const move = findMove(shot, moveId);
    if (frames === durationOf(move).frames) return shot;
    const map = durationMap(move, frames, holds);
    return withNotesAlong(
      withMove(shot, moveId, (now) => withFrameMap(now, map), true),
      moveId,
      map,
    );
  },

  /**
   * A part of the arc on other frames, as `withPartOnFrames` says.
   * @throws ShotError `out-of-range`
   */
  setPartFrames: (shot: Shot, { moveId, from, to, ...frames }: OfMove & PartOfArc & PartFrames): Shot => {
    for (const frame of [frames.start, frames.end])
      if (frame !== undefined && (!Number.isInteger(frame) || frame < 1 || frame > MAX_SHOT_FRAMES))
        throw outOfRange(`Type a whole frame from 1 to ${MAX_SHOT_FRAMES}.`);
    return withMove(shot, moveId, (move) => withPartOnFrames(move, { from, to }, frames), true);
  },

  /**
   * A passage in another number of frames, as `stretchMap` says, or as `startMap` where its end is held.
   * @throws ShotError `out-of-range`
   */
  stretchPassage: (
    shot: Shot,
    {
      frames,
      later = 'follow',
      holds = 'start',
      ...passage
    }: OfPassage & { readonly frames: number; readonly later?: Later; readonly holds?: 'start' | 'end' },
  ): Shot =>
    frames === passage.until - passage.from
      ? shot
      : remapped(shot, passage, (move) =>
          holds === 'end' ? startMap(move, passage, frames) : stretchMap(move, passage, frames, later),
        ),

  /** A passage later by some frames, or earlier; all else stays, or what is later follows. */
  shiftPassage: (
    shot: Shot,
    { by, later = 'stay', ...passage }: OfPassage & { readonly by: number; readonly later?: Later },
  ): Shot => (by === 0 ? shot : remapped(shot, passage, (move) => shiftMap(move, passage, by, later))),

  /** Frames put in after a frame, or taken out (negative). */
  insertTime: (
    shot: Shot,
    { moveId, frame, frames }: OfTime & { readonly frame: number; readonly frames: number },
  ): Shot => {
    const next = withMoves(shot, moveId, (move) => withFrameMap(move, timeMap(move, frame, frames)), true);
    return next.notes.length === 0
      ? next
      : withNotesAlong(next, moveId, timeMap(leading(shot, moveId, frame), frame, frames));
  },

  /**
   * A mark on each cue within the move: marks up to a quarter of a second away go onto it, a stop is put where there is
   * none. @throws ShotError `out-of-range` where no cue is within the move, or there are too many
   */
  putMarksOnCues: (shot: Shot, { moveId }: OfMove): Shot => {
    const frames = shot.cues.map(({ seconds }) => frameOfSeconds(seconds, shot.rate));
    const next = withMove(shot, moveId, (move) =>
      withMarksOnFrames(move, frames, Math.round(shot.rate * CUE_REACH_SECONDS)),
    );
    if (next !== shot && findMove(next, moveId).marks !== findMove(shot, moveId).marks) return next;
    throw outOfRange('Every cue within this move has a mark on it already.');
  },

  /** A passage from its end to its start. @throws ShotError `out-of-range` where it goes past the marks */
  reversePassage: (shot: Shot, passage: OfPassage): Shot => {
    const next = changePassage(shot, passage, (move) => {
      checkMoves(move, passage);
      return reversedPassage(move, passage);
    });
    const { from, until } = passage;
    const goesAlong = notesOf(shot, passage.moveId);
    const turned = (note: Note): Note =>
      note.from < from || note.until > until || !goesAlong(note)
        ? note
        : { ...note, from: from + until - note.until, until: from + until - note.from };
    return { ...next, notes: inOrder(next.notes.map(turned)) };
  },

  /** A passage, and then back to where it began; what is later follows. @throws ShotError as `reversePassage` */
  goOutAndBack: (shot: Shot, passage: OfPassage): Shot => {
    const next = changePassage(shot, passage, (move) => {
      checkMoves(move, passage);
      return outAndBack(move, passage);
    });
    const { until } = passage;
    return withNotesOfCopies(shot, next, passage, (note) =>
      note.from === until ? [] : [{ from: 2 * until - note.until, until: 2 * until - note.from }],
    );
  },

  /** A passage so many times over; what is later follows. @throws ShotError as `reversePassage` */
  repeatPassage: (shot: Shot, { times, ...passage }: OfPassage & { readonly times: number }): Shot => {
    const next = changePassage(shot, passage, (move, arc) => {
      checkMoves(move, passage);
      return repeatedPassage(move, passage, times, arc?.closed ?? false);
    });
    return withNotesOfCopies(shot, next, passage, (note, frames) =>
      Array.from({ length: times - 1 }, (_, i) => {
        const by = Math.round(((i + 1) * frames) / (times - 1));
        return { from: note.from + by, until: note.until + by };
      }),
    );
  },
} as const;
