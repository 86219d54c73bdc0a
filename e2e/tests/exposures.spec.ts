import { type Bench, enter } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

async function typeIncrement(bench: Bench, frame: number, value: number): Promise<void> {
  const field = bench.page.getByLabel(`Increment to frame ${frame}`).first();
  await enter(field, String(value));
}

test('an increment is typed: the rest adapts, or the end moves', ONCE, async ({ bench, page }) => {
  await bench.straight('Typed', 9);
  await bench.goTo(9);
  await bench.group('Here');
  await bench.type('Place, units', 800);
  await bench.view('Numbers');
  await bench.goTo(3);
  await typeIncrement(bench, 3, 160);
  // 100 and 160 leave 540 for six.
  await bench.step('Sheet');
  expect(await bench.column('along')).toEqual(['·', '100.00', '160.00', ...Array(6).fill('90.00')]);
  await bench.step('Timing');
  await typeIncrement(bench, 3, 100);
  // Asked beneath the typed cell.
  await bench.choose('Move the end');
  await bench.step('Sheet');
  expect(await bench.column('along')).toEqual(['·', '100.00', '100.00', ...Array(6).fill('90.00')]);
  expect((await bench.column('place')).at(-1)).toBe('740.00');
  await bench.step('Timing');
  await typeIncrement(bench, 3, 5000);
  await expect(page.getByText(/The arc is too short for that/)).toBeVisible();
  await bench.step('Sheet');
  expect((await bench.column('place')).at(-1)).toBe('740.00');
});

test(
  'pictures are skipped, with the length or without, taken back in, and put by hand',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.straight('Skips', 11);
    const table = page.getByRole('table', { name: 'Increments' }).first();
    await bench.goTo(4);
    await bench.group('Here');
    await bench.press('Skip and hold');
    await bench.step('Sheet');
    await expect(table.getByRole('row', { name: 'Frame 4, skipped' })).toBeVisible();
    await expect(page.getByTestId('frame-count')).toContainText('of 11');
    const length = await bench.arcLength();
    await bench.step('Sheet');
    const column = await bench.column('along');
    expect(column[3]).toBe('skip');
    expect(Number(column[4]) / length).toBeCloseTo(0.2, 3);
    await bench.step('Timing');
    await bench.goTo(4);
    await bench.group('Here');
    await bench.press('Restore picture');
    await bench.press('Remove frame');
    await expect(page.getByTestId('frame-count')).toContainText('of 10');
    await bench.press('Restore what was cut before 4');
    await expect(page.getByTestId('frame-count')).toContainText('of 11');

    await bench.goTo(6);
    await bench.press('Place by hand');
    const from = await bench.spot(0.5, 0.5);
    await hand.drag([from, { x: from.x, y: from.y + 24 }]);
    const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
    await expect.poll(() => bench.number('By hand, down, units')).toBeCloseTo((24 * 1920) / paper.width, 0);
    await bench.step('Sheet');
    await expect(table.getByRole('row', { name: 'Frame 6, put by hand' })).toBeVisible();
    const straight = await bench.numbers('straight');
    expect(straight[5]!).toBeGreaterThan(length / 10);
    expect(straight[4]! / (length / 10)).toBeCloseTo(1, 3);
    await bench.step('Timing');
    await bench.group('Here');
    await bench.press('Back to plan');
    await expect(page.getByTestId('by-hand')).toHaveAttribute('d', '');
  },
);

test(
  'exposures by ranges: the plan follows, and what falls between is said',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Ranges', 13);
    await bench.group('Move');
    await bench.choose('Twos');
    await bench.group('Range');
    await bench.type('From frame', 6);
    await bench.type('Until frame', 8);
    await bench.press('Ones');
    await bench.step('Sheet');
    expect(await bench.column('frame')).toEqual(['1', '3', '5', '6', '7', '8', '9', '11', '13']);
    expect(await bench.column('held')).toEqual(['2', '2', '1', '1', '1', '1', '2', '2', '1']);
    await bench.step('Timing');
    await bench.goTo(4);
    await bench.group('Here');
    await bench.addMark();
    await expect(
      page.getByText('The mark on frame 4 falls between exposures and is not seen.'),
    ).toBeVisible();
  },
);

test(
  'so many pictures on a circle: as many increments, and no pause at the seam',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Round', rate: 12, length: 36 });
    await bench.readyShape('Circle');
    await bench.step('Timing');
    await bench.group('Move');
    await expect(page.getByText(/the loop doesn’t pause there/)).toBeVisible();
    await bench.press('Number of pictures');
    await bench.type('Pictures', 20);
    await expect(page.getByTestId('pictures-said')).toHaveText(
      'Round a closed arc: 20 pictures, 20 increments, the last of them back to the first picture. 20 frames, 1.67 s.',
    );
    await bench.press('Spread');
    await expect(page.getByTestId('frame-count')).toContainText('of 20');
    await bench.step('Sheet');
    const headings = (await bench.column('heading')).map((text) =>
      Number(text.replace('−', '-').replace('°', '')),
    );
    headings.slice(1).forEach((heading, i) => expect(heading - headings[i]!).toBeCloseTo(18, 0));
    // Twenty pictures, and the step back to the first.
    expect(headings).toHaveLength(21);
  },
);
