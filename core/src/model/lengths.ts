import type { Shot } from './schema';

export const MILLIMETRES = { mm: 1, cm: 10, in: 25.4 } as const;
export type LengthUnit = keyof typeof MILLIMETRES;

export interface LengthScale {
  readonly unit: 'mm' | 'units';
  readonly fieldUnits: number;
  /** Field units in a millimetre; null before the field has a scale. */
  readonly unitsPerMm: number | null;
}

/** Millimetres where the field has a scale and the shot's settings say so, else field units. */
export function lengthScaleOf({ field, sheet }: Pick<Shot, 'field' | 'sheet'>): LengthScale {
  const { unitsPerMm } = field;
  return sheet.units === 'mm' && unitsPerMm !== null
    ? { unit: 'mm', fieldUnits: unitsPerMm, unitsPerMm }
    : { unit: 'units', fieldUnits: 1, unitsPerMm };
}

const UNIT_NAMES: Readonly<Record<string, LengthUnit | 'units'>> = {
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  u: 'units',
  unit: 'units',
  units: 'units',
};

export function splitLength(
  text: string,
): { readonly number: string; readonly unit: LengthUnit | 'units' | null } | null {
  const [, number = '', name = ''] = /^(.*?)\s*([a-z"]*)\s*$/i.exec(text) ?? [];
  if (name === '') return { number, unit: null };
  const unit = UNIT_NAMES[name.toLowerCase()];
  return unit ? { number, unit } : null;
}

/**
 * A length in one unit as the scale shows lengths.
 * @param unit null for the one that is shown
 * @returns null when it is in millimetres or the like and the field has no scale
 */
export function inScale(value: number, unit: LengthUnit | 'units' | null, scale: LengthScale): number | null {
  if (unit === null) return value;
  if (unit === 'units') return value / scale.fieldUnits;
  if (scale.unitsPerMm === null) return null;
  return (value * MILLIMETRES[unit] * scale.unitsPerMm) / scale.fieldUnits;
}
