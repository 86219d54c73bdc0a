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
  } catch {
    throw new ShotError('not-json', 'This file cannot be read: it is not whole JSON.');
  }
  return openShot(data);
}

/** The text of an open shot file. */
export const writeShotFile = (shot: Shot): string => `${JSON.stringify(shot, null, 2)}\n`;
