import { expect, ONCE, test } from '../support/test';

const SHOT = '/shot/demo-rounds-of-the-harbour-master';

/** Least height and width of the paper of a 16 : 9 field, as shares of the window. */
const SIZES = [
  { width: 390, height: 844, least: { across: 0.9, down: 0 } },
  { width: 360, height: 640, least: { across: 0.88, down: 0 } },
  { width: 844, height: 390, least: { across: 0, down: 0.6 } },
  { width: 768, height: 1024, least: { across: 0.9, down: 0 } },
  { width: 1024, height: 768, least: { across: 0, down: 0.45 } },
  { width: 1280, height: 800, least: { across: 0, down: 0.45 } },
  { width: 1920, height: 1080, least: { across: 0, down: 0.45 } },
];

for (const { width, height, least } of SIZES)
  test(
    `${width} × ${height}: the paper is large in every step, and nothing is out of reach`,
    ONCE,
    async ({ page, bench }) => {
      await page.setViewportSize({ width, height });
      await page.goto(SHOT);
      for (const step of ['Arc', 'Figure', 'Timing', 'Sheet'] as const) {
        await bench.step(step);
        const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
        const isWide = least.down > 0 && width >= 1024;
        // On a wide screen the field gives way to the table of the sheet.
        if (isWide && step === 'Sheet') {
          const table = (await page.getByRole('table', { name: 'Increments' }).boundingBox())!;
          expect(table.width).toBeGreaterThanOrEqual(550);
          expect(table.height / height).toBeGreaterThanOrEqual(0.8);
          expect(paper.width).toBeGreaterThanOrEqual(300);
        } else expect(paper.height / height).toBeGreaterThanOrEqual(least.down);
        expect(paper.width / width).toBeGreaterThanOrEqual(least.across);
        // Its outline may lie on the edge of the window.
        expect(paper.x).toBeGreaterThanOrEqual(-1);
        expect(paper.x + paper.width).toBeLessThanOrEqual(width + 1);
      }
      // The page itself never scrolls, neither sideways nor down.
      expect(
        await page.evaluate(() => {
          const { scrollWidth, scrollHeight } = document.documentElement;
          return [scrollWidth - window.innerWidth, scrollHeight - window.innerHeight];
        }),
      ).toEqual([0, 0]);
      // Wherever the playhead stands, on the last frame, too.
      for (const key of ['End', 'Home']) {
        await page.keyboard.press(key);
        await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
          'aria-valuenow',
          key === 'End' ? '57' : '1',
        );
        expect(
          await page.evaluate(() => {
            const { scrollWidth, scrollHeight } = document.documentElement;
            return [scrollWidth - window.innerWidth, scrollHeight - window.innerHeight];
          }),
        ).toEqual([0, 0]);
        const knob = (await page.getByRole('slider', { name: 'Frame', exact: true }).boundingBox())!;
        expect([knob.x >= 0, knob.x + knob.width <= width]).toEqual([true, true]);
      }
      for (const name of ['Back to the shots', 'Undo', 'View', 'Shot menu', 'Play', 'Next frame']) {
        const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
        expect(box.x, name).toBeGreaterThanOrEqual(0);
        expect(box.x + box.width, name).toBeLessThanOrEqual(width);
        expect(box.y + box.height, name).toBeLessThanOrEqual(height);
      }
    },
  );

test(
  'a phone that is turned keeps what is selected, the frame, and what is being typed',
  ONCE,
  async ({ page, bench }) => {
    await page.goto(SHOT);
    await bench.goTo(15);
    await bench.group('Here');
    const label = bench.field('On frame');
    await label.fill('16');
    await page.setViewportSize({ width: 844, height: 390 });
    await expect(page.getByText('Mark on frame 16')).toBeVisible();
    await expect(label).toBeFocused();
    await page.keyboard.press('End');
    await page.keyboard.type('x');
    await expect(label).toHaveValue('16x');
    await page.setViewportSize({ width: 390, height: 844 });
    await expect(label).toHaveValue('16x');
    await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
      'aria-valuenow',
      '16',
    );
  },
);

for (const { width, height, content } of [
  { width: 390, height: 844, content: 300 },
  { width: 360, height: 640, content: 220 },
])
  test(
    `${width} × ${height}: one row of transport, one line of groups, and room for what one works on`,
    ONCE,
    async ({ page, bench }) => {
      await page.setViewportSize({ width, height });
      await page.goto(SHOT);
      const transport = page.getByTestId('transport');
      for (const [step, last] of [
        ['Arc', 'Backdrop'],
        ['Figure', 'Act'],
        ['Timing', 'Shot'],
      ] as const) {
        await bench.step(step);
        const tabs = page.getByRole('tablist', { name: 'Group' });
        await expect(tabs.getByRole('tab', { name: last, exact: true })).toBeAttached();
        const tops = await tabs
          .getByRole('tab')
          .evaluateAll((all) => all.map((tab) => tab.getBoundingClientRect().top));
        expect(new Set(tops).size, step).toBe(1);
        const box = (await transport.boundingBox())!;
        expect(box.height, step).toBeLessThanOrEqual(54);
        const panel = (await page.getByTestId('panel-content').boundingBox())!;
        const ruler = height > 700 && step === 'Timing' ? 84 : 0;
        expect(panel.height - 44 - ruler, step).toBeGreaterThanOrEqual(content - 1);
      }
      const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
      if (height > 700) expect(paper.width).toBeGreaterThanOrEqual(width - 1);

      // Raised, the picture stays, with what is worked on in it, and the rail with it.
      await page.getByRole('button', { name: 'Pull the panel up' }).click();
      await expect.poll(async () => (await page.getByTestId('field').boundingBox())!.height).toBe(110);
      await expect(page.getByTestId('scrub-rail')).toBeVisible();
      const figure = (await page.getByTestId('figure').first().boundingBox())!;
      expect(figure.y + figure.height / 2).toBeGreaterThan(48);
      expect(figure.y + figure.height / 2).toBeLessThan(48 + 110);
      await page.getByRole('button', { name: 'Show the field' }).click();
      await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
    },
  );

test('a finger that leaves the rail upward scrubs finer', ONCE, async ({ page, bench, hand }) => {
  await bench.openShot({ name: 'Fine scrub', length: 401 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  const knob = page.getByRole('slider', { name: 'Frame', exact: true });
  const frame = async (): Promise<number> => Number(await knob.getAttribute('aria-valuenow'));
  const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
  const [x, y] = [rail.x + rail.width / 2, rail.y + 30];
  await hand.drag([
    { x, y },
    { x: x + 40, y },
  ]);
  const coarse = (await frame()) - 201;
  await hand.drag([
    { x, y },
    { x, y: y - 200 },
    { x: x + 40, y: y - 200 },
  ]);
  const fine = (await frame()) - 201;
  expect(coarse).toBeGreaterThan(60);
  expect(fine).toBeGreaterThan(0);
  expect(fine).toBeLessThan(coarse / 3);
});
