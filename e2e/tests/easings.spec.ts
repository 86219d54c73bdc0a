import { expect, ONCE, test } from '../support/test';

/** Share of the way of a fall that bounces, by hand: each bounce lasts e times as long and rises e² as high. */
function fallen(u: number, count: number, e: number): number {
  const lasts = [1, ...Array.from({ length: count }, (_, k) => 2 * e ** (k + 1))];
  let time = u * lasts.reduce((a, b) => a + b);
  for (const [k, last] of lasts.entries()) {
    if (time <= last + 1e-12)
      return k === 0 ? time * time : 1 - 4 * (time / last) * (1 - time / last) * e ** (2 * k);
    time -= last;
  }
  return 1;
}

test(
  'an easing is chosen from pictures of all of them; its numbers are typed and the table follows',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Drop', length: 21 });
    await bench.readyShape('Line');
    const length = await bench.arcLength();
    await bench.step('Timing');
    await bench.group('Here');
    await bench.press('Other easings');
    const dialog = page.getByRole('region', { name: 'Easing of this span' });
    await expect(dialog.getByRole('radio')).toHaveCount(10);
    await dialog.getByRole('radio', { name: 'Bounces' }).click();
    await bench.press('Close the easings');
    await bench.type('Bounces', 2);
    await bench.type('Speed kept on landing, %', 50);
    await bench.step('Sheet');
    const places = (await bench.column('place')).map(Number);
    expect(places).toHaveLength(21);
    places.forEach((place, i) =>
      expect(Math.abs(place - length * fallen(i / 20, 2, 0.5))).toBeLessThan(0.06),
    );

    // As a chart it is the same on every frame; and each choice is one step.
    await bench.step('Timing');
    await bench.group('Here');
    await bench.press('Other easings');
    await dialog.getByRole('radio', { name: 'By chart' }).click();
    await bench.step('Sheet');
    expect((await bench.column('place')).map(Number)).toEqual(places);
    await bench.saved();
    await page.reload();
    await bench.step('Timing');
    await expect(page.getByText('By chart')).toBeVisible();
    await bench.group('Here');
    await bench.press('Other easings');
    await dialog.getByRole('radio', { name: 'Settles' }).click();
    await bench.type('Overshoots by, %', 20);
    await expect(page.getByText('Swings past the mark and comes to rest on it.')).toBeVisible();
    await bench.press('Close the easings');
    await bench.undo();
    await bench.undo();
    await expect(page.getByText('By chart')).toBeVisible();
  },
);
