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
        expect(paper.height / height).toBeGreaterThanOrEqual(least.down);
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
