/** A mistake in how the command was called; its message is the sentence for the terminal. */
export class UsageError extends Error {}
