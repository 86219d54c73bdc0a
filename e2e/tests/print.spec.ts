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
