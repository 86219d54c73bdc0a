import { ShotError } from './errors';
import { firstFault } from './faultSentence';
import { migrate } from './migrate';
import { type Shot, shotSchema } from './schema';
import { SHOT_FORMAT, SHOT_VERSION } from './version';

/**
 * A shot from data of unknown origin: checked, and brought up to the present version.
 * @throws ShotError `not-a-shot`, `newer-version` or `invalid-shot`, with a sentence for the reader
 */
export function openShot(data: unknown): Shot {
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== SHOT_FORMAT)
    throw new ShotError('not-a-shot', 'This file is not a Humble Pendulum shot.');
  const version = 'version' in data ? data.version : undefined;
  if (typeof version === 'number' && version > SHOT_VERSION)
    throw new ShotError(
      'newer-version',
      `This shot was written by a newer release (version ${version} of the format; this one reads up to ${SHOT_VERSION}).`,
    );
  const current = migrate(data, version);
  const result = shotSchema.safeParse(current);
  if (!result.success)
    throw new ShotError('invalid-shot', `This shot cannot be used: ${firstFault(result.error, current)}.`);
  return result.data;
}

/**
 * A shot from the text of an open shot file.
 * @throws ShotError `not-json` and those of `openShot`
 */
export function readShotFile(text: string): Shot {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    throw new ShotError('not-json', notJson(text, (error as Error).message));
  }
  return openShot(data);
}

/** Why a text is no JSON, in a sentence that says where. @param reason as the engine says it */
function notJson(text: string, reason: string): string {
  if (text.trim() === '') return 'This file cannot be read: it is empty.';
  if (text.includes('\0'))
    return 'This file cannot be read: it is not text in UTF-8. Save it as UTF-8 and try again.';
  const at = /position (\d+)/.exec(reason)?.[1];
  if (at === undefined || Number(at) >= text.trimEnd().length)
    return 'This file cannot be read: it isn’t valid JSON, it ends too soon.';
  const before = text.slice(0, Number(at)).split('\n');
  return `This file cannot be read: it isn’t valid JSON. The fault is on line ${before.length}, at character ${before[before.length - 1]!.length + 1}.`;
}

export const writeShotFile = (shot: Shot): string => `${JSON.stringify(shot, null, 2)}\n`;
