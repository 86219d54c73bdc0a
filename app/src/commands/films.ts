import { FILM_FILES } from './savedFiles';
import { saveAs } from './saveAs';
import { errorSentence } from '../store/errorSentence';
import { Refusal } from '../ui/refusal';
import { filmsWords as words } from '../words/films';
import { edits, MAX_NAME_LENGTH, type Picture, type Shot } from '@humble/core';
import { api, failureSentence, type ListedShot } from '../persistence/api';
import { keepPicture } from '../persistence/keepPicture';
import { keepSound, type KeptSound } from '../persistence/sounds';
import { messageShown } from '../store/sessionSlice';
import { settingsChanged } from '../store/settingsSlice';
import { store } from '../persistence/appStore';
import { fileFormats } from './fileFormats';
import { shotsToGive } from './shotFiles';

export { shotsToGive };

const { dispatch } = store;

export type FilmShots = readonly ListedShot[];

const say = (text: string): void => {
  dispatch(messageShown(text));
};

export async function readShot(id: string) {
  const request = dispatch(api.endpoints.readShot.initiate(id, { forceRefetch: true }));
  const { data, error } = await request;
  request.unsubscribe();
  if (!data) throw new Refusal(failureSentence(error));
  return data;
}

export async function changeStoredShot(id: string, change: (shot: Shot) => Shot): Promise<void> {
  const { revision, shot } = await readShot(id);
  const { error } = await dispatch(api.endpoints.saveShot.initiate({ id, revision, shot: change(shot) }));
  if (error) throw new Refusal(failureSentence(error));
}

async function createShot(shot: Shot): Promise<string> {
  const { data, error } = await dispatch(api.endpoints.createShot.initiate(shot));
  if (!data) throw new Refusal(failureSentence(error));
  return data.id;
}

/**
 * Does something to one shot after the other. Where one fails the rest is left as it is, and how far it came is said.
 * @returns whether all of it was done
 */
async function forEachShot(shots: FilmShots, act: (shot: ListedShot) => Promise<unknown>): Promise<boolean> {
  for (const [done, shot] of shots.entries())
    try {
      await act(shot);
    } catch (error) {
      const far = done === 0 ? '' : words.zipDoneBefore(done, shots.length);
      say(`“${shot.name}”: ${errorSentence(error)}${far}`);
      return false;
    }
  return true;
}

export async function orderShots(ids: readonly string[]): Promise<void> {
  const { error } = await dispatch(api.endpoints.orderShots.initiate(ids));
  if (error) say(failureSentence(error));
  else dispatch(settingsChanged({ listOrder: 'hand' }));
}

/** Moves shots to a film, which is what renaming one comes to; to none with an empty name. */
export const moveToFilm = (shots: FilmShots, film: string): Promise<boolean> =>
  forEachShot(shots, ({ id }) => changeStoredShot(id, (shot) => edits.setFilm(shot, { film })));

export function freeName(wanted: string, taken: readonly string[]): string {
  const numbered = (n: number): string => {
    const ending = n === 1 ? '' : ` ${n}`;
    return `${wanted.slice(0, MAX_NAME_LENGTH - ending.length)}${ending}`;
  };
  let n = 1;
  while (taken.includes(numbered(n))) n++;
  return numbered(n);
}

export async function duplicateFilm(film: string, shots: FilmShots, taken: readonly string[]): Promise<void> {
  const name = freeName(words.copy(film), taken);
  const ids: string[] = [];
  const isDone = await forEachShot(shots, async ({ id }) => {
    const { shot } = await readShot(id);
    ids.push(await createShot(edits.setFilm(shot, { film: name })));
  });
  if (ids.length > 1) await dispatch(api.endpoints.orderShots.initiate(ids));
  if (isDone) say(words.wasAddedToTheList(name));
}

export async function removeFilm(film: string, shots: FilmShots): Promise<void> {
  const removed: string[] = [];
  const isDone = await forEachShot(shots, async ({ id }) => {
    const { error } = await dispatch(api.endpoints.removeShot.initiate(id));
    if (error) throw new Refusal(failureSentence(error));
    removed.push(id);
  });
  if (isDone)
    dispatch(
      messageShown(words.filmWasRemoved(film, shots.length), {
        kind: 'restore',
        shotIds: removed,
      }),
    );
}

export async function exportFilm(film: string, shots: FilmShots): Promise<void> {
  const documents: Shot[] = [];
  const isRead = await forEachShot(shots, async ({ id }) => documents.push((await readShot(id)).shot));
  if (!isRead) return;
  try {
    const { writeFilmZip } = await fileFormats();
    const { shots: given, files, missing } = await shotsToGive(documents);
    const zip = writeFilmZip({ name: film, shots: given, pictures: files, sounds: files });
    saveAs(film || words.shotsWithoutFilm, FILM_FILES.film, zip);
    if (missing.length > 0) say(words.zipIncomplete(missing.join(', ')));
  } catch (error) {
    say(errorSentence(error));
  }
}

function withSound(shot: Shot, kept: ReadonlyMap<string, KeptSound>): Shot {
  const { sound } = shot;
  const found = sound && kept.get(sound.sha256);
  return found ? { ...shot, sound: { ...sound, ...found, name: sound.name } } : shot;
}

const namesOfFilms = async (): Promise<readonly string[]> => {
  const request = dispatch(api.endpoints.listShots.initiate());
  const { data } = await request;
  request.unsubscribe();
  return data?.map(({ film }) => film) ?? [];
};

export async function importFilm(bytes: Uint8Array): Promise<void> {
  const ids: string[] = [];
  try {
    const { picturesOf, readFilmZip, soundsOf, withPicturesRenamed } = await fileFormats();
    const film = readFilmZip(bytes);
    const kept = new Map<string, Picture>();
    for (const picture of picturesOf(film.shots)) {
      const content = film.pictures.get(picture.sha256);
      if (!content) continue;
      const file = new File([content as BlobPart], picture.name, { type: picture.type });
      kept.set(picture.sha256, (await keepPicture(file, new AbortController().signal)).picture);
    }
    const keptSounds = new Map<string, KeptSound>();
    for (const { sha256, name, type } of soundsOf(film.shots)) {
      const content = film.sounds.get(sha256);
      if (!content) continue;
      const file = new File([content as BlobPart], name, { type });
      keptSounds.set(sha256, await keepSound(file, new AbortController().signal));
    }
    // A shot by itself goes back to the film that it belongs to.
    const isFilm = film.name !== '' && film.shots.length > 1;
    const name = isFilm ? freeName(film.name, await namesOfFilms()) : film.name;
    for (const shot of film.shots)
      ids.push(
        await createShot(
          withSound(withPicturesRenamed(edits.setFilm(shot, { film: name }), kept), keptSounds),
        ),
      );
    if (ids.length > 1) await dispatch(api.endpoints.orderShots.initiate(ids));
    say(words.filmWasImported(name, ids.length));
  } catch (error) {
    for (const id of ids) await dispatch(api.endpoints.removeShot.initiate(id));
    say(errorSentence(error));
  }
}

export async function loadDemoFilm(): Promise<void> {
  const { error } = await dispatch(api.endpoints.loadDemo.initiate());
  if (error) say(failureSentence(error));
}
