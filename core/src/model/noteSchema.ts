import { z } from 'zod';
import { id } from './ids';
import { LONGEST_NOTE, LONGEST_SHOT } from './limits';
import { textSchema } from './plainText';

const frame = z
  .number()
  .int()
  .min(1)
  .max(LONGEST_SHOT + 1);

/** What an animator writes beside some frames. */
export const noteSchema = z
  .object({
    id: id(z),
    /** The frames that it is about, both included. */
    from: frame,
    until: frame,
    text: textSchema(z).trim().min(1, 'a note has a text').max(LONGEST_NOTE),
    /** The figure that it is about; null for the whole shot. */
    figureId: id(z).nullable(),
  })
  .refine(({ from, until }) => until >= from, 'a note ends after it begins');
