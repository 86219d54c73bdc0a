import { kindsWords as words } from '../../words/kinds';
import type { TrackDescriptor } from './trackDescriptor';

export const turn: TrackDescriptor = {
  label: words.turn,
  sentence: words.turnHelp,
  unit: '°',
  decimals: 1,
  step: 5,
  leastShown: 60,
};
