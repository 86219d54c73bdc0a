import { z } from 'zod';
import { pictureSchema } from './backdropSchema';
import {
  FIELD_SIDE,
  MAX_SEQUENCE_LENGTH,
  MAX_CONTACTS,
  MAX_OUTLINE_POINTS,
  MAX_OUTLINE_RINGS,
} from './limits';
import { standInNames } from './names';
import { PICTURE_LIMITS } from './pictureLimits';

const fieldSide = z.number().min(FIELD_SIDE.min).max(FIELD_SIDE.max);

const onPicture = z
  .number()
  .min(-1)
  .max(PICTURE_LIMITS.mostSide + 1);

/**
 * Closed rings round what is to be seen of a drawing: x and y of each point in turn, in the picture's own units. Ghosts,
 * cards and exported files show it where they do not have the picture.
 */
export const outlineSchema = z
  .array(
    z
      .array(onPicture)
      .min(6)
      .max(2 * MAX_OUTLINE_POINTS)
      .refine((ring) => ring.length % 2 === 0, 'an outline has an x and a y for each point'),
  )
  .min(1)
  .max(MAX_OUTLINE_RINGS);

/** One picture of a figure, kept beside the shot as those of a backdrop are. */
export const drawingSchema = pictureSchema.extend({
  outline: outlineSchema,
  frames: z.number().int().min(1).max(240),
  /** The spot that is planted, in the picture's own units, and which of the planted parts it is; null off the ground. */
  planted: z
    .object({ x: onPicture, y: onPicture, contact: z.number().int().min(1).max(MAX_CONTACTS) })
    .nullable(),
});

export const artworkSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('stand-in'), standIn: z.enum(standInNames) }),
  z.object({
    kind: z.literal('pictures'),
    drawings: z.array(drawingSchema).min(1).max(MAX_SEQUENCE_LENGTH),
  }),
  /** No artwork at all but the frame that the camera sees, as large as the field at a size of 100 %. */
  z.object({ kind: z.literal('camera'), width: fieldSide, height: fieldSide }),
]);
