import type { PointKind } from '@humble/core';

/** The kinds of points by their names. */
export const KINDS: readonly { readonly value: PointKind | 'mixed'; readonly label: string }[] = [
  { value: 'smooth', label: 'Smooth' },
  { value: 'even', label: 'Even' },
  { value: 'corner', label: 'Corner' },
];
