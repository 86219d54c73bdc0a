import { z } from 'zod';
import { id } from './ids';
import { MAX_NOTE_LENGTH, MAX_SHOT_FRAMES } from './limits';
import { textSchema } from './plainText';

const frame = z
  .number()
  .int()
  .min(1)
  .max(MAX_SHOT_FRAMES + 1);

/** What an animator writes beside some frames. */
export const noteSchema = z
  .object({
    id: id(z),
    from: frame,
    until: frame,
    text: textSchema(z).trim().min(1, 'a note has a text').max(MAX_NOTE_LENGTH),
    figureId: id(z).nullable(),
  })
  .refine(({ from, until }) => until >= from, 'a note ends after it begins');
