import type { Vector } from '../arc/vector';
import { changeMove } from '../model/parts';
import type { Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { offsetFrom, offsetInField } from '../motion/offset';
import { findMove, type OfMove } from '../timing/moveChange';
import { type Reach, withKeyOn, withKeysOn, withValueReaching } from '../timing/tracks/keyEdits';

export const offsetEdits = {
  /**
   * Another offset on a frame, in the field or riding as the move has it.
   * @param args.reach how far it goes: all frames, this key alone, from here on, or up to here
   */
  setOffset: (
    shot: Shot,
    {
      moveId,
      frame,
      x,
      y,
      reach = 'all',
    }: OfMove & Vector & { readonly frame: number; readonly reach?: Reach },
  ): Shot =>
    changeMove(shot, moveId, (move) =>
      withValueReaching(withValueReaching(move, 'offsetX', frame, x, reach), 'offsetY', frame, y, reach),
    ),

  clearOffset: (shot: Shot, { moveId }: OfMove): Shot =>
    changeMove(shot, moveId, (move) => withKeysOn(withKeysOn(move, 'offsetX', []), 'offsetY', [])),

  /** Offsets in the field made riding ones, or the other way round: on every key the figure stays where it is. */
  setOffsetIn: (shot: Shot, { moveId, offsetIn }: OfMove & Pick<Move, 'offsetIn'>): Shot => {
    const move = findMove(shot, moveId);
    if (move.offsetIn === offsetIn) return shot;
    const { blendedDirection, tracks } = evaluateMove(shot, move);
    const frames = new Set([...move.tracks.offsetX, ...move.tracks.offsetY].map(({ frame }) => frame));
    const last = blendedDirection.length;
    const converted = [...frames].reduce<Move>(
      (now, frame) => {
        const i = Math.min(frame, last) - 1;
        const by = offsetInField(
          move.offsetIn,
          { x: tracks.offsetX[i]!, y: tracks.offsetY[i]! },
          blendedDirection[i]!,
        );
        const { x, y } = offsetFrom(offsetIn, by, blendedDirection[i]!);
        return withKeyOn(withKeyOn(now, 'offsetX', frame, x), 'offsetY', frame, y);
      },
      { ...move, offsetIn },
    );
    return changeMove(shot, moveId, () => converted);
  },
} as const;
