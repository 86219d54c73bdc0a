import { basename, join } from 'node:path';
import { picturesOf, readFilmZip, soundsOf, writeFilmZip, writeShotFile } from '@humble/core/files';
import type { Answer, Values } from './answer';
import { readBytes, readShot } from './input';
import { filesTogether, writeWhole } from './output';
import { filesWith } from './pictures';
import { UsageError } from './usageError';

const counted = (count: number, noun: string): string => `${count} ${noun}${count === 1 ? '' : 's'}`;

/** Shots with their pictures and sounds as one film. */
export function packed(paths: readonly string[], values: Values): Answer {
  if (paths.length === 0) throw new UsageError('pack takes at least one shot file.');
  if (!values.out) throw new UsageError('Say what the film is to be called: --out FILM.zip.');
  const read = paths.map(readShot);
  const shots = read.map(({ shot }) => shot);
  const own = new Map(read.flatMap(({ files }) => [...files]));
  const name = values.name ?? shots[0]!.film;
  const [pictures, sounds] = [filesWith(own, values.pictures), filesWith(own, values.sounds)];
  writeWhole(values.out, writeFilmZip({ name, shots, pictures, sounds }));
  const missing = [
    ...picturesOf(shots).filter(({ sha256 }) => !pictures.has(sha256)),
    ...soundsOf(shots).filter(({ sha256 }) => !sounds.has(sha256)),
  ];
  const note =
    missing.length > 0
      ? `The film is without ${missing.map((file) => file.name || file.sha256.slice(0, 8)).join(', ')}: look for them with --pictures and --sounds.`
      : undefined;
  return { text: `${values.out}: ${counted(shots.length, 'shot')}.\n`, note, code: 0 };
}

const ENDINGS: Readonly<Record<string, string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/svg+xml': 'svg',
  'audio/wav': 'wav',
  'audio/mpeg': 'mp3',
};

/** The same, back into files: shots by their names, pictures and sounds by their content. Nothing else is written. */
export function unpacked(path: string, values: Values): Answer {
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
      files.set(join('pictures', `${sha256}.${ENDINGS[type]}`), pictures.get(sha256)!);
  for (const { sha256, type } of soundsOf(shots))
    if (sounds.has(sha256)) files.set(join('sounds', `${sha256}.${ENDINGS[type]}`), sounds.get(sha256)!);
  const together = filesTogether();
  for (const [name, content] of files) together.add(join(values.out, name), content);
  together.finish();
  return { text: `${basename(path)}: ${counted(shots.length, 'shot')} in ${values.out}.\n`, code: 0 };
}
