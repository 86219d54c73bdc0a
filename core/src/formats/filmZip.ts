import { FILE_ENDINGS } from './fileEndings';
import { strFromU8, strToU8, unzipSync, type UnzipFileInfo, type Zippable, zipSync } from 'fflate';
import { ShotError } from '../model/errors';
import { MAX_SOUND_BYTES, MAX_NAME_LENGTH, MAX_SHOTS_OF_FILM } from '../model/limits';
import { PICTURE_LIMITS } from '../model/pictureLimits';
import { readShotFile, writeShotFile } from '../model/openShot';
import type { Picture, Rider, Shot, Sound } from '../model/schema';
import { fileStem } from './fileStem';

/**
 * A film as one ZIP file: `film.json` names it and its shots in order, `shots/` has each as an open shot file, and
 * `pictures/` and `sounds/` what they are made with, each once, by the SHA-256 of its bytes.
 */
export interface Film {
  readonly name: string;
  readonly shots: readonly Shot[];
  readonly pictures: ReadonlyMap<string, Uint8Array>;
  readonly sounds: ReadonlyMap<string, Uint8Array>;
}

const FILM_FORMAT = 'humble-pendulum-film';
const FILM_VERSION = 1;

/** Together the files of a film may weigh so much, bytes. */
const MAX_BYTES = 400_000_000;
/** A shot file may weigh so much, bytes. */
const SHOT_BYTES = 32_000_000;
/** All that is in it is of one time, the first that a ZIP file knows: the same content is the same bytes. */
const TIME = new Date(1980, 0, 1);
/** What is packed already is only stored. */
const STORED = { level: 0 } as const;

const ridersOf = ({ moves, waiting }: Shot): readonly Rider[] =>
  [...moves, ...waiting.flatMap(({ move }) => move ?? [])].flatMap(({ riders }) => riders);

const each = (pictures: readonly Picture[]): readonly Picture[] => [
  ...new Map(pictures.map((picture) => [picture.sha256, picture])).values(),
];

/** The pictures that a shot is drawn with, each once: those that were taken are not among them. */
export const drawnPicturesOf = (shot: Shot): readonly Picture[] =>
  each([
    ...(shot.backdrop?.pictures ?? []),
    ...shot.planes.flatMap(({ pictures }) => pictures),
    ...[...shot.figures, ...ridersOf(shot)].flatMap(({ artwork }) =>
      artwork.kind === 'pictures' ? artwork.drawings : [],
    ),
  ]);

/** All pictures that some shots use, each once. */
export const picturesOf = (shots: readonly Shot[]): readonly Picture[] =>
  each(
    shots.flatMap((shot) => [...drawnPicturesOf(shot), ...shot.shoot.pictures.map(({ picture }) => picture)]),
  );

export const soundsOf = (shots: readonly Shot[]): readonly Sound[] => [
  ...new Map(shots.flatMap(({ sound }) => (sound ? [[sound.sha256, sound] as const] : []))).values(),
];

/** The bytes of a ZIP file with a film. Pictures and sounds whose bytes are not given are left out. */
export function writeFilmZip({ name, shots, pictures, sounds }: Film): Uint8Array {
  const digits = Math.max(2, String(shots.length).length);
  const paths = shots.map(
    (shot, i) => `shots/${String(i + 1).padStart(digits, '0')}-${fileStem(shot.name)}.json`,
  );
  const head = { format: FILM_FORMAT, version: FILM_VERSION, name, shots: paths };
  const files: Zippable = {
    'film.json': strToU8(`${JSON.stringify(head, null, 2)}\n`),
    ...Object.fromEntries(shots.map((shot, i) => [paths[i]!, strToU8(writeShotFile(shot))])),
    ...Object.fromEntries(
      picturesOf(shots).flatMap(({ sha256, type }) => {
        const bytes = pictures.get(sha256);
        return bytes ? [[`pictures/${sha256}.${FILE_ENDINGS[type]}`, [bytes, STORED]]] : [];
      }),
    ),
    ...Object.fromEntries(
      soundsOf(shots).flatMap(({ sha256, type }) => {
        const bytes = sounds.get(sha256);
        return bytes ? [[`sounds/${sha256}.${FILE_ENDINGS[type]}`, [bytes, STORED]]] : [];
      }),
    ),
  };
  return zipSync(files, { mtime: TIME });
}

const broken = (sentence: string): ShotError => new ShotError('invalid-film', sentence);

const PICTURE_PATH = /^pictures\/([0-9a-f]{64})\.(png|jpg|webp|svg)$/;
const SOUND_PATH = /^sounds\/([0-9a-f]{64})\.(wav|mp3)$/;

/** The most bytes that a file of a film may have; null for one that means nothing. */
function mostBytesOf(path: string): number | null {
  if (PICTURE_PATH.test(path)) return PICTURE_LIMITS.bytes;
  if (SOUND_PATH.test(path)) return MAX_SOUND_BYTES;
  return /^(film|shots\/[^/\\]+)\.json$/.test(path) ? SHOT_BYTES : null;
}

function unpacked(bytes: Uint8Array): Readonly<Record<string, Uint8Array>> {
  let total = 0;
  const take = ({ name, originalSize }: UnzipFileInfo): boolean => {
    const most = mostBytesOf(name);
    if (most === null) return false;
    if (originalSize > most) throw broken(`“${name}” in this ZIP file is too large.`);
    total += originalSize;
    if (total > MAX_BYTES) throw broken(`What is in this ZIP file weighs more than ${MAX_BYTES / 1e6} MB.`);
    return true;
  };
  try {
    return unzipSync(bytes, { filter: take });
  } catch (error) {
    if (error instanceof ShotError) throw error;
    throw broken('This ZIP file cannot be read: it is damaged, or packed in a way that is not known here.');
  }
}

interface Head {
  readonly name: string;
  readonly shots: readonly string[];
}

function headOf(bytes: Uint8Array | undefined): Head {
  if (!bytes) throw broken('This ZIP file is no film: it has no film.json.');
  let data: Partial<Record<'format' | 'version' | 'name' | 'shots', unknown>> | null;
  try {
    data = JSON.parse(strFromU8(bytes)) as typeof data;
  } catch {
    throw broken('The film.json in this ZIP file isn’t valid JSON.');
  }
  if (data?.format !== FILM_FORMAT) throw broken('This ZIP file is no Humble Pendulum film.');
  if (data.version !== FILM_VERSION) throw broken('This film was written by a newer release.');
  const { name, shots } = data;
  if (typeof name !== 'string' || name.length > MAX_NAME_LENGTH || !Array.isArray(shots))
    throw broken('The film.json in this ZIP file does not say its name and its shots.');
  if (shots.length > MAX_SHOTS_OF_FILM)
    throw broken(`A film may have ${MAX_SHOTS_OF_FILM} shots; this one has ${shots.length}.`);
  return { name, shots: shots.map(String) };
}

const filesBySha = (
  files: Readonly<Record<string, Uint8Array>>,
  path: RegExp,
): ReadonlyMap<string, Uint8Array> =>
  new Map(
    Object.entries(files).flatMap(([name, data]) => {
      const sha256 = path.exec(name)?.[1];
      return sha256 ? [[sha256, data] as const] : [];
    }),
  );

/**
 * Reads a film from the bytes of its ZIP file.
 * @throws ShotError `invalid-film` with a sentence, or what is wrong with one of its shots, named
 */
export function readFilmZip(bytes: Uint8Array): Film {
  const files = unpacked(bytes);
  const { name, shots } = headOf(files['film.json']);
  return {
    name,
    shots: shots.map((path) => {
      const file = files[path];
      if (!file) throw broken(`This ZIP file has no “${path}”, which its film.json names.`);
      try {
        return { ...readShotFile(strFromU8(file)), film: name };
      } catch (error) {
        throw error instanceof ShotError ? new ShotError(error.code, `“${path}”: ${error.message}`) : error;
      }
    }),
    pictures: filesBySha(files, PICTURE_PATH),
    sounds: filesBySha(files, SOUND_PATH),
  };
}
