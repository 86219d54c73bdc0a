import { freshShot } from '@humble/core';
import { expect, ONCE, test } from '../support/test';

test('a removed shot comes back from the list’s menu, also after a reload', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Low tide, lost' });
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Low tide, lost' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByTestId('card-Low tide, lost')).toHaveCount(0);
  await page.reload();
  await page.getByRole('button', { name: 'Order, removed shots, backup, guide' }).click();
  await page.getByRole('button', { name: 'Removed shots', exact: true }).click();
  await page.getByRole('button', { name: 'Restore Low tide, lost' }).click();
  await page.getByRole('button', { name: 'Back to the shots' }).click();
  await expect(page.getByTestId('card-Low tide, lost')).toBeVisible();
});

test('two shots of one name are told apart', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Twin lamps' });
  await bench.openShot({ name: 'Twin lamps' });
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Twin lamps.*1 of 2 with this name/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Twin lamps.*2 of 2 with this name/ })).toBeVisible();
});

test(
  'a mark is added at the playhead whatever is selected, and takes a percentage',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Percent', 41);
    await bench.group('Here');
    await bench.tap(0.1, 0.5);
    await expect(page.getByRole('heading', { name: 'Mark on frame 1' })).toBeVisible();
    await bench.goTo(21);
    await bench.addMark();
    await expect(page.getByRole('heading', { name: 'Mark on frame 21' })).toBeVisible();
    await bench.type('Place, units', '25 %');
    await expect(page.getByTestId('mark-percent')).toHaveText('25.0 % of the arc');
    expect(await bench.number('Place, units')).toBe(384);
    await bench.group('Range');
    await bench.type('From place, units', '25 %');
    await bench.type('To place, units', '75%');
    await expect(page.getByTestId('where-and-when')).toContainText('25.0 % to 75.0 % of the arc');
  },
);

test('halves are for the last few, and what no hand can place is said', ONCE, async ({ bench, page }) => {
  await bench.straight('Halves', 17);
  await bench.view('Chart');
  await bench.press('Halves');
  const chart = page.getByRole('radiogroup', { name: 'For the last' });
  await expect(chart.getByRole('radio', { name: '3', exact: true })).toHaveAttribute('aria-checked', 'true');
  await chart.getByRole('radio', { name: '5', exact: true }).click();
  await bench.step('Sheet');
  // 15 drawings: 10 even steps and a last one in halves, 1536 units in all.
  const steps = (await bench.numbers('along')).slice(1);
  expect(steps[0]).toBeCloseTo(1536 / 11, 1);
  expect(Math.min(...steps)).toBeCloseTo(1536 / 11 / 32, 1);
  await bench.step('Timing');
  await expect(page.getByText(/finer than a hand can place/)).toHaveCount(0);
  await bench.straight('Fine', 30);
  await bench.view('Chart');
  await bench.press('Thirds');
  await chart.getByRole('radio', { name: '5', exact: true }).click();
  await expect(
    page.getByText('A step of 0.26 units is finer than a hand can place (0.5 units).'),
  ).toBeVisible();
});

test('going to another easing and back finds the numbers one had', ONCE, async ({ bench, page }) => {
  await bench.straight('And back', 41);
  await bench.choose('Plain');
  await bench.type('Leave slowly over, frames', 7);
  await bench.type('Arrive slowly over, frames', 13);
  await bench.press('Other easings');
  await page.getByRole('radio', { name: 'Slow at one point' }).click();
  await bench.type('Slowest at, %', 30);
  await bench.choose('Plain');
  expect([
    await bench.number('Leave slowly over, frames'),
    await bench.number('Arrive slowly over, frames'),
  ]).toEqual([7, 13]);
  await page.getByRole('radio', { name: 'Slow at one point' }).click();
  expect(await bench.number('Slowest at, %')).toBe(30);
});

test('a field keeps its format unless it is unlocked', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Format' });
  await bench.press('Shot menu');
  await bench.press('Shot settings');
  await bench.type('Field width, units', 1600);
  await expect(bench.field('Field height, units')).toHaveValue('900');
  await page.getByRole('switch', { name: 'Keep the format' }).click();
  await bench.type('Field width, units', 1200);
  await expect(bench.field('Field height, units')).toHaveValue('900');
});

test(
  'the scale is set by two typed places, and the length to type comes into view',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Quay ruler' });
    await bench.group('Backdrop');
    await bench.press('Set the scale');
    await bench.press('Type two places');
    await bench.type('From, Across, units', 100);
    await bench.type('To, Across, units', 1100);
    await bench.type('From, Down, units', 540);
    await bench.type('To, Down, units', 540);
    const known = bench.field('Known length, mm');
    await expect(known).toBeInViewport({ ratio: 1 });
    await bench.type('Known length, mm', 250);
    await bench.press('Set this scale');
    await expect(page.getByText('4.00 units per mm')).toBeVisible();
  },
);

test('the way to new poses is kept, also after a reload', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Last choice', length: 24 });
  await bench.step('Figure');
  await bench.tap(0.2, 0.5);
  const path = page.getByRole('radiogroup', { name: 'Path to new poses' });
  await path.getByRole('radio', { name: 'Straight' }).click();
  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await expect(path.getByRole('radio', { name: 'Straight' })).toHaveAttribute('aria-checked', 'true');
});

test(
  'a shot is made without a name, Enter goes from field to field, and the width on the set is changed later',
  ONCE,
  async ({ bench, page }) => {
    await page.goto('/');
    await bench.press('New shot');
    const dialog = page.getByRole('dialog', { name: 'New shot' });
    const name = dialog.getByRole('textbox', { name: 'Name' });
    await name.fill('');
    await name.press('Enter');
    await expect(dialog.getByRole('textbox', { name: 'Film' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(dialog.getByLabel('Rate, frames a second')).toBeFocused();
    await bench.press('Create shot');
    await expect(page.getByRole('heading', { name: /^Shot \d+$/ })).toBeVisible();
    await bench.press('Shot menu');
    await bench.press('Shot settings');
    await bench.type('Width on set, mm', '30 cm');
    await expect(bench.field('Width on set, mm')).toHaveValue('300');
    await bench.type('Width on set, mm', 'wide');
    await expect(page.getByText('Enter a length such as 300, 30 cm or 12 in.')).toBeVisible();
    await bench.press('Done');
    await bench.saved();
    await page.reload();
    await bench.press('Shot menu');
    await bench.press('Shot settings');
    await expect(bench.field('Width on set, mm')).toHaveValue('300');
    await bench.type('Width on set, mm', '');
    await expect(bench.field('Width on set, mm')).toHaveValue('');
    await bench.press('Done');
    await bench.undo();
    await bench.press('Shot menu');
    await bench.press('Shot settings');
    await expect(bench.field('Width on set, mm')).toHaveValue('300');
  },
);

test('the list comes back where it was left', ONCE, async ({ bench, page }) => {
  for (let n = 1; n <= 40; n++) {
    const shot = freshShot({ name: `Far ${n}`, rate: 24, lengthFrames: 20, width: 1920, height: 1080 });
    await page.request.post('/api/shots', { data: { shot } });
  }
  await page.goto('/');
  const far = page.getByRole('link', { name: 'Open Far 1,' });
  await far.scrollIntoViewIfNeeded();
  const top = (await far.boundingBox())!.y;
  await far.click();
  await expect(page.getByTestId('transport')).toBeVisible();
  await bench.press('Back to the shots');
  await expect(far).toBeInViewport();
  await expect.poll(async () => Math.abs((await far.boundingBox())!.y - top)).toBeLessThan(30);
});

test(
  'a tap in the chart of two takes goes to its frame; the strip says how far apart they are there',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Apart', 41);
    await bench.group('Takes');
    await bench.press('New take');
    await page.getByRole('tablist', { name: 'Compare with' }).getByRole('tab', { name: 'Take 1' }).click();
    await bench.group('Move');
    await bench.type('Lasts, frames', 80);
    await bench.group('Takes');
    const chart = page.getByTestId('take-difference');
    await chart.scrollIntoViewIfNeeded();
    const box = (await chart.boundingBox())!;
    await chart.click({ position: { x: box.width * 0.6, y: box.height / 2 } });
    const slider = page.getByRole('slider', { name: 'Frame', exact: true });
    await expect.poll(async () => Number(await slider.getAttribute('aria-valuenow'))).toBeGreaterThan(10);
    const frame = Number(await slider.getAttribute('aria-valuenow'));
    // Evenly over 1536 units: 40 frames before, 80 now.
    const apart = (1536 * (frame - 1)) / 40 - (1536 * (frame - 1)) / 80;
    await expect(page.getByTestId('apart-here')).toHaveText(
      `On frame ${frame}: ${apart.toFixed(1)} units behind “Take 1”.`,
    );
    await expect(page.getByTestId('read-out')).toContainText(`${apart.toFixed(1)} units behind Take 1`);
    // Comparing goes on with the take that was left.
    await page.getByRole('radio', { name: 'Take 1' }).click();
    await expect(page.getByTestId('apart-here')).toContainText('ahead of “Take 2”');
  },
);
