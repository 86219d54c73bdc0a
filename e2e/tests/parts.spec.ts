import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { expect, test } from '../support/test';

/** A peg that goes evenly from 160 to 1760 in 40 intervals, 40 units each. */
function procession(): Shot {
  const empty = freshShot({ name: 'Eel', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const { id: moveId, marks, figureId } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  return edits.setFigure(even, { figureId, height: 60 });
}

test('a chain of twelve: made in one step, one of them dragged, let go as a figure, undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(procession());
  await bench.step('Figure');
  await bench.group('Parts');
  await bench.press('Make a chain');
  await bench.choose('A distance');
  await bench.type('Gap, units', 100);
  // The chain is there already, and follows its numbers.
  const riders = page.getByTestId('rider');
  await expect(riders).toHaveCount(6);
  await bench.type('Parts, with the figure', 12);
  await expect(riders).toHaveCount(11);
  await bench.press('Done');
  await bench.goTo(31);

  /** Where a part is put, from its matrix; those at the back first. */
  const placed = async (index: number) => {
    const matrix = (await riders.nth(index).getAttribute('transform'))!;
    const [a, b, , , e] = matrix.match(/-?[\d.]+/g)!.map(Number);
    return { scale: Math.hypot(a!, b!), e: e! };
  };
  // The first of the chain lies in front, next to the figure; the last is at 40 % of the figure's size.
  const figure = await bench.placement();
  const whole = Math.hypot(figure[0], figure[1]);
  expect((await placed(0)).scale / whole).toBeCloseTo(0.4, 3);
  expect((await placed(5)).scale / whole).toBeCloseTo(0.6727, 3);

  // On frame 31 the figure is at 1360, the third part at 1160: it is dragged 60 units back along the arc.
  const row = page.getByTestId('part-row-Part 3');
  await expect(row).toContainText('200.0 units behind');
  const paper = await bench.spot(1160 / 1920, 0.5);
  const to = await bench.spot(1100 / 1920, 0.5);
  await hand.drag([paper, { x: (paper.x + to.x) / 2, y: paper.y + 3 }, to]);
  await expect(row).not.toContainText('200.0 units behind');
  const behind = async (): Promise<number> => Number(/([\d.]+) units behind/.exec(await row.innerText())![1]);
  await expect.poll(async () => Math.abs((await behind()) - 260)).toBeLessThan(8);
  await bench.undo();
  await expect(row).toContainText('200.0 units behind');

  await bench.press('Work on Part 12');
  // At 1360 − 1100 on this frame: a ring stands about it.
  const ring = async (): Promise<number> => {
    const [x, , r] = (await page.getByTestId('active-part').getAttribute('d'))!.match(/[\d.]+/g)!.map(Number);
    return x! + r!;
  };
  await expect.poll(ring).toBeCloseTo(260, 0);
  // Its own pivot, taken a little up: the part comes down by as much, and the figure stays.
  const before = (await placed(0)).e;
  const editor = page.getByTestId('pivot-editor');
  await editor.scrollIntoViewIfNeeded();
  const box = (await editor.boundingBox())!;
  await hand.drag([
    { x: box.x + box.width / 2, y: box.y + box.height / 2 },
    { x: box.x + box.width / 2 + 20, y: box.y + box.height / 2 - 10 },
    { x: box.x + box.width / 2 + 42, y: box.y + box.height / 2 - 20 },
  ]);
  await expect.poll(async () => (await placed(0)).e).not.toBe(before);
  expect(await bench.placement()).toEqual(figure);
  await bench.undo();
  await expect.poll(async () => (await placed(0)).e).toBe(before);
  await bench.press('Make it its own figure');
  await expect(riders).toHaveCount(10);
  await expect(page.getByTestId('figure')).toHaveCount(2);
  await bench.undo();
  await expect(riders).toHaveCount(11);
  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await expect(riders).toHaveCount(11);
});
