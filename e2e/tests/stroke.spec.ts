import { expect, ONCE, test } from '../support/test';

/** Place on frame f of a steady ramp over n intervals that leaves and arrives over r frames, by hand. */
function steadyPlace(length: number, n: number, r: number, f: number): number {
  const v = length / (n - r);
  const x = f - 1;
  if (x < r) return (v * x * x) / (2 * r);
  if (x > n - r) return length - (v * (n - x) * (n - x)) / (2 * r);
  return v * (x - r / 2);
}

const numbers = (texts: string[]): number[] => texts.map((text) => Number(text.replace('−', '-')));

test('from one stroke to a rounded table, which survives a reload', ONCE, async ({ bench, page }) => {
  await bench.makeShot({ name: 'Gangplank', rate: 12, length: 21 });
  await expect(page.getByText('Draw its path')).toBeVisible();
  await bench.draw([0.1, 0.5], [0.4, 0.5], [0.9, 0.5]);

  // A straight stroke over eight tenths of 1920 units: few points, and the figure on the start.
  const length = await bench.arcLength();
  expect(length).toBeGreaterThan(1480);
  expect(length).toBeLessThan(1590);
  await expect(page.getByText(/^[2-4] points$/)).toBeVisible();
  await expect(page.getByTestId('figure')).toBeVisible();

  // A move over the whole shot that leaves and arrives over a quarter of it.
  await bench.step('Timing');
  await bench.group('Here');
  await expect(page.getByLabel('Leave slowly over, frames', { exact: true })).toHaveValue('5');
  await bench.type('Leave slowly over, frames', 6);
  await bench.type('Arrive slowly over, frames', 6);

  await bench.step('Sheet');
  const places = numbers(await bench.column('place'));
  expect(places).toHaveLength(21);
  places.forEach((place, i) =>
    expect(Math.abs(place - steadyPlace(length, 20, 6, i + 1))).toBeLessThan(0.06),
  );

  // Rounded to a ruler: whole steps that add up.
  await page.getByRole('button', { name: 'In units, not rounded' }).click();
  await bench.type('Other step', '2.5');
  await page.getByRole('button', { name: 'Done' }).click();
  const ruler = numbers((await bench.column('ruler')).slice(1));
  const total = numbers(await bench.column('total')).at(-1)!;
  expect(ruler.every((step) => Number.isInteger(step / 2.5))).toBe(true);
  expect(ruler.reduce((a, b) => a + b)).toBeCloseTo(total, 9);
  expect(total).toBeCloseTo(Math.round(length / 2.5) * 2.5, 9);

  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await expect(page.getByRole('button', { name: 'Ruler 2.5 units' })).toBeVisible();
  expect(numbers((await bench.column('ruler')).slice(1))).toEqual(ruler);
});

test(
  'timing follows while a value is dragged, and one drag is one undo step',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.openShot({ name: 'Mooring', length: 41 });
    await bench.draw([0.1, 0.7], [0.5, 0.3], [0.9, 0.7]);
    await bench.step('Timing');
    await bench.group('Here');
    const leave = page.getByLabel('Leave slowly over, frames', { exact: true });
    await expect(leave).toHaveValue('10');
    const trail = page.getByTestId('trail').locator('path').first();
    const before = await trail.getAttribute('d');
    await page.getByText('Leave slowly over').scrollIntoViewIfNeeded();
    const box = (await page.getByText('Leave slowly over').boundingBox())!;
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await hand.hold([middle, { x: middle.x + 44, y: middle.y }], async () => {
      // While the finger is still down, the field has followed.
      await expect(leave).not.toHaveValue('10');
      await expect(trail).not.toHaveAttribute('d', before!);
    });
    await expect(leave).not.toHaveValue('10');
    await bench.undo();
    await expect(leave).toHaveValue('10');
    await expect(trail).toHaveAttribute('d', before!);
  },
);

test(
  'timing follows while a value is typed, and what is no number goes back',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Winch', length: 41 });
    await bench.draw([0.1, 0.5], [0.9, 0.5]);
    await bench.step('Timing');
    const trail = page.getByTestId('trail').locator('path').first();
    const before = await trail.getAttribute('d');
    await bench.group('Here');
    const leave = page.getByLabel('Leave slowly over, frames', { exact: true });
    await leave.click();
    await leave.press('Control+a');
    await leave.pressSequentially('2');
    await expect(trail).not.toHaveAttribute('d', before!);
    await leave.pressSequentially('x');
    await leave.blur();
    await expect(leave).toHaveValue('10');
    await expect(trail).toHaveAttribute('d', before!);
  },
);

test('length, first and last frame, easing and exposure', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Slipway', length: 48 });
  await bench.draw([0.1, 0.5], [0.9, 0.4]);
  await bench.step('Timing');
  await bench.group('Shot');
  await bench.type('Length, frames', 20);
  await bench.group('Move');
  await expect(page.getByLabel('Ends on frame', { exact: true })).toHaveValue('20');
  await bench.group('Here');
  await page.getByRole('radio', { name: 'Even' }).click();
  await bench.group('Move');
  await page.getByRole('radio', { name: 'Twos' }).click();
  await expect(
    page.getByText('Frame 20 falls between exposures and the shot ends: the arrival is never seen.'),
  ).toBeVisible();
  await bench.group('Shot');
  await bench.type('Length, frames', 21);
  await expect(page.getByText(/falls between exposures/)).toBeHidden();
  await bench.step('Sheet');
  expect(await bench.column('frame')).toEqual(['1', '3', '5', '7', '9', '11', '13', '15', '17', '19', '21']);
  expect((await bench.column('held')).slice(0, 3)).toEqual(['2', '2', '2']);
  const along = numbers((await bench.column('along')).slice(1));
  expect(Math.max(...along) - Math.min(...along)).toBeLessThanOrEqual(0.011);
  await bench.step('Timing');
  await bench.group('Move');
  await bench.type('Starts on frame', 5);
  await bench.step('Sheet');
  // The picture waits on frames 1 to 4, and leaves on 5.
  expect((await bench.column('frame')).slice(0, 2)).toEqual(['1', '5']);
  expect((await bench.column('held'))[0]).toBe('4');
});

test('nonsense typed into a number changes nothing', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Bollard' });
  await bench.draw([0.2, 0.5], [0.8, 0.5]);
  await bench.step('Timing');
  await bench.group('Here');
  const leave = page.getByLabel('Leave slowly over, frames', { exact: true });
  for (const nonsense of ['soon', '', '1e9', '--3']) {
    await bench.type('Leave slowly over, frames', nonsense);
    await expect(leave).toHaveValue('5');
  }
  await bench.type('Leave slowly over, frames', 999);
  await expect(leave).toHaveValue('20');
});

test('millimetres come with a scale', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Crate', length: 11 });
  await bench.draw([0.25, 0.5], [0.75, 0.5]);
  await bench.step('Sheet');
  await page.getByRole('button', { name: 'In units, not rounded' }).click();
  await page.getByRole('radio', { name: 'Millimetres' }).click();
  await expect(page.getByText(/Millimetres need a scale/)).toBeVisible();
  await bench.type('Width of the field on set, mm', 'wide');
  await expect(page.getByText('Type a number greater than 0.')).toBeVisible();
  await bench.type('Width of the field on set, mm', 480);
  await expect(page.getByLabel('Units per mm')).toHaveValue('4');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: 'In mm, not rounded' })).toBeVisible();
  // Half of a field 480 mm wide.
  expect(numbers(await bench.column('place mm')).at(-1)!).toBeGreaterThan(230);
  expect(numbers(await bench.column('place mm')).at(-1)!).toBeLessThan(248);
});
