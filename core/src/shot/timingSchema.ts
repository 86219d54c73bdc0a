import { z } from 'zod';
import { id } from './ids';
import { FURTHEST } from './readyShapeSchema';

export const LONGEST_SHOT = 20_000;
export const LONGEST_LABEL = 40;
export const MOST_MARKS = 5_000;

/** Round a closed arc the last mark may lie one frame past the shot. */
const frame = z
  .number()
  .int()
  .min(1)
  .max(LONGEST_SHOT + 1);
const unit = z.number().min(0).max(1);
const beyond = z.number().min(-4).max(4);
/** Share of the way of a span on a chart; a span that all but comes back has large ones. */
export const FURTHEST_SHARE = 1e6;
const chartShare = z.number().min(-FURTHEST_SHARE).max(FURTHEST_SHARE);
/** Share of the arc's length; laps of a closed arc go on past 1. */
const place = z.number().min(-1_000).max(1_000);
const shift = z.number().min(-FURTHEST).max(FURTHEST);

/** How a span travels from its mark to the next; lengths of leaving and arriving in frames. */
export const easingSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('even') }),
  z.object({
    kind: z.literal('ramped'),
    leaveFrames: z.number().min(0).max(LONGEST_SHOT),
    arriveFrames: z.number().min(0).max(LONGEST_SHOT),
    ramp: z.enum(['steady', 'soft']),
  }),
  /** A cubic in the unit square of time and way; y may leave it: anticipation, overshoot. */
  z.object({ kind: z.literal('curve'), x1: unit, y1: beyond, x2: unit, y2: beyond }),
  /** Through its marks without a jump of speed at a pass and without overshoot. */
  z.object({ kind: z.literal('flow') }),
  /** Slowest at a share of the way. */
  z.object({ kind: z.literal('slow-place'), at: unit, strength: z.number().min(0).max(0.99) }),
  /** A swing past the target that dies on it. */
  z.object({
    kind: z.literal('settle'),
    overshoot: z.number().min(0.01).max(0.9),
    swings: z.number().int().min(1).max(20),
  }),
  /** Falls onto the target and bounces. */
  z.object({
    kind: z.literal('bounce'),
    count: z.number().int().min(0).max(20),
    restitution: z.number().min(0.05).max(0.95),
  }),
  /** Stays, and jumps with the next mark. */
  z.object({ kind: z.literal('snap') }),
  /** An explicit chart: a share of the way at the end of each of so many equal intervals. */
  z.object({ kind: z.literal('ticks'), fractions: z.array(chartShare).min(1).max(LONGEST_SHOT) }),
]);

/** A promise in time: on this frame, be at this place. `easing` belongs to the span that starts here. */
export const markSchema = z.object({
  id,
  frame,
  fraction: place,
  kind: z.enum(['stop', 'pass']),
  easing: easingSchema,
  /** The point of the arc that carries the mark, so that both stay together; null for none. */
  pointId: id.nullable(),
  /** Key, breakdown, or the animator's own words; empty for none. */
  label: z.string().trim().max(LONGEST_LABEL),
});

export const exposureSchema = z.union([z.literal(1), z.literal(2), z.literal(3)]);

/** Frames that are exposed differently from the rest of the move, both ends included. */
export const exposureRangeSchema = z.object({ from: frame, until: frame, framesHeld: exposureSchema });

/**
 * An exposure left out. Without `cut` its frames stay and the one before is held through them. With it its
 * frames were taken out: it stood before `frame`, for so many frames, at that place.
 */
export const skipSchema = z.object({
  frame,
  cut: z.object({ fraction: place, framesHeld: z.number().int().min(1).max(LONGEST_SHOT) }).nullable(),
});

/** One frame put off the plan by hand, by so many field units. */
export const overrideSchema = z.object({ frame, dx: shift, dy: shift });

/** What a move does outside its marks: it holds, starts over, swings back and forth, or goes on as it went. */
export const outsideSchema = z.enum(['hold', 'repeat', 'swing', 'continue']);

/** When a move is where. */
export const timingSchema = z.object({
  marks: z.array(markSchema).min(2).max(MOST_MARKS),
  before: outsideSchema,
  after: outsideSchema,
  /** How many frames one drawing or placement is held, from the move's first frame on. */
  framesHeld: exposureSchema,
  /** Ranges that are held otherwise. */
  exposures: z.array(exposureRangeSchema).max(MOST_MARKS),
  skips: z.array(skipSchema).max(LONGEST_SHOT),
  overrides: z.array(overrideSchema).max(LONGEST_SHOT),
});
