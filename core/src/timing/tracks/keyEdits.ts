import { outOfRange } from '../../model/errors';
import { freshId } from '../../model/ids';
import { MAX_SHOT_FRAMES, MAX_MARKS } from '../../model/limits';
import type { Easing, Key, Move } from '../../model/schema';
import { splitEasing } from '../splitEasing';
import { stretchedEasing } from '../stretchedEasing';
import { type TrackName, trackDefinition } from '.';
import type { Growth } from './growth';
import { trackValueAt } from './trackValues';

const EVEN: Easing = { kind: 'even' };

const withKeys = (move: Move, track: TrackName, keys: readonly Key[]): Move => ({
  ...move,
  tracks: { ...move.tracks, [track]: keys },
});

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
  if (!Number.isInteger(frame) || frame < 1 || frame > MAX_SHOT_FRAMES)
    throw outOfRange(`A key lies within frames 1 to ${MAX_SHOT_FRAMES}.`);
  const there = keys.findIndex((key) => key.frame === frame);
  if (there >= 0) {
    if (value === undefined) return move;
    const set = (key: Key, i: number): Key => (i === there ? { ...key, value: inRange(track, value) } : key);
    return withKeys(move, track, keys.map(set));
  }
  if (keys.length >= MAX_MARKS) throw outOfRange(`A track has at most ${MAX_MARKS} keys.`);
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

/** How far a changed value reaches: its own key alone, all keys from its frame on, all up to it, or all there are. */
export type Reach = 'here' | 'after' | 'before' | 'all';

/**
 * The move with a value on a frame that goes for further keys, too. Sizes change by the same factor there, other
 * values by the same difference. The frame gets a key where it has none, so that what lies beyond it stays.
 * @throws ShotError as `withKeyOn`
 */
export function withValueReaching(
  move: Move,
  track: TrackName,
  frame: number,
  value: number,
  reach: Reach,
): Move {
  const hasKeys = move.tracks[track].length > 0;
  if (reach === 'here' || !hasKeys) return withKeyOn(move, track, frame, value);
  // Where everything changes no further key is needed.
  const keyed = reach === 'all' ? move : withKeyOn(move, track, frame);
  const keys = keyed.tracks[track];
  const before = trackValueAt(track, keys, frame);
  const { grows } = trackDefinition(track);
  const changed = (old: number): number => (grows ? (old * value) / before : old + value - before);
  const isMeant = (key: Key): boolean =>
    reach === 'all' || (reach === 'after' ? key.frame >= frame : key.frame <= frame);
  return withKeys(
    keyed,
    track,
    keys.map((key) => (isMeant(key) ? { ...key, value: inRange(track, changed(key.value)) } : key)),
  );
}

/**
 * The move with keys of a track stretched or compressed to lie from one frame to another. They keep their share of the
 * time, on whole frames, each at least one after the one before it, and easings stretch with them.
 * @param keyIds which keys; all of them without it
 * @throws ShotError `out-of-range` when there are too few frames for the keys, or others stand in the way
 */
export function withKeysStretched(
  move: Move,
  track: TrackName,
  first: number,
  last: number,
  keyIds?: readonly string[],
): Move {
  const keys = move.tracks[track];
  const chosen = keyIds ? keys.filter(({ id }) => keyIds.includes(id)) : keys;
  const [from, until] = [chosen[0], chosen[chosen.length - 1]];
  if (!from || !until) return move;
  const isWhole = Number.isInteger(first) && Number.isInteger(last) && first >= 1 && last <= MAX_SHOT_FRAMES;
  if (!isWhole || last - first < chosen.length - 1)
    throw outOfRange(`${chosen.length} keys need at least ${chosen.length} frames.`);
  const share = until.frame > from.frame ? (last - first) / (until.frame - from.frame) : 1;
  let before = first - 1;
  const stretched = chosen.map((key, i): Key => {
    const wanted = Math.round(first + (key.frame - from.frame) * share);
    before = Math.min(last - (chosen.length - 1 - i), Math.max(before + 1, wanted));
    return { ...key, frame: before, easing: stretchedEasing(key.easing, share) };
  });
  const others = keys.filter((key) => !chosen.includes(key));
  const taken = new Set(stretched.map(({ frame }) => frame));
  if (others.some(({ frame }) => taken.has(frame)))
    throw outOfRange('One of these frames has a key already.');
  return withKeys(move, track, inTime([...others, ...stretched]));
}

const inTime = (keys: readonly Key[]): readonly Key[] => [...keys].sort((a, b) => a.frame - b.frame);

/** Keys to be pasted: frames are counted from the first of them. */
export type CopiedKeys = readonly Omit<Key, 'id'>[];

/** Some keys of a track, to be pasted. */
export function copiedKeys(move: Move, track: TrackName, keyIds: readonly string[]): CopiedKeys {
  const chosen = move.tracks[track].filter(({ id }) => keyIds.includes(id));
  return chosen.map(({ id: _, ...key }) => ({ ...key, frame: key.frame - chosen[0]!.frame }));
}

/**
 * The move with copied keys from a frame on. Where a key is already it takes their value and easing.
 * @throws ShotError as `withKeyOn`
 */
export function withKeysPasted(move: Move, track: TrackName, copied: CopiedKeys, at: number): Move {
  const { grows } = trackDefinition(track);
  const placed = copied.reduce((now, { frame, value }) => withKeyOn(now, track, at + frame, value), move);
  const byFrame = new Map(copied.map((key) => [at + key.frame, key]));
  return withKeys(
    placed,
    track,
    placed.tracks[track].map((key) => {
      const from = byFrame.get(key.frame);
      return from ? { ...key, easing: from.easing, growth: grows ? from.growth : 'even' } : key;
    }),
  );
}

/** A full turn, degrees. */
const FULL_TURN = 360;

/**
 * The move with its turn straightened: from the first key to the last it is so many whole turns, the nearest number
 * that is not none. Keys between keep their share of the way.
 */
export function withWholeSpins(move: Move): Move {
  const keys = move.tracks.turn;
  const [first, last] = [keys[0]?.value ?? 0, keys[keys.length - 1]?.value ?? 0];
  const way = last - first;
  if (way === 0) return move;
  const spins = Math.sign(way) * Math.max(1, Math.round(Math.abs(way) / FULL_TURN));
  const share = (spins * FULL_TURN) / way;
  return withKeys(
    move,
    'turn',
    keys.map((key) => ({ ...key, value: inRange('turn', first + (key.value - first) * share) })),
  );
}

/** The move with other keys in a track, given as frames and values; they follow each other evenly. */
export const withKeysOn = (
  move: Move,
  track: TrackName,
  values: readonly { readonly frame: number; readonly value: number }[],
): Move =>
  withKeys(
    move,
    track,
    values.map(({ frame, value }, i): Key => ({
      id: `k${i + 1}`,
      frame,
      value: inRange(track, value),
      easing: EVEN,
      growth: 'even',
    })),
  );

/** The frames by which chosen keys may move, so that each keeps one to those that stay. */
function room(keys: readonly Key[], chosen: ReadonlySet<string>): readonly [least: number, most: number] {
  let [least, most] = [-Infinity, Infinity];
  keys.forEach((key, i) => {
    if (!chosen.has(key.id)) return;
    const [before, after] = [keys[i - 1], keys[i + 1]];
    if (!before || !chosen.has(before.id)) least = Math.max(least, (before?.frame ?? 0) + 1 - key.frame);
    if (!after || !chosen.has(after.id))
      most = Math.min(most, (after?.frame ?? MAX_SHOT_FRAMES + 1) - 1 - key.frame);
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
