import { z } from 'zod';
import { artworkSchema } from './artworkSchema';
import { id, partName } from './ids';
import { drawingPairsSchema, followedSpotsSchema } from './inbetweenSchema';
import { MAX_COORDINATE, MAX_PIVOT, MAX_TURN_DEG } from './limits';

/** An angle that may go round several times. */
export const degrees = z.number().min(-MAX_TURN_DEG).max(MAX_TURN_DEG);

export const figureSchema = z.object({
  id: id(z),
  name: partName(z),
  artwork: artworkSchema,
  height: z.number().min(1).max(MAX_COORDINATE),
  /** Its real height; where the field has a scale it is as high as that. Null for none. */
  heightMm: z.number().min(0.01).max(1e6).nullable(),
  /** The spot that sits on the arc, in the artwork's own units; null for the artwork's own. */
  pivot: z
    .object({
      x: z.number().min(-MAX_PIVOT).max(MAX_PIVOT),
      y: z.number().min(-MAX_PIVOT).max(MAX_PIVOT),
    })
    .nullable(),
  /** Which way it looks in its artwork, degrees clockwise as seen; 0 is to the right. */
  frontDeg: degrees,
  /** Pairs of drawings that something was said about. */
  drawingPairs: drawingPairsSchema,
  followedSpots: followedSpotsSchema,
  /** It goes with the camera: it stands in the picture, not on the set. */
  isFixedToCamera: z.boolean().default(false),
  hidden: z.boolean(),
  locked: z.boolean(),
});
