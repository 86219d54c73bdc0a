import type { Shot } from '@humble/core';
import equal from 'fast-deep-equal';

/** Whether two shots are the same. The server writes their members in the order of the schema, edits in their own. */
export const isSameShot = (a: Shot, b: Shot): boolean => equal(a, b);
