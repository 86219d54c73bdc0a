import { storeWords as words } from '../words/store';
import { inScale, type LengthScale, lengthScaleOf, splitLength } from '@humble/core';
import { useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import type { NumberFieldProps } from '../ui/NumberField';
import { fixed, readNumber } from '../ui/numbers';
import type { RootState } from './store';
import { useThrottledSelector } from './throttled/hooks';

/** Lengths in millimetres alone, for what needs no field. */
export const MILLIMETRES: LengthScale = { unit: 'mm', fieldUnits: 1, unitsPerMm: 1 };

const NO_SCALE: LengthScale = { unit: 'units', fieldUnits: 1, unitsPerMm: null };

export const selectLengthScale = ({ shot }: RootState): LengthScale =>
  shot.present.shot ? lengthScaleOf(shot.present.shot) : NO_SCALE;

/** Lengths of the shot as they are shown and typed: in millimetres where the field has a scale and its settings say so. */
export interface Lengths {
  readonly unit: LengthScale['unit'];
  /** @param length field units */
  readonly text: (length: number) => string;
  /** What was typed, in `unit`; null when it is nothing that is known. */
  readonly read: (text: string) => number | { readonly problem: string } | null;
  /** A field for a length. All its numbers are in field units; any unit that is known can be typed. */
  readonly field: (props: LengthFieldProps) => NumberFieldProps;
}

type LengthFieldProps = Omit<NumberFieldProps, 'unit' | 'read'> & {
  /** What 100 % stands for, field units; where it is given a percentage can be typed too. */
  readonly whole?: number;
};

/** A share of something as it was typed (“25 %”); null when it is none. */
function readPercent(text: string): number | null {
  const number = text.trim().endsWith('%') ? readNumber(text.trim().slice(0, -1)) : null;
  return number === null ? null : number / 100;
}

function readLength(text: string, scale: LengthScale): ReturnType<Lengths['read']> {
  const split = splitLength(text);
  const number = split && readNumber(split.number);
  if (number === null) return null;
  const value = inScale(number, split!.unit, scale);
  return value ?? { problem: words.scaleMissing };
}

export function lengthsFor(scale: LengthScale): Lengths {
  const { unit, fieldUnits } = scale;
  const isMm = unit === 'mm';
  return {
    unit,
    read: (text) => readLength(text, scale),
    text: (length) => `${fixed(length / fieldUnits, isMm ? 2 : 1)} ${unit}`,
    field: ({ value, min, max, step, onChange, whole, decimals = isMm ? 2 : 1, ...rest }) => ({
      ...rest,
      unit,
      moreUnits: whole === undefined ? undefined : ['%'],
      decimals,
      value: value / fieldUnits,
      min: min / fieldUnits,
      max: max / fieldUnits,
      step: isMm ? 1 : step,
      read: (text) => {
        const share = whole === undefined ? null : readPercent(text);
        return share === null ? readLength(text, scale) : (share * whole!) / fieldUnits;
      },
      onChange: (next, undoGroup) => onChange(next * fieldUnits, undoGroup),
    }),
  };
}

export function useLengths(): Lengths {
  const scale = useThrottledSelector(selectLengthScale, shallowEqual);
  return useMemo(() => lengthsFor(scale), [scale]);
}
