import type { z } from 'zod';

/**
 * The schema library, handed to what describes a schema. Kinds of things (easings, shapes, tracks) state their schema
 * in the file of their kind as a function of it: who calculates with them does not load it.
 */
export type Zod = typeof z;
