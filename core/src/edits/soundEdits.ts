import { outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_SOUND_OFFSET_SECONDS, MAX_CUE_LENGTH, MAX_SOUND_SECONDS, MAX_CUES } from '../model/limits';
import { changePart } from '../model/parts';
import type { Cue, Shot, Sound } from '../model/schema';

type Heard = Pick<Cue, 'seconds' | 'word'>;

function checked<Part extends Heard>(cue: Part): Part {
  const word = cue.word.trim();
  if (word === '' || word.length > MAX_CUE_LENGTH)
    throw outOfRange(`A cue has a word of 1 to ${MAX_CUE_LENGTH} letters.`);
  if (!(cue.seconds >= 0) || cue.seconds > MAX_SOUND_SECONDS)
    throw outOfRange('A cue can’t come before 0 seconds.');
  return { ...cue, word };
}

const SAME_MOMENT_SECONDS = 0.01;

const inTime = (cues: readonly Cue[]): readonly Cue[] => [...cues].sort((a, b) => a.seconds - b.seconds);

export const soundEdits = {
  /** Cues besides those that there are, as they are typed, tapped or read. @throws ShotError `out-of-range` */
  addCues: (shot: Shot, { cues }: { readonly cues: readonly Heard[] }): Shot => {
    if (shot.cues.length + cues.length > MAX_CUES) throw outOfRange(`A shot has at most ${MAX_CUES} cues.`);
    let number = Number(freshId('cue', shot.cues).slice('cue'.length));
    const fresh = cues.map(({ seconds, word }): Cue => ({
      id: `cue${number++}`,
      ...checked({ seconds, word }),
    }));
    return { ...shot, cues: inTime([...shot.cues, ...fresh]) };
  },

  /** A cue at each of some moments that has none within a hundredth of a second. @throws ShotError as `addCues` */
  setCuesFound: (
    shot: Shot,
    { seconds, word }: { readonly seconds: readonly number[]; readonly word: string },
  ): Shot => {
    const isNew = (at: number): boolean =>
      !shot.cues.some((cue) => Math.abs(cue.seconds - at) < SAME_MOMENT_SECONDS);
    return soundEdits.addCues(shot, { cues: seconds.filter(isNew).map((at) => ({ seconds: at, word })) });
  },

  changeCue: (shot: Shot, { cueId, ...some }: { readonly cueId: string } & Partial<Heard>): Shot => ({
    ...shot,
    cues: inTime(changePart(shot.cues, cueId, (cue) => checked({ ...cue, ...some }))),
  }),

  setCuesOn: (shot: Shot, { cueIds, ...heard }: { readonly cueIds: readonly string[] } & Heard): Shot =>
    soundEdits.addCues(soundEdits.removeCues(shot, { cueIds }), { cues: [heard] }),

  removeCues: (shot: Shot, { cueIds }: { readonly cueIds?: readonly string[] }): Shot => ({
    ...shot,
    cues: cueIds ? shot.cues.filter(({ id }) => !cueIds.includes(id)) : [],
  }),

  /** The sound that the shot is timed to; null takes it away. Its cues stay. */
  setSound: (shot: Shot, { sound }: { readonly sound: Sound | null }): Shot => ({ ...shot, sound }),

  /** When the sound begins, seconds from the start of frame 1. @throws ShotError `out-of-range` */
  moveSound: (shot: Shot, { startSeconds }: { readonly startSeconds: number }): Shot => {
    if (!shot.sound) return shot;
    if (!(startSeconds >= -shot.sound.seconds) || startSeconds > MAX_SOUND_OFFSET_SECONDS)
      throw outOfRange('Part of the sound has to be within the shot.');
    return { ...shot, sound: { ...shot.sound, startSeconds } };
  },
} as const;
