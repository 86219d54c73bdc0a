import { expect, ONCE, test } from '../support/test';

const shownGroup = '[role=tablist][aria-label=Group] [role=tab][aria-selected=true]';

test(
  'what is selected brings its group forward, and each step remembers its own',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Groups', 21);
    const shown = page.locator(shownGroup);
    await expect(shown).toHaveText('Here');
    await bench.group('Takes');
    await bench.goTo(5);
    await bench.tap(0.1, 0.5);
    await expect(shown).toHaveText('Here');
    await expect(page.getByRole('heading', { name: 'Mark on frame 1' })).toBeVisible();
    await bench.group('Move');
    await bench.step('Arc');
    await bench.group('Draw');
    await bench.tap(0.9, 0.5);
    await expect(shown).toHaveText('This arc');
    await expect(page.getByText('Selected point')).toBeVisible();
    await bench.step('Timing');
    await expect(shown).toHaveText('Move');
    await page.reload();
    await bench.step('Timing');
    await expect(shown).toHaveText('Move');
  },
);

test('on a wide screen groups fold to a line that says what is in them', async ({ bench, page, hand }) => {
  test.skip(hand.isFinger, 'a phone shows one group at a time');
  await bench.straight('Folds', 21);
  const here = page.getByRole('button', { name: 'Here', exact: true });
  await expect(here).toHaveAttribute('aria-expanded', 'true');
  await here.click();
  await expect(page.getByText('20 increments')).toHaveCount(0);
  await expect(here).toContainText('frame 1');
  await page.reload();
  await bench.step('Timing');
  await expect(here).toHaveAttribute('aria-expanded', 'false');
  // A tap on a mark in the field unfolds its group.
  await bench.tap(0.9, 0.5);
  await expect(here).toHaveAttribute('aria-expanded', 'true');
  await expect(page.getByRole('heading', { name: 'Mark on frame 21' })).toBeVisible();
});

test(
  'lengths are in millimetres once there is a scale, and any unit can be typed',
  ONCE,
  async ({ bench, page }) => {
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    await bench.step('Arc');
    await bench.group('This arc');
    await bench.press('Select all');
    await bench.type('Width, mm', '20 cm');
    await expect.poll(() => bench.number('Width, mm')).toBeCloseTo(200, 1);
    await bench.type('Middle, across, mm', '2 in');
    await expect.poll(() => bench.number('Middle, across, mm')).toBeCloseTo(50.8, 1);
    await bench.type('Middle, across, mm', '3 ells');
    await expect(page.getByText('“3 ells” is not a number.')).toBeVisible();
    // The choice stands in the settings of the shot.
    await page.getByRole('button', { name: 'Shot menu' }).click();
    await page.getByRole('button', { name: 'Shot settings' }).click();
    await page.getByRole('radio', { name: 'Field units' }).click();
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(bench.field('Middle, across, units')).toBeVisible();
    await bench.undo();
    await expect(bench.field('Middle, across, mm')).toBeVisible();
  },
);

test('frames are counted from 0 everywhere for whoever wants that', ONCE, async ({ bench, page }) => {
  await bench.straight('Zero', 21);
  await page.getByRole('button', { name: 'View' }).click();
  await page.getByRole('radio', { name: 'Frame 0' }).click();
  await page.getByRole('button', { name: 'Close the view sheet' }).click();
  await expect(page.getByTestId('frame-count')).toHaveText(/^0/);
  await expect(page.getByRole('heading', { name: 'Mark on frame 0' })).toBeVisible();
  await bench.group('Move');
  await expect(bench.field('Ends on frame')).toHaveValue('20');
  await bench.type('Ends on frame', 15);
  await bench.step('Sheet');
  expect(await bench.column('frame')).toEqual(Array.from({ length: 16 }, (_, i) => String(i)));
  // A shot file counts from 1 all the same.
  const stored = async () => {
    const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
    return (await (await page.request.get(address)).json()).shot.moves[0].marks.at(-1).frame as number;
  };
  await expect.poll(stored).toBe(16);
  await page.reload();
  await expect(page.getByTestId('frame-count')).toHaveText(/^0/);
});

test(
  'help says what a step is for; a word of the trade is explained by a tap',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Help', 21);
    await page.keyboard.press('?');
    const help = page.getByRole('dialog', { name: 'Timing: what it’s for' });
    await expect(help).toContainText('Ticks that are close together are slow');
    await expect(help).toContainText('Exposure');
    await help.getByRole('button', { name: 'All keys' }).click();
    const keys = page.getByRole('dialog', { name: 'Keyboard' });
    await expect(keys).toBeVisible();
    await expect(async () => {
      await page.keyboard.press('Escape');
      await expect(keys).toBeHidden({ timeout: 1000 });
    }).toPass();
    await bench.group('Here');
    await bench.goTo(5);
    await page.getByRole('button', { name: /what “Span” means/ }).click();
    await expect(page.getByRole('dialog', { name: 'Span' })).toContainText('The frames between two marks');
  },
);
