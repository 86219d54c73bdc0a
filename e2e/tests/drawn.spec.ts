import { unzipSync } from 'fflate';
import type { Page } from '@playwright/test';
import type { Bench } from '../support/bench';
import { png, pngFile, pngWithBox } from '../support/png';
import { bytesOf, saved } from '../support/saving';
import { scanned, twoScans } from '../support/scans';
import { expect, ONCE, test } from '../support/test';

const EGG = { x: 320, y: 220, across: 80, down: 120 };

async function withTwoDrawings(bench: Bench, page: Page, name: string): Promise<void> {
  await bench.straight(name, 9);
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.chooseFiles(() => bench.press('Scans or photos'), ...twoScans());
  await bench.press('Use 2 drawings');
  await expect(page.getByRole('button', { name: 'Draw through', exact: true })).toBeVisible();
}

test('two scans are drawn through: outlines in the field, on ghosts, undone, and there after a reload', async ({
  bench,
  page,
}) => {
  await withTwoDrawings(bench, page, 'Through');
  await bench.press('Draw through');
  // In the middle the outline stands in place of the drawing.
  await expect(page.getByTestId('in-between')).toHaveAttribute('d', /^M/);
  const half = await page.getByTestId('in-between').getAttribute('d');
  await bench.goTo(3);
  await expect(page.getByTestId('in-between')).not.toHaveAttribute('d', half!);
  await bench.goTo(1);
  await expect(page.getByTestId('in-between')).toHaveAttribute('d', '');
  await bench.goTo(5);
  await bench.undo();
  await expect(page.getByTestId('in-between')).toHaveCount(0);
  await bench.redo();
  await expect(page.getByTestId('in-between')).toHaveAttribute('d', half!);
  await bench.saved();
  await page.reload();
  await bench.goTo(5);
  await expect(page.getByTestId('in-between')).toHaveAttribute('d', half!);
  // Held again, the drawing before is shown.
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.press('Hold instead');
  await expect(page.getByTestId('in-between')).toHaveCount(0);
});

test(
  'pins are put by two taps, dragged, bent and removed; one on another is refused',
  ONCE,
  async ({ bench, page }) => {
    await withTwoDrawings(bench, page, 'Pins');
    await bench.press('Draw through');
    const { acts } = bench;
    const editor = page.getByTestId('pin-editor');
    await acts.tapIn(editor, 0.25, 0.22);
    await acts.tapIn(editor, 0.75, 0.32);
    await expect(page.getByText('1 pin', { exact: true })).toBeVisible();
    const before = (await bench.kept()).figures[0]!.drawingPairs[0]!.pins[0]!;
    await page.getByRole('switch', { name: 'By an arc' }).click();
    const path = page.getByTestId('pin-path');
    await path.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const box = (await path.boundingBox())!;
    await bench.hand.drag([
      { x: box.x + box.width / 2, y: box.y + box.height / 2 },
      { x: box.x + box.width * 0.7, y: box.y + box.height * 0.4 },
    ]);
    await expect
      .poll(async () => (await bench.kept()).figures[0]!.drawingPairs[0]!.pins[0]!.bow?.x ?? 0)
      .toBeGreaterThan(10);
    const after = (await bench.kept()).figures[0]!.drawingPairs[0]!.pins[0]!;
    expect([after.first, after.second]).toEqual([before.first, before.second]);
    // Another pin on the same spot of the other drawing.
    await acts.tapIn(editor, 0.25, 0.68);
    await acts.tapIn(editor, 0.75, 0.32);
    await expect(page.getByText(/There’s a pin on that spot already/)).toBeVisible();
    expect((await bench.kept()).figures[0]!.drawingPairs[0]!.pins).toHaveLength(1);
  },
);

test('a sheet with a hidden mark is told, and the third mark is tapped', ONCE, async ({ bench, page }) => {
  await bench.straight('Hidden mark', 9);
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.chooseFiles(
    () => bench.press('Scans or photos'),
    scanned({ name: 'one.png', egg: EGG }),
    scanned({ name: 'two.png', egg: EGG, marks: 2 }),
  );
  await expect(page.getByText(/^The register marks weren’t found on sheet 2\./)).toBeVisible();
  await bench.press('Next sheet');
  await bench.press('Tap three marks');
  await expect(page.getByText('2 of 3 marks tapped')).toBeVisible();
  const sheet = (await page.getByTestId('sheet-picture').boundingBox())!;
  await bench.hand.tap({ x: sheet.x + (540 / 640) * sheet.width, y: sheet.y + (440 / 480) * sheet.height });
  await expect(page.getByText('3 of 3 marks tapped')).toBeVisible();
  await bench.press('Tap three marks');
  await expect(page.getByText(/^The register marks were found on every sheet/)).toBeVisible();
  await bench.press('Use 2 drawings');
  await expect(page.getByRole('button', { name: 'Draw through', exact: true })).toBeVisible();
});

test(
  'a photograph is straightened; what is no picture is told, and nothing changes',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Corners', 9);
    await bench.step('Figure');
    await bench.group('Drawings');
    await bench.chooseFiles(
      () => bench.press('Scans or photos'),
      pngFile('broken.png', Buffer.from('no picture')),
    );
    await expect(page.getByText('“broken.png” isn’t a picture that this browser can read.')).toBeVisible();
    await expect(page.getByRole('dialog', { name: 'Drawings on paper' })).toHaveCount(0);
    await bench.chooseFiles(() => bench.press('Scans or photos'), scanned({ name: 'one.png', egg: EGG }));
    await bench.press('Straighten');
    const sheet = (await page.getByTestId('sheet-picture').boundingBox())!;
    await bench.hand.drag([
      { x: sheet.x + 0.06 * sheet.width, y: sheet.y + 0.06 * sheet.height },
      { x: sheet.x + 0.25 * sheet.width, y: sheet.y + 0.06 * sheet.height },
    ]);
    await bench.press('Straighten it');
    await bench.press('Use this drawing');
    const picture = async (): Promise<string | undefined> => {
      const { artwork } = (await bench.kept()).figures[0]!;
      return artwork.kind === 'pictures' ? artwork.drawings[0]!.name : undefined;
    };
    await expect.poll(picture).toBe('one.png');
  },
);

test(
  'drawings without clear ground are told of and cannot be drawn through',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('No ground', 9);
    await bench.step('Figure');
    await bench.group('Drawings');
    await bench.chooseFiles(
      () => bench.press('Import drawings'),
      pngFile('a.png', pngWithBox(80, 80, { left: 20, top: 20, right: 60, bottom: 60 })),
      pngFile('b.png', png(80, 80)),
    );
    await expect(page.getByText(/^Drawing 2 has no clear ground/)).toBeVisible();
    await bench.press('Draw through');
    await expect(page.getByText(/Import it as a scan to clear the paper/)).toBeVisible();
    expect((await bench.kept()).moves[0]!.drawings).toEqual([]);
  },
);

test('a spot is followed from the field: a trail, a column, a line in the ruler, and an arc of it', async ({
  bench,
  page,
  hand,
}) => {
  await bench.straight('Followed', 9);
  await bench.step('Figure');
  await bench.goTo(1);
  // A little above the pivot, on the figure.
  await hand.askMenu(await bench.spot(0.1, 0.46));
  await page.getByRole('button', { name: 'Follow this spot' }).click();
  await expect(page.getByTestId('spot-trail')).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('spot-ticks')).toHaveAttribute('d', /^M/);
  await bench.step('Timing');
  await expect(page.getByTestId('ruler-spots')).toHaveAttribute('d', /^M/);
  await bench.step('Sheet');
  const steps = (await bench.column('Spot 1')).slice(1).map(Number);
  // It goes straight with the figure: 1536 units in 8 even steps.
  for (const step of steps) expect(step).toBeCloseTo(192, 1);
  await bench.step('Figure');
  await bench.group('Drawings');
  await bench.press('Make an arc of the path of Spot 1');
  await expect(page.getByText('The path of “Spot 1” is an arc now.')).toBeVisible();
  const shot = await bench.kept();
  expect(shot.arcs.map(({ name }) => name)).toContain('Spot 1');
  await bench.undo();
  await expect.poll(async () => (await bench.kept()).arcs.length).toBe(1);
});

test(
  'in-betweens as pictures are as large as the key drawing, one for each',
  ONCE,
  async ({ bench, page }) => {
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    await expect(page.getByTestId('transport')).toBeVisible();
    await bench.step('Figure');
    await bench.group('Drawings');
    await bench.goTo(45);
    await bench.press('Sheets to draw on');
    await expect(page.getByRole('img', { name: 'Page 1 of 14 as it is printed' })).toBeVisible();
    const svgs = unzipSync(await bytesOf(await saved(page, 'Save SVGs')));
    expect(Object.keys(svgs)).toHaveLength(14);
    const [, svg] = Object.entries(svgs)[0]!;
    expect(new TextDecoder().decode(svg)).toContain('Tip of the cap');
    const pngs = unzipSync(await bytesOf(await saved(page, 'Save PNGs')));
    const [, first] = Object.entries(pngs)[0]!;
    const view = new DataView(first.buffer, first.byteOffset);
    expect([view.getUint32(16), view.getUint32(20)]).toEqual([180, 260]);
    // Holes that would lie off the paper are told, and there is nothing to be saved.
    await page.getByRole('radio', { name: 'Holes' }).click();
    await bench.type('Distance apart, mm', 120);
    await expect(page.getByText(/^The outer register marks would lie off the paper/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Save PDF' })).toHaveCount(0);
  },
);

test('the preview shows in-betweens as outlines on demand', ONCE, async ({ bench, page }) => {
  await page.goto('/shot/demo-rounds-of-the-harbour-master');
  await expect(page.getByTestId('transport')).toBeVisible();
  await bench.goTo(45);
  const pixels = await bench.preview();
  const held = await pixels();
  await page.getByRole('switch', { name: 'In-betweens as outlines' }).click();
  await expect.poll(pixels).not.toBe(held);
});
