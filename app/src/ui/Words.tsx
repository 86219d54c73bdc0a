import type { ReactNode } from 'react';
import { Text, type TextProps } from 'react-native';
import { isLargeText } from './textScale';

type Size = 'tiny' | 'small' | 'body' | 'title' | 'display';
type Tone = 'ink' | 'soft' | 'brass' | 'plum' | 'moss' | 'onbrass' | 'persimmon' | 'indigo';

interface WordsProps extends Omit<TextProps, 'className'> {
  readonly children: ReactNode;
  readonly size?: Size;
  readonly tone?: Tone;
  readonly strong?: boolean;
  readonly className?: string;
  /** Large text has the same number of lines, too: what does not fit stands elsewhere. */
  readonly isStrictlyLimited?: boolean;
}

const SIZES: Record<Size, string> = {
  tiny: 'text-tiny',
  small: 'text-small',
  body: 'text-body',
  title: 'text-title',
  display: 'text-display',
};

const TONES: Record<Tone, string> = {
  ink: 'text-ink',
  soft: 'text-soft',
  brass: 'text-brass',
  plum: 'text-plum',
  moss: 'text-moss',
  onbrass: 'text-onbrass',
  persimmon: 'text-persimmon',
  indigo: 'text-indigo',
};

/** Large text has so many lines for each that the usual size has. */
const LINES_FOR_ONE = 3;

const linesOf = (lines: number | undefined): number | undefined =>
  lines !== undefined && isLargeText() ? lines * LINES_FOR_ONE : lines;

function textIn(plain: string, bold: string) {
  return function TextOfFace({
    size = 'small',
    tone = 'ink',
    strong = false,
    className = '',
    numberOfLines,
    isStrictlyLimited = false,
    ...rest
  }: WordsProps) {
    return (
      <Text
        {...rest}
        numberOfLines={isStrictlyLimited ? numberOfLines : linesOf(numberOfLines)}
        className={`${strong ? bold : plain} ${SIZES[size]} ${TONES[tone]} ${className}`}
      />
    );
  };
}

export const Words = textIn('font-sans', 'font-semi');

/** Numbers and their units, in Spline Sans Mono: digits of one width. */
export const NumericText = textIn('font-mono', 'font-monosemi');
