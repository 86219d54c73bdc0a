import { edits, freshShot, type Shot } from '@humble/core';
import { expect, ONCE, test } from '../support/test';

test('play, pause, step, first, last and scrub', ONCE, async ({ bench, page, hand }) => {
  await bench.makeShot({ name: 'Tide', rate: 24, length: 12 });
  await bench.draw([0.1, 0.4], [0.5, 0.7], [0.9, 0.4]);
  const count = page.getByTestId('frame-count');
  const frame = async (): Promise<number> => parseInt(await count.innerText(), 10);
  await expect(count).toContainText('1 of 12');

  await page.getByRole('button', { name: 'Next frame' }).click();
  await page.getByRole('button', { name: 'Next frame' }).click();
  expect(await frame()).toBe(3);
  await page.getByRole('button', { name: 'Previous frame' }).click();
  expect(await frame()).toBe(2);
  await bench.playback('Last frame');
  expect(await frame()).toBe(12);

  // Half a second long, it comes round within the time of a wait: in a loop it never stops by itself.
  await page.getByRole('button', { name: 'Play' }).click();
  const seen = new Set<number>();
  await expect
    .poll(async () => {
      seen.add(await frame());
      return seen.size;
    })
    .toBeGreaterThan(3);
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.getByRole('button', { name: 'Pause' }).click();

  // Without the loop it stops on the last frame.
  const menu = page.getByRole('dialog', { name: 'Playback' });
  for (const item of ['Loop', 'Half speed', 'First frame']) {
    await hand.askMenu(await bench.middleOf(page.getByRole('button', { name: 'Play', exact: true })));
    await menu.getByRole('button', { name: item, exact: true }).click();
  }
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await expect(count).toContainText('12 of 12');

  const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
  const at = (f: number) => ({ x: rail.x + 14 + ((f - 1) / 11) * (rail.width - 28), y: rail.y + 20 });
  await hand.drag([at(12), at(8), at(4)]);
  await expect(count).toContainText('4 of 12');
});

test('dragging along the arc or the ruler looks at other frames; the table follows', async ({
  bench,
  page,
  hand,
}) => {
  await bench.openShot({ name: 'Ferry', length: 21 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.step('Timing');
  await bench.group('Here');
  await page.getByRole('radio', { name: 'Even' }).click();
  const count = page.getByTestId('frame-count');
  await bench.step('Figure');
  // Away from the figure, which a drag would put elsewhere.
  await hand.drag([await bench.spot(0.8, 0.5), await bench.spot(0.65, 0.5), await bench.spot(0.5, 0.5)]);
  await expect(count).toContainText('11 of 21');
  await bench.step('Timing');
  const ruler = (await page.getByTestId('unrolled-arc').boundingBox())!;
  // Above the ticks, where the needle has its head.
  const at = (share: number) => ({ x: ruler.x + 12 + share * (ruler.width - 24), y: ruler.y + 20 });
  await hand.drag([at(0.5), at(0.7), at(0.75)]);
  await expect(count).toContainText('16 of 21');
  await bench.step('Sheet');
  await expect(page.getByRole('row', { name: 'Frame 16' }).first()).toHaveAttribute('aria-selected', 'true');
  await page.getByRole('row', { name: 'Frame 12', exact: true }).first().click();
  await expect(count).toContainText('12 of 21');
});

test(
  'ghosts: how many before and after, every which exposure, kept on this device',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Nets', length: 41 });
    await bench.draw([0.1, 0.4], [0.9, 0.6]);
    await bench.step('Timing');
    // Ghosts of one strength are one path; each of them begins with a move.
    const ghosts = async (): Promise<number> => {
      const paths = await page.getByTestId('ghosts').locator('path').all();
      const data = await Promise.all(paths.map((path) => path.getAttribute('d')));
      return data.join('').split('M').length - 1;
    };
    for (let i = 0; i < 20; i++) await page.getByRole('button', { name: 'Next frame' }).click();
    await expect.poll(ghosts).toBe(5);
    await page.getByRole('button', { name: 'View' }).click();
    await bench.type('Ghosts before', 6);
    await bench.type('Ghosts after', 1);
    await bench.type('One every, exposures', 3);
    await expect.poll(ghosts).toBe(7);
    await page.reload();
    for (let i = 0; i < 20; i++) await page.getByRole('button', { name: 'Next frame' }).click();
    await expect.poll(ghosts).toBe(7);
  },
);

test('the keyboard works the bench', async ({ bench, page, hand }) => {
  test.skip(hand.isFinger, 'a phone has no keyboard');
  await bench.openShot({ name: 'Signal', length: 24 });
  await bench.draw([0.1, 0.4], [0.9, 0.6]);
  const count = page.getByTestId('frame-count');
  await page.keyboard.press('End');
  await expect(count).toContainText('24 of 24');
  await page.keyboard.press('ArrowLeft');
  await expect(count).toContainText('23 of 24');
  await page.keyboard.press('Home');
  await expect(count).toContainText('1 of 24');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Draw its path')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Draw its path')).toBeHidden();
  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('tab', { name: 'Timing' })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Timing: what it’s for' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
});

test(
  'frames of four figures and a rate of five have room beside the buttons, which stays while they pass',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Long tide', length: 1500, rate: 23.976 });
    await bench.draw([0.1, 0.5], [0.9, 0.5]);
    const count = page.getByTestId('frame-count');
    const room = async () => {
      const words = await count
        .locator('> *')
        .evaluateAll((lines) => lines.map((line) => ({ needs: line.scrollWidth, has: line.clientWidth })));
      const transport = (await page.getByTestId('transport').boundingBox())!;
      const box = (await count.boundingBox())!;
      return { words, left: box.x, right: transport.x + transport.width - box.x - box.width };
    };
    const first = await room();
    await bench.playback('Last frame');
    await expect(count).toContainText('1500 of 1500');
    const last = await room();
    last.words.forEach(({ needs, has }) => expect(needs).toBeLessThanOrEqual(has));
    expect(last.left).toBe(first.left);
    const button = (await page.getByRole('button', { name: 'Previous frame' }).boundingBox())!;
    expect(last.left).toBeGreaterThanOrEqual(button.x + button.width);
    expect(last.right).toBeGreaterThanOrEqual(0);
  },
);

test('a note on the rail is read by a tap and taken to other frames by a drag; undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  const empty = freshShot({ name: 'Noted', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  await bench.open(
    edits.addNote(empty, { from: 11, until: 13, text: 'Looks up at the gull', figureId: null }),
  );
  const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
  const at = (frame: number) => ({
    x: rail.x + 14 + ((frame - 1) / 40) * (rail.width - 28),
    y: rail.y + 6,
  });
  await hand.tap(at(11));
  await expect(page.getByText('Looks up at the gull')).toBeVisible();
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
    'aria-valuenow',
    '11',
  );
  await bench.goTo(1);
  await hand.drag([at(11), at(16), at(21)]);
  await bench.saved();
  const frames = async () => {
    const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
    const { shot } = (await (await page.request.get(address)).json()) as { readonly shot: Shot };
    return shot.notes.map(({ from, until }) => [from, until]);
  };
  await expect.poll(frames).toEqual([[21, 23]]);
  await page.reload();
  await bench.drawn('rail-notes');
  await bench.undo();
  await bench.saved();
  await expect.poll(frames).toEqual([[11, 13]]);
});
