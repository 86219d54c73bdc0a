import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { frameOfSeconds } from '../timing/cues';
import { harmless } from './incrementsCsv';
import { csvText } from './csvTable';

/** The cues of a shot as CSV: `seconds`, `frame` and `word`, in order of time. `readCuesCsv` reads it back. */
export function writeCuesCsv(
  { cues, rate }: Pick<Shot, 'cues' | 'rate'>,
  first: FirstFrameNumber = 1,
): string {
  const data = cues.map(({ seconds, word }) => [
    String(seconds),
    String(frameNumber(frameOfSeconds(seconds, rate), first)),
    harmless(word),
  ]);
  return csvText(['seconds', 'frame', 'word'], data);
}
