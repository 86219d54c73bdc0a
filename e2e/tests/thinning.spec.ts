import type { Page } from '@playwright/test';
import type { Bench } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

/** Reads tracked positions in by the button of the Figure step. */
async function bringIn(bench: Bench, name: string, lines: readonly string[]): Promise<void> {
  await bench.group('Act');
  const waiting = bench.page.waitForEvent('filechooser');
  await bench.press('Import tracked positions');
  const chooser = await waiting;
  await chooser.setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) });
}

const REPORTS_A_SECOND = 120;

/** Five minutes of a hand that goes round, shakes a little and rests now and then. */
function fiveMinutes(): string[] {
  const lines = ['seconds,x,y'];
  let angle = 0;
  for (let i = 0; i <= 300 * REPORTS_A_SECOND; i++) {
    const isResting = i % 1200 > 1000;
    if (!isResting) angle += 0.01 + 0.005 * Math.sin(i / 90);
    const shake = isResting ? 0 : 2 * Math.sin(i * 1.7) + Math.cos(i * 2.9);
    const [x, y] = [960 + 700 * Math.sin(angle * 0.7) + shake, 540 + 380 * Math.cos(angle * 1.1) - shake];
    lines.push(`${(i / REPORTS_A_SECOND).toFixed(4)},${x.toFixed(2)},${y.toFixed(2)}`);
  }
  return lines;
}

test(
  'tracked positions become an arc and marks; lines that are wrong are named, and nothing is taken',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Buoy', length: 25 });
    await bench.step('Figure');
    await bringIn(bench, 'broken.csv', [
      'frame,x,y',
      '1,200,300',
      '2,over there,300',
      '3,220,300',
      '4,1e9,2',
    ]);
    await expect(
      page
        .getByRole('alert')
        .or(page.getByRole('status'))
        .getByText(/line 3/i),
    ).toBeVisible();
    await expect(page.getByTestId('figure')).toHaveCount(0);

    // Twelve frames to the right, eight without a move, four down.
    const places = Array.from({ length: 25 }, (_, i): [number, number] =>
      i <= 12 ? [200 + 50 * i, 300] : [800, 300 + 40 * Math.max(0, i - 20)],
    );
    await bringIn(bench, 'buoy.csv', ['frame,x,y', ...places.map(([x, y], i) => `${i + 1},${x},${y}`)]);
    await bench.group('Act');
    await expect(page.getByTestId('thinned-to')).toBeVisible();
    await bench.step('Sheet');
    const look = async () => [await bench.numbers('x'), await bench.numbers('y')];
    const [xs, ys] = await look();
    // As far off as a fresh gesture may be: 0.8 % of the field's height.
    places.forEach(([x, y], i) => expect(Math.hypot(xs![i]! - x, ys![i]! - y)).toBeLessThan(8.7));
    expect((await bench.numbers('along')).filter((along) => along === 0)).toHaveLength(8);
    await bench.saved();
    await page.reload();
    await bench.step('Sheet');
    expect(await look()).toEqual([xs, ys]);
  },
);

/** Frames that the page showed while a long work went on, and the longest it stood still, milliseconds. */
const watchFrames = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const seen = { frames: [] as number[] };
    Object.assign(window, { seen });
    const frame = (now: number): void => {
      if (document.querySelector('[role=progressbar][aria-label=Thinning]')) seen.frames.push(now);
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });

test(
  'five minutes are thinned while the page lives on; it can be stopped, and nothing is lost by that',
  ONCE,
  async ({ bench, page }, info) => {
    await bench.openShot({ name: 'Long rounds', length: 25 });
    await bench.step('Figure');
    const progress = page.getByRole('progressbar', { name: 'Thinning' });
    await bringIn(bench, 'rounds.csv', fiveMinutes());
    await expect(progress).toBeVisible();
    await progress.getByRole('button', { name: 'Stop' }).click();
    await expect(progress).toHaveCount(0);
    await expect(page.getByTestId('figure')).toHaveCount(0);

    // What was brought in is kept, and does it later.
    await watchFrames(page);
    await page.getByRole('button', { name: /^rounds\.csv, 300\.00 s/ }).click();
    await bench.group('Act');
    await expect(page.getByTestId('thinned-to')).toBeVisible({ timeout: 60_000 });
    await expect(progress).toHaveCount(0);
    const { lasted, longest, frames } = await page.evaluate(() => {
      const { frames: at } = (window as unknown as { seen: { frames: number[] } }).seen;
      const gaps = at.slice(1).map((now, i) => now - at[i]!);
      return { lasted: at.at(-1)! - at[0]!, longest: Math.max(...gaps), frames: at.length };
    });
    const figures = JSON.stringify({ lasted, longest, frames });
    info.annotations.push({ type: 'thinning five minutes', description: figures });
    // eslint-disable-next-line no-console -- the figures belong in the run's own words
    console.log(`thinning five minutes: ${figures}`);
    // Worked out where the page lives, it would show next to no frame meanwhile.
    expect(frames).toBeGreaterThan(20);

    // Thinned more: stopped on the way, the move stays as it is.
    const thinned = await page.getByTestId('thinned-to').innerText();
    const slider = page.getByRole('slider', { name: 'Stay within' });
    await slider.focus();
    await slider.press('ArrowLeft');
    await progress.getByRole('button', { name: 'Stop' }).click();
    await expect(progress).toHaveCount(0);
    expect(await page.getByTestId('thinned-to').innerText()).toBe(thinned);
    await bench.undo();
    await expect(page.getByTestId('figure')).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^rounds\.csv, 300\.00 s/ })).toBeVisible();
  },
);
