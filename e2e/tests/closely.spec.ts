import { expect, test } from '../support/test';

test('what is looked at closely stays within the graph, and fits it again', async ({ bench, page }) => {
  await bench.straight('Close', 42);
  await bench.view('Graph');
  await bench.goTo(9);
  const graph = page.getByTestId('distance-graph');
  const box = (await graph.boundingBox())!;
  const xsOf = (d: string): number[] => [...d.matchAll(/[ML]([\d.]+) /g)].map(([, x]) => Number(x));
  const whole = await bench.drawn('graph-curve');
  const end = Math.max(...xsOf(whole));
  /** The margin on the right, beyond the foot of the last post, where nothing is drawn. */
  const margin = (): Promise<Buffer> =>
    page.screenshot({ clip: { x: box.x + end + 6, y: box.y, width: 6, height: box.height - 80 } });
  const playhead = await page.getByTestId('graph-playhead').getAttribute('d');
  // Reached by keys, for the frame of what has the focus is in the picture, too.
  await graph.focus();
  await page.keyboard.press('0');
  const blank = await margin();
  for (let i = 0; i < 5; i++) await page.keyboard.press('+');
  await expect.poll(async () => (await bench.drawn('graph-curve')).length).toBeLessThan(whole.length / 2);
  const xs = xsOf(await bench.drawn('graph-curve'));
  // Keys zoom about the playhead: it stays where it was.
  await expect(page.getByTestId('graph-playhead')).toHaveAttribute('d', playhead!);
  // The curve is drawn up to the frame after the last one in sight.
  expect(Math.max(...xs)).toBeGreaterThan(end + 5);
  expect((await margin()).equals(blank)).toBe(true);
  await bench.press('All of the graph');
  await expect.poll(() => bench.drawn('graph-curve')).toBe(whole);
});
