import type { Mark, Move } from './schema';

/** What a mark is besides its frame, place and easing when nobody said otherwise. */
export const PLAIN_MARK = { pointId: null, label: '' } as const satisfies Partial<Mark>;

export const PLAIN_TIMING = {
  before: 'hold',
  after: 'hold',
  exposures: [],
  skips: [],
  overrides: [],
  letBe: [],
  physics: null,
} as const satisfies Partial<Move>;
