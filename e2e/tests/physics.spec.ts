import { edits, freshShot, type Shot } from '@humble/core';
import { expect, test } from '../support/test';

/** A line that falls 400 units, 200 mm. */
function plumb(): Shot {
  const empty = freshShot({ name: 'Lead', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const shape = { kind: 'line', reversed: false, from: { x: 900, y: 200 }, to: { x: 900, y: 600 } } as const;
  return edits.setScale(edits.drawArc(empty, { shape }), { unitsPerMm: 2, units: 'mm' });
}

test('a fall of 200 mm is timed by its weight, and as a miniature; undone, and kept', async ({
  bench,
  page,
}) => {
  await bench.open(plumb());
  await bench.step('Timing');
  await bench.group('Move');
  await expect(page.getByText('It takes 0.202 s: 4.85 frames.')).toBeVisible();
  await expect(page.getByText('Rounded to whole frames: 6 by 0.15.')).toBeVisible();
  await bench.press('Time it');
  await bench.saved();
  await bench.step('Sheet');
  // The true way on each frame, and the ground on the frame that the hit was rounded to.
  await expect.poll(() => bench.numbers('place mm')).toEqual([0, 8.51, 34.05, 76.61, 136.2, 200]);
  await bench.undo();
  await bench.saved();
  await bench.step('Timing');
  await bench.type('Miniature, 1 to', 6);
  await expect(page.getByText('It takes 0.495 s: 11.87 frames.')).toBeVisible();
  await bench.press('Time it');
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await expect.poll(async () => (await bench.column('frame')).at(-1)).toBe('13');
});
