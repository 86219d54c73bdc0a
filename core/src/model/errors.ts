/** What a caller can tell apart and act on. The message is a sentence fit to be shown. */
export type ShotErrorCode =
  | 'not-json'
  | 'not-a-shot'
  | 'newer-version'
  | 'invalid-shot'
  | 'invalid-csv'
  | 'invalid-path'
  | 'invalid-svg'
  | 'invalid-picture'
  | 'invalid-sound'
  | 'invalid-film'
  | 'unknown-id'
  | 'arc-needs-two-points'
  | 'out-of-range';

/** The one error the core throws on purpose. */
export class ShotError extends Error {
  readonly code: ShotErrorCode;

  constructor(code: ShotErrorCode, sentence: string, options?: { readonly cause?: unknown }) {
    super(sentence, options);
    this.name = 'ShotError';
    this.code = code;
  }
}
