import { ShotError } from '../model/errors';
import type { Arc, Move, Shot } from '../model/schema';
import { outAndBack, repeatedPassage, reversedPassage } from '../timing/copiedPassage';
import { type FrameMap, withFrameMap } from '../timing/frameMap';
import { withMoves } from '../timing/moveChange';
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

/** The shot with a passage of its moves changed. The move that is given has marks on the edges of the passage. */
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

const remap =
  (mapOf: (move: Move) => FrameMap) =>
  (move: Move): Move =>
    withFrameMap(move, mapOf(move));

/** A passage that goes past a move's marks on one side cannot be turned round. */
function checkMoves({ marks }: Move, { from, until }: Passage): void {
  const isOn = (frame: number): boolean => marks.some((mark) => mark.frame === frame);
  if (!isOn(from) || !isOn(until))
    throw new ShotError(
      'out-of-range',
      'The passage has to lie between the first mark of the move and its last.',
    );
}

/** Everything that can be done to some of the time of one figure, or of all of them. */
export const passageEdits = {
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
      : changePassage(
          shot,
          passage,
          remap((move) =>
            holds === 'end' ? startMap(move, passage, frames) : stretchMap(move, passage, frames, later),
          ),
        ),

  /** A passage later by some frames, or earlier; all else stays, or what is later follows. */
  shiftPassage: (
    shot: Shot,
    { by, later = 'stay', ...passage }: OfPassage & { readonly by: number; readonly later?: Later },
  ): Shot =>
    by === 0
      ? shot
      : changePassage(
          shot,
          passage,
          remap((move) => shiftMap(move, passage, by, later)),
        ),

  /** Frames put in after a frame, or taken out (negative). */
  insertTime: (
    shot: Shot,
    { moveId, frame, frames }: OfTime & { readonly frame: number; readonly frames: number },
  ): Shot => withMoves(shot, moveId, (move) => withFrameMap(move, timeMap(move, frame, frames)), true),

  /** A passage from its end to its start. @throws ShotError `out-of-range` where it goes past the marks */
  reversePassage: (shot: Shot, passage: OfPassage): Shot =>
    changePassage(shot, passage, (move) => {
      checkMoves(move, passage);
      return reversedPassage(move, passage);
    }),

  /** A passage, and then back to where it began; what is later follows. @throws ShotError as `reversePassage` */
  goOutAndBack: (shot: Shot, passage: OfPassage): Shot =>
    changePassage(shot, passage, (move) => {
      checkMoves(move, passage);
      return outAndBack(move, passage);
    }),

  /** A passage so many times over; what is later follows. @throws ShotError as `reversePassage` */
  repeatPassage: (shot: Shot, { times, ...passage }: OfPassage & { readonly times: number }): Shot =>
    changePassage(shot, passage, (move, arc) => {
      checkMoves(move, passage);
      return repeatedPassage(move, passage, times, arc?.closed ?? false);
    }),
} as const;
