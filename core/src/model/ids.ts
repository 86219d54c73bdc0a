import { MAX_NAME_LENGTH } from './limits';
import type { Zod } from './zod';
import { lineSchema } from './plainText';

export const id = (z: Zod) => z.string().min(1).max(64);

export const partName = (z: Zod) => lineSchema(z).trim().min(1, 'a name is needed').max(MAX_NAME_LENGTH);

/** An id that none of the parts has: the prefix and the lowest number past all in use. */
export function freshId(prefix: string, parts: readonly { readonly id: string }[]): string {
  const used = parts
    .filter((part) => part.id.startsWith(prefix))
    .map((part) => Number(part.id.slice(prefix.length)))
    .filter(Number.isSafeInteger);
  return `${prefix}${Math.max(0, ...used) + 1}`;
}
