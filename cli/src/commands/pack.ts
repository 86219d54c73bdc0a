import { picturesOf, soundsOf, writeFilmZip } from '@humble/core/files';
import { type Answer, noted } from '../answer';
import { defineCommand, type Values } from '../command';
import { countedShots } from '../countedShots';
import { readShot } from '../input';
import { madeNote, writeWhole } from '../output';
import { filesWith, shotsToGive } from '../pictures';
import { UsageError } from '../usageError';

const OPTIONS = {
  out: { type: 'string' },
  name: { type: 'string' },
  pictures: { type: 'string' },
  sounds: { type: 'string' },
} as const;

async function packed(paths: readonly string[], values: Values<typeof OPTIONS>): Promise<Answer> {
  if (paths.length === 0) throw new UsageError('pack takes at least one shot file.');
  if (!values.out) throw new UsageError('Say what the film is to be called: --out FILM.zip.');
  const read = paths.map(readShot);
  const shots = read.map(({ shot }) => shot);
  const own = new Map(read.flatMap(({ files }) => [...files]));
  const name = values.name ?? shots[0]!.film;
  const [pictures, sounds] = [filesWith(own, values.pictures), filesWith(own, values.sounds)];
  const given = await shotsToGive(shots, pictures);
  const made = writeWhole(
    values.out,
    writeFilmZip({ name, shots: given.shots, pictures: given.files, sounds }),
  );
  const missing = [
    ...picturesOf(shots).filter(({ sha256 }) => !pictures.has(sha256)),
    ...soundsOf(shots).filter(({ sha256 }) => !sounds.has(sha256)),
  ];
  const note =
    missing.length > 0
      ? `The film is without ${missing.map((file) => file.name || file.sha256.slice(0, 8)).join(', ')}: look for them with --pictures and --sounds.`
      : undefined;
  return {
    text: `${values.out}: ${countedShots(shots.length)}.\n`,
    note: noted(note, madeNote(made)),
    code: 0,
  };
}

export default defineCommand({ options: OPTIONS, writesFiles: true, run: packed });
