import { expect, ONCE, test } from '../support/test';

test('points and handles are dragged, inserted and deleted, one undo step each', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Hawser', length: 31 });
  await bench.draw([0.1, 0.6], [0.3, 0.35], [0.5, 0.3], [0.7, 0.35], [0.9, 0.6]);
  const line = page.getByTestId('arc-line');
  const drawn = (await line.getAttribute('d'))!;

  // The start follows the finger, and so does the figure on it.
  const figure = page.getByTestId('figure');
  const stood = await figure.getAttribute('transform');
  const start = page.getByTestId('point-p1');
  const box = (await start.boundingBox())!;
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await hand.drag([from, { x: from.x + 10, y: from.y + 20 }, { x: from.x + 20, y: from.y + 30 }]);
  await expect(line).not.toHaveAttribute('d', drawn);
  await expect(figure).not.toHaveAttribute('transform', stood!);
  const moved = (await line.getAttribute('d'))!;

  // Its outgoing handle, seen since it is selected.
  const pointAt = /^M([-\d.]+) ([-\d.]+)/.exec(moved)!;
  const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
  const scale = paper.width / 1920;
  const control = /C([-\d.]+) ([-\d.]+)/.exec(moved)!;
  const onPage = (x: number, y: number) => ({ x: paper.x + x * scale, y: paper.y + y * scale });
  const handle = onPage(Number(control[1]), Number(control[2]));
  expect(
    Math.hypot(Number(control[1]) - Number(pointAt[1]), Number(control[2]) - Number(pointAt[2])),
  ).toBeGreaterThan(50);
  await hand.drag([handle, { x: handle.x + 4, y: handle.y - 18 }, { x: handle.x + 6, y: handle.y - 30 }]);
  await expect(line).not.toHaveAttribute('d', moved);

  await bench.undo();
  await expect(line).toHaveAttribute('d', moved);
  await bench.undo();
  await expect(line).toHaveAttribute('d', drawn);
  await bench.redo();
  await expect(line).toHaveAttribute('d', moved);
  await bench.undo();

  // A further point leaves the ticks where they are; deleting it gives the old count back.
  const points = page.locator('[data-testid^="point-"]');
  const count = await points.count();
  await bench.group('This arc');
  await page.getByRole('button', { name: 'Add a point' }).click();
  await expect(points).toHaveCount(count + 1);
  await hand.tap(await bench.middleOf(points.nth(1)));
  await page.getByRole('button', { name: 'Delete point' }).click();
  await expect(points).toHaveCount(count);
  await bench.undo();
  await expect(points).toHaveCount(count + 1);
  await bench.saved();
  await page.reload();
  await bench.step('Arc');
  await expect(points).toHaveCount(count + 1);
});

test('two taps on the arc put a point there and select it', async ({ bench, page }) => {
  await bench.openShot({ name: 'Rope' });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.group('Draw');
  await bench.press('Keep it');
  const count = await bench.points.count();
  await expect(page.getByTestId('hint')).toContainText('Drag a point or the arc.');
  await bench.tapTwice(0.35, 0.5);
  await expect(bench.points).toHaveCount(count + 1);
  await bench.group('This arc');
  await expect(page.getByText('Selected point')).toBeVisible();
  expect(Math.abs((await bench.number('Across, units')) - 0.35 * 1920)).toBeLessThan(30);
  // Its place can be typed too.
  await bench.type('Down, units', 300);
  await expect(bench.field('Down, units')).toHaveValue('300');
  await expect(bench.line).toHaveAttribute('d', / 300/);
});

test('the arc is drawn anew when the stroke is kept, and its timing stays', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Buoy', length: 31 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.step('Timing');
  await bench.group('Here');
  await bench.type('Leave slowly over, frames', 3);
  await bench.step('Arc');
  const before = (await bench.line.getAttribute('d'))!;
  await bench.group('This arc');
  await bench.press('Redraw');
  await bench.stroke([0.2, 0.2], [0.5, 0.8], [0.8, 0.2]);
  await expect(page.getByTestId('sketch')).toHaveAttribute('d', /^M/);
  // Until it is kept, the arc is as it was.
  await expect(bench.line).toHaveAttribute('d', before);
  await bench.group('Draw');
  await bench.press('Keep it');
  await expect(bench.line).not.toHaveAttribute('d', before);
  await bench.step('Timing');
  await bench.group('Here');
  await expect(bench.field('Leave slowly over, frames')).toHaveValue('3');
  await bench.undo();
  await expect(bench.line).toHaveAttribute('d', before);
});

test(
  'the figure turns with the arc, is corrected by the dial, and changes its stand-in',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.openShot({ name: 'Capstan', length: 25 });
    await bench.draw([0.2, 0.2], [0.2, 0.8]);
    const figure = page.getByTestId('figure');
    const heading = async (): Promise<number> => {
      const [a, b] = await bench.placement();
      return Math.round((Math.atan2(b, a) * 180_000) / Math.PI) / 1000;
    };
    // Straight down as seen is 90 degrees.
    expect(Math.abs((await heading()) - 90)).toBeLessThan(3);
    await bench.step('Figure');
    await bench.keyLine('Turn');
    await page.getByRole('switch', { name: 'Turn with the arc' }).click();
    await expect.poll(heading).toBe(0);
    const slider = page.getByRole('slider', { name: 'Facing' });
    await slider.scrollIntoViewIfNeeded();
    const dial = (await slider.boundingBox())!;
    const centre = { x: dial.x + dial.width / 2, y: dial.y + dial.height / 2 };
    await hand.drag([
      { x: centre.x + 40, y: centre.y },
      { x: centre.x + 28, y: centre.y + 28 },
      { x: centre.x, y: centre.y + 40 },
    ]);
    await expect.poll(heading).toBe(90);
    await bench.undo();
    await expect.poll(heading).toBe(0);
    await bench.keyLine('Turn');
    await bench.type('Facing angle, °', -45);
    await expect.poll(heading).toBe(-45);
    const shape = await figure.locator('path').first().getAttribute('d');
    await bench.group('Figures');
    await page.getByRole('radio', { name: 'Lantern' }).click();
    await expect(figure.locator('path').first()).not.toHaveAttribute('d', shape!);
  },
);

test('two fingers or the wheel zoom the field, and Fit brings it back', async ({ bench, page, hand }) => {
  await bench.openShot({ name: 'Chart' });
  await bench.draw([0.2, 0.5], [0.8, 0.5]);
  const paper = page.getByTestId('field-paper').first();
  const before = (await paper.boundingBox())!.width;
  const middle = await bench.spot(0.5, 0.3);
  if (hand.isFinger) {
    const session = await page.context().newCDPSession(page);
    const fingers = (apart: number) => [
      { x: middle.x - apart, y: middle.y, id: 0 },
      { x: middle.x + apart, y: middle.y, id: 1 },
    ];
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: fingers(30) });
    for (const apart of [40, 50, 60, 75, 90])
      await session.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: fingers(apart) });
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  } else {
    await page.mouse.move(middle.x, middle.y);
    await page.mouse.wheel(0, -400);
  }
  await expect.poll(async () => (await paper.boundingBox())!.width).toBeGreaterThan(before * 1.3);
  await page.getByRole('button', { name: 'Fit' }).click();
  await expect.poll(async () => (await paper.boundingBox())!.width).toBeCloseTo(before, 0);
});
