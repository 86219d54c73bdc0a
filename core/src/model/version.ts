/** Name of the open format, in every file. */
export const SHOT_FORMAT = 'humble-pendulum-shot';
/** Version written by this release; older ones are migrated when they are read. */
export const SHOT_VERSION = 10;
