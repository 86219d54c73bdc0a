import { kindsWords as words } from '../../words/kinds';
import type { TrackDescriptor } from './trackDescriptor';

export const offsetX: TrackDescriptor = {
  label: words.offsetX,
  sentence: words.offsetAcrossHelp,
  unit: '',
  decimals: 1,
  step: 5,
  leastShown: 100,
};

export const offsetY: TrackDescriptor = {
  ...offsetX,
  label: words.offsetY,
  sentence: words.offsetsTheFigureDown,
};
