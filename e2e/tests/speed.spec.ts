import { edits, freshShot, type Shot, smoothThrough, type TrackName } from '@humble/core';
import type { Page } from '@playwright/test';
import type { Bench } from '../support/bench';
import {
  ASKED,
  dragWithGhosts,
  ghostsShown,
  measure,
  type Measured,
  middleOf,
  reaching,
  resting,
} from '../support/speed';
import { pngInGreys, pngWithBox } from '../support/png';
import { slowDown } from '../support/slowing';
import { expect, test } from '../support/test';

// Recording every movement of the pointer for a trace costs frames itself.
test.use({ trace: 'off' });

test('a point is dragged with 200 ghosts shown, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(100, 100),
  );
  await bench.openShot({ name: 'Procession', length: 201 });
  await bench.draw([0.1, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.9, 0.6]);
  await bench.group('Draw');
  await bench.press('Keep it');
  await page
    .getByRole('slider', { name: /^Frame/ })
    .first()
    .focus()
    .catch(() => undefined);
  await page.keyboard.press('End');
  await dragWithGhosts(bench, 'drag with 200 ghosts', info);
});

test('a point of an ordinary shot is dragged, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(3, 3),
  );
  await bench.openShot({ name: 'Ordinary', length: 48 });
  await bench.draw([0.1, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.9, 0.6]);
  await bench.saved();
  await bench.goTo(24);
  // 50 of 60 frames a second.
  await dragWithGhosts(bench, 'drag in an ordinary shot', info, 0.8);
});

/** Ten figures, each on an arc of its own, turned, sized, faded and off it by keys, and leaning. */
function company(): Shot {
  const empty = freshShot({ name: 'Company', rate: 24, lengthFrames: 201, width: 1920, height: 1080 });
  const shot = Array.from({ length: 10 }, (_, n) =>
    smoothThrough(
      [0.1, 0.3, 0.5, 0.7, 0.9].map((x, i) => ({ x: 1920 * x, y: (i % 2 === 0 ? 500 : 180) + 40 * n })),
    ),
  ).reduce((now, points) => edits.drawArc(now, { points }), empty);
  return shot.moves.reduce((now, { id: moveId }, n) => {
    const key = (track: TrackName, frame: number, value: number) => (one: Shot) =>
      edits.setKey(one, { moveId, track, frame, value });
    const lean = { by: 'most', mostDeg: 15, smoothFrames: 6 } as const;
    return [
      key('turn', 1, 0),
      key('turn', 201, 720),
      key('size', 1, 60 + 4 * n),
      key('size', 201, 30),
      key('opacity', 1, 100),
      key('opacity', 201, 40),
      key('offsetY', 1, 40 * (n - 5)),
      key('offsetY', 201, 10 * n),
    ].reduce((one, set) => set(one), edits.setTurning(now, { moveId, lean, cornerFrames: 6 }));
  }, shot);
}

test('a point is dragged with ten figures of many keys ghosted, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(10, 10),
  );
  await bench.open(company());
  await bench.step('Arc');
  await bench.goTo(101);
  await dragWithGhosts(bench, 'drag with ten figures, 200 ghosts', info);
});

/** An eel of forty parts that winds across the field. */
function eel(): Shot {
  const empty = freshShot({ name: 'Eel', rate: 24, lengthFrames: 121, width: 1920, height: 1080 });
  const points = smoothThrough(
    [0.05, 0.3, 0.55, 0.8, 0.95].map((x, i) => ({ x: 1920 * x, y: i % 2 ? 300 : 700 })),
  );
  const drawn = edits.drawArc(empty, { points });
  const { id: moveId, figureId } = drawn.moves[0]!;
  const small = edits.setFigure(drawn, { figureId, height: 60 });
  return edits.makeChain(small, {
    moveId,
    count: 40,
    gap: { distance: 24 },
    toPercent: 30,
    taper: 'even',
  });
}

test('a point is dragged under an eel of forty parts with 30 ghosts, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(15, 15),
  );
  await bench.open(eel());
  await bench.step('Arc');
  await bench.goTo(61);
  // Twelve hundred outlines, and forty parts that move.
  await dragWithGhosts(bench, 'drag with an eel of forty parts, 30 ghosts', info, 0.3);
});

/** A figure of two drawings with twenty pins between them, drawn through. */
function pinned(): Shot {
  const empty = freshShot({ name: 'Pinned', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, {
    points: smoothThrough([0.1, 0.5, 0.9].map((x, i) => ({ x: 1920 * x, y: i === 1 ? 400 : 700 }))),
  });
  const egg = (across: number, down: number): number[] =>
    Array.from({ length: 48 }, (_, k) => {
      const angle = (2 * Math.PI * k) / 48;
      return [200 + across * Math.cos(angle), 200 + down * Math.sin(angle)];
    }).flat();
  const eggs = [egg(90, 150), egg(150, 90)] as const;
  const drawings = eggs.map((ring, i) => ({
    sha256: String(i + 1).repeat(64),
    type: 'image/png' as const,
    name: `egg ${i + 1}.png`,
    width: 400,
    height: 400,
    outline: [ring],
    frames: 1,
    planted: null,
  }));
  const figureId = 'figure1';
  const pictured = edits.setArtwork(drawn, { figureId, artwork: { kind: 'pictures', drawings } });
  const large = edits.setFigure(pictured, { figureId, height: 400 });
  const through = edits.drawThrough(large, {
    moveId: 'move1',
    from: 1,
    until: 48,
    first: 1,
    second: 2,
    chart: null,
  });
  return Array.from({ length: 20 }, (_, i) => Math.floor((i * 48) / 20)).reduce(
    (shot, k) =>
      edits.addPin(shot, {
        figureId,
        first: 1,
        second: 2,
        at: {
          first: { x: eggs[0][2 * k]!, y: eggs[0][2 * k + 1]! },
          second: { x: eggs[1][2 * k]!, y: eggs[1][2 * k + 1]! },
        },
      }),
    through,
  );
}

test('a pin is dragged among twenty with ghosts of in-betweens, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(3, 3),
  );
  await bench.open(pinned());
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.goTo(24);
  const editor = page.getByTestId('pin-editor');
  await editor.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const session = await page.context().newCDPSession(page);
  const outline = () => page.getByTestId('in-between').getAttribute('d');
  let side = -1;
  const drag = async (): Promise<Measured> => {
    const box = (await editor.boundingBox())!;
    // The pin at the right end of the egg on the first drawing.
    const scale = Math.min((box.width / 2 - 60) / 400, (box.height - 60) / 400);
    const pin = { x: box.x + box.width / 4 + 90 * scale, y: box.y + box.height / 2 };
    const before = await outline();
    const measured = await measure(page, async (until) => {
      await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [pin] });
      for (let i = 1; Date.now() < until; i++)
        await session.send('Input.dispatchTouchEvent', {
          type: 'touchMove',
          touchPoints: [{ x: pin.x + 6 * Math.sin(i / 9), y: pin.y + 3 * Math.sin(i / 7) }],
        });
    });
    // To the other side each time: it may have stayed where it was led last.
    side = -side;
    const away = { x: pin.x + 9 * side, y: pin.y };
    await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [away] });
    await expect.poll(outline).not.toBe(before);
    await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [pin] });
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    return measured;
  };
  const idle = await measure(page, resting(page));
  const slowing = await slowDown(page, session);
  // 50 of 60 frames a second.
  const least = 0.8 * ASKED;
  const slowed = await reaching(least * idle.framesPerSecond, drag);
  await slowing.end();
  const figures = JSON.stringify({ idle, slowed, throttle: slowing.rate });
  info.annotations.push({ type: 'drag of a pin', description: figures });
  // eslint-disable-next-line no-console -- the figures belong in the run's own words
  console.log(`drag of a pin: ${figures}`);
  expect(slowed.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(least);
});

/** Pictures in depth, field units away from the camera at rest, in units of the plane of the arcs. */
const DEPTHS = [3, 1.5, 0.7];

/** A wavy arc under a camera that pans, with three large pictures in depth. */
async function underCamera(page: Page): Promise<Shot> {
  const size = { width: 1920, height: 1080 };
  const empty = freshShot({ name: 'Under a camera', rate: 24, lengthFrames: 48, ...size });
  const points = [0.1, 0.3, 0.5, 0.7, 0.9].map((across, i) => ({
    x: across * 1920,
    y: (i % 2 === 0 ? 0.6 : 0.3) * 1080,
  }));
  const seen = edits.addCamera(edits.drawArc(empty, { points: smoothThrough(points) }));
  const moveId = seen.moves.at(-1)!.id;
  let shot = edits.pose(seen, { moveId, frame: 48, to: { x: 1500, y: 540 }, path: 'straight' });
  for (const distance of DEPTHS) {
    const level = (x: number, y: number): number =>
      128 + 90 * Math.sin(x / (37 * distance)) * Math.sin(y / 29);
    const kept = await page.request.post('/api/pictures', {
      headers: { 'x-file-name': `plane-${distance}.png` },
      data: pngInGreys(4000, 1500, level),
    });
    const { note: _, ...picture } = (await kept.json()) as Shot['planes'][number]['pictures'][number] & {
      readonly note: string;
    };
    shot = edits.addPlane(shot, { pictures: [picture], distance, name: `At ${distance}` });
  }
  return shot;
}

test('a point is dragged under a camera over three large pictures in depth, and the picture keeps up', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the budget is for a phone');
  await page.addInitScript(
    (settings) => localStorage.setItem('humble-settings', settings),
    ghostsShown(3, 3),
  );
  await bench.open(await underCamera(page));
  await bench.step('Arc');
  await bench.goTo(24);
  // 50 of 60 frames a second.
  await dragWithGhosts(bench, 'drag under a camera', info, 0.8);
});

interface LongMove {
  readonly lengthFrames: number;
  readonly moves: {
    marks: { id: string; frame: number; fraction: number; kind: string; easing: { kind: string } }[];
  }[];
}

async function kept(page: Page): Promise<{ readonly revision: number; readonly shot: LongMove }> {
  const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
  return (await (await page.request.get(address)).json()) as { revision: number; shot: LongMove };
}

/** Kinds of the easings that are not as `makeLong` made them. */
async function changedEasings(page: Page): Promise<string[]> {
  const { marks } = (await kept(page)).shot.moves[0]!;
  return marks
    .map(({ easing }) => easing)
    .filter((easing) => JSON.stringify(easing) !== JSON.stringify(CURVE))
    .map(({ kind }) => kind);
}

const CURVE = { kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1 };

/** Gives the shot on the bench a long move with many marks, through the server, and opens it again. */
async function makeLong(bench: Bench, frames = 1001, count = 40): Promise<void> {
  const { page } = bench;
  const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
  const { revision, shot } = await kept(page);
  const [first] = shot.moves[0]!.marks;
  const marks = Array.from({ length: count }, (_, i) => ({
    ...first,
    id: `m${i + 1}`,
    frame: 1 + Math.round((i * (frames - 1)) / (count - 1)),
    fraction: i / (count - 1),
    easing: CURVE,
  }));
  const long = { ...shot, lengthFrames: frames, moves: [{ ...shot.moves[0], marks }] };
  const answer = await page.request.put(address, { data: { revision, shot: long } });
  expect(answer.status()).toBe(200);
  await page.reload();
  await bench.drawn('graph-curve');
}

test('a tick and a handle are dragged in a move of 1,000 frames with 40 marks, all four views open', async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(hand.isFinger, 'all four views are open on a wide screen');
  await bench.openShot({ name: 'Long way', length: 201 });
  await bench.draw([0.1, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.9, 0.6]);
  await bench.saved();
  await bench.step('Timing');
  await bench.saved();
  await makeLong(bench);
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
  const zoomInOn = async (x: number, y: number): Promise<void> => {
    await page.mouse.move(x, y);
    for (let i = 0; i < 20; i++) await page.mouse.wheel(0, -100);
  };
  /** The lower left one of the two handles of the current span, looked at closely. */
  const knob = async () => {
    const knobs = async () => (await page.getByTestId('graph-knobs').boundingBox())!;
    const far = await knobs();
    if (far.width < 30) {
      // Time is zoomed over the curve, the way over the axis; the first frame stays where it is.
      const graph = (await page.getByTestId('distance-graph').boundingBox())!;
      await zoomInOn(graph.x + 46, far.y + far.height - 6);
      await zoomInOn(graph.x + 20, far.y + far.height - 6);
    }
    await expect.poll(async () => (await knobs()).width).toBeGreaterThan(30);
    const box = await knobs();
    return { x: box.x + 6, y: box.y + box.height - 6 };
  };
  /** A tick of the ruler far from any mark, of a few spans that are looked at closely. */
  const tick = async () => {
    const ruler = (await page.getByTestId('unrolled-arc').boundingBox())!;
    await zoomInOn(ruler.x + ruler.width / 2, ruler.y + 80);
    const numbersIn = async (id: string): Promise<number[]> =>
      [...(await bench.drawn(id)).matchAll(/M([\d.]+) /g)].map(([, x]) => Number(x));
    await expect.poll(async () => new Set(await numbersIn('ruler-posts')).size).toBeLessThan(16);
    const posts = await numbersIn('ruler-posts');
    const away = (x: number): number => Math.min(...posts.map((post) => Math.abs(post - x)));
    const ticks = await numbersIn('ruler-ticks');
    const x = ticks.reduce((best, one) => (away(one) > away(best) ? one : best));
    return { x: ruler.x + x, y: ruler.y + 80 };
  };
  const takenBack = async (): Promise<void> => {
    await bench.saved();
    await bench.undo();
    await bench.saved();
    await expect.poll(() => changedEasings(page)).toEqual([]);
  };

  const idle = await measure(page, resting(page));
  const handleAt = await knob();
  const handlePlain = await measure(page, (until) => about(handleAt, until));
  await bench.saved();
  await expect.poll(() => changedEasings(page)).toEqual(['curve']);
  await bench.undo();
  const tickAt = await tick();
  const tickPlain = await measure(page, (until) => about(tickAt, until));
  await bench.saved();
  await expect.poll(() => changedEasings(page)).toEqual(['ticks']);
  await bench.undo();
  await bench.goTo(13);
  const slowing = await slowDown(page, session);
  // How long the panels take on this machine is known after the first time that they followed a hand.
  await about(handleAt, Date.now() + 500);
  await takenBack();
  const handleSlowed = await middleOf(async () => {
    const measured = await measure(page, (until) => about(handleAt, until));
    await takenBack();
    return measured;
  });
  const tickSlowed = await middleOf(async () => {
    const measured = await measure(page, (until) => about(tickAt, until));
    await takenBack();
    return measured;
  });
  await slowing.end();

  const figures = JSON.stringify({
    idle,
    handlePlain,
    tickPlain,
    handleSlowed,
    tickSlowed,
    throttle: slowing.rate,
  });
  info.annotations.push({ type: 'drag in a long move', description: figures });
  // eslint-disable-next-line no-console -- the figures belong in the run's own words
  console.log(`drag in a long move: ${figures}`);
  expect(handlePlain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.3);
  expect(tickPlain.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.2);
  expect(tickSlowed.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(0.05);
});

for (const { frames, marks, least } of [
  { frames: 2_000, marks: 200, least: 0.6 * ASKED },
  { frames: 20_000, marks: 2_000, least: 0.3 * ASKED },
])
  test(`a move of ${frames} frames with ${marks} marks plays smoothly`, async ({
    bench,
    page,
    hand,
  }, info) => {
    test.skip(hand.isFinger, 'a wide screen shows all four views at once');
    await bench.straight('Long', 41);
    await makeLong(bench, frames, marks);
    await bench.step('Timing');
    const idle = await measure(page, resting(page));
    const count = page.getByTestId('frame-count');
    const before = await count.innerText();
    await bench.press('Play');
    const playing = await reaching(least * idle.framesPerSecond, () => measure(page, resting(page)));
    expect(await count.innerText()).not.toBe(before);
    const figures = JSON.stringify({ idle, playing });
    info.annotations.push({ type: `playing ${frames} frames`, description: figures });
    // eslint-disable-next-line no-console -- the figures belong in the run's own words
    console.log(`playing ${frames} frames: ${figures}`);
    expect(playing.framesPerSecond / idle.framesPerSecond).toBeGreaterThan(least);
  });

/** 300 where it is measured; bringing them in takes longer than looking at them. */
const LOOPED = ASKED === 1 ? 300 : 72;
const LOOP_RATE = 24;

/** A shot all of whose frames were taken, 1920 × 1080 each. */
async function looped(page: Page): Promise<Shot> {
  const empty = freshShot({
    name: 'Taken',
    rate: LOOP_RATE,
    lengthFrames: LOOPED,
    width: 1920,
    height: 1080,
  });
  let shot = edits.drawArc(empty, { points: smoothThrough([200, 1700].map((x) => ({ x, y: 540 }))) });
  for (let i = 0; i < LOOPED; i++) {
    const bytes = pngWithBox(1920, 1080, { left: 6 * i, right: 6 * i + 120, top: 300, bottom: 600 });
    const kept = await page.request.post('/api/pictures', {
      data: bytes,
      headers: { 'x-file-name': `${i}.png` },
    });
    const { note: _, ...picture } = (await kept.json()) as Shot['shoot']['pictures'][number]['picture'] & {
      readonly note: string;
    };
    shot = edits.takePicture(shot, { picture });
  }
  return shot;
}

test(`${LOOPED} pictures that were taken play at 24 without a dropped frame`, async ({
  bench,
  page,
  hand,
}, info) => {
  test.skip(!hand.isFinger, 'the loop is looked at beside the set');
  test.slow();
  await bench.open(await looped(page));
  await bench.step('Shoot');
  const canvas = page.getByTestId('taken-picture').locator('canvas');
  await bench.goTo(1);
  const began = Date.now();
  await page.reload();
  await expect(page.getByTestId('transport')).toBeVisible();
  const openedMs = Date.now() - began;
  await bench.step('Shoot');
  await bench.goTo(1);
  await expect(canvas).toHaveAttribute('data-picture', /./);
  // Once round, so that all of them are there.
  await bench.press('Play');
  await page.waitForFunction(
    (last) => parseInt(document.querySelector('[data-testid="frame-count"]')!.textContent!, 10) >= last,
    LOOPED - 2,
    { timeout: 60_000 },
  );
  const idle = await measure(page, resting(page));
  await page.evaluate(() => {
    const drawn: { at: number; picture: string }[] = [];
    Object.assign(window, { drawn });
    const target = document.querySelector('[data-testid="taken-picture"] canvas')!;
    new MutationObserver(() => {
      drawn.push({ at: performance.now(), picture: (target as HTMLElement).dataset.picture ?? '' });
    }).observe(target, { attributes: true, attributeFilter: ['data-picture'] });
  });
  await measure(page, resting(page));
  const { shown, heapMb } = await page.evaluate(() => {
    const { drawn } = window as unknown as { drawn: { at: number }[] };
    const { memory } = performance as unknown as { memory: { usedJSHeapSize: number } };
    const seconds = (drawn.at(-1)!.at - drawn[0]!.at) / 1000;
    return { shown: (drawn.length - 1) / seconds, heapMb: memory.usedJSHeapSize / 1e6 };
  });
  const figures = JSON.stringify({
    openedMs,
    shown: Math.round(shown * 10) / 10,
    heapMb,
    fps: idle.framesPerSecond,
  });
  info.annotations.push({ type: 'loop of taken pictures', description: figures });
  // eslint-disable-next-line no-console -- the figures belong in the run's own words
  console.log(`loop of taken pictures: ${figures}`);
  expect(shown / LOOP_RATE).toBeGreaterThan(0.95 * ASKED);
  expect(heapMb).toBeLessThan(600);
});
