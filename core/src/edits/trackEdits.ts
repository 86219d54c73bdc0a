import { MAX_MARKS } from '../model/limits';
import type { Easing, Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { changeMove } from '../model/parts';
import { findMove, type OfMove } from '../timing/moveChange';
import type { TrackName } from '../timing/tracks';
import type { Growth } from '../timing/tracks/growth';
import { keysThrough } from '../timing/tracks/keysThrough';
import {
  type CopiedKeys,
  type Reach,
  withKeyEasing,
  withKeyGrowth,
  withKeyOn,
  withKeysMoved,
  withKeysOn,
  withKeysPasted,
  withKeysStretched,
  withoutKeys,
  withValueReaching,
  withWholeSpins,
} from '../timing/tracks/keyEdits';

type OfTrack = OfMove & { readonly track: TrackName };
type OfKeys = OfTrack & { readonly keyIds: readonly string[] };

/** How near keys come to a lean that they take the place of, degrees. */
const LEAN_TOLERANCE_DEG = 0.1;

export const trackEdits = {
  /**
   * A key on a frame, or another value for the one that is there; without a value a key that changes nothing.
   * @param args.reach how far the value goes: this key alone, from here on, or up to here
   * @throws ShotError `out-of-range` when the frame is none of a shot, or the track has too many keys
   */
  setKey: (
    shot: Shot,
    {
      moveId,
      track,
      frame,
      value,
      reach = 'here',
    }: OfTrack & { frame: number; value?: number; reach?: Reach },
  ): Shot =>
    changeMove(shot, moveId, (move) =>
      value === undefined
        ? withKeyOn(move, track, frame)
        : withValueReaching(move, track, frame, value, reach),
    ),

  /**
   * Keys of some tracks on a frame that change nothing, or none there any more.
   * @throws ShotError as `setKey`
   */
  setKeysHere: (
    shot: Shot,
    {
      moveId,
      tracks,
      frame,
      isSet,
    }: OfMove & { tracks: readonly TrackName[]; frame: number; isSet: boolean },
  ): Shot =>
    changeMove(shot, moveId, (move) =>
      tracks.reduce((now, track) => {
        if (isSet) return withKeyOn(now, track, frame);
        const ids = now.tracks[track].filter((key) => key.frame === frame).map(({ id }) => id);
        return withoutKeys(now, track, ids);
      }, move),
    ),

  clearTrack: (shot: Shot, { moveId, track }: OfTrack): Shot =>
    changeMove(shot, moveId, (move) => withKeysOn(move, track, [])),

  /**
   * The keys of a track from one frame to another, stretched or compressed; some of them or all.
   * @throws ShotError `out-of-range` when there are too few frames for the keys, or others stand in the way
   */
  stretchKeys: (
    shot: Shot,
    {
      moveId,
      track,
      first,
      last,
      keyIds,
    }: OfTrack & { first: number; last: number; keyIds?: readonly string[] },
  ): Shot => changeMove(shot, moveId, (move) => withKeysStretched(move, track, first, last, keyIds)),

  pasteKeys: (
    shot: Shot,
    { moveId, track, copied, at }: OfTrack & { copied: CopiedKeys; at: number },
  ): Shot => changeMove(shot, moveId, (move) => withKeysPasted(move, track, copied, at)),

  /** Makes the turn from its first key to its last so many whole turns. */
  straightenSpins: (shot: Shot, { moveId }: OfMove): Shot => changeMove(shot, moveId, withWholeSpins),

  /** Keys of a turn in place of the lean that is worked out: the figure looks the same within a tenth of a degree. */
  leanToKeys: (shot: Shot, { moveId }: OfMove): Shot => {
    const move = findMove(shot, moveId);
    if (move.lean.by === 'none') return shot;
    const upright: Move = { ...move, lean: { ...move.lean, by: 'none' } };
    const { heading } = evaluateMove(shot, move);
    const plain = evaluateMove(shot, upright);
    const values = plain.tracks.turn.map((turn, i) => turn + heading[i]! - plain.heading[i]!);
    const keys = keysThrough(values, LEAN_TOLERANCE_DEG, MAX_MARKS);
    return changeMove(shot, moveId, () => withKeysOn(upright, 'turn', keys));
  },

  /** Keys moved in time and value together; they keep a frame to those that stay. */
  moveKeys: (
    shot: Shot,
    { moveId, track, keyIds, byFrames = 0, byValue = 0 }: OfKeys & { byFrames?: number; byValue?: number },
  ): Shot =>
    changeMove(shot, moveId, (move) =>
      withKeysMoved(move, track, keyIds, { frames: byFrames, value: byValue }),
    ),

  deleteKeys: (shot: Shot, { moveId, track, keyIds }: OfKeys): Shot =>
    changeMove(shot, moveId, (move) => withoutKeys(move, track, keyIds)),

  /** Easing from keys to those after them. */
  setKeyEasing: (shot: Shot, { moveId, track, keyIds, easing }: OfKeys & { easing: Easing }): Shot =>
    changeMove(shot, moveId, (move) => withKeyEasing(move, track, keyIds, easing)),

  setKeyGrowth: (shot: Shot, { moveId, track, keyIds, growth }: OfKeys & { growth: Growth }): Shot =>
    changeMove(shot, moveId, (move) => withKeyGrowth(move, track, keyIds, growth)),
} as const;
