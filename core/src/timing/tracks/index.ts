import type { z } from 'zod';
import { id } from '../../model/ids';
import { MAX_SHOT_FRAMES, MAX_MARKS } from '../../model/limits';
import type { Zod } from '../../model/zod';
import { easingUnion } from '../easings';
import type { TrackDefinition } from './trackDefinition';
import { GROWTHS } from './growth';
import { offsetX, offsetY } from './offset';
import { opacity } from './opacity';
import { size, sizeDown } from './size';
import { turn } from './turn';

const definitions = [turn, size, sizeDown, opacity, offsetX, offsetY] as const;

export type TrackName = (typeof definitions)[number]['name'];

/** All tracks, in the order of the table. */
export const TRACKS: readonly TrackDefinition<TrackName>[] = definitions;

/** What there is to know of a track, by its name. */
export const trackDefinition = (name: TrackName): TrackDefinition<TrackName> =>
  TRACKS.find((track) => track.name === name)!;

const keySchema = (z: Zod, { range: [least, most], grows }: TrackDefinition) =>
  z.object({
    id: id(z),
    frame: z
      .number()
      .int()
      .min(1)
      .max(MAX_SHOT_FRAMES + 1),
    value: z.number().min(least).max(most),
    easing: easingUnion(z),
    growth: z.enum(GROWTHS).refine((growth) => grows || growth === 'even', 'this track grows evenly'),
  });

/** For each track of the table what `of` says of it. */
export const forEachTrack = <T>(
  of: (track: TrackDefinition<TrackName>) => T,
): Readonly<Record<TrackName, T>> =>
  Object.fromEntries(TRACKS.map((track) => [track.name, of(track)])) as Record<TrackName, T>;

/** Keys of each track, in the order of their frames. */
export const tracksSchema = (z: Zod) =>
  z.object(
    forEachTrack((track) => {
      const keys = z.array(keySchema(z, track)).max(MAX_MARKS);
      return track.since ? keys.default([]) : keys;
    }) as { [Name in TrackName]: z.ZodArray<ReturnType<typeof keySchema>> },
  );

/** Tracks without keys. */
export const NO_KEYS: Readonly<Record<TrackName, readonly never[]>> = forEachTrack(() => []);
