import { type FirstFrameNumber, type FrameSentence, numbered } from './frameNumbers';

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

export class ShotError extends Error {
  readonly code: ShotErrorCode;
  readonly sentence: FrameSentence;

  /** The message counts frames from 1; `messageFrom` as someone else counts. */
  constructor(code: ShotErrorCode, sentence: string | FrameSentence, options?: { readonly cause?: unknown }) {
    const parts = typeof sentence === 'string' ? [sentence] : sentence;
    super(numbered(parts, 1), options);
    this.name = 'ShotError';
    this.code = code;
    this.sentence = parts;
  }

  messageFrom(first: FirstFrameNumber): string {
    return numbered(this.sentence, first);
  }
}

/** What was asked for lies outside what there is. */
export const outOfRange = (sentence: string | FrameSentence): ShotError =>
  new ShotError('out-of-range', sentence);
