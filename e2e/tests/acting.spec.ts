import type { Bench } from '../support/bench';
import type { Spot } from '../support/hand';
import { expect, ONCE, test } from '../support/test';

const spotsOf = async (bench: Bench, ...shares: [number, number][]): Promise<Spot[]> => {
  const spots: Spot[] = [];
  for (const [across, down] of shares) spots.push(await bench.spot(across, down));
  return spots;
};

/** Waits by the page's own clock: what is recorded is time itself. */
const passes = (bench: Bench, ms: number): Promise<unknown> =>
  bench.page
    .evaluate(() => performance.now())
    .then((now) => bench.page.waitForFunction((end) => performance.now() >= end, now + ms, { polling: 20 }));

/** Half across the field, a rest of 0.8 s, and on to the other side. */
async function actWithRest(bench: Bench): Promise<void> {
  const [a, b, c] = await spotsOf(bench, [0.15, 0.6], [0.5, 0.4], [0.85, 0.6]);
  await bench.hand.hold([a!, b!], async (go) => {
    await expect(bench.page.getByTestId('acting-outline')).toHaveAttribute('d', /^M/);
    await passes(bench, 800);
    await go([b!, c!]);
  });
  await expect(bench.page.getByTestId('thinned-to')).toBeVisible();
}

const holdsIn = async (bench: Bench): Promise<number> =>
  (await bench.column('along')).filter((text) => text === 'hold').length;

const marksIn = async (bench: Bench): Promise<number> =>
  Number(/(\d+) marks/.exec(await bench.page.getByTestId('thinned-to').innerText())![1]);

test(
  'a gesture with a rest in its middle: the rest is still there after thinning, and after a reload',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Crab', length: 25 });
    await bench.group('Draw');
    await bench.press('Act it out');
    await actWithRest(bench);
    // 0.8 s at 24 frames a second are 19 intervals without a move; fewer where the machine was late.
    await bench.step('Sheet');
    expect(await holdsIn(bench)).toBeGreaterThanOrEqual(15);

    await bench.step('Figure');
    const before = await marksIn(bench);
    await bench.group('Act');
    const slider = page.getByRole('slider', { name: 'Stay within' });
    await slider.focus();
    for (let i = 0; i < 12; i++) await slider.press('ArrowRight');
    // Twelve fiftieths of nine doublings, from 8.64 units.
    await expect(page.getByText('38.6 units of your hand', { exact: true })).toBeVisible();
    await expect(page.getByRole('progressbar', { name: 'Thinning' })).toHaveCount(0);
    expect(await marksIn(bench)).toBeLessThanOrEqual(before);
    await bench.step('Sheet');
    expect(await holdsIn(bench)).toBeGreaterThanOrEqual(15);

    await bench.saved();
    const along = await bench.numbers('along');
    await page.reload();
    await bench.step('Sheet');
    expect(await bench.numbers('along')).toEqual(along);
    await bench.step('Figure');
    await bench.group('Act');
    await expect(page.getByTestId('thinned-to')).toBeVisible();
  },
);

test(
  'acted out again the gesture before is kept to choose from, and one undo takes a gesture back',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Crab', length: 25 });
    await bench.group('Draw');
    await bench.press('Act it out');
    await actWithRest(bench);
    await bench.group('Act');
    await bench.press('Act it out again');
    await bench.stroke([0.2, 0.3], [0.8, 0.8]);
    await expect(page.getByRole('radio', { name: 'Gesture 2' })).toBeChecked();
    await page.getByRole('radio', { name: 'Gesture 1' }).click();
    await expect(page.getByRole('radio', { name: 'Gesture 1' })).toBeChecked();
    await bench.undo();
    await bench.group('Act');
    await expect(page.getByRole('radio', { name: 'Gesture 2' })).toBeChecked();
    await bench.undo();
    await bench.group('Act');
    await expect(page.getByRole('radio', { name: 'Gesture 2' })).toHaveCount(0);
    await expect(page.getByTestId('figure')).toHaveCount(1);
  },
);

test(
  'the way of the hand is shown or not; the shot ends with the gesture, or the gesture with the shot',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Fitting', length: 97 });
    await bench.group('Draw');
    await bench.press('Act it out');
    const [a, b] = await spotsOf(bench, [0.2, 0.6], [0.8, 0.4]);
    await bench.hand.drag([a!, b!]);
    await bench.group('Act');
    await expect(page.getByTestId('thinned-to')).toBeVisible();
    const length = async (): Promise<number> =>
      Number(await page.getByRole('slider', { name: 'Frame', exact: true }).getAttribute('aria-valuemax'));
    const toggle = page.getByRole('switch', { name: 'Show the recorded gesture' });
    const trail = page.getByTestId('gesture-trail');
    const isShown = (await toggle.getAttribute('aria-checked')) === 'true';
    if (!isShown) await toggle.click();
    await expect(trail).toHaveAttribute('d', /^M/);
    await toggle.click();
    await expect(trail).toHaveCount(0);

    expect(await length()).toBe(97);
    await bench.press('Fit the move to the shot');
    await expect(page.getByRole('button', { name: 'Fit the move to the shot' })).toBeHidden();
    await bench.keyLine('Place');
    const lastMark = page.getByRole('group', { name: 'Frames with a pose' }).getByRole('button').last();
    await expect(lastMark).toHaveText('97');
    await bench.undo();
    await expect(lastMark).not.toHaveText('97');
    await bench.group('Act');
    await bench.press('End the shot with the move');
    await expect.poll(length).toBeLessThan(97);
    await bench.keyLine('Place');
    await expect(lastMark).toHaveText(String(await length()));
  },
);

test(
  'with a count the hand waits with the pointer down, and what is let go before it is over records nothing',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'On three', length: 25 });
    await bench.group('Draw');
    await bench.press('Act it out');
    await page.getByRole('switch', { name: 'Count me in' }).click();
    const [a, b] = await spotsOf(bench, [0.2, 0.6], [0.8, 0.4]);
    const count = page.getByRole('timer');
    await bench.hand.hold([a!], () => expect(count).toHaveText('3'));
    await expect(
      page.getByText('You let go before the count-in ended, so nothing was recorded.'),
    ).toBeVisible();
    await expect(count).toHaveCount(0);
    await expect(page.getByTestId('figure')).toHaveCount(0);
    await bench.hand.hold([a!], async (go) => {
      await expect(count).toHaveText(/[12]/);
      await expect(count).toHaveCount(0);
      await go([a!, b!]);
    });
    await expect(page.getByTestId('figure')).toBeVisible();
    // It begins where the pointer waited, not before: no hold of a second and a half at its start.
    await bench.step('Sheet');
    expect((await bench.column('along')).slice(1, 30)).not.toEqual(Array(29).fill('hold'));
  },
);

test('poses without a pointer: the first in the middle, others nudged and typed, each to be taken back', async ({
  bench,
  page,
}) => {
  test.skip(bench.hand.isFinger, 'a phone has no arrow keys');
  await bench.openShot({ name: 'By keys', length: 25 });
  await bench.group('Draw');
  await bench.press('Pose it');
  await bench.group('Keys');
  await page.getByRole('button', { name: 'Place it in the centre' }).press('Enter');
  await expect(page.getByTestId('figure')).toBeVisible();
  await bench.goTo(25);
  await bench.keyLine('Place');
  await bench.type('Across, units', 1400);
  await bench.type('Down, units', 300);
  await bench.goTo(13);
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+Alt+ArrowUp');
  await page.keyboard.press('Alt+ArrowLeft');
  await bench.keyLine('Place');
  const marks = page.getByRole('group', { name: 'Frames with a pose' }).getByRole('button');
  await expect(marks).toHaveText(['1', '', '13', '', '25']);
  const places = async (): Promise<string[]> => {
    await bench.step('Sheet');
    const [x, y] = [await bench.column('x'), await bench.column('y')];
    await bench.step('Figure');
    return [0, 12, 24].map((i) => `${x[i]} ${y[i]}`);
  };
  const [first, nudged, last] = await places();
  expect([first, last]).toEqual(['960.0 540.0', '1400.0 300.0']);
  await bench.keyLine('Place');
  await bench.type('Hold from 13, frames', 8);
  await expect(marks).toHaveText(['1', '', '13', '', '21', '', '25']);
  await bench.undo();
  await bench.keyLine('Place');
  await bench.press('Remove pose');
  await expect(marks).toHaveText(['1', '', '25']);
  expect((await places())[1]).not.toBe(nudged);
  await bench.undo();
  await expect(marks).toHaveText(['1', '', '13', '', '25']);
  expect((await places())[1]).toBe(nudged);
  await bench.undo();
  await expect(marks).toHaveText(['1', '', '25']);
  const middle = (await places())[1]!.split(' ').map(Number);
  expect(nudged).toBe(`${(middle[0]! - 1).toFixed(1)} ${(middle[1]! - 30).toFixed(1)}`);
});

test(
  'poses: the figure is put in place, the arc and the marks grow, and nothing moves when the way changes',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Steps', length: 25 });
    await bench.group('Draw');
    await bench.press('Pose it');
    await bench.tap(0.2, 0.7);
    await expect(page.getByTestId('figure')).toBeVisible();
    const dragFigure = async (from: [number, number], to: [number, number]): Promise<void> =>
      bench.stroke(from, to);
    await bench.goTo(13);
    await expect(page.getByTestId('hint')).toContainText('a pose on frame 13');
    await dragFigure([0.2, 0.7], [0.5, 0.3]);
    await bench.goTo(25);
    await expect(page.getByTestId('hint')).toContainText('frame 25');
    await dragFigure([0.5, 0.3], [0.8, 0.7]);
    const places = async (): Promise<string[][]> => {
      await bench.step('Sheet');
      const [x, y] = [await bench.column('x'), await bench.column('y')];
      await bench.step('Figure');
      return [0, 12, 24].map((i) => [x[i]!, y[i]!]);
    };
    const curved = await places();
    [
      [0.2, 0.7],
      [0.5, 0.3],
      [0.8, 0.7],
    ].forEach(([across, down], i) => {
      // A pixel of a phone is five units of the field; points and lines attract within seven.
      expect(Math.abs(Number(curved[i]![0]) - across! * 1920)).toBeLessThan(45);
      expect(Math.abs(Number(curved[i]![1]) - down! * 1080)).toBeLessThan(45);
    });
    // The figure in the field goes with the playhead, whatever step one comes from.
    await bench.step('Timing');
    await bench.step('Figure');
    const figure = page.getByTestId('figure');
    const stands = await figure.getAttribute('transform');
    await bench.goTo(6);
    await expect(figure).not.toHaveAttribute('transform', stands!);
    await bench.keyLine('Place');
    const between = page.getByRole('radiogroup', { name: 'From frame 1 to frame 13' });
    await bench.keyLine('Place');
    await between.getByRole('radio', { name: 'Straight' }).click();
    await expect(between.getByRole('radio', { name: 'Straight' })).toBeChecked();
    expect(await places()).toEqual(curved);
    await between.getByRole('radio', { name: 'Jump' }).click();
    await expect(between.getByRole('radio', { name: 'Jump' })).toBeChecked();
    expect(await places()).toEqual(curved);
    await bench.saved();
    await page.reload();
    await bench.step('Figure');
    expect(await places()).toEqual(curved);
  },
);
