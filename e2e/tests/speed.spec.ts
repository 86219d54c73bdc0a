import type { CDPSession, Page } from '@playwright/test';
import { expect, test } from '../support/test';

/** Frames a second, and the longest tasks, while something goes on for a while. */
interface Measured {
  readonly framesPerSecond: number;
  /** Milliseconds, the longest first. */
  readonly longTasks: readonly number[];
}

const LASTING_MS = 2000;

async function measure(page: Page, meanwhile: (until: number) => Promise<void>): Promise<Measured> {
  await page.evaluate(() => {
    const seen = { frames: [] as number[], tasks: [] as number[], isOver: false };
    Object.assign(window, { seen });
    new PerformanceObserver((list) => {
      list.getEntries().forEach((entry) => seen.tasks.push(Math.round(entry.duration)));
    }).observe({ entryTypes: ['longtask'] });
    const frame = (now: number): void => {
      seen.frames.push(now);
      if (!seen.isOver) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  await meanwhile(Date.now() + LASTING_MS);
  return page.evaluate(() => {
    const { seen } = window as unknown as { seen: { frames: number[]; tasks: number[]; isOver: boolean } };
    seen.isOver = true;
    const lasted = seen.frames.at(-1)! - seen.frames[0]!;
    return {
      framesPerSecond: Math.round(((seen.frames.length - 1) / lasted) * 10_000) / 10,
      longTasks: seen.tasks.sort((a, b) => b - a).slice(0, 8),
    };
  });
}

/** Drags a point of the arc about with a finger. */
async function dragAbout(session: CDPSession, from: { x: number; y: number }, until: number): Promise<void> {
  for (let i = 1; Date.now() < until; i++)
    await session.send('Input.dispatchTouchEvent', {
      type: 'touchMove',
      touchPoints: [{ x: from.x + 40 * Math.sin(i / 12), y: from.y + 25 * Math.sin(i / 7) }],
    });
}

test('a point is dragged with 200 ghosts shown, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(() =>
    localStorage.setItem(
      'humble-settings',
      JSON.stringify({ ghosts: { before: 100, after: 100, every: 1 }, showsGhosts: true }),
    ),
  );
  await bench.makeShot({ name: 'Procession', length: 201 });
  await bench.draw([0.1, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.9, 0.6]);
  await bench.press('Keep it');
  await page
    .getByRole('slider', { name: /^Frame/ })
    .first()
    .focus()
    .catch(() => undefined);
  await page.keyboard.press('End');
  await expect(page.getByTestId('ghosts').locator('path').last()).toHaveAttribute('d', /^M/);
  const point = await bench.middleOf(bench.points.nth(1));
  const session = await page.context().newCDPSession(page);
  const drag = async (until: number): Promise<void> => {
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] });
    await dragAbout(session, point, until);
  };
  const lift = () => session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  const rest = (until: number): Promise<void> =>
    page
      .waitForFunction((end) => Date.now() >= end, until, { polling: 100, timeout: 60_000 })
      .then(() => undefined);

  const idle = await measure(page, rest);
  const plain = await measure(page, drag);
  await lift();
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const slowed = await measure(page, drag);
  await lift();
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });

  const figures = JSON.stringify({ idle, plain, slowed });
  info.annotations.push({ type: 'drag with 200 ghosts', description: figures });
  // eslint-disable-next-line no-console -- the figures belong in the run's own words
  console.log(`drag with 200 ghosts: ${figures}`);
  // Machines differ; what counts is that dragging costs little of what this one can show.
  expect(plain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.5);
  expect(slowed.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.15);
});
