import { evaluate } from '../motion/evaluate';
import { figureOn } from '../motion/figureOn';
import type { Shot } from '../model/schema';
import { onlyMove, shotAlong, arcOf, corner } from '../testing/shapes';
import { edits, type FlipWay } from './edits';

/** How the figure stands half way along a level arc: the linear part of its placement. */
function standing(shot: Shot): readonly number[] {
  const { a, b, c, d } = figureOn(evaluate(shot).travels[0]!, 10).placement;
  return [a, b, c, d];
}

const level = (goesLeft: boolean): Shot => {
  const [from, to] = goesLeft ? [200, 0] : [0, 200];
  return shotAlong(arcOf([corner(from, 50), corner(to, 50)]), 21);
};

const MIRRORS: Readonly<Record<FlipWay, readonly [number, number]>> = {
  'left-right': [-1, 1],
  'upside-down': [1, -1],
};

describe.each(['left-right', 'upside-down'] as const)('flipped %s', (way) => {
  test.each([
    ['to the right', false],
    ['to the left', true],
  ])('the figure is its mirror image, travelling %s', (_, goesLeft) => {
    const moveId = onlyMove(level(goesLeft)).id;
    for (const turnsWithArc of [true, false])
      for (const correctionDeg of [0, 30, -100, 180]) {
        const shot = edits.setTurning(level(goesLeft), { moveId, turnsWithArc, correctionDeg });
        const [a, b, c, d] = standing(shot) as [number, number, number, number];
        const [x, y] = MIRRORS[way];
        const flipped = edits.flipFigure(shot, { moveId, way });
        standing(flipped).forEach((value, i) =>
          expect(value).toBeCloseTo([x * a, y * b, x * c, y * d][i]!, 9),
        );
        // Twice is as it was.
        standing(edits.flipFigure(flipped, { moveId, way })).forEach((value, i) =>
          expect(value).toBeCloseTo([a, b, c, d][i]!, 9),
        );
      }
  });
});
