import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';

/** A button on a set 400 mm wide: 300 mm across it in 20 even increments of 15 mm, on a ruler of half millimetres. */
export function buttonOnSet(name = 'Set'): Shot {
  const options = { name, rate: 12, lengthFrames: 21, width: 1600, height: 900 };
  const empty = freshShot({ ...options, widthMm: 400, rulerStep: 0.5 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([200, 1400].map((x) => ({ x, y: 500 }))) });
  const { id: moveId, marks } = drawn.moves[0]!;
  return edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
}
