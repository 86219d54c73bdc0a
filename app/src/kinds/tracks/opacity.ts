import { kindsWords as words } from '../../words/kinds';
import type { TrackDescriptor } from './trackDescriptor';

export const opacity: TrackDescriptor = {
  label: words.opacity,
  sentence: words.fadesTheFigure,
  unit: '%',
  decimals: 0,
  step: 5,
  leastShown: 100,
};
