import type { Key, Move } from '../../model/schema';
import { fractionAt, fractionsOnFrames, type TimedMark } from '../placeInTime';
import { grown } from './growth';
import { forEachTrack, type TrackName, trackDefinition } from '.';

/** Keys run as marks do: from value to value by the easing of the earlier one, and they pass through each. */
const asMark = ({ frame, value, easing }: Key): TimedMark => ({
  frame,
  fraction: value,
  kind: 'pass',
  easing,
});

const asTiming = (keys: readonly Key[]) =>
  ({ marks: keys.map(asMark), before: 'hold', after: 'hold' }) as const;

/**
 * The value of a track on a frame, in the track's unit. Before its first and after its last key it stays.
 * @param frame real
 */
export function trackValueAt(track: TrackName, keys: readonly Key[], frame: number): number {
  if (keys.length === 0) return trackDefinition(track).resting;
  const even = fractionAt(asTiming(keys), frame);
  const i = keys.findLastIndex((key) => key.frame <= frame);
  const [from, to] = [keys[i], keys[i + 1]];
  return from && to ? withGrowth(from, to, even) : even;
}

/** A value between two keys that was worked out evenly, as the growth from the first to the second has it. */
function withGrowth(from: Key, to: Key, even: number): number {
  if (from.growth === 'even' || from.value === to.value) return even;
  return grown(from.value, to.value, (even - from.value) / (to.value - from.value), from.growth);
}

/** Values of all tracks on each frame of a shot; index 0 is frame 1. */
export type TrackValues = Readonly<Record<TrackName, Float64Array>>;

function valuesOf(track: TrackName, keys: readonly Key[], frameCount: number): Float64Array {
  if (keys.length > 1) {
    const values = fractionsOnFrames(asTiming(keys), frameCount);
    keys.forEach((from, i) => {
      const to = keys[i + 1];
      if (!to || from.growth === 'even') return;
      for (let f = from.frame; f < Math.min(to.frame, frameCount + 1); f++)
        values[f - 1] = withGrowth(from, to, values[f - 1]!);
    });
    return values;
  }
  return new Float64Array(frameCount).fill(trackValueAt(track, keys, 1));
}

const valuesByTracks = new WeakMap<
  Move['tracks'],
  { readonly frameCount: number; readonly values: TrackValues }
>();

/** The same as `trackValueAt` for every frame of a shot. Remembered as long as no key changes. */
export function valuesOnFrames(tracks: Move['tracks'], frameCount: number): TrackValues {
  const known = valuesByTracks.get(tracks);
  if (known?.frameCount === frameCount) return known.values;
  const values = forEachTrack(({ name }) => valuesOf(name, tracks[name], frameCount));
  valuesByTracks.set(tracks, { frameCount, values });
  return values;
}
