import { edits } from '@humble/core';
import { BUOY, CENTRE, RADIUS, STEP_DEG, bareCircle, twoLines, standing } from '../support/figures';
import { png, pngFile, pngWithBox } from '../support/png';
import { expect, ONCE, test } from '../support/test';

test('a picture is imported, stands on its foot, is attached where it is, leans, grows and spins', async ({
  bench,
  page,
}) => {
  await bench.open(bareCircle('Buoy'));
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.chooseFiles(() => bench.press('Import a picture'), BUOY);
  await expect(page.getByTestId('figure-row-buoy')).toContainText('not on an arc yet');
  await expect(page.getByTestId('figure-picture')).toHaveAttribute('href', /\/api\/pictures\/[0-9a-f]{64}/);

  await bench.group('Figures');
  await bench.press('Pivot on foot');
  expect([await bench.number('Pivot across, px'), await bench.number('Pivot down, px')]).toEqual([20, 72]);
  const waited = await standing(bench);
  expect([waited.x, waited.y]).toEqual([expect.closeTo(960, 1), expect.closeTo(540, 1)]);

  // Where it is: nothing jumps, and its offset is the way from the arc to the middle.
  await bench.goTo(13);
  await bench.group('Figures');
  await bench.press('Where it is, on Buoy round');
  await expect(page.getByTestId('figure-row-buoy')).toContainText('on Buoy round');
  const attached = await standing(bench);
  expect(Math.hypot(attached.x - waited.x, attached.y - waited.y)).toBeLessThan(0.01);
  expect(attached.turnDeg).toBeCloseTo(waited.turnDeg, 3);
  await expect(page.getByTestId('offset-links')).toHaveAttribute('d', /^M/);
  await bench.keyLine('Offset');
  const offset = async () => [
    await bench.number('Offset right, units'),
    await bench.number('Offset down, units'),
  ];
  // At frame 13 of 48 it is a quarter of the way round from the top.
  expect(await offset()).toEqual([expect.closeTo(-RADIUS, 0), expect.closeTo(0, 0)]);
  await bench.press('Back on the arc');
  await expect.poll(async () => (await standing(bench)).x).toBeCloseTo(CENTRE.x + RADIUS, 0);

  // Round a circle at one pace the lean is the same everywhere: it is added to the direction.
  await bench.keyLine('Turn');
  await bench.press('Reset');
  const upright = (await standing(bench)).turnDeg;
  expect(upright).toBeCloseTo(12 * STEP_DEG, 1);
  await bench.keyLine('Lean');
  await bench.choose('By degrees');
  await bench.type('At most, °', 20);
  await expect.poll(async () => (await standing(bench)).turnDeg - upright).toBeCloseTo(20, 0);

  // A spin of 720° from the first frame to the 25th: one turn is done at the 13th.
  await bench.keyLine('Turn');
  await bench.goTo(1);
  await bench.press('Turn key on frame 1');
  await bench.goTo(25);
  await bench.type('Turn on frame 25, °', 720);
  await bench.goTo(13);
  expect(await bench.number('Turn on frame 13, °')).toBe(360);

  // From 100 % to 25 % by steady depth: 1/size is half way at the 13th frame, so 40 %.
  await bench.keyLine('Size');
  const full = (await standing(bench)).scale;
  await bench.goTo(1);
  await bench.press('Size key on frame 1');
  await bench.goTo(25);
  await bench.type('Size on frame 25, %', 25);
  await bench.goTo(13);
  await bench.choose('Steady depth');
  await expect.poll(async () => (await standing(bench)).scale / full).toBeCloseTo(1 / (1 + 0.5 * 3), 3);

  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  const headings = (await bench.column('heading')).map((text) =>
    Number(text.replace('°', '').replace('−', '-')),
  );
  // Half way round, and two full turns.
  expect(headings[24]! - headings[0]!).toBeCloseTo(24 * STEP_DEG + 720, 0);
  await bench.step('Figure');
  await bench.goTo(13);
  await expect.poll(async () => (await standing(bench)).scale / full).toBeCloseTo(0.4, 3);
});

test('pivot and front are dragged on the picture', async ({ bench, page, hand }) => {
  await bench.open(bareCircle('Ring'));
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.chooseFiles(() => bench.press('Import a picture'), BUOY);
  await expect(page.getByTestId('figure-row-buoy')).toBeVisible();
  await bench.group('Figures');
  const editor = page.getByTestId('pivot-editor');
  await editor.scrollIntoViewIfNeeded();
  const box = (await editor.boundingBox())!;
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  // 80 units of the picture over the height less two margins of 30; what is seen of it ends 8 above its foot.
  const unit = (box.height - 60) / 80;
  await hand.drag([middle, { x: middle.x, y: middle.y + 10 }, { x: middle.x + 3, y: middle.y + 28 * unit }]);
  await expect.poll(() => bench.number('Pivot down, px')).toBe(72);
  expect(await bench.number('Pivot across, px')).toBe(20);
  await bench.undo();
  expect(await bench.number('Pivot down, px')).toBe(40);
  // The tip of the arrow lies 64 pixels to the right: it is taken upwards.
  await hand.drag([
    { x: middle.x + 64, y: middle.y },
    { x: middle.x + 50, y: middle.y - 50 },
    { x: middle.x + 1, y: middle.y - 64 },
  ]);
  await expect.poll(() => bench.number('Front, °')).toBe(-90);
  await bench.group('Figures');
  await bench.press('At the start of Buoy round');
  // At the top of the circle it goes to the right: a picture that looks up is turned a quarter.
  await expect.poll(async () => (await standing(bench)).turnDeg).toBeCloseTo(90, 1);
});

test('drawings follow each other, and one is shown from a frame on', ONCE, async ({ bench, page }) => {
  await bench.straight('Flicker', 21);
  await bench.step('Figure');
  await bench.group('Figures');
  const drawings = [1, 2, 3].map((n) =>
    pngFile(`flame ${n}.png`, pngWithBox(20, 20, { left: 0, top: 0, right: 20, bottom: 5 * n })),
  );
  await bench.chooseFiles(() => bench.press('Import its picture'), ...drawings);
  const picture = page.getByTestId('figure-picture');
  const hrefOn = async (frame: number): Promise<string> => {
    await bench.goTo(frame);
    return (await picture.getAttribute('href'))!;
  };
  const [one, two, three] = [await hrefOn(1), await hrefOn(2), await hrefOn(3)];
  expect(new Set([one, two, three]).size).toBe(3);
  expect(await hrefOn(9)).toBe(three);
  await bench.group('Drawings');
  await bench.type('Frames for each drawing', 4);
  await expect.poll(() => hrefOn(4)).toBe(one);
  expect(await hrefOn(5)).toBe(two);
  await bench.goTo(7);
  await page.getByRole('radio', { name: 'Drawing 1' }).click();
  await bench.goTo(15);
  await page.getByRole('radio', { name: 'Drawing 2' }).click();
  expect([await hrefOn(7), await hrefOn(14), await hrefOn(15), await hrefOn(21)]).toEqual([
    one,
    one,
    two,
    two,
  ]);
  // Other pictures leave the move as it is.
  await bench.goTo(11);
  const stood = await bench.placement();
  await bench.group('Figures');
  await bench.chooseFiles(() => bench.press('Import other pictures'), drawings[2]!);
  await expect(picture).toHaveAttribute('href', three);
  expect(await bench.placement()).toEqual(stood);
});

test('drawings repeat by time and by the way travelled, and a range that is not whole says so', async ({
  bench,
  page,
}) => {
  await bench.straight('Stroke', 25);
  await bench.step('Figure');
  await bench.group('Figures');
  const drawings = [1, 2, 3, 4].map((n) =>
    pngFile(`stroke ${n}.png`, pngWithBox(20, 20, { left: 0, top: 0, right: 20, bottom: 4 * n })),
  );
  await bench.chooseFiles(() => bench.press('Import its picture'), ...drawings);
  await expect(page.getByTestId('figure-picture')).toBeVisible();
  await bench.group('Drawings');
  await bench.choose('Cycle by time');
  await expect(page.getByText('6 cycles and one frame over.')).toBeVisible();
  await bench.press('End it after 24 frames');
  await expect(page.getByText('6 whole cycles.')).toBeVisible();
  expect(await bench.number('Until frame')).toBe(24);
  await bench.step('Sheet');
  const shown = async () => (await bench.column('drawing')).slice(0, 25).join('');
  expect(await shown()).toBe('1234'.repeat(6) + '4');
  await bench.step('Figure');
  await bench.group('Drawings');
  await page.getByRole('switch', { name: 'Back and forth' }).click();
  await bench.step('Sheet');
  expect((await shown()).slice(0, 13)).toBe('1234321234321'.slice(0, 13));
  await bench.undo();

  // Evenly along 1536 units in 24 intervals, 64 each: with 256 for a cycle of four, one drawing a frame.
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.choose('Cycle by distance');
  await bench.type('Distance per cycle, units', 512);
  await bench.step('Sheet');
  // Half as fast: each drawing is there for two frames.
  expect((await shown()).slice(0, 16)).toBe('1122334411223344');
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  expect((await shown()).slice(0, 16)).toBe('1122334411223344');
});

test('what cannot be a figure says why, and changes nothing', ONCE, async ({ bench, page }) => {
  await bench.straight('Refused', 21);
  await bench.step('Figure');
  await bench.group('Figures');
  const figure = page.getByTestId('figure').locator('path').first();
  const peg = await figure.getAttribute('d');
  const refused = async (sentence: RegExp, ...files: ReturnType<typeof pngFile>[]): Promise<void> => {
    await bench.chooseFiles(() => bench.press('Import its picture'), ...files);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(figure).toHaveAttribute('d', peg!);
  };
  const nothing = pngWithBox(30, 30, { left: 0, top: 0, right: 0, bottom: 0 });
  await refused(/“clear.png” is empty: nothing of it can be seen/, pngFile('clear.png', nothing));
  await refused(/60 megapixels/, pngFile('vast.png', png(10_000, 6_000)));
  await refused(/“torn.png”: This picture/, pngFile('torn.png', png(300, 200).subarray(0, 90)));
  const script = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>0</script></svg>';
  await refused(
    /“bad.svg”: This SVG has a script in it/,
    pngFile('bad.svg', Buffer.from(script), 'image/svg+xml'),
  );
  const empty = '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"></svg>';
  await bench.chooseFiles(
    () => bench.press('Import its picture'),
    pngFile('none.svg', Buffer.from(empty), 'image/svg+xml'),
  );
  await expect(page.getByText(/“none.svg”/)).toBeVisible();
  await expect(figure).toHaveAttribute('d', peg!);
  const tiny = png(1, 1);
  await refused(
    /at most 2000 pictures; these are 5000/,
    ...Array.from({ length: 5000 }, (_, i) => pngFile(`d${i}.png`, tiny)),
  );
  // It is all there still, and can be gone on with.
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test(
  'a shot that comes without its pictures shows their outlines, and says so',
  ONCE,
  async ({ bench, page }) => {
    const outline = [[0, 0, 40, 0, 40, 80, 0, 80]];
    const picture = {
      sha256: 'ab'.repeat(32),
      type: 'image/png',
      name: 'lost.png',
      width: 40,
      height: 80,
    } as const;
    await bench.open(
      edits.setArtwork(twoLines('Lost'), {
        figureId: 'figure1',
        artwork: { kind: 'pictures', drawings: [{ ...picture, outline, frames: 1, planted: null }] },
      }),
    );
    await expect(page.getByTestId('figure').locator('path').first()).toHaveAttribute('d', /^M0 0L40 0/);
    await bench.step('Figure');
    await bench.group('Figures');
    await expect(page.getByText(/This shot came without its pictures/)).toBeVisible();
  },
);
