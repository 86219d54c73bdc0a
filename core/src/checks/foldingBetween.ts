import { drawnThroughSpans } from '../exposure/drawnThrough';
import { drawnPair, isLineAlone } from '../inbetween/drawnPair';
import { inBetween } from '../inbetween/inBetween';
import type { Check, CheckedTravel, Finding } from './check';

/** An outline that keeps less than this of the smaller of both areas half-way folds in on itself. */
const FOLDS = 0.5;

function areaOf(ring: Float64Array): number {
  let double = 0;
  for (let i = 0; i < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    double += ring[i]! * ring[j + 1]! - ring[j]! * ring[i + 1]!;
  }
  return double / 2;
}

const largest = (rings: readonly Float64Array[]): number =>
  rings.reduce((most, ring) => Math.max(most, Math.abs(areaOf(ring))), 0);

/** Drawings that cannot be drawn through as they stand: lines without pins, and outlines that fold in on the way. */
export const foldingBetween: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move, figure }, frameNumber }) => {
    const { artwork } = figure;
    if (artwork.kind !== 'pictures') return [];
    return drawnThroughSpans(move).flatMap(({ from, to }): Finding[] => {
      const [a, b] = [artwork.drawings[from.drawing - 1], artwork.drawings[to.drawing - 1]];
      const pair = drawnPair(figure, from.drawing, to.drawing);
      if (!a || !b || !pair) return [];
      const between = (sentence: string): Finding[] => [
        { from: from.frame, until: to.frame, sentence, fix: null },
      ];
      const frames = `Between frames ${frameNumber(from.frame)} and ${frameNumber(to.frame)}`;
      const line = [from.drawing, to.drawing].find((_, i) => isLineAlone([a, b][i]!));
      if (line !== undefined)
        return pair.pins.length > 0
          ? []
          : between(
              `${frames} nothing is drawn through: drawing ${line} is a line that encloses nothing, and only pins can move it.`,
            );
      const outline = (share: number): number =>
        largest(inBetween(pair, a.outline, { plain: share, ofPins: pair.pins.map(() => share) }).rings);
      const least = Math.min(outline(0), outline(1));
      return outline(0.5) < FOLDS * least
        ? between(`${frames} the outline folds in on itself. Pins on its corners show it the way.`)
        : [];
    });
  },
};
