import { edits, freshShot, type Shot } from '@humble/core';
import { expect, ONCE, test } from '../support/test';

/** A line that falls 400 units, 200 mm. */
function plumb(): Shot {
  const empty = freshShot({ name: 'Lead', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const shape = { kind: 'line', reversed: false, from: { x: 900, y: 200 }, to: { x: 900, y: 600 } } as const;
  return edits.setScale(edits.drawArc(empty, { shape }), { unitsPerMm: 2, units: 'mm' });
}

test(
  'a fall of 200 mm is timed by its weight, and as a miniature; undone, and kept',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(plumb());
    await bench.step('Timing');
    await bench.group('Move');
    await expect(page.getByText('It takes 0.202 s: 4.85 frames.')).toBeVisible();
    await expect(page.getByText('Put on whole frames: 5.85 on 6.')).toBeVisible();
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
  },
);

test(
  'a pendulum is made from millimetres without drawing it, and stays one until a mark is touched',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(
      freshShot({ name: 'Lamp', rate: 24, lengthFrames: 24, width: 1920, height: 1080, widthMm: 960 }),
    );
    await bench.step('Arc');
    await bench.group('Draw');
    await bench.press('By physics');
    await bench.type('Length, mm', 250);
    await bench.type('Let go at, °', 40);
    // Before it is made it says what it takes, and which moments are put on whole frames.
    await expect(page.getByText('It takes 1.035 s: 24.83 frames.')).toBeVisible();
    await expect(page.getByText('Put on whole frames: 13.42 on 13, 25.83 on 26.')).toBeVisible();
    await bench.press('Make it');
    await bench.saved();
    await bench.step('Sheet');
    // Half a swing of 250 mm from 40° takes 12.415 frames, a whole one 24.831.
    await expect.poll(async () => (await bench.column('frame')).at(-1)).toBe('26');
    await bench.step('Timing');
    await bench.group('Move');
    await expect(page.getByText('Moved by physics')).toBeVisible();
    // Four times as long it takes twice the time, at once.
    await bench.type('Length, mm', 1000);
    await bench.saved();
    await page.reload();
    await bench.step('Sheet');
    await expect.poll(async () => (await bench.column('frame')).at(-1)).toBe('51');
    await bench.step('Timing');
    await bench.group('Move');
    await bench.press('Turn into ordinary marks');
    await expect(page.getByText('By its weight')).toBeVisible();
    await bench.undo();
    await expect(page.getByText('Moved by physics')).toBeVisible();
  },
);
