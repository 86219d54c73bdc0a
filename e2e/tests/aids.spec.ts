import { expect, ONCE, test } from '../support/test';

test(
  'aids are shown when asked for: arrows, bending, grid, margins, guide strength',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Aids' });
    await bench.readyShape('Spiral');
    await page.getByRole('button', { name: 'View' }).click();
    for (const name of ['Arrows along the arc', 'Curvature', 'Safe margins', 'Grid'])
      await page.getByRole('switch', { name, exact: true }).click();
    const strength = page.getByRole('slider', { name: 'Guide strength' });
    await strength.focus();
    for (let i = 0; i < 50; i++) await page.keyboard.press('ArrowLeft');
    // What it changes is seen while it is open, and it stays until it is closed.
    await expect(page.getByTestId('guides')).toHaveAttribute('opacity', '0.1');
    await expect(page.getByTestId('arrows').locator('path').first()).toHaveAttribute('d', /^M/);
    await expect(page.getByTestId('comb')).toHaveAttribute('d', /^M/);
    await expect(page.getByTestId('grid')).toBeVisible();
    await expect(page.getByTestId('safe-margins')).toBeVisible();
    await bench.step('Timing');
    await expect(page.getByTestId('view-sheet')).toBeVisible();
    await bench.press('Close the view sheet');
    await expect(page.getByTestId('view-sheet')).toBeHidden();
    // They belong to the person at the desk: another visit shows them too.
    await page.reload();
    await expect(page.getByTestId('grid')).toBeVisible();
  },
);

test(
  'what is dragged is drawn to other points, with the guide shown; Shift keeps it in line',
  ONCE,
  async ({ bench, page, hand }) => {
    test.skip(hand.isFinger, 'a finger has no Shift');
    await bench.openShot({ name: 'Guides' });
    await bench.group('Draw');
    await bench.press('Import SVG');
    const dialog = page.getByRole('dialog', { name: 'Import SVG' });
    await dialog.getByLabel('SVG or path data').fill('M 300 300 L 1000 700 L 1600 400');
    await dialog.getByRole('radio', { name: 'Keep its position' }).click();
    await dialog.getByRole('button', { name: 'Import' }).click();
    const point = await bench.middleOf(bench.points.nth(1));
    const level = await bench.spot(1050 / 1920, 303 / 1080);
    await hand.hold([point, level], async () => {
      await expect(page.getByTestId('snap-guides')).toHaveAttribute('d', /^M/);
    });
    await bench.group('This arc');
    await expect(bench.field('Down, units')).toHaveValue('300');
    await expect(page.getByTestId('snap-guides')).toHaveAttribute('d', '');
    await bench.undo();
    await page.keyboard.down('Shift');
    await hand.drag([point, { x: point.x + 60, y: point.y + 9 }]);
    await page.keyboard.up('Shift');
    await bench.group('This arc');
    await expect(bench.field('Down, units')).toHaveValue('700');
    await expect.poll(() => bench.number('Across, units')).toBeGreaterThan(1050);
  },
);

test(
  'the length, the straight distance and the place under the pointer can be read',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.openShot({ name: 'Readings' });
    await bench.readyShape('Through three points');
    const ends = await Promise.all(
      (['x', 'y'] as const).map(async (axis) => {
        const direction = axis === 'x' ? 'across' : 'down';
        return (
          (await bench.number(`End, ${direction}, units`)) -
          (await bench.number(`Start, ${direction}, units`))
        );
      }),
    );
    await expect(
      page.getByText(`${Math.hypot(ends[0]!, ends[1]!).toFixed(1)} units from end to end`),
    ).toBeVisible();
    expect(await bench.arcLength()).toBeGreaterThan(Math.hypot(ends[0]!, ends[1]!));
    const reading = page.getByTestId('pointer-place');
    const spots = [await bench.middleOf(bench.points.first()), await bench.spot(0.5, 0.1)];
    await hand.hold(spots, async () => {
      // A pixel of a phone is five units of the field.
      await expect(reading).toHaveText(/^9(5|6)\d across, 1(0|1)\d down$/);
    });
    if (hand.isFinger) await expect(reading).toHaveCount(0);
  },
);
