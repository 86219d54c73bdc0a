import { colour } from './colour';

/** Tones of the colours that arcs are told apart by. */
export const ARC_TONES = {
  indigo: colour.indigo,
  moss: colour.moss,
  plum: colour.plum,
  teal: colour.cool,
  graphite: colour.soft,
} as const;
