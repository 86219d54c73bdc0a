import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import type { Locator } from '@playwright/test';
import type { Bench } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

const FRAMES = [1, 13, 16, 17, 18, 21, 33, 49];

/** A move with a mark on each of some frames, an exposure of its own, a key and a place by hand in its middle. */
function marked(frames: readonly number[]): Shot {
  const last = frames.at(-1)!;
  const empty = freshShot({ name: 'Warp', rate: 24, lengthFrames: last, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const { id: moveId, marks } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  const full = frames.slice(1, -1).reduce((shot, frame) => edits.addMark(shot, { moveId, frame }), even);
  const held = edits.setRangeHeld(full, { moveId, from: 22, until: 29, framesHeld: 2 });
  return edits.setKey(held, { moveId, track: 'turn', frame: 23, value: 30 });
}

interface Kept {
  readonly shot: Pick<Shot, 'moves' | 'lengthFrames' | 'rate'>;
}

/** The shot as the server has it. */
async function kept({ page }: Bench): Promise<Kept['shot']> {
  const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
  return ((await (await page.request.get(address)).json()) as Kept).shot;
}

const framesOf = async (bench: Bench): Promise<readonly number[]> =>
  (await kept(bench)).moves[0]!.marks.map(({ frame }) => frame);

test('a passage is stretched by its edge and by its number, with everything in it; undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(marked(FRAMES));
  await bench.step('Timing');
  await bench.group('Range');
  await bench.goTo(13);
  await bench.press('Pick frames');
  await bench.type('Until frame', 33);
  await expect(page.getByText('Passage 13 → 33')).toBeVisible();

  // To 30 frames, as the design has it.
  await bench.type('Passage lasts, frames', 30);
  await bench.saved();
  await expect.poll(() => framesOf(bench)).toEqual([1, 13, 18, 19, 21, 25, 43, 59]);
  await expect(page.getByTestId('roundings').first()).toHaveText(
    'Put on whole frames: 17.50 on 18, 20.50 on 21.',
  );
  const longer = await kept(bench);
  expect(longer.lengthFrames).toBe(59);
  expect(longer.moves[0]!.exposures).toEqual([{ from: 27, until: 38, framesHeld: 2 }]);
  expect(longer.moves[0]!.tracks.turn.map(({ frame }) => frame)).toEqual([28]);
  await bench.undo();
  await bench.saved();
  await expect.poll(() => framesOf(bench)).toEqual(FRAMES);

  // By its edge on the rail: ten frames later on a rail of 48 intervals.
  await bench.type('From frame', 13);
  await bench.type('Until frame', 33);
  const edges = (await page.getByTestId('passage-edges').boundingBox())!;
  // Tabs stand about the frames that the passage goes from and to.
  const perFrame = (edges.width - 16) / 20;
  const edge = { x: edges.x + edges.width - 8, y: edges.y + edges.height - 4 };
  await hand.drag([edge, { x: edge.x + 5 * perFrame, y: edge.y }, { x: edge.x + 10 * perFrame, y: edge.y }]);
  await bench.saved();
  await expect.poll(() => framesOf(bench)).toEqual([1, 13, 18, 19, 21, 25, 43, 59]);

  await page.reload();
  await bench.step('Timing');
  await expect.poll(() => framesOf(bench)).toEqual([1, 13, 18, 19, 21, 25, 43, 59]);
});

test('frames are picked in the tables of the sheet, held by touch or with Shift, and their edge is dragged in the graph', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(marked(FRAMES));
  await bench.step('Sheet');
  await bench.goTo(13);
  const line = (frame: number): Locator =>
    page.getByRole('row', { name: new RegExp(`^Frame ${frame}(,|$)`) }).first();
  // On a phone few lines are in sight at once.
  await line(14).scrollIntoViewIfNeeded();
  const box = (await line(14).boundingBox())!;
  await hand.hold([{ x: box.x + 20, y: box.y + box.height / 2 }], () =>
    expect(page.getByText('Frames 13 → 14')).toBeVisible(),
  );
  await expect(page.getByTestId('picked-line').first()).toBeVisible();
  // Its edges can be dragged beside the tables, too.
  await expect(page.getByTestId('passage-edges')).toHaveAttribute('d', /^M/);
  // The playhead stays, and a plain press picks nothing.
  await line(12).click();
  await expect(page.getByText('Frames 13 → 14')).toBeVisible();
  await bench.press('Deselect the frames');
  await expect(page.getByTestId('picked-line')).toHaveCount(0);

  // Shift does the same; in the exposure sheet as well.
  await bench.group('Exposures');
  await bench.goTo(18);
  await line(21).click({ modifiers: ['Shift'] });
  await expect(page.getByText('Frames 18 → 21')).toBeVisible();
  // From 18 to 21, its later edge eight frames on.
  await bench.press('Change timing');
  await expect(page.getByRole('textbox', { name: 'Passage lasts, frames' })).toHaveValue('3');
  await bench.view('Graph');
  const edges = (await page.getByTestId('graph-edges').boundingBox())!;
  // Tabs hang about the frames that the passage goes from and to.
  const path = (await page.getByTestId('graph-edges').getAttribute('d'))!;
  const [from, until] = [...path.matchAll(/M([\d.]+)/g)].map(([, x]) => Number(x));
  const perFrame = (until! - from!) / 3;
  const edge = { x: edges.x + edges.width - 5, y: edges.y + 9 };
  await hand.drag([edge, { x: edge.x + 4 * perFrame, y: edge.y }, { x: edge.x + 8.1 * perFrame, y: edge.y }]);
  await bench.saved();
  await expect.poll(() => framesOf(bench)).toEqual([1, 13, 16, 17, 18, 29, 41, 57]);
  await expect(page.getByRole('textbox', { name: 'Passage lasts, frames' })).toHaveValue('11');
  await bench.undo();
  await bench.saved();
  await expect.poll(() => framesOf(bench)).toEqual(FRAMES);
});

test(
  'in too few frames marks would meet: it says so and changes nothing; backwards and out and back',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(marked(FRAMES));
    await bench.step('Timing');
    await bench.group('Range');
    await bench.goTo(13);
    await bench.press('Pick frames');
    await bench.type('Until frame', 33);
    await bench.type('Passage lasts, frames', 6);
    await expect(page.getByText('14 is the least that works')).toBeVisible();
    await bench.type('Passage lasts, frames', 17);
    await expect(page.getByText('18 is the least that works')).toBeVisible();
    expect(await framesOf(bench)).toEqual(FRAMES);

    await bench.press('Reverse');
    await bench.saved();
    await expect.poll(() => framesOf(bench)).toEqual([1, 13, 25, 28, 29, 30, 33, 49]);
    await bench.undo();
    await bench.press('Out and back');
    await bench.saved();
    await expect.poll(() => framesOf(bench)).toEqual([1, 13, 16, 17, 18, 21, 33, 45, 48, 49, 50, 53, 69]);
    await expect(page.getByText('Passage 13 → 53')).toBeVisible();
  },
);

test(
  'from 24 to 12 in seconds: marks keep their time, and what was rounded is said',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(marked([1, 13, 20, 49]));
    await bench.step('Timing');
    await bench.group('Shot');
    await bench.choose('Seconds');
    await bench.type('Rate, a second', 12);
    await bench.saved();
    await expect.poll(() => framesOf(bench)).toEqual([1, 7, 11, 25]);
    expect(await kept(bench)).toMatchObject({ rate: 12, lengthFrames: 25 });
    await expect(page.getByTestId('roundings').last()).toHaveText('Put on whole frames: 10.50 on 11.');
    await bench.undo();
    await bench.saved();
    expect(await kept(bench)).toMatchObject({ rate: 24, lengthFrames: 49 });
  },
);

test(
  'no step of a span above so much: its frames give way, or its easing; for the whole move, too',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Steps', 41);
    await bench.group('Here');
    // 1536 units in 40 intervals: 38.4 each. At most 20: 77 intervals of 19.9.
    expect(await bench.number('Largest step, units')).toBeCloseTo(38.4, 1);
    await bench.type('Largest step, units', 20);
    await bench.saved();
    await expect.poll(() => framesOf(bench)).toEqual([1, 78]);
    expect(await bench.number('Largest step, units')).toBeCloseTo(19.9, 1);
    await bench.undo();
    await bench.saved();
    await expect.poll(() => framesOf(bench)).toEqual([1, 41]);
    await page.getByRole('radiogroup', { name: 'Adjust' }).getByRole('radio', { name: 'Easing' }).click();
    await bench.type('Largest step, units', 20);
    await expect(
      page.getByText('Only an easing that leaves and arrives over some frames can give way'),
    ).toBeVisible();
    expect(await framesOf(bench)).toEqual([1, 41]);
  },
);
