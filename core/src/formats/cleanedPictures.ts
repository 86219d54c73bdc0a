import { strFromU8, strToU8 } from 'fflate';
import type { DrawingPicture, Figure, Move, Picture, Shot } from '../model/schema';
import { picturesOf } from './filmZip';
import { withoutNotesInDrawing, withoutPictureNotes } from './pictureNotes';

export interface ShotsAndFiles {
  readonly shots: readonly Shot[];
  readonly files: ReadonlyMap<string, Uint8Array>;
}

export function withPicturesRenamed(shot: Shot, changes: ReadonlyMap<string, Partial<Picture>>): Shot {
  if (!picturesOf([shot]).some(({ sha256 }) => changes.has(sha256))) return shot;
  const renamed = <Of extends Picture>(picture: Of): Of => {
    const change = changes.get(picture.sha256);
    return change ? { ...picture, ...change, name: picture.name } : picture;
  };
  const dressed = <Of extends Pick<Figure, 'artwork'>>(figure: Of): Of =>
    figure.artwork.kind === 'pictures'
      ? {
          ...figure,
          artwork: {
            ...figure.artwork,
            drawings: figure.artwork.drawings.map((drawing): DrawingPicture => renamed(drawing)),
          },
        }
      : figure;
  const ridden = <Of extends Pick<Move, 'riders'>>(move: Of): Of => ({
    ...move,
    riders: move.riders.map(dressed),
  });
  return {
    ...shot,
    backdrop: shot.backdrop && { ...shot.backdrop, pictures: shot.backdrop.pictures.map(renamed) },
    planes: shot.planes.map((plane) => ({ ...plane, pictures: plane.pictures.map(renamed) })),
    figures: shot.figures.map(dressed),
    moves: shot.moves.map(ridden),
    waiting: shot.waiting.map((one) => (one.move ? { ...one, move: ridden(one.move) } : one)),
    shoot: {
      ...shot.shoot,
      pictures: shot.shoot.pictures.map((taken) => ({ ...taken, picture: renamed(taken.picture) })),
    },
  };
}

function cleaned(bytes: Uint8Array, type: Picture['type']): Uint8Array {
  if (type !== 'image/svg+xml') return withoutPictureNotes(bytes, type) ?? bytes;
  const text = strFromU8(bytes);
  const kept = withoutNotesInDrawing(text);
  return kept === text ? bytes : strToU8(kept);
}

/**
 * Shots with their files as they may be given away: pictures without the notes of cameras and programs, named by what
 * they are then.
 * @param sha256 of some bytes, in hexadecimal digits
 */
export async function withoutNotesOfCameras(
  { shots, files }: ShotsAndFiles,
  sha256: (bytes: Uint8Array) => Promise<string> | string,
): Promise<ShotsAndFiles> {
  const changes = new Map<string, Partial<Picture>>();
  const kept = new Map(files);
  for (const picture of picturesOf(shots)) {
    const bytes = files.get(picture.sha256);
    const clean = bytes && cleaned(bytes, picture.type);
    if (!clean || clean === bytes) continue;
    const name = await sha256(clean);
    changes.set(picture.sha256, { sha256: name });
    kept.delete(picture.sha256);
    kept.set(name, clean);
  }
  return changes.size === 0
    ? { shots, files }
    : { shots: shots.map((shot) => withPicturesRenamed(shot, changes)), files: kept };
}
