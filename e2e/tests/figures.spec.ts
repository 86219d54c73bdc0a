import { readFileSync } from 'node:fs';
import { type Shot } from '@humble/core';
import { twoLines } from '../support/figures';
import { expect, ONCE, test } from '../support/test';

test('figures are put in order, hidden, locked, shown alone, and given to another arc with their timing', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(twoLines('Company'));
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.press('Add a figure');
  const rows = page.getByRole('list', { name: 'Figures' }).getByTestId(/^figure-row-/);
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText('not on an arc yet');

  // A tap on a place of an arc puts it there on this frame: a quarter of the way on frame 11.
  await bench.goTo(11);
  await bench.tap(0.1 + 0.8 * 0.25, 0.75);
  await expect(rows.first()).toContainText('on Lower');
  const figures = page.getByTestId('figure');
  await expect(figures).toHaveCount(2);
  const foot = async (index: number) => {
    const [a, , c, , e] = await bench.placement(index);
    return a * 30 + c * 100 + e;
  };
  await expect.poll(async () => Math.abs((await foot(1)) - (192 + 0.25 * 1536))).toBeLessThan(16);

  // Its grip takes it behind the other one.
  const grip = page.getByRole('button', { name: 'Move Figure 2 to the front or back' });
  await grip.scrollIntoViewIfNeeded();
  const from = await bench.middleOf(grip);
  const below = await bench.middleOf(
    page.getByRole('button', { name: 'Move Figure 1 to the front or back' }),
  );
  await hand.hold([from, { x: from.x, y: from.y + 12 }], async (go) => {
    await go([
      { x: from.x, y: from.y + 12 },
      { x: from.x, y: below.y + 6 },
    ]);
  });
  await expect(rows.first()).toContainText('Figure 1');
  await bench.undo();
  await expect(rows.first()).toContainText('Figure 2');

  await page.getByRole('button', { name: 'Hide Figure 1' }).click();
  await expect(figures).toHaveCount(1);
  await page.getByRole('button', { name: 'More for Figure 1' }).click();
  await bench.press('Show it alone');
  await expect(page.getByText('Only this figure is shown.')).toBeVisible();
  await expect(figures).toHaveCount(1);
  await bench.press('Show all again');
  await page.getByRole('button', { name: 'Show Figure 1' }).click();
  await expect(figures).toHaveCount(2);

  // Locked, it cannot be taken hold of.
  await page.getByRole('button', { name: 'Work on Figure 1' }).click();
  await page.getByRole('button', { name: 'Lock Figure 1' }).click();
  await bench.goTo(21);
  const stood = await bench.placement(0);
  const at = await bench.spot(0.5, 0.25);
  await hand.drag([at, { x: at.x, y: at.y + 20 }, { x: at.x, y: at.y + 40 }]);
  expect(await bench.placement(0)).toEqual(stood);
  await page.getByRole('button', { name: 'Unlock Figure 1' }).click();

  // Given to the other arc it is there when it was there before: half way on frame 21.
  await bench.press('At the start of Lower');
  await expect(rows.nth(1)).toContainText('on Lower');
  await expect.poll(async () => (await bench.placement(0))[5]).toBeGreaterThan(stood[5] + 500);
  expect(await foot(0)).toBeCloseTo(960, 0);

  // Detached it waits where it stands, and comes back with its timing.
  await bench.press('Detach from its arc');
  await expect(rows.nth(1)).toContainText('not on an arc yet');
  await expect(page.getByText('It still has its timing.')).toBeVisible();
  await bench.goTo(1);
  expect(await foot(0)).toBeCloseTo(960, 0);
  await bench.press('At the start of Upper');
  await expect.poll(() => foot(0)).toBeCloseTo(192, 0);
  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await bench.group('Figures');
  await expect(rows.nth(1)).toContainText('on Upper');
});

test('an offset is dragged and typed, rides along, and goes from a frame on', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Beside', 41);
  await bench.step('Figure');
  await bench.keyLine('Offset');
  await bench.goTo(21);
  const at = await bench.spot(0.5, 0.5);
  const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
  const unit = paper.width / 1920;
  await hand.drag([at, { x: at.x, y: at.y - 60 * unit }, { x: at.x, y: at.y - 150 * unit }]);
  await expect.poll(async () => Math.abs((await bench.number('Offset down, units')) + 150)).toBeLessThan(12);
  await bench.type('Offset down, units', -150);
  await bench.goTo(1);
  expect(await bench.number('Offset down, units')).toBe(-150);
  await bench.choose('Riding along');
  expect(await bench.number('Offset sideways, units')).toBe(-150);
  // Turned round, the same offset is one to the other side.
  await bench.choose('From here on');
  await bench.goTo(31);
  await bench.type('Offset forward, units', 40);
  await bench.goTo(41);
  expect(await bench.number('Offset forward, units')).toBe(40);
  await bench.goTo(1);
  expect(await bench.number('Offset forward, units')).toBe(0);
  await bench.undo();
  await bench.goTo(41);
  expect(await bench.number('Offset forward, units')).toBe(0);
});

test('keys are selected, copied and pasted', ONCE, async ({ bench, page }) => {
  await bench.straight('Again', 41);
  await bench.step('Figure');
  await bench.keyLine('Turn');
  await bench.press('Turn key on frame 1');
  await bench.goTo(6);
  await bench.type('Turn on frame 6, °', 30);
  await bench.press('Select all');
  await expect(page.getByText('2 keys are selected.')).toBeVisible();
  expect([await bench.number('Keys from'), await bench.number('Keys to')]).toEqual([1, 6]);
  await bench.type('Keys to', 11);
  await bench.goTo(11);
  expect(await bench.number('Turn on frame 11, °')).toBe(30);
  await bench.press('Copy');
  // On a frame that none of them is on they are let go, and pasted all the same.
  await bench.goTo(21);
  await expect(page.getByText('2 keys are selected.')).toHaveCount(0);
  await bench.press('Paste here');
  await expect(page.getByTestId('track-turn')).toHaveAccessibleName('Turn over 41 frames: 4 keys');
  await bench.goTo(31);
  expect(await bench.number('Turn on frame 31, °')).toBe(30);
  await bench.press('Select all');
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByTestId('track-turn')).not.toHaveAccessibleName(/4 keys/);
});

test('a file of version 4 opens as it was', ONCE, async ({ bench, page }) => {
  const path = new URL('../../core/src/testing/oldVersions/version4.json', import.meta.url);
  const old = JSON.parse(readFileSync(path, 'utf8')) as Shot;
  await page.goto('/');
  await bench.chooseFiles(() => bench.press('Import a shot'), {
    name: 'version4.json',
    mimeType: 'application/json',
    buffer: readFileSync(path),
  });
  await expect(page.getByRole('heading', { name: old.name })).toBeVisible();
  await expect(page.getByTestId('figure')).toHaveCount(old.moves.length);
  await bench.step('Figure');
  await bench.group('Figures');
  const rows = page.getByRole('list', { name: 'Figures' }).getByTestId(/^figure-row-/);
  await expect(rows).toHaveCount(old.figures.length);
  await bench.keyLine('Turn');
  await expect(page.getByRole('button', { name: 'Flip left to right' })).toBeVisible();
});

test(
  'one press makes the figure look the other way, feet down, and one turns it upside down',
  ONCE,
  async ({ bench }) => {
    await bench.open(twoLines('Two ways'));
    await bench.step('Figure');
    await bench.keyLine('Turn');
    const [a, , , d] = await bench.placement();
    const stands = async (): Promise<readonly number[]> => {
      const [across, , , down] = await bench.placement();
      return [Math.sign(across * a), Math.sign(down * d)];
    };
    await bench.press('Flip left to right');
    await expect.poll(stands).toEqual([-1, 1]);
    await bench.press('Flip upside down');
    await expect.poll(stands).toEqual([-1, -1]);
    await bench.undo();
    await bench.undo();
    await expect.poll(stands).toEqual([1, 1]);
  },
);
