import { expect, ONCE, test } from '../support/test';

const pointsIn = (d: string): number => (d.match(/C/g) ?? []).length + 1;

test(
  'a first stroke is an arc at once; how closely it is followed is settled afterwards',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Swell' });
    const wave = Array.from({ length: 30 }, (_, i): [number, number] => [
      0.1 + (0.8 * i) / 29,
      0.5 + 0.25 * Math.sin(i / 2.2),
    ]);
    await bench.draw(...wave);
    await bench.group('Draw');
    const card = page.getByText('Your stroke', { exact: true });
    await expect(card).toBeVisible();
    // The slider, worked by keys: further from the stroke means fewer points, shown as they change.
    const slider = page.getByRole('slider', { name: /Stay within/ });
    const count = async (): Promise<number> => pointsIn((await bench.line.getAttribute('d'))!);
    const slide = async (key: string): Promise<void> => {
      await slider.focus();
      for (let i = 0; i < 50; i++) await page.keyboard.press(key);
    };
    const first = await count();
    // The fitting is done aside, in a worker.
    expect(page.workers().map((worker) => worker.url())).toContainEqual(expect.stringContaining('fit'));
    await slide('ArrowLeft');
    await expect.poll(count).toBeGreaterThan(first);
    await expect(slider).toHaveAttribute('aria-valuenow', '0');
    await expect(page.getByText('working…')).toBeHidden();
    const many = await count();
    await slide('ArrowRight');
    await expect.poll(count).toBeLessThan(many / 2);
    await expect(slider).toHaveAttribute('aria-valuenow', '9');
    // The last of the fits that were asked for may be under way, and the panel lags a little behind the line.
    await expect(async () => {
      await expect(page.getByText('working…')).toBeHidden({ timeout: 500 });
      await expect(page.getByText(`${await count()} points`, { exact: true })).toBeVisible({ timeout: 500 });
    }).toPass();
    const few = await count();
    await bench.group('Draw');
    await bench.press('Keep it');
    await expect(card).toBeHidden();
    // The stroke and all that was settled about it are one step.
    await bench.undo();
    await expect(bench.line).toHaveCount(0);
    await bench.redo();
    await expect.poll(async () => pointsIn((await bench.line.getAttribute('d'))!)).toBe(few);
  },
);

test('drawing again takes the first stroke back', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Ripple' });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.press('Redraw');
  await expect(bench.line).toHaveCount(0);
  await bench.stroke([0.1, 0.2], [0.9, 0.2]);
  await expect(page.getByTestId('arc-line')).toHaveCount(1);
  await bench.group('Draw');
  await expect(page.getByText('Your stroke', { exact: true })).toBeVisible();
});

test(
  'a stroke from the end goes on from it, and one on the arc replaces a stretch',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Mooring' });
    await bench.draw([0.2, 0.5], [0.6, 0.5]);
    await bench.group('Draw');
    await bench.press('Keep it');
    const short = await bench.arcLength();
    await bench.group('Draw');
    await bench.press('Freehand');
    await bench.stroke([0.6, 0.5], [0.7, 0.5], [0.8, 0.5]);
    await expect(page.getByRole('radio', { name: 'Continues from the end' })).toBeChecked();
    await bench.press('Keep it');
    await expect.poll(() => bench.arcLength()).toBeGreaterThan(short * 1.4);
    const long = await bench.arcLength();

    await bench.group('Draw');
    await bench.press('Freehand');
    await bench.stroke([0.3, 0.5], [0.4, 0.2], [0.5, 0.2], [0.6, 0.5]);
    await expect(page.getByRole('radio', { name: 'Replaces part of the arc' })).toBeChecked();
    await bench.press('Keep it');
    await expect.poll(() => bench.arcLength()).toBeGreaterThan(long * 1.15);
    // Both ends are where they were.
    const d = (await bench.line.getAttribute('d'))!;
    expect(Math.abs(Number(/^M([\d.]+)/.exec(d)![1]) - 0.2 * 1920)).toBeLessThan(20);
    await bench.undo();
    await expect.poll(() => bench.arcLength()).toBe(long);

    // The same stroke can become an arc of its own.
    await bench.group('Draw');
    await bench.press('Freehand');
    await bench.stroke([0.3, 0.5], [0.4, 0.2], [0.6, 0.5]);
    await bench.choose('A new arc');
    await bench.press('Keep it');
    await expect(page.getByTestId('other-arc-line')).toHaveCount(1);
    await expect(page.getByTestId('figure')).toHaveCount(2);
  },
);

test('point by point: placed, steered, taken back, closed on the first', async ({ bench, page, hand }) => {
  await bench.openShot({ name: 'Buoys' });
  await bench.group('Draw');
  await bench.press('Point by point');
  await bench.tap(0.2, 0.3);
  await bench.tap(0.5, 0.2);
  await bench.stroke([0.8, 0.5], [0.86, 0.62]);
  await expect(page.getByText('3 points', { exact: true })).toBeVisible();
  await bench.tap(0.3, 0.8);
  await bench.press('Remove last point');
  await expect(page.getByText('3 points', { exact: true })).toBeVisible();
  if (!hand.isFinger) {
    await page.keyboard.press('Control+z');
    await bench.group('This arc');
    await expect(page.getByText('2 points', { exact: true })).toBeVisible();
    await bench.stroke([0.8, 0.5], [0.86, 0.62]);
  }
  await bench.tap(0.4, 0.8);
  await bench.tap(0.2, 0.3);
  await expect(bench.line).toHaveAttribute('d', /Z$/);
  await expect(bench.points).toHaveCount(4);
  // A closed arc starts even.
  await bench.step('Timing');
  await bench.group('Here');
  await expect(page.getByLabel('Leave slowly over, frames', { exact: true })).toBeHidden();
});

test('point by point ends with a double tap, with Enter, or with the button', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Stakes' });
  await bench.group('Draw');
  await bench.press('Point by point');
  await bench.tap(0.2, 0.3);
  await bench.tap(0.5, 0.2);
  await bench.tapTwice(0.8, 0.6);
  await expect(bench.points).toHaveCount(3);
  await bench.group('Draw');
  await bench.press('Point by point');
  await bench.tap(0.1, 0.8);
  await bench.tap(0.4, 0.9);
  if (hand.isFinger) await bench.press('Finish');
  else await page.keyboard.press('Enter');
  await expect(page.getByTestId('other-arc-line')).toHaveCount(1);
  await expect(bench.points).toHaveCount(2);
});

test(
  'a ready shape fits the field, has typed sizes and handles, and is free once a point is moved',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.openShot({ name: 'Lamp' });
    await bench.readyShape('Circle');
    await bench.group('This arc');
    await bench.type('Radius, units', 100);
    await expect.poll(() => bench.arcLength()).toBe(628.3);
    await bench.type('Radius, units', 300);

    // Its ring in the field is the radius.
    const ring = await bench.middleOf(page.getByTestId('shape-handle-x'));
    const centre = await bench.middleOf(page.getByTestId('shape-handle-centre'));
    await hand.drag([ring, { x: (ring.x + centre.x) / 2, y: ring.y }]);
    await expect.poll(() => bench.number('Radius, units')).toBeLessThan(170);
    await expect.poll(() => bench.number('Radius, units')).toBeGreaterThan(130);
    await bench.saved();
    await page.reload();
    await bench.step('Arc');
    await bench.group('This arc');
    await expect(bench.field('Radius, units')).toBeVisible();

    // The point at the top is moved: now it is an arc like any other.
    const points = await bench.points.all();
    const spots = await Promise.all(points.map((point) => bench.middleOf(point)));
    const top = spots.reduce((best, spot) => (spot.y < best.y ? spot : best));
    await hand.drag([top, { x: top.x, y: top.y - 20 }]);
    await expect(bench.field('Radius, units')).toBeHidden();
    await bench.undo();
    await bench.group('This arc');
    await expect(bench.field('Radius, units')).toBeVisible();
  },
);

test('every ready shape makes an arc that can be played', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Chandlery' });
  const names = [
    'Line',
    'Through three points',
    'Ellipse',
    'Swing',
    'Toss',
    'Bounces',
    'Wave',
    'Figure of eight',
    'Spiral',
  ];
  for (const [i, name] of names.entries()) {
    await bench.readyShape(name);
    await expect(page.getByTestId('other-arc-line')).toHaveCount(i);
    expect(await bench.arcLength()).toBeGreaterThan(400);
    await expect(page.getByTestId('figure')).toHaveCount(i + 1);
  }
});

test(
  'SVG is brought in by choice, fitted or where it lies; nonsense gets a sentence',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Chart' });
    await bench.group('Draw');
    await bench.press('Import SVG');
    const dialog = page.getByRole('dialog', { name: 'Import SVG' });
    const text = dialog.getByLabel('SVG or path data');
    await text.fill('M 10 10 Q oops');
    await expect(dialog.getByRole('alert')).toHaveText(/^This isn’t path data: .*\.$/);
    await expect(dialog.getByRole('button', { name: 'Import' })).toBeDisabled();
    await text.fill('<svg viewBox="0 0 10 10"><path d="M0 0"');
    await expect(dialog.getByRole('alert')).toHaveText(/^This SVG is incomplete/);

    await text.fill(
      '<svg viewBox="0 0 200 100" width="400" height="200"><g transform="translate(50 20)"><path d="M0 0h40v30h-40z"/></g><circle cx="150" cy="50" r="10"/></svg>',
    );
    await expect(dialog.getByRole('checkbox')).toHaveCount(2);
    await dialog.getByRole('radio', { name: 'Keep its position' }).click();
    await dialog.getByRole('button', { name: 'Import' }).click();
    // Twice the size by its view box, moved by its group.
    await expect(bench.line).toHaveAttribute('d', /^M100 40C.*Z$/);
    expect(await bench.arcLength()).toBe(280);

    await bench.group('Draw');
    await bench.press('Import SVG');
    await dialog.getByLabel('SVG or path data').fill('M0 0L30 40 M10 0A5 5 0 0 1 20 0');
    await dialog.getByRole('checkbox', { name: 'Path 2' }).click();
    await dialog.getByRole('button', { name: 'Import 2 arcs' }).click();
    await expect(page.getByTestId('other-arc-line')).toHaveCount(2);
    await bench.undo();
    await expect(page.getByTestId('other-arc-line')).toHaveCount(0);
  },
);
