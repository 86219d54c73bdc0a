import { z } from 'zod';
import { id, partName } from './ids';
import {
  MAX_DRAWING_PAIRS,
  MAX_FOLLOWED_SPOTS,
  MAX_PIN_FOLLOWS,
  MAX_PINS,
  MAX_PIVOT,
  MAX_SEQUENCE_LENGTH,
} from './limits';

const onArtwork = z.number().min(-MAX_PIVOT).max(MAX_PIVOT);
/** A spot in the artwork's own units. */
const spotOnArtwork = z.object({ x: onArtwork, y: onArtwork });
const drawingNumber = z.number().int().min(1).max(MAX_SEQUENCE_LENGTH);

/** A spot of one drawing and the same spot on another, and how it goes from the one to the other. */
export const pinSchema = z.object({
  id: id(z),
  first: spotOnArtwork,
  second: spotOnArtwork,
  /** Frames that it comes later than the rest of the drawing; negative where it leads. */
  followsFrames: z.number().int().min(-MAX_PIN_FOLLOWS).max(MAX_PIN_FOLLOWS),
  /** By how much it is off its straight way half-way, seen from the pivot, in the artwork's units; null for straight. */
  bow: spotOnArtwork.nullable(),
});

/** Two drawings of a figure, and the spots that are the same on both. */
export const drawingPairSchema = z
  .object({
    first: drawingNumber,
    second: drawingNumber,
    pins: z.array(pinSchema).max(MAX_PINS),
  })
  .refine(({ first, second }) => first !== second, 'a pair has two drawings');

/** A spot of the artwork that is followed while it travels, and where it is on one or more drawings. */
export const followedSpotSchema = z.object({
  id: id(z),
  name: partName(z),
  places: z
    .array(spotOnArtwork.extend({ drawing: drawingNumber }))
    .min(1)
    .max(MAX_SEQUENCE_LENGTH)
    .refine(
      (places) => places.every(({ drawing }, i) => i === 0 || drawing > places[i - 1]!.drawing),
      'places must be in the order of the drawings',
    ),
});

export const drawingPairsSchema = z.array(drawingPairSchema).max(MAX_DRAWING_PAIRS).default([]);
export const followedSpotsSchema = z.array(followedSpotSchema).max(MAX_FOLLOWED_SPOTS).default([]);
