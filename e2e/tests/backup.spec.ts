import { edits, freshShot } from '@humble/core';
import type { Page } from '@playwright/test';
import { bytesOf } from '../support/saving';
import { expect, ONCE, test } from '../support/test';

const shot = (name: string) => freshShot({ name, rate: 24, lengthFrames: 48, width: 1920, height: 1080 });

async function choose(page: Page, name: string, buffer: Buffer): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Restore from a backup' }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: 'application/zip', buffer });
}

test(
  'everything is saved as one file, looked at, and read back beside or instead of what is there',
  ONCE,
  async ({ page, ownServer }) => {
    const api = `${ownServer.address}/api`;
    await page.goto(ownServer.address);
    await page.getByRole('button', { name: 'Order, removed shots, backup, guide' }).click();
    await page.getByRole('button', { name: 'Backup and this device' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save everything' }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^humble-pendulum-\d{4}-\d\d-\d\d-\d\d-\d\d\.zip$/);
    const backup = await bytesOf(download);

    // Since then one has changed, one is new, one is gone for good.
    const {
      id,
      revision,
      shot: cork,
    } = await (await page.request.get(`${api}/shots/demo-dropped-cork`)).json();
    await page.request.put(`${api}/shots/${id}`, {
      data: { revision, shot: edits.renameShot(cork, { name: 'The cork, later' }) },
    });
    await page.request.post(`${api}/shots`, { data: { shot: shot('New since') } });
    await page.request.delete(`${api}/shots/demo-crabs-detour`);
    await page.request.delete(`${api}/removed-shots/demo-crabs-detour`);

    await choose(page, 'all.zip', backup);
    const looked = page.getByTestId('looked-backup');
    await expect(looked).toContainText('7 shots');
    await expect(looked).toContainText("“Crab's detour”");
    await expect(looked).toContainText('No problems found.');
    await page.getByRole('button', { name: 'Add to what is here' }).click();
    await expect(page.getByText('1 shot added, 1 under another name, 5 unchanged.')).toBeVisible();
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    for (const name of ["Crab's detour", 'The cork, later', 'New since'])
      await expect(page.getByTestId(`card-${name}`)).toBeVisible();
    await expect(page.locator('[data-testid^="card-Dropped cork (backup of"]')).toBeVisible();

    await page.goto(`${ownServer.address}/backup`);
    await choose(page, 'all.zip', backup);
    await page.getByRole('button', { name: 'Replace everything' }).click();
    await expect(page.getByText(/Replace everything with the 7 shots of this backup\?/)).toBeVisible();
    await page.getByRole('dialog').getByRole('button', { name: 'Replace everything' }).click();
    await expect(
      page.getByText(/7 shots restored\. What was here before is in copies\/before-restore-/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    await expect(page.getByTestId('card-Dropped cork')).toBeVisible();
    await expect(page.getByTestId('card-New since')).toHaveCount(0);
  },
);

test('what is no backup is refused by a sentence, and a long check can be left', ONCE, async ({ page }) => {
  await page.goto('/backup');
  await choose(page, 'diary.zip', Buffer.from('Dear diary'));
  await expect(page.getByRole('alert')).toHaveText('This file isn’t a backup of Humble Pendulum.');
  let answer = (): void => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route('**/api/backups', async (route) => {
    await held;
    await route.abort();
  });
  await choose(page, 'large.zip', Buffer.from('Dear diary'));
  await expect(page.getByText('Checking “large.zip”…')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Checking “large.zip”…')).toHaveCount(0);
  await expect(page.getByRole('alert')).toHaveCount(0);
  answer();
});
