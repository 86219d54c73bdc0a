import { MAX_COORDINATE } from './limits';
import type { Zod } from './zod';

/** Field units from the field's corner. */
export const coordinate = (z: Zod) => z.number().min(-MAX_COORDINATE).max(MAX_COORDINATE);

/** A point or a displacement in the field. */
export const vectorSchema = (z: Zod) => z.object({ x: coordinate(z), y: coordinate(z) });
