import { edits, freshShot, smoothThrough } from '@humble/core';
import { enter } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

const SHOT = '/shot/demo-lantern-on-the-hook';

test('keys turn the figure: added by two taps, typed, dragged, eased, undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  await page.goto(SHOT);
  await bench.step('Figure');
  await bench.keyLine('Turn');
  const strip = page.getByTestId('track-turn');
  await strip.scrollIntoViewIfNeeded();
  const figure = page.getByTestId('figure').first();
  const at = async (across: number, down: number) => {
    const box = (await strip.boundingBox())!;
    return { x: box.x + across * box.width, y: box.y + down * box.height };
  };
  await hand.tapTwice(await at(0.3, 0.8));
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 1 key');
  await hand.tapTwice(await at(0.7, 0.8));
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 2 keys');

  const before = await figure.getAttribute('transform');
  const value = page.getByRole('textbox', { name: /^Turn on frame/ });
  await enter(value, '90');
  await expect(figure).not.toHaveAttribute('transform', before!);
  await expect(value).toHaveValue('90');

  // The key at the top is dragged to an earlier frame; the playhead goes with it.
  const label = await value.getAttribute('aria-label');
  const keys = page.getByTestId('track-keys');
  const drawn = await keys.getAttribute('d');
  const [x, y] = drawn!.split('M').at(-1)!.split('h')[0]!.split(' ').map(Number) as [number, number];
  const box = (await strip.boundingBox())!;
  const key = { x: box.x + x + 1.5, y: box.y + y + 7 };
  await hand.drag([key, { x: key.x - 20, y: key.y }, { x: key.x - 50, y: key.y }]);
  await expect(keys).not.toHaveAttribute('d', drawn!);
  await expect(page.getByRole('textbox', { name: /^Turn on frame/ })).not.toHaveAttribute(
    'aria-label',
    label!,
  );
  await bench.press('Undo');
  await expect(keys).toHaveAttribute('d', drawn!);

  // Between the keys it can be eased.
  await page.getByRole('button', { name: 'Previous frame' }).click();
  await bench.press('Other easings');
  await page.getByRole('radio', { name: 'Winds up' }).click();
  await expect(page.getByText('Goes back a little first, then on to the mark.')).toBeVisible();

  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await strip.scrollIntoViewIfNeeded();
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 2 keys');
});

test(
  'a figure comes nearer at a steady pace, fades, and looks the other way',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Nearer', 25);
    await bench.step('Figure');
    await bench.keyLine('Size');
    await bench.press('Size key on frame 1');
    await bench.goTo(25);
    await bench.type('Size on frame 25, %', 25);
    await bench.goTo(13);
    await expect(bench.field('Size on frame 13, %')).toHaveValue('62.5');
    /** Factors across and down; it travels to the right. */
    const across = async () => (await bench.placement())[0];
    const down = async () => (await bench.placement())[3];
    const even = await across();
    await bench.choose('Steady depth');
    // Half of the way from 1/100 to 1/25 is 1/40.
    await expect(bench.field('Size on frame 13, %')).toHaveValue('40');
    await expect.poll(async () => (await across()) / even).toBeCloseTo(40 / 62.5, 3);

    await bench.keyLine('Opacity');
    await bench.type('Opacity on frame 13, %', 30);
    await expect(page.getByTestId('figure').first()).toHaveAttribute('opacity', '0.3');
    await bench.keyLine('Turn');
    await bench.press('Flip upside down');
    // It goes on looking the way it travels.
    await expect.poll(async () => Math.sign(await down())).toBe(-1);
    expect(await across()).toBeGreaterThan(0);
    await bench.saved();
    await page.reload();
    await bench.step('Figure');
    await bench.goTo(13);
    await expect.poll(async () => (await down()) / even).toBeCloseTo(-40 / 62.5, 3);
    await bench.undo();
    await expect.poll(async () => Math.sign(await down())).toBe(1);
  },
);

test(
  'a figure leans into the bend by as many degrees as were asked for, and the sheet says so',
  ONCE,
  async ({ bench }) => {
    await bench.openShot({ name: 'Buoy', length: 41 });
    await bench.readyShape('Circle');
    await bench.step('Figure');
    await bench.keyLine('Turn');
    await bench.page.getByRole('switch', { name: 'Turn with the arc' }).click();
    await bench.keyLine('Lean');
    await bench.choose('By degrees');
    await bench.type('At most, °', 15);
    await bench.type('Smooth the lean over, frames', 0);
    await bench.step('Sheet');
    const headings = (await bench.column('heading')).map((text) =>
      Number(text.replace('°', '').replace('+', '')),
    );
    // Evenly round a circle the pull is the same on every frame.
    headings.slice(2, -2).forEach((heading) => expect(Math.abs(heading - 15)).toBeLessThan(0.2));
  },
);

test('the rim of the figure turns it and its corner sizes it; a change goes for later keys, and a track is cleared', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Rim', 41);
  await bench.step('Figure');
  await bench.keyLine('Turn');
  await bench.goTo(21);
  const rim = page.getByTestId('figure-turn-knob');
  const pivot = await bench.spot(0.5, 0.5);
  /** Half way round the pivot from where the knob is, clockwise. */
  const round = async (degrees: number): Promise<void> => {
    const from = await bench.middleOf(rim);
    const [dx, dy] = [from.x - pivot.x, from.y - pivot.y];
    const spots = Array.from({ length: 7 }, (_, i) => {
      const angle = ((degrees * i) / 6 / 180) * Math.PI;
      return {
        x: pivot.x + dx * Math.cos(angle) - dy * Math.sin(angle),
        y: pivot.y + dx * Math.sin(angle) + dy * Math.cos(angle),
      };
    });
    await hand.drag(spots);
  };
  await round(90);
  await expect.poll(async () => Math.abs((await bench.number('Turn on frame 21, °')) - 90)).toBeLessThan(6);
  await bench.type('Turn on frame 21, °', 90);
  await bench.goTo(41);
  await bench.type('Turn on frame 41, °', 400);
  await bench.goTo(21);
  await bench.choose('From here on');
  await bench.type('Turn on frame 21, °', 100);
  await bench.goTo(41);
  expect(await bench.number('Turn on frame 41, °')).toBe(410);
  await bench.press('Whole spins');
  expect(await bench.number('Turn on frame 41, °')).toBe(460);
  await bench.undo();
  await bench.press('Clear turn');
  expect(await bench.number('Turn on frame 41, °')).toBe(0);
  await bench.undo();
  expect(await bench.number('Turn on frame 41, °')).toBe(410);

  await bench.keyLine('Size');
  await bench.goTo(21);
  const corner = await bench.middleOf(page.getByTestId('figure-size-knob'));
  const half = { x: (corner.x + pivot.x) / 2, y: (corner.y + pivot.y) / 2 };
  await hand.drag([corner, half]);
  await expect.poll(async () => Math.abs((await bench.number('Size on frame 21, %')) - 50)).toBeLessThan(6);
  await bench.undo();
  expect(await bench.number('Size on frame 21, %')).toBe(100);
});

test(
  'keys are shifted and stretched, a lean becomes keys, and a closed arc starts elsewhere',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Round buoy', length: 40 });
    await bench.readyShape('Circle');
    await bench.step('Figure');
    await bench.keyLine('Lean');
    await bench.choose('By degrees');
    await bench.press('Turn the lean into keys');
    await expect(
      page
        .getByRole('radiogroup', { name: 'Lean into bends' })
        .getByRole('radio', { name: 'None', exact: true }),
    ).toHaveAttribute('aria-checked', 'true');
    await bench.keyLine('Turn');
    const last = await bench.number('Keys to');
    expect(last).toBe(40);
    await bench.type('Keys to', 20);
    expect(await bench.number('Keys to')).toBe(20);
    await bench.type('Keys from', 5);
    expect(await bench.number('Keys to')).toBe(24);
    await bench.undo();
    await bench.undo();
    expect(await bench.number('Keys to')).toBe(40);

    await bench.step('Sheet');
    const before = await bench.column('x');
    await bench.step('Arc');
    await bench.tap(0.5, 0.8);
    const bottom = await bench.spot(0.5, 0.9);
    expect(bottom.x).toBeGreaterThan(0);
    const spots = await Promise.all((await bench.points.all()).map((point) => bench.middleOf(point)));
    await bench.hand.tap(spots[2]!);
    await bench.group('This arc');
    await bench.press('Start here');
    await bench.step('Sheet');
    expect(await bench.column('x')).toEqual(before);
  },
);

test('under the ruler a key is dragged along the arc, typed, undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  test.skip(hand.isFinger, 'a phone has keys in the Figure step');
  // Even over twenty intervals; a key on the first frame and one on the sixth.
  const even = { kind: 'even' } as const;
  const plain = edits.drawArc(
    freshShot({ name: 'Posts', rate: 24, lengthFrames: 21, width: 1000, height: 600 }),
    {
      points: smoothThrough([
        { x: 100, y: 300 },
        { x: 900, y: 300 },
      ]),
    },
  );
  const [{ id: moveId, marks }] = plain.moves as [(typeof plain.moves)[number]];
  const eased = edits.setEasing(plain, { moveId, markId: marks[0]!.id, easing: even });
  const first = edits.setKey(eased, { moveId, track: 'turn', frame: 1, value: 0 });
  await bench.open(edits.setKey(first, { moveId, track: 'turn', frame: 6, value: 50 }));
  await bench.step('Timing');

  const row = page.getByTestId('key-row-turn');
  const middles = async (): Promise<number[]> =>
    [...(await row.getAttribute('d'))!.matchAll(/M([-\d.]+) /g)].map(([, x]) => Number(x) + 1.5);
  await expect.poll(async () => (await middles()).length).toBe(2);
  const box = (await page.getByTestId('key-rows').boundingBox())!;
  const [start, second] = (await middles()) as [number, number];
  // A quarter of the way is five intervals of twenty; three quarters are frame 16.
  const width = (second - start) * 4;
  const y = box.y + 12;
  await hand.drag([
    { x: box.x + second, y },
    { x: box.x + start + 0.6 * width, y },
    { x: box.x + start + 0.752 * width, y },
  ]);
  await expect.poll(async () => Math.round(100 * (((await middles())[1]! - start) / width))).toBe(75);

  await hand.tap({ x: box.x + (await middles())[1]!, y });
  const frame = page.getByRole('textbox', { name: 'Key on frame' });
  await expect(frame).toHaveValue('16');
  await enter(page.getByRole('textbox', { name: 'Turn, °' }), '90');
  await enter(frame, '11');
  await expect.poll(async () => Math.round(100 * (((await middles())[1]! - start) / width))).toBe(50);
  await bench.press('Undo');
  await expect(frame).toHaveValue('16');
  await bench.saved();
  await page.reload();
  await bench.step('Timing');
  await expect.poll(async () => Math.round(100 * (((await middles())[1]! - start) / width))).toBe(75);
});
