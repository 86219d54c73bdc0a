import type { Bench } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

/** Where each frame of the distance graph's curve stands on the page. */
async function graphScale(bench: Bench) {
  const box = (await bench.page.getByTestId('distance-graph').boundingBox())!;
  const d = await bench.drawn('graph-curve');
  const spots = [...d.matchAll(/[ML]([\d.]+) ([\d.]+)/g)].map(([, x, y]) => ({
    x: box.x + Number(x),
    y: box.y + Number(y),
  }));
  // A piece of the curve begins where the one before ended.
  return { box, spots: spots.filter(({ x }, i) => i === 0 || x > spots[i - 1]!.x) };
}

const rounded = (value: number, step: number): number => Math.round(value / step) * step;

/** Every increment and every place of a table that must keep its total. */
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

test('from a stroke to a rounded table: three marks, a hold and a dragged tick, by numbers of the hand', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Round table', 41);
  await bench.goTo(21);
  await bench.group('Here');
  await bench.addMark();
  await bench.type('Place, units', 600);
  await page.getByRole('switch', { name: 'Move later marks too' }).click();
  await bench.type('Hold from 21, frames', 8);
  await expect(page.getByTestId('frame-count')).toContainText('of 49');

  // Evenly 30 units a frame up to the second mark: frame 11 stands at 300. It is dragged by 8 pixels.
  const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
  const unitsPerPixel = 1920 / paper.width;
  const from = await bench.spot((0.1 * 1920 + 300) / 1920, 0.5);
  await hand.drag([from, { x: from.x + 8, y: from.y }]);
  const shift = 8 * unitsPerPixel;

  const check = async (): Promise<void> => {
    const length = await bench.arcLength();
    await bench.step('Sheet');
    const places = await bench.numbers('place');
    expect(places).toHaveLength(49);
    // Three frames to both sides go along: by cos²(30°) = 3/4 and cos²(60°) = 1/4 of the shift.
    const share = new Map([
      [9, 0.25],
      [10, 0.75],
      [11, 1],
      [12, 0.75],
      [13, 0.25],
    ]);
    const expected = Array.from({ length: 49 }, (_, i) => {
      const f = i + 1;
      if (f <= 21) return 30 * (f - 1) + shift * (share.get(f) ?? 0);
      return f <= 29 ? 600 : 600 + ((length - 600) * (f - 29)) / 20;
    });
    places.forEach((place, i) => expect(Math.abs(place - expected[i]!), `frame ${i + 1}`).toBeLessThan(0.6));
    const ruler = await bench.numbers('ruler');
    places.slice(1).forEach((place, i) => {
      const increment = rounded(place - places[0]!, 20) - rounded(places[i]! - places[0]!, 20);
      expect(ruler[i + 1], `increment to frame ${i + 2}`).toBe(increment);
    });
    expect(sum(ruler.slice(1))).toBe(rounded(length, 20));
  };
  await bench.step('Sheet');
  await bench.press('In units, not rounded');
  await bench.type('Other step', 20);
  await bench.press('Done');
  await check();
  await bench.saved();
  await page.reload();
  await check();

  await bench.step('Timing');
});

test('marks are dragged in time and place, in the graph and on the rail; one drag is one step back', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Marks', 41);
  await bench.goTo(21);
  await bench.group('Here');
  await bench.addMark();
  await bench.view('Graph');
  const { spots } = await graphScale(bench);
  const pixelsPerFrame = (spots[40]!.x - spots[0]!.x) / 40;
  // Sideways by four frames, and what strays up and down by less than the dead way does not count.
  const middle = spots[20]!;
  const aside = Math.sign(pixelsPerFrame) * (4 * pixelsPerFrame + 9);
  await hand.drag([middle, { x: middle.x + aside, y: middle.y + 4 }]);
  await expect(bench.field('On frame')).toHaveValue('25');
  const length = await bench.arcLength();
  await bench.step('Timing');
  await bench.group('Here');
  await expect.poll(() => bench.number('Place, units')).toBeCloseTo(length / 2, 0);
  await bench.undo();
  await bench.group('Here');
  await expect(bench.field('On frame')).toHaveValue('21');

  // Upwards it changes its place alone.
  await hand.drag([middle, { x: middle.x + 2, y: middle.y - 30 }]);
  await expect(bench.field('On frame')).toHaveValue('21');
  await expect.poll(() => bench.number('Place, units')).toBeGreaterThan(length * 0.55);
  await bench.undo();

  const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
  const onRail = (frame: number) => ({
    x: rail.x + 14 + ((frame - 1) / 40) * (rail.width - 28),
    y: rail.y + 22,
  });
  await bench.goTo(1);
  await hand.drag([onRail(21), onRail(31)]);
  await bench.group('Here');
  await expect(bench.field('On frame')).toHaveValue('31');
});

test('a handle of a curve and the bars of the pace are dragged; the total stays', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Handles', 21);
  await bench.press('Other easings');
  await bench.choose('Curve');
  await bench.view('Graph');
  const { box, spots } = await graphScale(bench);
  const [first, last] = [spots[0]!, spots[20]!];
  // The first handle of a fresh curve: 8 of 20 frames in, at no way yet. Four frames on and a fifth up.
  const grip = { x: first.x + (last.x - first.x) * 0.4, y: first.y };
  await hand.drag([grip, { x: first.x + (last.x - first.x) * 0.6, y: first.y + (last.y - first.y) * 0.2 }]);
  await expect(bench.field('First handle, after, frames')).toHaveValue(/^(11\.8|12|12\.2)$/);
  await expect(bench.field('First handle, at, %')).toHaveValue(/^(19|20|21)$/);

  // The bars stand beneath the graph, or beside it where that is low and wide.
  const bars = [...(await bench.drawn('pace-bars')).matchAll(/M([\d.]+) ([\d.]+)V[\d.]+H([\d.]+)/g)];
  const bar = (k: number, up: number) => {
    const [left, foot, right] = bars[k - 1]!.slice(1).map(Number);
    return { x: box.x + (left! + right!) / 2, y: box.y + foot! - up };
  };
  await hand.drag([bar(3, 40), bar(5, 40), bar(8, 10)]);
  await expect(page.getByText('By chart').first()).toBeVisible();
  const length = await bench.arcLength();
  await bench.step('Sheet');
  const along = (await bench.numbers('along')).slice(1);
  expect(sum(along)).toBeCloseTo(length, 0);
  // Bars drawn to one height are one increment, and the one drawn low is a quarter of them.
  expect(along[3]! / along[2]!).toBeCloseTo(1, 1);
  expect(along[7]! / along[2]!).toBeCloseTo(0.25, 1);
  await bench.undo();
  const before = (await bench.numbers('along')).slice(1);
  expect(Math.abs(before[2]! - before[7]!)).toBeGreaterThan(1);
});

test('ticks and posts are dragged on the ruler; with a view that is zoomed in too', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Ruler', 21);
  await bench.view('Ruler');
  const ruler = page.getByTestId('unrolled-arc');
  const box = (await ruler.boundingBox())!;
  const onRuler = (share: number) => ({ x: box.x + 12 + share * (box.width - 24), y: box.y + 80 });
  await hand.drag([onRuler(0.5), onRuler(0.53)]);
  const length = await bench.arcLength();
  await bench.step('Sheet');
  expect((await bench.numbers('place'))[10]! / length).toBeCloseTo(0.53, 2);
  await bench.step('Timing');
  // The last post, dragged back: the mark on the last frame is at three quarters.
  await hand.drag([onRuler(1), onRuler(0.75)]);
  await bench.group('Here');
  await expect(bench.field('On frame')).toHaveValue('21');
  await expect.poll(async () => (await bench.number('Place, units')) / length).toBeCloseTo(0.75, 2);
  await ruler.focus();
  await page.keyboard.press('+');
  await expect(page.getByRole('button', { name: 'All of the ruler' })).toBeVisible();
  await page.keyboard.press('0');
  await expect(page.getByRole('button', { name: 'All of the ruler' })).toHaveCount(0);
});

test(
  'when all increments are alike that is said, and else the largest and the smallest',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Alike', 17);
    await expect(page.getByTestId('extremes')).toHaveText(/^every step 96\.00/);
    await bench.choose('Plain');
    await expect(page.getByTestId('extremes')).toContainText('largest');
  },
);

test('charts: halves, a rung dragged, the number of drawings, and the nearest easing', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Charts', 5);
  await bench.view('Chart');
  await bench.press('Halves');
  const length = await bench.arcLength();
  const shares = async (): Promise<number[]> => {
    await bench.step('Sheet');
    const places = await bench.numbers('place');
    await bench.step('Timing');
    return places.map((place) => Math.round((place / length) * 1000) / 1000);
  };
  expect(await shares()).toEqual([0, 0.5, 0.75, 0.875, 1]);

  await page.getByTestId('ladder').scrollIntoViewIfNeeded();
  const ladder = (await page.getByTestId('ladder').boundingBox())!;
  const rung = (share: number) => ({
    x: ladder.x + 66,
    y: ladder.y + 16 + share * (ladder.height - 32),
  });
  await hand.drag([rung(0.5), rung(0.25)]);
  const [, dragged, , third] = await shares();
  expect(dragged).toBeCloseTo(0.25, 2);
  expect(third).toBe(0.875);

  await bench.group('Here');
  await page.getByRole('switch', { name: 'Move later marks too' }).click();
  await bench.group('Here');
  await bench.type('Drawings between', 7);
  await expect(page.getByTestId('frame-count')).toContainText('of 9');
  await bench.press('Even');
  await bench.press('Nearest easing');
  await bench.press('Use Even');
  await expect(page.getByText('The same increment on every frame.')).toBeVisible();
});

test('a stretch of the arc tells its frames, and frames their stretch, in every view', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Where', 21);
  await bench.group('Range');
  await bench.type('From place, units', '25 %');
  await bench.type('To place, units', '50 %');
  await expect(page.getByTestId('where-and-when')).toHaveText('Frames 6–11, 25.0 % to 50.0 % of the arc');
  await expect(page.getByTestId('chosen-stretch')).toHaveAttribute('d', /^M/);
  await bench.view('Ruler');
  await expect(page.getByTestId('ruler-chosen')).toHaveAttribute('d', /^M/);
  await bench.view('Graph');
  await expect(page.getByTestId('graph-chosen')).toHaveAttribute('d', /^M/);
  await bench.press('Deselect');
  await bench.group('Here');
  await page.getByRole('switch', { name: 'Select a range' }).click();
  await hand.drag([await bench.spot(0.1 + 0.8 * 0.21, 0.5), await bench.spot(0.1 + 0.8 * 0.39, 0.5)]);
  await expect(page.getByTestId('where-and-when')).toHaveText(/Frames [56]–8/);
});

test(
  'marks are copied, pasted, labelled, tied and deleted; the timing is cleared',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Handling', 41);
    await bench.goTo(11);
    await bench.group('Here');
    await bench.addMark();
    await bench.choose('Breakdown');
    await bench.press('Copy mark');
    await bench.press('Deselect');
    await bench.goTo(31);
    await bench.press('Paste marks');
    await expect(bench.field('On frame')).toHaveValue('31');
    await expect(page.getByRole('radio', { name: 'Breakdown', exact: true })).toHaveAttribute(
      'aria-checked',
      'true',
    );
    await bench.press('Tie to point 1');
    await bench.press('Move it there');
    await expect(bench.field('Place, units')).toHaveValue('0');
    await bench.step('Arc');
    await expect(page.getByTestId('point-with-mark')).toHaveCount(1);
    await bench.step('Timing');
    await bench.group('Here');
    await bench.press('Untie');
    await bench.press('Delete mark');
    await bench.group('Move');
    await bench.press('Clear timing');
    await bench.group('Here');
    await expect(page.getByText('40 increments')).toBeVisible();
    await bench.undo();
    await bench.group('Here');
    await expect(page.getByText('40 increments')).toHaveCount(0);
  },
);

test('an easing is kept by name and used in another shot', ONCE, async ({ bench, page }) => {
  await bench.straight('One', 21);
  await bench.choose('Soft');
  await bench.type('Leave slowly over, frames', 9);
  await bench.press('Other easings');
  const name = `Heavy ${Math.random().toString(36).slice(2, 8)}`;
  await page.getByLabel('Name it').fill(name);
  await bench.press('Keep it');
  await expect(page.getByRole('button', { name, exact: true })).toBeVisible();
  await bench.press('Close the easings');
  await bench.straight('Two', 31);
  await bench.press('Other easings');
  await bench.press(name);
  await expect(bench.field('Leave slowly over, frames')).toHaveValue('9');
});
