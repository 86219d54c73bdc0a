export interface Answer {
  readonly text: string | Uint8Array;
  readonly note?: string;
  /** The exit code: 0, or 2 where something was found. */
  readonly code: number;
}

export const said = (text: string, code = 0): Answer => ({ text, code });

/** Sentences of a note that there may or may not be. */
export const noted = (...sentences: readonly (string | null | undefined)[]): string | undefined =>
  sentences.filter(Boolean).join('\n') || undefined;
