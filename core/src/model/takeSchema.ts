import { z } from 'zod';
import { id, partName } from './ids';
import { MAX_SHOT_FRAMES, MAX_NOTES, MAX_PARTS } from './limits';
import { takenTimingSchema } from './moveSchema';
import { noteSchema } from './noteSchema';

export const keptTakeSchema = z.object({
  lengthFrames: z.number().int().min(2).max(MAX_SHOT_FRAMES),
  /** Of moves that ride an arc, and of those that wait; a move without one is timed as in the current take. */
  timings: z.array(takenTimingSchema.extend({ moveId: id(z) })).max(MAX_PARTS),
  notes: z.array(noteSchema).max(MAX_NOTES),
});

/** An alternative timing of the same arcs. The current one is what the shot itself says: nothing is kept of it here. */
export const takeSchema = z.object({ id: id(z), name: partName(z), kept: keptTakeSchema.nullable() });
