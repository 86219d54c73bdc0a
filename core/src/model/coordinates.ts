import { MAX_COORDINATE } from './limits';
import type { Zod } from './zod';

export const coordinate = (z: Zod) => z.number().min(-MAX_COORDINATE).max(MAX_COORDINATE);

export const vectorSchema = (z: Zod) => z.object({ x: coordinate(z), y: coordinate(z) });
