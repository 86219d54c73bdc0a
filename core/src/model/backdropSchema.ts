import { z } from 'zod';
import { coordinate } from './coordinates';
import { id, partName } from './ids';
import { MAX_COORDINATE, MAX_PLANES, MAX_TURN_DEG, MAX_SEQUENCE_LENGTH, PLANE_DISTANCE } from './limits';
import { PICTURE_TYPES } from './names';
import { PICTURE_LIMITS } from './pictureLimits';
import { lineSchema } from './plainText';

const side = z.number().min(PICTURE_LIMITS.leastSide).max(PICTURE_LIMITS.mostSide);

/** A picture that is kept beside the shot, named by the SHA-256 of its bytes. */
export const pictureSchema = z.object({
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(PICTURE_TYPES),
  name: lineSchema(z).max(120),
  width: side,
  height: side,
});

export const backdropSchema = z.object({
  pictures: z.array(pictureSchema).min(1).max(MAX_SEQUENCE_LENGTH),
  framesEach: z.number().int().min(1).max(240),
  x: coordinate(z),
  y: coordinate(z),
  /** Width in the field, field units; the height follows from the picture. */
  width: z.number().min(1e-3).max(MAX_COORDINATE),
  turnDeg: z.number().min(-MAX_TURN_DEG).max(MAX_TURN_DEG),
  /** 1 is as it is, 0 is not to be seen. */
  strength: z.number().min(0).max(1),
  /** How far away it is: 1 is the plane of the arcs, 2 twice as far. It looks as it is placed where the camera rests. */
  distance: z.number().min(PLANE_DISTANCE.min).max(PLANE_DISTANCE.max).default(1),
  hidden: z.boolean(),
  locked: z.boolean(),
});

/** A further picture in depth, besides the backdrop. */
export const planeSchema = backdropSchema.extend({ id: id(z), name: partName(z) });

export const planesSchema = z
  .array(planeSchema)
  .max(MAX_PLANES - 1)
  .default([]);
