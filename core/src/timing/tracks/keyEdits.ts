import { ShotError } from '../../model/errors';
import { freshId } from '../../model/ids';
import { LONGEST_SHOT, MOST_MARKS } from '../../model/limits';
import type { Easing, Key, Move } from '../../model/schema';
import { splitEasing } from '../splitEasing';
import { type TrackName, trackDefinition } from '.';
import type { Growth } from './growth';
import { trackValueAt } from './trackValues';

const EVEN: Easing = { kind: 'even' };

const withKeys = (move: Move, track: TrackName, keys: readonly Key[]): Move => ({
  ...move,
  tracks: { ...move.tracks, [track]: keys },
});

/** A value as the track may have it. */
function inRange(track: TrackName, value: number): number {
  const [least, most] = trackDefinition(track).range;
  return Math.min(most, Math.max(least, value));
}

/**
 * The move with a key on a frame; one that is there gets the value. A key between two others without a value
 * changes nothing that is seen: the easing before it is divided, as with marks.
 * @param value in the track's unit, brought into its range; without it what the track has there
 * @throws ShotError `out-of-range` when there are too many keys, or the frame is not whole and within 1 to the
 * longest shot
 */
export function withKeyOn(move: Move, track: TrackName, frame: number, value?: number): Move {
  const keys = move.tracks[track];
  if (!Number.isInteger(frame) || frame < 1 || frame > LONGEST_SHOT)
    throw new ShotError('out-of-range', `A key lies within frames 1 to ${LONGEST_SHOT}.`);
  const there = keys.findIndex((key) => key.frame === frame);
  if (there >= 0) {
    if (value === undefined) return move;
    const set = (key: Key, i: number): Key => (i === there ? { ...key, value: inRange(track, value) } : key);
    return withKeys(move, track, keys.map(set));
  }
  if (keys.length >= MOST_MARKS)
    throw new ShotError('out-of-range', `A track has at most ${MOST_MARKS} keys.`);
  const fresh: Key = {
    id: freshId('k', keys),
    frame,
    value: inRange(track, value ?? trackValueAt(track, keys, frame)),
    easing: EVEN,
    growth: 'even',
  };
  const i = keys.findIndex((key) => key.frame > frame);
  const [from, to] = [keys[i - 1], keys[i]];
  if (i < 0) return withKeys(move, track, [...keys, fresh]);
  if (!from || !to) return withKeys(move, track, [fresh, ...keys]);
  const [before, after] = splitEasing(from.easing, frame - from.frame, to.frame - from.frame);
  return withKeys(move, track, [
    ...keys.slice(0, i - 1),
    { ...from, easing: before },
    { ...fresh, easing: after, growth: from.growth },
    ...keys.slice(i),
  ]);
}

/** The frames by which chosen keys may move, so that each keeps one to those that stay. */
function room(keys: readonly Key[], chosen: ReadonlySet<string>): readonly [least: number, most: number] {
  let [least, most] = [-Infinity, Infinity];
  keys.forEach((key, i) => {
    if (!chosen.has(key.id)) return;
    const [before, after] = [keys[i - 1], keys[i + 1]];
    if (!before || !chosen.has(before.id)) least = Math.max(least, (before?.frame ?? 0) + 1 - key.frame);
    if (!after || !chosen.has(after.id))
      most = Math.min(most, (after?.frame ?? LONGEST_SHOT + 1) - 1 - key.frame);
  });
  return [least, most];
}

/**
 * The move with some keys of a track moved in time and value together. Each keeps a frame to those that stay.
 * @param by whole frames, and a difference in the track's unit; both go only as far as there is room
 */
export function withKeysMoved(
  move: Move,
  track: TrackName,
  keyIds: readonly string[],
  by: { readonly frames: number; readonly value: number },
): Move {
  const chosen = new Set(keyIds);
  const keys = move.tracks[track];
  const [least, most] = room(keys, chosen);
  const frames = Math.round(Math.min(most, Math.max(least, by.frames)));
  if (!Number.isFinite(frames)) return move;
  const moved = (key: Key): Key =>
    chosen.has(key.id)
      ? { ...key, frame: key.frame + frames, value: inRange(track, key.value + by.value) }
      : key;
  return withKeys(move, track, keys.map(moved));
}

/** The move without some keys of a track. */
export const withoutKeys = (move: Move, track: TrackName, keyIds: readonly string[]): Move =>
  withKeys(
    move,
    track,
    move.tracks[track].filter(({ id }) => !keyIds.includes(id)),
  );

/** The move with an easing from some keys to those after them. */
export const withKeyEasing = (
  move: Move,
  track: TrackName,
  keyIds: readonly string[],
  easing: Easing,
): Move =>
  withKeys(
    move,
    track,
    move.tracks[track].map((key) => (keyIds.includes(key.id) ? { ...key, easing } : key)),
  );

/** The move with another growth from some keys to those after them. Tracks that do not grow stay as they are. */
export const withKeyGrowth = (
  move: Move,
  track: TrackName,
  keyIds: readonly string[],
  growth: Growth,
): Move =>
  trackDefinition(track).grows
    ? withKeys(
        move,
        track,
        move.tracks[track].map((key) => (keyIds.includes(key.id) ? { ...key, growth } : key)),
      )
    : move;
