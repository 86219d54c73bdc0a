import type { Easing, Shot } from '../model/schema';
import { changeMove } from '../model/parts';
import type { OfMove } from '../timing/moveChange';
import type { TrackName } from '../timing/tracks';
import type { Growth } from '../timing/tracks/growth';
import {
  withKeyEasing,
  withKeyGrowth,
  withKeyOn,
  withKeysMoved,
  withoutKeys,
} from '../timing/tracks/keyEdits';

type OfTrack = OfMove & { readonly track: TrackName };
type OfKeys = OfTrack & { readonly keyIds: readonly string[] };

/** Everything that can be done to the tracks of a figure: values that keys on frames change. */
export const trackEdits = {
  /**
   * A key on a frame, or another value for the one that is there; without a value a key that changes nothing.
   * @throws ShotError `out-of-range` when the frame is none of a shot, or the track has too many keys
   */
  setKey: (shot: Shot, { moveId, track, frame, value }: OfTrack & { frame: number; value?: number }): Shot =>
    changeMove(shot, moveId, (move) => withKeyOn(move, track, frame, value)),

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

  /** How the value grows from keys to those after them, in tracks of sizes. */
  setKeyGrowth: (shot: Shot, { moveId, track, keyIds, growth }: OfKeys & { growth: Growth }): Shot =>
    changeMove(shot, moveId, (move) => withKeyGrowth(move, track, keyIds, growth)),
} as const;
