import { ShotError, outOfRange } from '../model/errors';
import { type LengthUnit, MILLIMETRES } from '../model/lengths';
import { MAX_SEQUENCE_LENGTH } from '../model/limits';
import type { Backdrop, Picture, Shot } from '../model/schema';

export function coveringWidth({ width, height }: Shot['field'], picture: Picture): number {
  return Math.max(width, (height * picture.width) / picture.height);
}

const changeBackdrop = (shot: Shot, some: Partial<Backdrop>): Shot => {
  if (!shot.backdrop) throw new ShotError('unknown-id', 'The shot has no backdrop.');
  return { ...shot, backdrop: { ...shot.backdrop, ...some } };
};

export const backdropEdits = {
  /** A picture, or a sequence in order, that just covers the field. One that was there gives its place and fading. */
  putBackdrop: (shot: Shot, { pictures }: { pictures: readonly Picture[] }): Shot => {
    const first = pictures[0];
    if (!first) throw outOfRange('A backdrop needs a picture.');
    if (pictures.length > MAX_SEQUENCE_LENGTH)
      throw outOfRange(`A sequence has at most ${MAX_SEQUENCE_LENGTH} pictures.`);
    if (shot.backdrop) return changeBackdrop(shot, { pictures, hidden: false });
    return {
      ...shot,
      backdrop: {
        pictures,
        framesEach: 1,
        x: shot.field.width / 2,
        y: shot.field.height / 2,
        width: coveringWidth(shot.field, first),
        turnDeg: 0,
        strength: 1,
        distance: 1,
        hidden: false,
        locked: false,
      },
    };
  },

  setBackdrop: (shot: Shot, some: Partial<Omit<Backdrop, 'pictures'>>): Shot => changeBackdrop(shot, some),

  removeBackdrop: (shot: Shot): Shot => (shot.backdrop ? { ...shot, backdrop: null } : shot),

  /**
   * The scale of the field from something of known length in it.
   * @param fieldLength how long it is in the field, field units, > 0
   * @param length how long it is on the set, in `unit`, > 0
   */
  calibrate: (
    shot: Shot,
    { fieldLength, length, unit }: { fieldLength: number; length: number; unit: LengthUnit },
  ): Shot => {
    const unitsPerMm = fieldLength / (length * MILLIMETRES[unit]);
    if (!(unitsPerMm >= 1e-4 && unitsPerMm <= 1e5))
      throw outOfRange('That length gives no sensible scale: draw a longer line, or check the length.');
    return { ...shot, field: { ...shot.field, unitsPerMm }, sheet: { ...shot.sheet, units: 'mm' } };
  },
} as const;
