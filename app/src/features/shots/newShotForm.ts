import { newShotWords as words } from '../../words/newShot';
import { FIELD_SIDE, MAX_NAME_LENGTH } from '@humble/core';
import type { FieldErrors, ResolverResult } from 'react-hook-form';
import { offeredName } from './offeredName';
import { fileFormats } from '../../commands/fileFormats';
import type { NewShotNumbers } from '../../store/settingsSlice';
import { lengthsFor, MILLIMETRES } from '../../store/lengths';
import { readNumber, writeNumber } from '../../ui/numbers';

export interface TypedShot {
  readonly name: string;
  readonly film: string;
  readonly rate: string;
  readonly length: string;
  readonly width: string;
  readonly height: string;
  /** How wide the field is on the set; empty for a field without a scale. */
  readonly widthMm: string;
  /** Step of the ruler, mm; empty for none. */
  readonly rulerStep: string;
}

export interface NewShot extends NewShotNumbers {
  readonly name: string;
  readonly film: string;
  readonly widthMm: number | null;
  readonly rulerStep: number | null;
}

/** The form as it is offered: one press is enough. @param last what was made last, on this device */
export const offeredShot = (names: readonly string[], film: string, last: NewShotNumbers): TypedShot => ({
  name: offeredName(names),
  film,
  rate: writeNumber(last.rate, 3),
  length: String(last.length),
  width: String(last.width),
  height: String(last.height),
  widthMm: last.widthMm == null ? '' : writeNumber(last.widthMm, 3),
  rulerStep: last.rulerStep == null ? '' : writeNumber(last.rulerStep, 3),
});

const MIN_MM = 0.01;
const MAX_MM = 1e6;

async function formSchema() {
  const { z, rateSchema, lengthSchema } = await fileFormats();
  const typed = (schema: typeof rateSchema, sentence: string) =>
    z.string().transform((text, context) => {
      const result = schema.safeParse(readNumber(text));
      if (result.success) return result.data;
      context.addIssue({ code: 'custom', message: sentence });
      return z.NEVER;
    });
  const optional = (sentence: string) =>
    z.string().transform((text, context) => {
      if (text.trim() === '') return null;
      const length = lengthsFor(MILLIMETRES).read(text);
      if (typeof length === 'number' && length >= MIN_MM && length <= MAX_MM) return length;
      context.addIssue({ code: 'custom', message: sentence });
      return z.NEVER;
    });
  const side = z.number().min(FIELD_SIDE.min).max(FIELD_SIDE.max);
  return z.object({
    // Without one it gets the name that was offered.
    name: z.string().trim().max(MAX_NAME_LENGTH, words.atMostLetters(MAX_NAME_LENGTH)),
    film: z.string().trim().max(MAX_NAME_LENGTH, words.atMostLetters(MAX_NAME_LENGTH)),
    rate: typed(rateSchema, words.aRateFrom1To240),
    length: typed(lengthSchema, words.lengthRefusal),
    width: typed(side, words.from16To20000),
    height: typed(side, words.from16To20000),
    widthMm: optional(words.aLengthOnSet),
    rulerStep: optional(words.aLengthOnSet),
  });
}

export async function checkedShot(typed: TypedShot): Promise<ResolverResult<TypedShot, NewShot>> {
  const errors: { -readonly [Name in keyof TypedShot]?: FieldErrors<TypedShot>[Name] } = {};
  try {
    const result = (await formSchema()).safeParse(typed);
    if (result.success) return { values: result.data, errors: {} };
    for (const { path, message } of result.error.issues)
      errors[path[0] as keyof TypedShot] ??= { type: 'value', message };
  } catch (error) {
    // The part could not be fetched.
    errors.name = { type: 'value', message: error instanceof Error ? error.message : String(error) };
  }
  return { values: {}, errors };
}
