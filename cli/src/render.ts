import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { type Shot } from '@humble/core';
import { frameSvg, type Ground, pictureSourceFrom } from '@humble/core/files';
import type { Answer, Values } from './answer';
import { numberOf, type ReadShot, writeWhole } from './input';
import { filesWith, missingNote } from './pictures';
import { UsageError } from './usageError';

const GROUNDS: readonly Ground[] = ['paper', 'black', 'transparent'];
const WIDEST = 8192;

interface Plan {
  readonly folder: string;
  readonly width: number;
  readonly from: number;
  readonly until: number;
  readonly ground: Ground;
}

function planOf(shot: Shot, values: Values): Plan {
  if (!values.out) throw new UsageError('Say where the pictures go: --out FOLDER.');
  const ground = (values.ground ?? 'paper') as Ground;
  if (!GROUNDS.includes(ground)) throw new UsageError(`--ground is one of ${GROUNDS.join(', ')}.`);
  const width = Math.round(numberOf(values.width, 'width', shot.field.width, 16));
  if (width > WIDEST) throw new UsageError(`--width is at most ${WIDEST}.`);
  const from = Math.round(numberOf(values.from, 'from', 1, 1));
  const until = Math.round(numberOf(values.until, 'until', shot.lengthFrames, 1));
  if (from > until || until > shot.lengthFrames)
    throw new UsageError(`The shot has frames 1 to ${shot.lengthFrames}, and --from comes before --until.`);
  return { folder: values.out, width, from, until, ground };
}

/** The name of a frame's file: numbers of one length, so that they sort. */
const nameOf = (frame: number, last: number): string =>
  `frame-${String(frame).padStart(Math.max(4, String(last).length), '0')}.png`;

/** Each frame of a shot as a PNG in a folder. What was written is taken away again where one cannot be. */
export async function rendered({ shot, files: own }: ReadShot, values: Values): Promise<Answer> {
  const { folder, width, from, until, ground } = planOf(shot, values);
  const files = filesWith(own, values.pictures);
  const source = pictureSourceFrom(files);
  // It is large, and no other command needs it.
  const { default: sharp } = await import('sharp');
  const isNew = !existsSync(folder);
  const made: string[] = [];
  try {
    mkdirSync(folder, { recursive: true });
    for (let frame = from; frame <= until; frame++) {
      const svg = frameSvg(shot, frame, { withBackdrop: !values['no-backdrop'], ground, width, source });
      const png = await sharp(Buffer.from(svg), { unlimited: true }).png().toBuffer();
      const path = join(folder, nameOf(frame, shot.lengthFrames));
      writeWhole(path, png);
      made.push(path);
    }
  } catch (error) {
    for (const path of made) rmSync(path, { force: true });
    if (isNew && existsSync(folder)) rmSync(folder, { recursive: true });
    if (error instanceof UsageError) throw error;
    throw new UsageError(`The pictures cannot be made: ${(error as Error).message.split('\n')[0]}.`);
  }
  const text = `${made.length === 1 ? '1 picture' : `${made.length} pictures`} in ${folder}.\n`;
  return { text, note: missingNote(shot, files), code: 0 };
}
