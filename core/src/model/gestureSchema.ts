import { z } from 'zod';
import { coordinate } from './coordinates';
import { id } from './ids';
import { MAX_RECORDING_SPEED, MAX_SAMPLES, MIN_RECORDING_SPEED } from './limits';
import { lineSchema } from './plainText';

const MAX_GESTURE_MS = 3_600_000;

/** A gesture as the hand made it, kept whole: where the pointer was in the field, and when. */
export const gestureSchema = z
  .object({
    id: id(z),
    name: lineSchema(z).trim().min(1).max(120),
    speed: z.number().min(MIN_RECORDING_SPEED).max(MAX_RECORDING_SPEED),
    x: z.array(coordinate(z)).min(2).max(MAX_SAMPLES),
    y: z.array(coordinate(z)).min(2).max(MAX_SAMPLES),
    /** Milliseconds since its first sample. */
    ms: z.array(z.number().min(0).max(MAX_GESTURE_MS)).min(2).max(MAX_SAMPLES),
  })
  .superRefine(({ x, y, ms }, context) => {
    const complain = (message: string): void => context.addIssue({ code: 'custom', path: ['ms'], message });
    if (x.length !== ms.length || y.length !== ms.length) complain('a gesture needs a time for each place');
    if (ms.some((time, i) => i > 0 && time < ms[i - 1]!)) complain('a gesture goes forwards in time');
  });

/** What a move is made from, so that it can be thinned again. */
export const actedSchema = z.object({
  gestureId: id(z),
  allowedDeviation: z.number().min(1e-3).max(1e5),
  frames: z.number().int().min(1).nullable(),
});
