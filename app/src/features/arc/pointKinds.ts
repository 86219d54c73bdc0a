import { arcWords as words } from '../../words/arc';
import type { PointKind } from '@humble/core';

export const KINDS: readonly { readonly value: PointKind | 'mixed'; readonly label: string }[] = [
  { value: 'smooth', label: words.smooth },
  { value: 'even', label: words.even },
  { value: 'corner', label: words.corner },
];
