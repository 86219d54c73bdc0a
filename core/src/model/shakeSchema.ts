import { z } from 'zod';
import { id } from './ids';
import { MAX_COORDINATE, MAX_SHAKES, MAX_SHOT_FRAMES } from './limits';

/** A tremble or a knock on top of a move: seeded, so that it is the same every time. */
export const shakeSchema = z.object({
  id: id(z),
  kind: z.enum(['tremble', 'knock']),
  from: z
    .number()
    .int()
    .min(1)
    .max(MAX_SHOT_FRAMES + 1),
  /** It fades away over so many frames; 0 goes on to the end. A knock always fades. */
  fadeFrames: z.number().int().min(0).max(MAX_SHOT_FRAMES),
  /** How far it goes, field units. */
  amplitude: z.number().min(0).max(MAX_COORDINATE),
  /** How far it turns, degrees. */
  turnDeg: z.number().min(0).max(180),
  /** Frames of one swing. */
  swingFrames: z.number().min(1).max(240),
  seed: z.number().int().min(0).max(1_000_000),
});

export const shakesSchema = z.array(shakeSchema).max(MAX_SHAKES).default([]);
