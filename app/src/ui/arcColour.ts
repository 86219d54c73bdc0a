import type { ArcColour } from '@humble/core';
import { colour } from './colour';

/** Tones of the colours that arcs are told apart by. */
export const ARC_TONES: Readonly<Record<ArcColour, string>> = {
  indigo: colour.indigo,
  moss: colour.moss,
  plum: colour.plum,
  teal: colour.cool,
  graphite: colour.soft,
};
