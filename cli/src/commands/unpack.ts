import { basename, join } from 'node:path';
import { FILE_ENDINGS, picturesOf, readFilmZip, soundsOf, writeShotFile } from '@humble/core/files';
import { type Answer, noted } from '../answer';
import { defineCommand, onePath, type Values } from '../command';
import { countedShots } from '../countedShots';
import { readBytes } from '../input';
import { filesTogether, madeNote } from '../output';
import { UsageError } from '../usageError';

const OPTIONS = { out: { type: 'string' } } as const;

/** A film back into files: shots by their names, pictures and sounds by their content. Nothing else is written. */
function unpacked(path: string, values: Values<typeof OPTIONS>): Answer {
  if (!values.out) throw new UsageError('Say where the film goes: --out FOLDER.');
  // All of it is read and checked before anything is written.
  const { shots, pictures, sounds } = readFilmZip(readBytes(path));
  const files = new Map<string, string | Uint8Array>();
  const digits = Math.max(2, String(shots.length).length);
  shots.forEach((shot, i) => {
    const stem =
      shot.name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') || 'shot';
    files.set(join('shots', `${String(i + 1).padStart(digits, '0')}-${stem}.json`), writeShotFile(shot));
  });
  for (const { sha256, type } of picturesOf(shots))
    if (pictures.has(sha256))
      files.set(join('pictures', `${sha256}.${FILE_ENDINGS[type]}`), pictures.get(sha256)!);
  for (const { sha256, type } of soundsOf(shots))
    if (sounds.has(sha256)) files.set(join('sounds', `${sha256}.${FILE_ENDINGS[type]}`), sounds.get(sha256)!);
  const together = filesTogether();
  for (const [name, content] of files) together.add(join(values.out, name), content);
  const made = madeNote(together.finish());
  return {
    text: `${basename(path)}: ${countedShots(shots.length)} in ${values.out}.\n`,
    note: noted(made),
    code: 0,
  };
}

export default defineCommand({
  options: OPTIONS,
  writesFiles: true,
  run: (paths, values) => unpacked(onePath('unpack', paths, 'film'), values),
});
