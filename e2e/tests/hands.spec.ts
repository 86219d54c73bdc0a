import { expect, ONCE, test } from '../support/test';

test(
  'a tap on the frame number types a frame: a number, so many on, seconds',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Tide', length: 60 });
    const count = page.getByTestId('frame-count');
    const entry = page.getByRole('textbox', { name: 'Go to frame' });
    const type = async (text: string): Promise<void> => {
      await count.click();
      await expect(entry).toBeFocused();
      await entry.fill(text);
      await entry.press('Enter');
      await expect(entry).toHaveCount(0);
    };
    await type('45');
    await expect(count).toContainText('45');
    await type('+12');
    await expect(count).toContainText('57');
    await type('-7');
    await expect(count).toContainText('50');
    await type('1.5 s');
    await expect(count).toContainText('37');
    await type('999');
    await expect(count).toContainText('60');
    await type('soon');
    await expect(
      page
        .getByRole('alert')
        .or(page.getByRole('status'))
        .getByText(/“soon” isn’t a frame number/),
    ).toBeVisible();
    await expect(count).toContainText('60');
    await count.click();
    await entry.fill('3');
    await entry.press('Escape');
    await expect(count).toContainText('60');
  },
);

test('after a dialog closes Space plays and does not press what opened it', async ({ bench, page, hand }) => {
  test.skip(hand.isFinger, 'a phone has no keyboard');
  await bench.openShot({ name: 'Signal', length: 240 });
  const more = page.getByRole('button', { name: 'Shot menu' });
  await more.click();
  await page.getByRole('button', { name: 'Shot settings' }).click();
  await expect(page.getByRole('dialog', { name: 'Shot settings' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  // Once the focus has been elsewhere, a button is worked by Space as everywhere.
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  await expect(more).toBeFocused();
  await page.keyboard.press('Space');
  await expect(page.getByRole('dialog', { name: 'Signal' })).toBeVisible();
});

test('a drag that leaves the field, and the window, goes on and ends where it is let go', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Far throw' });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.press('Keep it');
  const point = bench.points.first();
  const from = await bench.middleOf(point);
  /** In hundredths of a pixel: a browser lays out no finer than that, and says the rest as it likes. */
  const place = async (): Promise<string> => {
    const { x, y } = await bench.middleOf(point);
    return `${x.toFixed(2)} ${y.toFixed(2)}`;
  };
  const field = (await page.getByTestId('field').boundingBox())!;
  const [below, outside] = [
    { x: from.x + 40, y: field.y + field.height + 60 },
    { x: -40, y: field.y + field.height + 60 },
  ];
  await hand.hold([from, { x: from.x + 20, y: from.y + 20 }], async (go) => {
    const inside = await place();
    await go([{ x: from.x + 20, y: from.y + 20 }, below]);
    await expect.poll(place).not.toBe(inside);
    const beneath = await place();
    await go([below, outside]);
    await expect.poll(place).not.toBe(beneath);
  });
  const released = await place();
  // Nothing is held any more.
  await hand.drag([below, { x: below.x + 30, y: below.y }]);
  expect(await place()).toBe(released);
  await bench.undo();
  const back = await bench.middleOf(point);
  expect(Math.hypot(back.x - from.x, back.y - from.y)).toBeLessThan(1);
});

test('a long press or the right button opens what can be done with a point, an arc and the field', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Lantern swing' });
  await bench.draw([0.1, 0.4], [0.5, 0.8], [0.9, 0.4]);
  await bench.press('Keep it');
  const dialog = page.getByRole('dialog');
  const item = (name: string) => dialog.getByRole('button', { name, exact: true });
  const before = await bench.points.count();
  await hand.askMenu(await bench.middleOf(bench.points.first()));
  await expect(page.getByRole('dialog', { name: `Point 1 of ${before}` })).toBeVisible();
  await item('Corner').click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('radio', { name: 'Corner', exact: true })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await hand.askMenu(await bench.middleOf(bench.points.first()));
  await item('Delete point').click();
  await expect(bench.points).toHaveCount(before - 1);
  await bench.undo();
  await expect(bench.points).toHaveCount(before);
  await hand.askMenu(await bench.spot(0.5, 0.1));
  await expect(page.getByRole('dialog', { name: 'The field' })).toBeVisible();
  await item('Draw point by point').click();
  await bench.tap(0.2, 0.9);
  await expect(page.getByTestId('hint')).toContainText('Tap to place a point');
  // While something is made, a press makes it: there is no menu.
  await hand.askMenu(await bench.spot(0.5, 0.9));
  await expect(dialog).toHaveCount(0);
});

test('marks, ticks and the rail have their menus in the Timing step', async ({ bench, page, hand }) => {
  await bench.straight('Slow crane', 21);
  const dialog = page.getByRole('dialog');
  const item = (name: string) => dialog.getByRole('button', { name, exact: true });
  await hand.askMenu(await bench.spot(0.5, 0.5));
  await expect(page.getByRole('dialog', { name: 'Picture on frame 11' })).toBeVisible();
  await item('Add a mark here').click();
  await expect(page.getByRole('heading', { name: 'Mark on frame 11' })).toBeVisible();
  await hand.askMenu(await bench.spot(0.5, 0.5));
  await expect(page.getByRole('dialog', { name: 'Mark on frame 11' })).toBeVisible();
  await item('Pass through').click();
  await expect(page.getByRole('radio', { name: 'Pass', exact: true })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
  await hand.askMenu({ x: rail.x + rail.width - 14, y: rail.y + 24 });
  await expect(page.getByRole('dialog', { name: 'Mark on frame 21' })).toBeVisible();
  await page.keyboard.press('Escape');
  await hand.askMenu({ x: rail.x + rail.width / 2, y: rail.y + 24 });
  await item('Delete mark').click();
  await expect(page.getByRole('heading', { name: 'Mark on frame 11' })).toHaveCount(0);
});

test('a pose and an empty place have their menus in the Figure step', ONCE, async ({ bench, page, hand }) => {
  await bench.openShot({ name: 'Rounds', length: 24 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.press('Keep it');
  await bench.step('Figure');
  const dialog = page.getByRole('dialog');
  const item = (name: string) => dialog.getByRole('button', { name, exact: true });
  await bench.keyLine('Place');
  await bench.goTo(12);
  await hand.askMenu(await bench.spot(0.5, 0.1));
  await item('Put the figure here').click();
  await expect(page.getByRole('button', { name: 'Go to the pose on frame 12' })).toBeVisible();
  await hand.askMenu(await bench.spot(0.5, 0.1));
  await expect(page.getByRole('dialog', { name: 'Pose on frame 12' })).toBeVisible();
  await item('Straight to frame 24').click();
  await expect(
    page
      .getByRole('radiogroup', { name: 'From frame 12 to frame 24' })
      .getByRole('radio', { name: 'Straight' }),
  ).toHaveAttribute('aria-checked', 'true');
  await hand.askMenu(await bench.spot(0.5, 0.1));
  await item('Remove pose').click();
  await expect(page.getByRole('button', { name: 'Go to the pose on frame 12' })).toHaveCount(0);
});
