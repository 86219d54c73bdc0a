import type { z } from 'zod';
import { ShotError } from '../errors';
import { migrate } from './migrate';
import { SHOT_FORMAT, SHOT_VERSION, type Shot, shotSchema } from './schema';

/** Where in the file something is wrong, as a reader would count: `moves 1, marks 3, frame`. */
function placeInFile(path: readonly PropertyKey[]): string {
  return path
    .map((step) => (typeof step === 'number' ? ` ${step + 1}` : `, ${String(step)}`))
    .join('')
    .replace(/^, /, '');
}

function firstFault(error: z.ZodError): string {
  const issue = error.issues[0];
  if (!issue) return 'it does not fit the format';
  const place = placeInFile(issue.path);
  const message = issue.message.replace(/^Invalid input: /, '');
  return place ? `${place}: ${message}` : message;
}

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
  const result = shotSchema.safeParse(migrate(data, version));
  if (!result.success)
    throw new ShotError('invalid-shot', `This shot file is damaged: ${firstFault(result.error)}.`);
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
