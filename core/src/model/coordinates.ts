import { z } from 'zod';

/** The furthest a coordinate may lie from the field's corner, field units. */
export const FURTHEST = 1e7;

/** Field units from the field's corner. */
export const coordinate = z.number().min(-FURTHEST).max(FURTHEST);

/** A point or a displacement in the field. */
export const vectorSchema = z.object({ x: coordinate, y: coordinate });
