/** Name of the open format, in every file. */
export const SHOT_FORMAT = 'humble-pendulum-shot';

/** The last version that changed what stood in a file before it: up to here there is a step in `migrate.ts`. */
export const LAST_CHANGED_VERSION = 10;

/**
 * What was added since then, one line for each version: fields with a default in their schema. Older files need nothing
 * more; older releases refuse a newer file, so that nothing is dropped in silence.
 */
const ADDITIONS: readonly string[] = [
  'what was taken under the camera, and the perspective of the set',
  'pins between drawings, drawings that are drawn through, and followed spots',
  'a camera, shakes, and planes in depth',
];

/** Version written by this release; older ones are migrated when they are read. */
export const SHOT_VERSION = LAST_CHANGED_VERSION + ADDITIONS.length;
