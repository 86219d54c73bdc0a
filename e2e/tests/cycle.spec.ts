import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { enter } from '../support/bench';
import { pngFile, pngWithBox } from '../support/png';
import { expect, ONCE, test } from '../support/test';

/** Four drawings side by side, 100 pixels each. */
const STRIP = pngFile('steps.png', pngWithBox(400, 100, { left: 0, top: 0, right: 400, bottom: 100 }));

/** 1536 units in 24 even intervals, with a figure twice as high as a cell of the strip. */
function paces(): Shot {
  const empty = freshShot({ name: 'Paces', rate: 24, lengthFrames: 25, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([192, 1728].map((x) => ({ x, y: 540 }))) });
  const { id: moveId, marks, figureId } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  return edits.setFigure(even, { figureId, height: 200 });
}

test('a stride is measured on the drawings of a strip, the travel matched, and nothing slips', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(paces());
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.press('Cut a strip');
  await bench.type('Drawings across', 4);
  await bench.chooseFiles(() => bench.press('Cut it into 4 drawings'), STRIP);
  const editor = page.getByTestId('planted-editor');
  await expect(editor).toBeVisible();
  await bench.choose('Cycle by time');

  // The spot is dragged to where it touches on each drawing: 16 pixels further back on each.
  const across = page.getByRole('textbox', { name: 'Spot across' });
  for (const [i, x] of [80, 64, 48, 32].entries()) {
    await editor.scrollIntoViewIfNeeded();
    const box = (await editor.boundingBox())!;
    const scale = Math.min((box.width - 62) / 100, 160 / 100);
    const at = (px: number, py: number) => ({
      x: box.x + box.width / 2 + (px - 50) * scale,
      y: box.y + 110 + (py - 50) * scale,
    });
    await hand.drag([at(50, 50), at(x - 6, 80), at(x, 90)]);
    await expect.poll(async () => Math.abs(Number(await across.inputValue()) - x)).toBeLessThan(3);
    await enter(across, x);
    if (i < 3) await bench.press('Next drawing');
  }
  await expect(
    page.getByText('The drawings carry the figure 128.0 units in a cycle of 4 frames.'),
  ).toBeVisible();
  await expect(
    page.getByText('The move goes 1536.0 units in 24 intervals: 64.0 units a frame.'),
  ).toBeVisible();
  const slip = page.getByTestId('slip-numbers');
  await expect(slip).toHaveText('mean 32.0 units · largest 32.0 units');
  await expect(page.getByTestId('slip-chart').locator('polyline').first()).toBeAttached();
  await expect(page.getByTestId('slip-track')).toHaveAttribute('d', /L/);

  await bench.press('48 intervals');
  await expect(slip).toHaveText('mean 0.0 units · largest 0.0 units');
  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await bench.group('Drawings');
  await expect(slip).toHaveText('mean 0.0 units · largest 0.0 units');
  await bench.step('Sheet');
  const shown = (await bench.column('drawing')).slice(0, 49).join('');
  expect(shown).toBe(`${'1234'.repeat(12)}1`);
});

test('two frames are flipped between, at a held button and by a key', ONCE, async ({ bench, page, hand }) => {
  await bench.open(paces());
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.type('Flip from frame', 5);
  await bench.type('Flip to frame', 9);
  const frame = page.getByRole('slider', { name: 'Frame', exact: true });
  const button = page.getByRole('button', { name: 'Hold to flip' });
  await button.scrollIntoViewIfNeeded();
  const middle = await bench.middleOf(button);
  if (hand.isFinger) {
    await hand.tap(middle);
    await expect(frame).toHaveAttribute('aria-valuenow', '5');
  } else {
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.down();
    await expect(frame).toHaveAttribute('aria-valuenow', '9');
    await page.mouse.up();
    await expect(frame).toHaveAttribute('aria-valuenow', '5');
    await page.keyboard.press('x');
    await expect(frame).toHaveAttribute('aria-valuenow', '9');
    await page.keyboard.press('x');
    await expect(frame).toHaveAttribute('aria-valuenow', '5');
  }
});

test('ten drawings that ship make a cycle that walks', ONCE, async ({ bench, page }) => {
  await bench.open(paces());
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.press('Use ten of ours');
  await expect(page.getByTestId('figure-picture')).toBeVisible();
  await bench.choose('Cycle by time');
  // 60 units of the drawings in a cycle, at twice their height.
  await expect(
    page.getByText('The drawings carry the figure 120.0 units in a cycle of 10 frames.'),
  ).toBeVisible();
  await expect(page.getByTestId('rail-drawing').first()).toHaveText('1');
  // The frames there are ask for 640 units a cycle: 1536 in 24 intervals, ten frames each.
  await bench.press('640.0 units a cycle');
  expect(await bench.number('Distance per cycle, units')).toBeCloseTo(640, 1);
  await bench.press('By distance');
  expect(await bench.number('Distance per cycle, units')).toBeCloseTo(120, 1);
});
