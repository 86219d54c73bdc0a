import { z } from 'zod';
import { readyShapeUnion } from '../arc/shapes';
import { coordinate, vectorSchema } from './coordinates';
import { id, partName } from './ids';
import { MAX_POINTS } from './limits';
import { arcColours } from './names';

const setting = z.number().min(-1).max(1);

/** How a point rounds itself off by its neighbours (Kochanek and Bartels 1984); all 0 is plain and smooth. */
export const shapingSchema = z.object({ tighten: setting, sharpen: setting, lean: setting });

/** What shapes an arc. Handles are displacements from the point. A point has no time. */
export const arcPointSchema = z.object({
  id: id(z),
  x: coordinate(z),
  y: coordinate(z),
  in: vectorSchema(z),
  out: vectorSchema(z),
  kind: z.enum(['smooth', 'even', 'corner']),
  shaping: shapingSchema.nullable(),
});

export const arcSchema = z.object({
  id: id(z),
  name: partName(z),
  closed: z.boolean(),
  points: z.array(arcPointSchema).min(2).max(MAX_POINTS),
  /** What made the points, until one of them is moved by hand. */
  shape: readyShapeUnion(z).nullable(),
  colour: z.enum(arcColours),
  hidden: z.boolean(),
  locked: z.boolean(),
});
