import type { Page } from '@playwright/test';
import { cameraOn, edits, freshShot, type Shot } from '@humble/core';
import type { Bench } from '../support/bench';
import { pngFile, pngWithBox } from '../support/png';
import { bytesOf } from '../support/saving';
import { expect, ONCE, test } from '../support/test';

const rounded = (shot: Shot, frame: number): readonly number[] => {
  const { x, y, width } = cameraOn(shot, frame)!;
  return [x, y, width].map(Math.round);
};

/** Taps the picture of the whole field in the panel. */
async function tapWhole(bench: Bench, page: Page, across: number, down: number): Promise<void> {
  await bench.acts.tapIn(page.getByTestId('camera-whole'), across, down);
}

test('a camera is added, goes in to a spot, and the preview is seen through it; undone, and there after a reload', async ({
  bench,
  page,
}) => {
  await bench.straight('Through a camera', 25);
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.press('Add a camera');
  await expect(page.getByTestId('camera-sees')).toBeVisible();
  // There is one, and no second one.
  await expect(page.getByRole('button', { name: 'Add a camera' })).toHaveCount(0);
  await bench.goTo(1);
  await tapWhole(bench, page, 0.75, 0.25);
  await bench.press('Move in');
  await expect.poll(async () => (await bench.kept()).moves.length).toBe(2);
  const shot = await bench.kept();
  expect(rounded(shot, 1)).toEqual([960, 540, 1920]);
  const [x, y, width] = rounded(shot, 25);
  expect(Math.abs(x! - 1440)).toBeLessThan(12);
  expect(Math.abs(y! - 270)).toBeLessThan(12);
  expect(width).toBe(960);
  // By depth: half-way the frame is 1280 wide.
  expect(rounded(shot, 13)[2]).toBe(1280);
  await bench.undo();
  await expect.poll(async () => rounded(await bench.kept(), 25)).toEqual([960, 540, 1920]);
  await bench.redo();
  await expect.poll(async () => rounded(await bench.kept(), 25)[2]).toBe(960);
  await page.reload();
  await expect(page.getByTestId('transport')).toBeVisible();
  await bench.goTo(25);
  const pixels = await bench.preview();
  const last = await pixels();
  const frames = page.getByRole('dialog', { name: 'Preview' }).getByRole('slider', { name: 'Frame' });
  await frames.focus();
  await page.keyboard.press('Home');
  await expect.poll(pixels).not.toBe(last);
  // The arrows go on by at least a frame.
  await page.keyboard.press('ArrowRight');
  await expect(frames).toHaveAttribute('aria-valuenow', '2');
});

test('a shake is put on a move, tried another way, and taken off', ONCE, async ({ bench, page }) => {
  await bench.straight('Shaken', 25);
  await bench.step('Figure');
  await bench.keyLine('Offset');
  await bench.goTo(5);
  await page.getByRole('button', { name: 'Knock', exact: true }).click();
  await expect(page.getByText('Knock 1')).toBeVisible();
  const seed = async (): Promise<number | undefined> => (await bench.kept()).moves[0]!.shakes[0]?.seed;
  await expect.poll(seed).toBe(1);
  await page.getByRole('button', { name: 'Another one like it' }).click();
  await expect.poll(seed).toBe(2);
  expect((await bench.kept()).moves[0]!.shakes[0]).toMatchObject({
    kind: 'knock',
    from: 5,
    fadeFrames: 12,
  });
  await page.getByRole('button', { name: 'Remove Knock 1' }).click();
  await expect.poll(seed).toBeUndefined();
  await bench.undo();
  await expect.poll(seed).toBe(2);
});

test(
  'planes in depth: a picture farther away lies behind, one in front over the figures',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Planes', 9);
    await bench.step('Arc');
    await bench.group('Backdrop');
    const picture = (name: string) =>
      pngFile(name, pngWithBox(160, 90, { left: 10, top: 10, right: 150, bottom: 80 }));
    await bench.chooseFiles(() => bench.press('Add a plane'), picture('sky.png'));
    await expect(page.getByTestId('plane')).toHaveCount(1);
    await expect(page.getByLabel('Name of the plane')).toHaveValue('Plane 2');
    await page.getByLabel('Distance', { exact: true }).fill('0.5');
    await page.getByLabel('Distance', { exact: true }).press('Enter');
    await expect.poll(async () => (await bench.kept()).planes[0]?.distance).toBe(0.5);
    // Over the figure now: it is drawn after it.
    const order = await page
      .locator('[data-testid=plane], [data-testid=figure]')
      .evaluateAll((all) => all.map((one) => one.getAttribute('data-testid')));
    expect(order).toEqual(['figure', 'plane']);
    await bench.press('Remove Plane 2');
    await expect(page.getByTestId('plane')).toHaveCount(0);
    await bench.undo();
    await expect(page.getByTestId('plane')).toHaveCount(1);
  },
);

test('the pan table goes out as CSV', ONCE, async ({ bench, page }) => {
  await bench.straight('Pan', 5);
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.press('Add a camera');
  await bench.goTo(1);
  await tapWhole(bench, page, 0.75, 0.5);
  await bench.press('Move in');
  await bench.saved();
  await bench.press('Shot menu');
  await bench.press('Export');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Pan table as CSV/ }).click(),
  ]);
  const [head, , second] = (await bytesOf(download)).toString('utf8').split('\n');
  expect(head).toMatch(/^frame,held,camera_across,camera_down,camera_compass,artwork_across/);
  expect(second).toMatch(/^2,1,\d/);
  expect(second).toMatch(/,E \d/);
});

test('the pan table is read in the Sheet step: the camera first of all, the artwork the other way by compass', async ({
  bench,
  page,
}) => {
  await bench.straight('Pan read', 5);
  await bench.step('Sheet');
  await bench.group('Pan');
  await bench.press('Add a camera');
  await expect(page.getByRole('table', { name: 'Pan' })).toBeVisible();
  await bench.step('Figure');
  await bench.group('Figures');
  await bench.goTo(1);
  await tapWhole(bench, page, 0.75, 0.5);
  await bench.press('Move in');
  await bench.step('Sheet');
  const table = page.getByRole('table', { name: 'Pan' });
  await expect(table.getByRole('columnheader', { name: 'across units' })).toBeVisible();
  const cells = () =>
    table
      .getByRole('row', { name: /^Frame 3,/ })
      .getByRole('cell')
      .allTextContents();
  await expect.poll(async () => (await cells())[1]).toMatch(/^\+\d/);
  await page.getByRole('radio', { name: 'Artwork' }).click();
  await page.getByRole('radio', { name: 'Compass' }).click();
  await expect.poll(async () => (await cells())[1]).toMatch(/^W \d/);
  // What was chosen stays, and a tap goes to the frame.
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await bench.group('Pan');
  await expect.poll(async () => (await cells())[1]).toMatch(/^W \d/);
  await table.getByRole('row', { name: /^Frame 3,/ }).click();
  await expect(table.getByRole('row', { name: /^Frame 3,/ })).toHaveAttribute('aria-selected', 'true');
});

test(
  'what an edit makes can be undone after a reload, also when the server has it',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Undone later', 9);
    await bench.step('Figure');
    await bench.group('Figures');
    await bench.press('Add a camera');
    await expect.poll(async () => (await bench.kept()).figures.length).toBe(2);
    await page.reload();
    await expect(page.getByTestId('transport')).toBeVisible();
    await bench.undo();
    await expect.poll(async () => (await bench.kept()).figures.length).toBe(1);
  },
);

test('the field is looked at through the camera and worked on there', async ({ bench, page }) => {
  const still = { x: 0, y: 0 };
  const at = (x: number, y: number) => ({ x, y, in: still, out: still, kind: 'corner' as const });
  const size = { width: 1920, height: 1080 };
  const empty = freshShot({ name: 'Looked through', rate: 24, lengthFrames: 25, ...size });
  const drawn = edits.drawArc(empty, { points: [at(400, 500), at(1200, 400), at(1600, 300)] });
  const seen = edits.addCamera(drawn);
  const truck = { from: 1, until: 25, spot: { x: 1440, y: 270 }, width: 960 };
  await bench.open(edits.truckIn(seen, { moveId: seen.moves[1]!.id, ...truck }));
  const paper = async () => (await page.getByTestId('field-paper').first().boundingBox())!;
  const field = (await page.getByTestId('field').boundingBox())!;
  const whole = await paper();
  await bench.goTo(25);
  await bench.press('Look through');
  // Half as much of the field is seen, and the spot is in the middle.
  await expect.poll(async () => Math.round((100 * (await paper()).width) / whole.width)).toBe(200);
  const spot = await bench.spot(0.75, 0.25);
  expect(Math.abs(spot.x - field.x - field.width / 2)).toBeLessThan(1.5);
  expect(Math.abs(spot.y - field.y - field.height / 2)).toBeLessThan(1.5);
  // A point is dragged where the camera shows it.
  await bench.step('Arc');
  await bench.hand.drag([
    await bench.spot(1600 / 1920, 300 / 1080),
    await bench.spot(1500 / 1920, 450 / 1080),
  ]);
  const point = async () => (await bench.kept()).arcs[0]!.points[2]!;
  await expect.poll(async () => Math.abs((await point()).x - 1500)).toBeLessThan(6);
  expect(Math.abs((await point()).y - 450)).toBeLessThan(6);
  // It follows the playhead, and is left again.
  await bench.goTo(1);
  await expect.poll(async () => Math.round((100 * (await paper()).width) / whole.width)).toBe(100);
  await bench.goTo(25);
  await bench.press('Look through');
  await expect.poll(async () => (await paper()).width).toBeCloseTo(whole.width, 0);
});
