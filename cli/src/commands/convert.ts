import { EXPORTERS, pictureSourceFrom, strobeSvg } from '@humble/core/files';
import { noted } from '../answer';
import { defineCommand, OUT, shotOf, TAKE } from '../command';
import { numberOf } from '../input';
import { filesWith, missingNote, shotsToGive } from '../pictures';
import { sliderText } from '../sliderText';
import { UsageError } from '../usageError';

export const FORMATS = EXPORTERS.map(({ flag }) => `--${flag}`).join(', ');

/** Every exporter has a flag of its own. */
const FLAGS = Object.fromEntries(
  EXPORTERS.map(({ flag }) => [flag, { type: 'boolean' as const }]),
) as unknown as Readonly<Record<'csv', { readonly type: 'boolean' }>>;

export default defineCommand({
  options: {
    ...FLAGS,
    ...OUT,
    ...TAKE,
    move: { type: 'string' },
    pictures: { type: 'string' },
    sounds: { type: 'string' },
    every: { type: 'string' },
    ticks: { type: 'boolean' },
    'max-speed': { type: 'string' },
    'max-acceleration': { type: 'string' },
  },
  run: async (paths, values) => {
    const { shot, files: own } = shotOf('convert', paths, values);
    const flags = values as Readonly<Record<string, unknown>>;
    const asked = EXPORTERS.filter(({ flag }) => flags[flag] === true);
    if (asked.length !== 1) throw new UsageError(`Say which format: one of ${FORMATS}.`);
    const { flag, isPossible, lacks, needs, write, label } = asked[0]!;
    if (!isPossible(shot))
      throw new UsageError(lacks?.(shot) ?? `${label}: there is nothing of that in this shot.`);
    if (flag === 'slider') return sliderText(shot, values);
    const choice = {
      every: Math.round(numberOf(values.every, 'every', 1, 1)),
      withTicks: values.ticks === true,
    };
    const found = needs ? filesWith(own, values.pictures, values.sounds) : own;
    const { shots, files } = needs ? await shotsToGive([shot], found) : { shots: [shot], files: found };
    const given = shots[0]!;
    const text =
      flag === 'strobe'
        ? strobeSvg(given, { ...choice, source: pictureSourceFrom(files) })
        : write(given, { files, moveId: values.move ?? null });
    return { text, note: noted(needs && missingNote(shot, found)), code: 0 };
  },
});
