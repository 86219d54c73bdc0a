import type { Locator, Page } from '@playwright/test';
import type { Bench } from '../support/bench';
import type { Hand, Spot } from '../support/hand';
import { expect, ONCE, test } from '../support/test';

/** What somebody does with a hand, counted: taps, drags, and texts typed into a field. */
function countedActions(page: Page, hand: Hand, bench: Bench) {
  let count = 0;
  const button = (name: string): Locator => page.getByRole('button', { name, exact: true });
  return {
    count: () => count,
    tap: async (target: Locator | string): Promise<void> => {
      count++;
      await (typeof target === 'string' ? button(target).first() : target).click();
    },
    tapAt: async (spot: Spot): Promise<void> => {
      count++;
      await hand.tap(spot);
    },
    drag: async (spots: readonly Spot[]): Promise<void> => {
      count++;
      await hand.drag(spots);
    },
    type: async (label: string, text: string): Promise<void> => {
      count++;
      await bench.type(label, text);
    },
    /** On the form, where Enter would create the shot at once. */
    fill: async (label: string, text: string): Promise<void> => {
      count++;
      await page.getByLabel(label, { exact: true }).fill(text);
    },
    /** The playhead to a frame by a touch of the rail. */
    rail: async (frame: number, lengthFrames: number): Promise<void> => {
      count++;
      const box = (await page.getByTestId('scrub-rail').boundingBox())!;
      const share = (frame - 1) / (lengthFrames - 1);
      await hand.tap({ x: box.x + 14 + share * (box.width - 28), y: box.y + 30 });
    },
  };
}

test(
  'a coin round a circle in 20 pictures, slow at the bottom, rounded to 0.5 mm on a field 300 mm wide: 10 actions',
  ONCE,
  async ({ bench, page, hand }) => {
    const act = countedActions(page, hand, bench);
    await page.goto('/');
    await act.tap('New shot');
    await act.fill('Length, frames', '20');
    await act.fill('Width on set, mm', '300');
    await act.tap(page.getByRole('radiogroup', { name: 'Round to, mm' }).getByRole('radio', { name: '0.5' }));
    await act.tap('Create shot');
    await act.tap('Shapes');
    await act.tap('Circle');
    await act.tap(page.getByRole('tab', { name: 'Timing', exact: true }));
    await act.tap('Other easings');
    await act.tap(page.getByRole('radio', { name: 'Slow at one point' }));
    expect(act.count()).toBeLessThanOrEqual(10);
    await expect(page.getByText(/the slowest step is 25 % of the quickest/)).toBeVisible();
    await bench.step('Sheet');
    expect(await bench.column('frame')).toEqual([
      ...Array.from({ length: 20 }, (_, i) => String(i + 1)),
      'to 1',
    ]);
    const ruler = await bench.column('ruler mm');
    const rounded = ruler.filter((text) => /^\d/.test(text)).map(Number);
    expect(rounded.length).toBeGreaterThanOrEqual(20);
    for (const value of rounded) expect(value * 2).toBeCloseTo(Math.round(value * 2), 9);
    // It starts at the top; the smallest step is half way round, at the bottom.
    const steps = (await bench.column('along')).map(Number).filter((step) => step > 0);
    const slowest = steps.indexOf(Math.min(...steps));
    expect(Math.abs(slowest - (steps.length - 1) / 2)).toBeLessThanOrEqual(1);
  },
);

test(
  'in, hold, over, hold, out in 100 frames by posing, then bent: 15 actions',
  ONCE,
  async ({ bench, page, hand }) => {
    const act = countedActions(page, hand, bench);
    await page.goto('/');
    await act.tap('New shot');
    await act.fill('Length, frames', '100');
    await act.tap('Create shot');
    await act.tap(page.getByRole('tab', { name: 'Figure', exact: true }));
    await expect(page.getByText('Place the figure')).toBeVisible();
    const [entry, left, right, exit] = [
      await bench.spot(0.08, 0.7),
      await bench.spot(0.35, 0.5),
      await bench.spot(0.65, 0.5),
      await bench.spot(0.92, 0.7),
    ];
    await act.tapAt(entry);
    await expect(page.getByRole('button', { name: 'Go to the pose on frame 1', exact: true })).toBeVisible();
    await act.rail(25, 100);
    const from = Number(
      await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('aria-valuenow'),
    );
    await act.drag([entry, left]);
    await act.type(`Hold from ${from}, frames`, '15');
    await act.rail(65, 100);
    const to = Number(
      await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('aria-valuenow'),
    );
    await act.drag([left, right]);
    await act.type(`Hold from ${to}, frames`, '15');
    await act.rail(100, 100);
    await act.drag([right, exit]);
    await act.tap(`Between frame ${from + 15} and frame ${to}`);
    await act.tap(
      page
        .getByRole('radiogroup', { name: `From frame ${from + 15} to frame ${to}` })
        .getByRole('radio', { name: 'Straight' }),
    );
    expect(act.count()).toBeLessThanOrEqual(15);
    const chips = page.getByRole('group', { name: 'Frames with a pose' });
    for (const frame of [1, from, from + 15, to, to + 15, 100])
      await expect(
        chips.getByRole('button', { name: `Go to the pose on frame ${frame}`, exact: true }),
      ).toBeVisible();
    await expect(page.getByTestId('frame-count')).toContainText('of 100');
  },
);

test('a removed shot comes back from the list’s menu, also after a reload', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Low tide, lost' });
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Low tide, lost' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByTestId('card-Low tide, lost')).toHaveCount(0);
  await page.reload();
  await page.getByRole('button', { name: 'Order and removed shots' }).click();
  await page.getByRole('button', { name: 'Removed shots', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Restore Low tide, lost' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
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
