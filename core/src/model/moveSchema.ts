import { z } from 'zod';
import { coordinate, vectorSchema } from './coordinates';
import { degrees, figureSchema } from './figureSchema';
import { actedSchema } from './gestureSchema';
import { id } from './ids';
import {
  MAX_COORDINATE,
  MAX_SEQUENCE_LENGTH,
  MAX_SHOT_FRAMES,
  MAX_MARKS,
  MAX_RIDERS,
  MAX_SMOOTH_FRAMES,
} from './limits';
import { shakesSchema } from './shakeSchema';
import { easingSchema, timingSchema } from './timingSchema';
import { tracksSchema } from '../timing/tracks';

/** What a move holds on to when its arc changes shape: shares of the length, distances, or spots in the field. */
export const keepsSchema = z.enum(['fractions', 'distances', 'spots']);

const frameNumber = z
  .number()
  .int()
  .min(1)
  .max(MAX_SHOT_FRAMES + 1);

export const cycleSchema = z
  .object({
    by: z.enum(['time', 'way']),
    from: frameNumber,
    until: frameNumber.nullable(),
    startDrawing: z.number().int().min(1).max(MAX_SEQUENCE_LENGTH),
    swings: z.boolean(),
    /** How far one cycle carries the figure, field units. */
    advance: z.number().min(1e-3).max(MAX_COORDINATE),
    before: z.enum(['hold', 'repeat', 'swing', 'hide']),
    after: z.enum(['hold', 'repeat', 'swing', 'hide']),
  })
  .refine(({ from, until }) => until === null || until >= from, 'a cycle ends after it begins');

/** A further part on the arc of a move, or on another one, ahead of its figure or behind it. */
export const riderSchema = figureSchema.extend({
  /** So far ahead of the figure along the arc, or behind it (negative); or where the figure was so many frames before. */
  follows: z.discriminatedUnion('by', [
    z.object({ by: z.literal('distance'), distance: z.number().min(-MAX_COORDINATE).max(MAX_COORDINATE) }),
    z.object({
      by: z.literal('frames'),
      frames: z.number().int().min(-MAX_SHOT_FRAMES).max(MAX_SHOT_FRAMES),
    }),
  ]),
  /** It travels along the arc; or it sits on the figure, and only looks along the arc at its own distance. */
  rides: z.enum(['travels', 'looks']),
  /** A second arc that it travels on; null for that of the figure. */
  arcId: id(z).nullable(),
  /** Where it is on a second arc: at the same share of its length, or at the spot nearest to its place on the first. */
  onSecond: z.enum(['share', 'nearest']),
  pastEnds: z.enum(['stay', 'straight']),
  /** Off the arc: forward and right, turned with it; or right and down in the field. Field units. */
  offset: vectorSchema(z),
  offsetIn: z.enum(['field', 'riding']),
  turnsWithArc: z.boolean(),
  correctionDeg: degrees,
  mirrored: z.boolean(),
  sizePercent: z.number().min(0.1).max(10_000),
  opacityPercent: z.number().min(0).max(100),
  bends: z.boolean(),
  inFront: z.boolean(),
});

export const takenTimingSchema = timingSchema.extend({
  /** From which frame on which drawing is shown, counted from 1; empty leaves it to the artwork. */
  drawings: z
    .array(
      z.object({
        frame: frameNumber,
        drawing: z.number().int().min(1).max(MAX_SEQUENCE_LENGTH),
        /**
         * Whether it is drawn through to the next of these: by a chart of its own, or as the figure travels where its
         * easing is null. Null where it is held.
         */
        drawnThrough: z.object({ easing: easingSchema.nullable() }).nullable().default(null),
      }),
    )
    .max(MAX_MARKS),
  /** Drawings that are repeated; where a frame says its drawing, that goes first. Null for none. */
  cycle: cycleSchema.nullable(),
  acted: actedSchema.nullable(),
  /** What of the figure changes besides its place: keys of each track. */
  tracks: tracksSchema(z),
});

export const moveSchema = takenTimingSchema.extend({
  id: id(z),
  figureId: id(z),
  arcId: id(z),
  turnsWithArc: z.boolean(),
  correctionDeg: degrees,
  /** Whether the figure is seen in a mirror, so that it looks the other way without standing on its head. */
  mirrored: z.boolean(),
  backwards: z.enum(['keeps', 'faces']),
  /** At a corner of the arc its heading goes over within so many frames, centred on it; 0 snaps. */
  cornerFrames: z.number().int().min(0).max(MAX_SMOOTH_FRAMES),
  smoothFrames: z.number().int().min(0).max(MAX_SMOOTH_FRAMES),
  lean: z.object({
    by: z.enum(['none', 'most', 'physics']),
    mostDeg: z.number().min(-180).max(180),
    smoothFrames: z.number().int().min(0).max(MAX_SMOOTH_FRAMES),
  }),
  /** Whether it is sized down by a track of its own; else by the same as across. */
  sizesApart: z.boolean(),
  offsetIn: z.enum(['field', 'riding']),
  shakes: shakesSchema,
  riders: z.array(riderSchema).max(MAX_RIDERS),
  keeps: keepsSchema,
});

/** A figure that rides no arc: it stands where it was left, and keeps the timing that it had. */
export const waitingSchema = z.object({
  figureId: id(z),
  /** Where its pivot stands, field units. */
  x: coordinate(z),
  y: coordinate(z),
  turnDeg: degrees,
  /** Its move without an arc; null for one that never had any. */
  move: moveSchema.omit({ arcId: true }).nullable(),
});
