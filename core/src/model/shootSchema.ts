import { z } from 'zod';
import { pictureSchema } from './backdropSchema';
import { coordinate } from './coordinates';
import { id } from './ids';
import { MAX_PARTS, MAX_SHOT_FRAMES, MAX_TAKEN, SHEET_OF_PAPER_MM } from './limits';

const spot = z.object({ x: coordinate(z), y: coordinate(z) });

/**
 * Four spots of the set whose places on the table are known: the corners of a rectangle that lies flat,
 * named as they are seen.
 */
export const perspectiveSchema = z.object({
  upperLeft: spot,
  upperRight: spot,
  lowerRight: spot,
  lowerLeft: spot,
  widthMm: z.number().min(SHEET_OF_PAPER_MM.min).max(SHEET_OF_PAPER_MM.max),
  heightMm: z.number().min(SHEET_OF_PAPER_MM.min).max(SHEET_OF_PAPER_MM.max),
});

/** Where a figure really stood on a picture, field units, and where the plan had it when the picture was taken. */
export const actualSchema = spot.extend({
  moveId: id(z),
  planned: spot.extend({ fraction: z.number().min(-1_000).max(1_000) }),
});

/** A picture that was taken on a frame of the shot, in one of its takes. */
export const takenSchema = z.object({
  id: id(z),
  takeId: id(z),
  frame: z.number().int().min(1).max(MAX_SHOT_FRAMES),
  framesHeld: z.number().int().min(1).max(MAX_SHOT_FRAMES),
  picture: pictureSchema,
  /** Left out of the loop and of what is exported; the picture before it is seen through its frames. */
  isHidden: z.boolean(),
  /** Shot over: another picture stands, or will stand, on its frame. */
  isSetAside: z.boolean(),
  /** Of each figure at most one; where there is none, it is taken to stand as planned. */
  actuals: z.array(actualSchema).max(MAX_PARTS),
});

/** What was done under the camera. */
export const shootSchema = z
  .object({
    pictures: z.array(takenSchema).max(MAX_TAKEN),
    perspective: perspectiveSchema.nullable(),
  })
  .default({ pictures: [], perspective: null });
