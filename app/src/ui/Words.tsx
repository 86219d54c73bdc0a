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

/** Running words, in Spline Sans. */
export function Words({
  size = 'small',
  tone = 'ink',
  strong = false,
  className = '',
  numberOfLines,
  isStrictlyLimited = false,
  ...rest
}: WordsProps) {
  const face = strong ? 'font-semi' : 'font-sans';
  return (
    <Text
      {...rest}
      numberOfLines={isStrictlyLimited ? numberOfLines : linesOf(numberOfLines)}
      className={`${face} ${SIZES[size]} ${TONES[tone]} ${className}`}
    />
  );
}

/** Numbers and their units, in Spline Sans Mono: digits of one width. */
export function NumericText({
  size = 'small',
  tone = 'ink',
  strong = false,
  className = '',
  numberOfLines,
  isStrictlyLimited = false,
  ...rest
}: WordsProps) {
  const face = strong ? 'font-monosemi' : 'font-mono';
  return (
    <Text
      {...rest}
      numberOfLines={isStrictlyLimited ? numberOfLines : linesOf(numberOfLines)}
      className={`${face} ${SIZES[size]} ${TONES[tone]} ${className}`}
    />
  );
}
