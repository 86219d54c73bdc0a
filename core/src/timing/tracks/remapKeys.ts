import { MAX_SHOT_FRAMES } from '../../model/limits';
import type { Key, Move } from '../../model/schema';
import { stretchedEasing } from '../stretchedEasing';
import { forEachTrack } from '.';

/** Frames that never fall, made to rise: each at least one after the one before, all within 1 to `most`. */
function apart(frames: readonly number[], most: number): number[] {
  const rising: number[] = [];
  for (const frame of frames) rising.push(Math.max(frame, (rising[rising.length - 1] ?? 0) + 1));
  for (let i = rising.length - 1, latest = most; i >= 0; i--, latest--)
    rising[i] = Math.min(rising[i]!, latest);
  return rising;
}

function remapped(keys: readonly Key[], frameOf: (frame: number) => number): readonly Key[] {
  const frames = apart(
    keys.map(({ frame }) => frameOf(frame)),
    MAX_SHOT_FRAMES + 1,
  );
  if (keys.every(({ frame }, i) => frames[i] === frame)) return keys;
  return keys.map((key, i): Key => {
    const next = keys[i + 1];
    const factor = next ? (frames[i + 1]! - frames[i]!) / (next.frame - key.frame) : 1;
    return { ...key, frame: frames[i]!, easing: stretchedEasing(key.easing, factor) };
  });
}

/**
 * Keys taken along when the frames of their move change. None is lost: those that would come to lie on one frame
 * follow each other.
 * @param frameOf the new frame of a frame, whole and never falling
 */
export function remapKeys(tracks: Move['tracks'], frameOf: (frame: number) => number): Move['tracks'] {
  const next = forEachTrack(({ name }) => remapped(tracks[name], frameOf));
  return Object.entries(next).every(([name, keys]) => keys === tracks[name as keyof typeof tracks])
    ? tracks
    : next;
}
