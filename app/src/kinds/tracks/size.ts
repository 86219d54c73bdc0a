import { kindsWords as words } from '../../words/kinds';
import type { TrackDescriptor } from './trackDescriptor';

export const size: TrackDescriptor = {
  label: words.size,
  sentence: words.sizesTheFigure,
  unit: '%',
  decimals: 1,
  step: 5,
  leastShown: 100,
};

export const sizeDown: TrackDescriptor = {
  ...size,
  label: words.sizeDown,
  sentence: words.sizesTheFigureDown,
};
