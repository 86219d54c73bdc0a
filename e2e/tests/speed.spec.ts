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
  expect(plain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.35);
  expect(slowed.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.1);
});

interface LongMove {
  readonly lengthFrames: number;
  readonly moves: {
    marks: { id: string; frame: number; fraction: number; kind: string; easing: object }[];
  }[];
}

/** Gives the shot on the bench a move of 1,001 frames with 40 marks, through the server, and opens it again. */
async function makeLong(page: Page): Promise<void> {
  const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
  const { revision, shot } = (await (await page.request.get(address)).json()) as {
    revision: number;
    shot: LongMove;
  };
  const [first] = shot.moves[0]!.marks;
  const curve = { kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1 };
  const marks = Array.from({ length: 40 }, (_, i) => ({
    ...first,
    id: `m${i + 1}`,
    frame: 1 + Math.round((i * 1000) / 39),
    fraction: i / 39,
    easing: curve,
  }));
  const long = { ...shot, lengthFrames: 1001, moves: [{ ...shot.moves[0], marks }] };
  const answer = await page.request.put(address, { data: { revision, shot: long } });
  expect(answer.status()).toBe(200);
  await page.reload();
  await expect(page.getByTestId('graph-curve')).toHaveAttribute('d', /^M/);
}

test('a tick and a handle are dragged in a move of 1,000 frames with 40 marks, all four views open', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(hand.isFinger, 'all four views are open on a wide screen');
  await bench.makeShot({ name: 'Long way', length: 201 });
  await bench.draw([0.1, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.9, 0.6]);
  await bench.saved();
  await bench.step('Timing');
  await bench.saved();
  await makeLong(page);
  await bench.step('Timing');
  await bench.goTo(13);
  const session = await page.context().newCDPSession(page);
  const about = async (from: { x: number; y: number }, until: number): Promise<void> => {
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    for (let i = 1; Date.now() < until; i++)
      await page.mouse.move(from.x + 9 * Math.sin(i / 9), from.y + 14 * Math.sin(i / 7));
    await page.mouse.up();
  };
  const knob = async () => {
    const box = (await page.getByTestId('graph-knobs').boundingBox())!;
    // Of two handles the one of the start is the lower one on the left.
    return { x: box.x + 5.5, y: box.y + box.height - 5.5 };
  };
  const tick = async () => {
    const graph = (await page.getByTestId('distance-graph').boundingBox())!;
    const d = (await page.getByTestId('ruler-ticks').getAttribute('d'))!;
    const ruler = (await page.getByTestId('unrolled-arc').boundingBox())!;
    const x = Number(/M([\d.]+)/.exec(d.slice(d.length / 2).replace(/^[^M]*/, ''))![1]);
    expect(graph.width).toBeGreaterThan(100);
    return { x: ruler.x + x, y: ruler.y + 80 };
  };
  const rest = (until: number): Promise<void> =>
    page
      .waitForFunction((end) => Date.now() >= end, until, { polling: 100, timeout: 60_000 })
      .then(() => undefined);

  const idle = await measure(page, rest);
  const handleAt = await knob();
  const handlePlain = await measure(page, (until) => about(handleAt, until));
  await bench.undo();
  const tickAt = await tick();
  const tickPlain = await measure(page, (until) => about(tickAt, until));
  await bench.undo();
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const handleSlowed = await measure(page, async (until) => about(await knob(), until));
  const tickSlowed = await measure(page, (until) => about(tickAt, until));
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });

  const figures = JSON.stringify({ idle, handlePlain, tickPlain, handleSlowed, tickSlowed });
  info.annotations.push({ type: 'drag in a long move', description: figures });
  // eslint-disable-next-line no-console -- the figures belong in the run's own words
  console.log(`drag in a long move: ${figures}`);
  expect(handlePlain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.3);
  expect(tickPlain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.2);
  expect(tickSlowed.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.05);
});
