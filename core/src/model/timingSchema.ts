import { z } from 'zod';
import { easingUnion } from '../timing/easings';
import { id } from './ids';
import { MAX_COORDINATE, MAX_LABEL_LENGTH, MAX_SHOT_FRAMES, MAX_MARKS, PHYSICAL } from './limits';
import { lineSchema } from './plainText';

export const easingSchema = easingUnion(z);

const frame = z
  .number()
  .int()
  .min(1)
  .max(MAX_SHOT_FRAMES + 1);
/** Share of the arc's length; laps of a closed arc go on past 1. */
const fraction = z.number().min(-1_000).max(1_000);
const shift = z.number().min(-MAX_COORDINATE).max(MAX_COORDINATE);

/** A promise in time: on this frame, be at this place. `easing` belongs to the span that starts here. */
export const markSchema = z.object({
  id: id(z),
  frame,
  fraction,
  kind: z.enum(['stop', 'pass']),
  easing: easingSchema,
  /** The point of the arc that carries the mark, so that both stay together; null for none. */
  pointId: id(z).nullable(),
  /** Key, breakdown, or the animator's own words; empty for none. */
  label: lineSchema(z).trim().max(MAX_LABEL_LENGTH),
});

export const exposureSchema = z.union([z.literal(1), z.literal(2), z.literal(3)]);

export const exposureRangeSchema = z.object({ from: frame, until: frame, framesHeld: exposureSchema });

/**
 * An exposure left out. Without `cut` its frames stay and the one before is held through them. With it its
 * frames were taken out: it stood before `frame`, for so many frames, at that place.
 */
export const skipSchema = z.object({
  frame,
  cut: z.object({ fraction, framesHeld: z.number().int().min(1).max(MAX_SHOT_FRAMES) }).nullable(),
});

/** One frame put off the plan by hand, by so many field units. */
export const overrideSchema = z.object({ frame, dx: shift, dy: shift });

/** What a move does outside its marks: it holds, starts over, swings back and forth, or goes on as it went. */
export const outsideSchema = z.enum(['hold', 'repeat', 'swing', 'continue']);

/** A finding that was looked at and let be: what found it, and a frame that it was about. */
export const letBeSchema = z.object({ check: z.string().min(1).max(MAX_LABEL_LENGTH), frame });

export const physicsSchema = z.object({
  /** The share of its swing that a pendulum loses in each full swing. */
  damping: z.number().min(0).max(PHYSICAL.maxDamping),
  swings: z.number().int().min(1).max(PHYSICAL.maxSwings),
  rolls: z.enum(['slides', 'ball', 'cylinder', 'hoop']),
  /** The miniature that it is looked at in, 1 : n. */
  miniature: z.number().min(PHYSICAL.minMiniature).max(PHYSICAL.maxMiniature),
});

export const timingSchema = z.object({
  marks: z.array(markSchema).min(2).max(MAX_MARKS),
  before: outsideSchema,
  after: outsideSchema,
  /** How many frames one drawing or placement is held, from the move's first frame on. */
  framesHeld: exposureSchema,
  exposures: z.array(exposureRangeSchema).max(MAX_MARKS),
  skips: z.array(skipSchema).max(MAX_SHOT_FRAMES),
  overrides: z.array(overrideSchema).max(MAX_SHOT_FRAMES),
  /** Findings of the checks that are not to be told again. */
  letBe: z.array(letBeSchema).max(MAX_MARKS),
  physics: physicsSchema.nullable(),
});
