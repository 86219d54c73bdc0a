import { expect, ONCE, test } from '../support/test';

test(
  'a stretch is pulled without a further point, and straightened again',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.openShot({ name: 'Line' });
    await bench.draw([0.1, 0.5], [0.9, 0.5]);
    await bench.group('Draw');
    await bench.press('Keep it');
    const count = await bench.points.count();
    const straight = await bench.arcLength();
    await hand.hold([await bench.spot(0.5, 0.5), await bench.spot(0.5, 0.2)], async () => {
      if (hand.isFinger) await expect(page.getByTestId('loupe')).toBeVisible();
    });
    await expect.poll(() => bench.arcLength()).toBeGreaterThan(straight * 1.1);
    await expect(bench.points).toHaveCount(count);
    await expect(page.getByTestId('loupe')).toHaveCount(0);
    await bench.tap(0.5, 0.2);
    await bench.group('This arc');
    await expect(page.getByText('This spot on the arc')).toBeVisible();
    await bench.press('Straighten');
    await expect
      .poll(async () => Math.abs((await bench.arcLength()) - straight))
      .toBeLessThan(straight * 0.02);
  },
);

test('several points are selected, moved, turned and mirrored together', async ({ bench, page, hand }) => {
  await bench.openShot({ name: 'Fleet' });
  await bench.readyShape('Through three points');
  const length = await bench.arcLength();
  if (hand.isFinger) {
    await bench.group('This arc');
    await bench.press('Select several');
    const box = [await bench.spot(0.02, 0.1), await bench.spot(0.98, 0.95)];
    await hand.drag(box);
    await bench.press('Select several');
  } else await page.keyboard.press('Control+a');
  await bench.group('This arc');
  await expect(page.getByText('The whole arc')).toBeVisible();
  await expect(page.getByTestId('selection-frame')).toBeVisible();
  const d = (await bench.line.getAttribute('d'))!;
  await bench.type('Turn by, °', 90);
  await expect(bench.line).not.toHaveAttribute('d', d);
  await expect.poll(() => bench.arcLength()).toBe(length);
  // Each of the two is one step.
  await bench.press('Mirror left and right');
  await bench.undo();
  await bench.undo();
  await expect(bench.line).toHaveAttribute('d', d);
  await bench.group('This arc');
  const width = await bench.number('Width, units');
  await bench.type('Width, units', width * 2);
  await expect.poll(() => bench.arcLength()).toBeGreaterThan(length * 1.5);
  if (!hand.isFinger) {
    const across = await bench.number('Middle, across, units');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await bench.group('This arc');
    await expect.poll(() => bench.number('Middle, across, units')).toBe(across + 11);
  }
});

test('points that lie close are all within reach: a repeated tap goes on to the next', async ({
  bench,
  page,
}) => {
  await bench.openShot({ name: 'Knot' });
  await bench.group('Draw');
  await bench.press('Import SVG');
  const dialog = page.getByRole('dialog', { name: 'Import SVG' });
  await dialog.getByLabel('SVG or path data').fill('M 300 500 L 900 500 L 912 500 L 1600 500');
  await dialog.getByRole('radio', { name: 'Keep its position' }).click();
  await dialog.getByRole('button', { name: 'Import' }).click();
  await bench.tap(905 / 1920, 500 / 1080);
  await bench.group('This arc');
  await expect(bench.field('Across, units')).toHaveValue(/^9(00|12)$/);
  const first = await bench.number('Across, units');
  await bench.tap(905 / 1920, 500 / 1080);
  await bench.group('This arc');
  await expect.poll(() => bench.number('Across, units')).toBe(first === 900 ? 912 : 900);
  await bench.tap(905 / 1920, 500 / 1080);
  await bench.group('This arc');
  await expect.poll(() => bench.number('Across, units')).toBe(first);
});

test('an arc is closed, opened, turned round, cut and joined', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Loop' });
  await bench.readyShape('Wave');
  const length = await bench.arcLength();
  await bench.group('This arc');
  await bench.press('Close');
  await expect(bench.line).toHaveAttribute('d', /Z$/);
  await bench.press('Open');
  await expect(bench.line).not.toHaveAttribute('d', /Z$/);
  await bench.undo();
  await bench.undo();

  const start = await page.getByTestId('figure').getAttribute('transform');
  await bench.group('This arc');
  await bench.press('Reverse');
  await bench.press('The move stays where it is');
  await expect(page.getByTestId('figure')).not.toHaveAttribute('transform', '');
  await bench.undo();
  await bench.group('This arc');
  await bench.press('Reverse');
  await bench.press('The move runs the other way');
  await expect(page.getByTestId('figure')).not.toHaveAttribute('transform', start!);
  await bench.undo();

  await bench.group('This arc');
  await bench.press('Point at the figure');
  await bench.type('From the start, units', Math.round(length / 2));
  await bench.press('Cut here');
  await expect(page.getByTestId('other-arc-line')).toHaveCount(1);
  expect(Math.abs((await bench.arcLength()) - length / 2)).toBeLessThan(1);
  await bench.group('This arc');
  await bench.press('Join');
  await page.getByRole('dialog').getByRole('button', { name: 'Wave, rest' }).click();
  await expect(page.getByTestId('other-arc-line')).toHaveCount(0);
  expect(Math.abs((await bench.arcLength()) - length)).toBeLessThan(0.2);
});

test('from here on the arc is turned and no gap changes', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Elbow', length: 9 });
  await bench.readyShape('Line');
  await bench.step('Sheet');
  const before = await bench.column('along');
  await bench.step('Arc');
  await bench.group('This arc');
  await bench.press('Point at the figure');
  await bench.type('From the start, units', 400);
  await bench.type('Turn by, °', 60);
  const d = (await bench.line.getAttribute('d'))!;
  expect(d.match(/C/g)).toHaveLength(2);
  await bench.step('Sheet');
  expect(await bench.column('along')).toEqual(before);
  await bench.undo();
  await bench.step('Arc');
  await expect(bench.line).not.toHaveAttribute('d', d);
});

test('the move keeps its shares, its distances or its spots, as chosen', ONCE, async ({ bench }) => {
  await bench.openShot({ name: 'Keeps', length: 11 });
  await bench.readyShape('Line');
  const last = async (): Promise<number> => {
    await bench.step('Sheet');
    const place = Number((await bench.column('place')).at(-1));
    await bench.step('Arc');
    return place;
  };
  const length = await bench.arcLength();
  await bench.group('This arc');
  await bench.choose('Distances');
  await bench.type('End, across, units', 1920);
  expect(await bench.arcLength()).toBeGreaterThan(length + 100);
  expect(await last()).toBeCloseTo(length, 1);
  await bench.undo();
  await bench.group('This arc');
  await bench.choose('Proportions');
  await bench.type('End, across, units', 1920);
  expect(await last()).toBeCloseTo(await bench.arcLength(), 1);
});

test(
  'several arcs: named, coloured, hidden, locked, ordered, with and without a figure',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Traffic' });
    await bench.readyShape('Line');
    await bench.readyShape('Wave');
    await bench.group('Arcs');
    const rows = page.getByRole('listitem');
    await expect(rows).toHaveCount(2);
    await expect(rows.first()).toContainText('Wave');

    await bench.press('More for Line');
    await bench.press('Move up');
    await expect(rows.first()).toContainText('Line');
    await bench.press('More for Line');
    await bench.press('Name and colour');
    const dialog = page.getByRole('dialog', { name: 'Name and colour' });
    await dialog.getByLabel('Name').fill('Ferry');
    await dialog.getByRole('radio', { name: 'Plum' }).click();
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(rows.first()).toContainText('Ferry');

    await bench.press('Hide Ferry');
    await expect(page.getByTestId('other-arc-line')).toHaveCount(0);
    await bench.press('Show Ferry');
    await expect(page.getByTestId('other-arc-line')).toHaveCount(1);

    await bench.press('More for Ferry');
    await bench.press('Add a figure');
    await expect(page.getByTestId('figure')).toHaveCount(3);
    await expect(rows.first()).toContainText('2 figures on it');
    await bench.undo();
    await expect(page.getByTestId('figure')).toHaveCount(2);

    // A locked arc stays as it is.
    await bench.press('Lock Wave');
    await bench.group('This arc');
    await expect(page.getByText(/This arc is locked/).first()).toBeVisible();
    await expect(bench.points).toHaveCount(0);
    await bench.group('Arcs');
    await bench.press('Work on Ferry');
    await expect(bench.points).toHaveCount(2);
    await bench.saved();
    await page.reload();
    await bench.step('Arc');
    await bench.group('Arcs');
    await expect(rows.first()).toContainText('Ferry');
    await bench.press('More for Ferry');
    await bench.press('Remove this arc');
    await bench.group('Arcs');
    await expect(rows).toHaveCount(1);
  },
);

test('a box round points selects them, and the grips of their frame turn, size and move them', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Net' });
  await bench.readyShape('Wave');
  const length = await bench.arcLength();
  const box = [await bench.spot(0.03, 0.05), await bench.spot(0.97, 0.97)];
  await bench.group('This arc');
  if (hand.isFinger) await bench.press('Select several');
  else await page.keyboard.down('Shift');
  await hand.drag(box);
  await bench.group('This arc');
  if (hand.isFinger) await bench.press('Select several');
  else await page.keyboard.up('Shift');
  await bench.group('This arc');
  await expect(page.getByText('The whole arc')).toBeVisible();

  // The move grip hangs below the frame, in its middle.
  const frame = (await page.getByTestId('selection-frame').boundingBox())!;
  const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
  const before = await bench.number('Middle, down, units');
  const below = { x: middle.x, y: frame.y + frame.height - 10 };
  await hand.drag([below, { x: below.x, y: below.y - 24 }]);
  await expect.poll(() => bench.number('Middle, down, units')).toBeLessThan(before - 20);
  await bench.undo();
  await bench.group('This arc');
  await expect.poll(() => bench.number('Middle, down, units')).toBe(before);

  // The ring on top turns, a corner sizes.
  const above = { x: middle.x, y: frame.y + 10 };
  await hand.drag([above, { x: middle.x + 60, y: frame.y + 30 }]);
  await expect.poll(() => bench.number('Width, units')).not.toBe(0);
  expect(Math.abs((await bench.arcLength()) - length)).toBeLessThan(0.2);
  await bench.undo();
  const corner = { x: frame.x + 10, y: frame.y + 10 };
  await hand.drag([
    corner,
    { x: corner.x + (middle.x - corner.x) / 2, y: corner.y + (middle.y - corner.y) / 2 },
  ]);
  await expect.poll(() => bench.arcLength()).toBeLessThan(length * 0.65);
});

test('two taps on empty ground show the whole field again', ONCE, async ({ bench, page, hand }) => {
  await bench.openShot({ name: 'Horizon' });
  await bench.readyShape('Line');
  const paper = page.getByTestId('field-paper').first();
  const whole = (await paper.boundingBox())!.width;
  const ground = await bench.spot(0.5, 0.15);
  if (hand.isFinger) {
    await hand.drag([ground, { x: ground.x + 40, y: ground.y + 30 }]);
    await expect(page.getByRole('button', { name: 'Fit' })).toBeVisible();
  } else {
    await page.mouse.move(ground.x, ground.y);
    await page.mouse.wheel(0, -300);
    await expect.poll(async () => (await paper.boundingBox())!.width).toBeGreaterThan(whole * 1.2);
  }
  await hand.tap(ground);
  await hand.tap(ground);
  await expect(page.getByRole('button', { name: 'Fit' })).toHaveCount(0);
  expect((await paper.boundingBox())!.width).toBeCloseTo(whole, 0);
});
