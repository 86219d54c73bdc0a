let count = 0;

/** A name for one drag or one run of typing, given to every change it makes: together they are one undo step. */
export const createUndoGroup = (kind: string): string => `${kind}-${++count}`;
