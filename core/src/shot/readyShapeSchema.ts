import { z } from 'zod';

/** The furthest a coordinate may lie from the field's corner, field units. */
export const FURTHEST = 1e7;
export const coordinate = z.number().min(-FURTHEST).max(FURTHEST);
export const vectorSchema = z.object({ x: coordinate, y: coordinate });

const size = z.number().min(0).max(FURTHEST);
const turn = z.number().min(-36_000).max(36_000);
const place = vectorSchema;
/** True when the arc runs from the shape's end to its start. */
const reversed = z.boolean();

/**
 * Shapes that keep what made them until a point of theirs is moved. Sizes in field units, angles in
 * degrees, positive clockwise as seen unless it says otherwise.
 */
export const readyShapeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), reversed, from: place, to: place }),
  z.object({
    kind: z.literal('ellipse'),
    reversed,
    centre: place,
    radiusX: size,
    radiusY: size,
    turnDeg: turn,
    /** Where it starts, 0 at the right. */
    startDeg: turn,
    /** A circle: both radii are kept the same. */
    isRound: z.boolean(),
  }),
  z.object({ kind: z.literal('three-places'), reversed, from: place, through: place, to: place }),
  z.object({
    kind: z.literal('swing'),
    reversed,
    /** What it hangs from. */
    hang: place,
    length: size,
    /** From straight down, positive to the right as seen. */
    fromDeg: turn,
    toDeg: turn,
  }),
  z.object({
    kind: z.literal('toss'),
    reversed,
    from: place,
    to: place,
    /** How far its top lies above the higher of the two ends. */
    height: size,
  }),
  z.object({
    kind: z.literal('bounces'),
    reversed,
    /** Where it is let go. */
    from: place,
    /** Where it comes to rest, on the floor. */
    to: place,
    count: z.number().int().min(1).max(40),
    /** Speed after a hit over speed before it: each bounce reaches its square of the height. */
    restitution: z.number().min(0.05).max(1),
  }),
  z.object({
    kind: z.literal('wave'),
    reversed,
    from: place,
    to: place,
    count: z.number().int().min(1).max(60),
    /** From the middle line to a crest; the first crest lies to the left of the travel when positive. */
    height: coordinate,
  }),
  z.object({
    kind: z.literal('eight'),
    reversed,
    centre: place,
    width: size,
    height: size,
    turnDeg: turn,
  }),
  z.object({
    kind: z.literal('spiral'),
    reversed,
    centre: place,
    innerRadius: size,
    outerRadius: size,
    /** Negative turns anticlockwise as seen. */
    turns: z.number().min(-60).max(60),
    startDeg: turn,
  }),
]);
