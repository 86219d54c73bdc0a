import { edits } from '@humble/core';
import { rolling } from '../support/disc';
import { bytesOf, saved } from '../support/saving';
import { expect, ONCE, test } from '../support/test';

test('a sheet is seen page by page and saved as a PDF at true scale', ONCE, async ({ bench, page }) => {
  await bench.open(edits.setScale(rolling(), { unitsPerMm: 2, units: 'mm' }));
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Print' });
  await expect(dialog.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
  const bytes = await bytesOf(await saved(page, 'Save PDF'));
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
  await dialog.getByRole('radio', { name: 'Exposures' }).click();
  await dialog.getByRole('radio', { name: 'Letter' }).click();
  await expect(dialog.getByRole('img', { name: 'Page 1 of 1 as it is printed' })).toBeVisible();
  const sheet = await saved(page, 'Save PDF');
  expect(sheet.suggestedFilename()).toBe('disc-sheet.pdf');
});

test('a track lies the way that needs fewer pages, until it is turned', ONCE, async ({ bench, page }) => {
  await bench.open(edits.setScale(rolling(), { unitsPerMm: 2, units: 'mm' }));
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Print' });
  await expect(dialog.getByRole('radio', { name: 'Landscape' })).toBeChecked();
  await dialog.getByRole('radio', { name: 'Portrait' }).click();
  await expect(dialog.getByRole('radio', { name: 'Portrait' })).toBeChecked();
  // Another sheet lies as suits it.
  await dialog.getByRole('radio', { name: 'Increments' }).click();
  await expect(dialog.getByRole('radio', { name: 'Portrait' })).toBeChecked();
});

test('very many pages are told first, made on demand, and given up', ONCE, async ({ bench, page }) => {
  await bench.open(edits.setLength(rolling(), { lengthFrames: 9000, moves: 'follow' }));
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Print' });
  await dialog.getByRole('radio', { name: 'Increments' }).click();
  await dialog.getByRole('button', { name: 'Save PDF' }).click();
  await expect(dialog.getByText(/^That makes \d+ pages\. Do you want all of them\?$/)).toBeVisible();
  await dialog.getByRole('button', { name: /^Make \d+ pages$/ }).click();
  await expect(dialog.getByText(/^Page \d+ of \d+ …$/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog.getByRole('button', { name: 'Save PDF' })).toBeVisible();
});

test(
  'a print is given up while its fonts are on their way, and nothing is saved',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(rolling());
    let letThrough = (): void => undefined;
    const isLetThrough = new Promise<void>((resolve) => (letThrough = resolve));
    await page.route(/\.ttf/, async (route) => {
      await isLetThrough;
      await route.continue();
    });
    const files: string[] = [];
    page.on('download', (file) => files.push(file.suggestedFilename()));
    await page.getByRole('button', { name: 'Shot menu' }).click();
    await page.getByRole('button', { name: 'Print', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: 'Print' });
    await dialog.getByRole('button', { name: 'Save PDF' }).click();
    await dialog.getByRole('button', { name: 'Cancel' }).click();
    await expect(dialog.getByRole('button', { name: 'Save PDF' })).toBeVisible();
    letThrough();
    // A second print, which ends, has been begun after the first one would have.
    const second = page.waitForEvent('download');
    await dialog.getByRole('button', { name: 'Save PDF' }).click();
    await second;
    expect(files).toHaveLength(1);
  },
);
