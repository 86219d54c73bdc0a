import { z } from 'zod';
import { id } from './ids';
import { MAX_SOUND_OFFSET_SECONDS, MAX_CUE_LENGTH, MAX_NAME_LENGTH, MAX_SOUND_SECONDS } from './limits';
import { SOUND_TYPES } from './names';
import { lineSchema } from './plainText';

export const soundSchema = z.object({
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  type: z.enum(SOUND_TYPES),
  name: lineSchema(z).max(MAX_NAME_LENGTH),
  seconds: z.number().min(0).max(MAX_SOUND_SECONDS),
  /** When it begins, counted from the start of frame 1; negative where the shot begins within it. */
  startSeconds: z.number().min(-MAX_SOUND_SECONDS).max(MAX_SOUND_OFFSET_SECONDS),
});

/** A word or a beat that is heard. Sound does not stretch: it keeps its seconds at every rate. */
export const cueSchema = z.object({
  id: id(z),
  /** Counted from the start of frame 1. */
  seconds: z.number().min(0).max(MAX_SOUND_SECONDS),
  word: lineSchema(z).trim().min(1, 'a word is needed').max(MAX_CUE_LENGTH),
});
