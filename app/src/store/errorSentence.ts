import { ShotError } from '@humble/core';
import { storeWords as words } from '../words/store';
import { sentenceOfError } from './frameNumbers';

/** Errors whose message is a sentence, by their name: that is what is left of one that comes from a worker. */
const REFUSALS = new Set(['ShotError', 'Refusal']);

/**
 * What is shown when something could not be done. A refusal has its own sentence; a fault of the program is logged,
 * and the user never reads its message.
 */
export function errorSentence(error: unknown): string {
  if (error instanceof ShotError) return sentenceOfError(error);
  if (error instanceof Error && REFUSALS.has(error.name)) return error.message;
  // The one place where a fault is told to whoever mends the program.
  // eslint-disable-next-line no-console
  console.error(error);
  return words.faultInTheProgram;
}
