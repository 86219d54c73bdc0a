import { z } from 'zod';
import { id } from './ids';
import { FURTHEST_SOUND, LONGEST_CUE, LONGEST_NAME, LONGEST_SOUND } from './limits';
import { SOUND_TYPES } from './names';
import { lineSchema } from './plainText';

/** A recording that the shot is timed to. It is kept apart, by the SHA-256 of its bytes. */
export const soundSchema = z.object({
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(SOUND_TYPES),
  name: lineSchema(z).max(LONGEST_NAME),
  /** How long it is. */
  seconds: z.number().min(0).max(LONGEST_SOUND),
  /** When it begins, counted from the start of frame 1; negative where the shot begins within it. */
  startSeconds: z.number().min(-LONGEST_SOUND).max(FURTHEST_SOUND),
});

/** A word or a beat that is heard. Sound does not stretch: it keeps its seconds at every rate. */
export const cueSchema = z.object({
  id: id(z),
  /** Counted from the start of frame 1. */
  seconds: z.number().min(0).max(LONGEST_SOUND),
  word: lineSchema(z).trim().min(1, 'a word is needed').max(LONGEST_CUE),
});
