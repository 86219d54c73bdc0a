import { readFileSync } from 'node:fs';
import type { Shot } from '@humble/core';
import { readFilmZip } from '@humble/core/files';
import { shotPace } from '@humble/core/filmPace';
import type { APIRequestContext, Locator, Page } from '@playwright/test';
import { expect, ONCE, test } from '../support/test';

const film = (page: Page, name: string): Locator => page.getByTestId(`film-${name}`);

async function inFilmMenu(page: Page, name: string, item: string): Promise<void> {
  await page.getByRole('button', { name: `More for the film ${name}`, exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: item, exact: true }).click();
}

async function inShotMenu(page: Page, name: string, item: string): Promise<void> {
  await page.getByRole('button', { name: `More for ${name}`, exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: item, exact: true }).click();
}

const listed = async (request: APIRequestContext, address: string) =>
  ((await (await request.get(`${address}/api/shots`)).json()) as { shots: { id: string; film: string }[] })
    .shots;

/** The shots of a film as the server has them, without what differs between copies. */
async function shotsOf(request: APIRequestContext, address: string, name: string): Promise<Shot[]> {
  const own = (await listed(request, address)).filter((shot) => shot.film === name);
  const read = await Promise.all(
    own.map(async ({ id }) => (await (await request.get(`${address}/api/shots/${id}`)).json()).shot as Shot),
  );
  return read.map((shot) => ({ ...shot, film: '' })).sort((a, b) => a.name.localeCompare(b.name));
}

test(
  'a film is named where it stands, copied, removed and brought back whole',
  ONCE,
  async ({ page, ownServer }) => {
    await page.goto(ownServer.address);
    await expect(film(page, 'Low Tide')).toContainText('7 shots');
    await inFilmMenu(page, 'Low Tide', 'Duplicate');
    await expect(film(page, 'Low Tide copy')).toContainText('7 shots');

    await inFilmMenu(page, 'Low Tide copy', 'Rename');
    await page.getByLabel('Name of the film').fill('Spring Tide');
    await page.getByLabel('Name of the film').press('Enter');
    await expect(film(page, 'Spring Tide')).toContainText('7 shots');
    await expect(film(page, 'Low Tide copy')).toHaveCount(0);

    await inFilmMenu(page, 'Spring Tide', 'Remove');
    await expect(film(page, 'Spring Tide')).toHaveCount(0);
    await page.getByRole('button', { name: 'Restore' }).click();
    await expect(film(page, 'Spring Tide')).toContainText('7 shots');
    await page.reload();
    await expect(film(page, 'Spring Tide')).toContainText('7 shots');
  },
);

test(
  'a shot leaves with its pictures and sound in one file, and comes back into its film',
  ONCE,
  async ({ page, ownServer }) => {
    await page.goto(`${ownServer.address}/shot/demo-dropped-cork`);
    await page
      .getByRole('button', { name: 'Sheet', exact: true })
      .or(page.getByRole('tab', { name: 'Sheet' }))
      .click();
    await page.getByRole('button', { name: 'Export', exact: true }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Shot with its pictures and sound' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('dropped-cork.zip');
    const { name, shots, pictures, sounds } = readFilmZip(readFileSync(await download.path()));
    expect([name, shots.length, pictures.size, sounds.size]).toEqual(['Low Tide', 1, 1, 1]);

    await page.goto(ownServer.address);
    await expect(film(page, 'Low Tide')).toContainText('7 shots');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import a shot' }).click(),
    ]);
    await chooser.setFiles(await download.path());
    await expect(film(page, 'Low Tide')).toContainText('8 shots');
    const back = await shotsOf(page.request, ownServer.address, 'Low Tide');
    const [one, other] = back.filter((shot) => shot.name === 'Dropped cork');
    expect(other).toEqual(one);
  },
);

test('the pace of a film is one chart from its first shot to its last', ONCE, async ({ page, ownServer }) => {
  await page.goto(ownServer.address);
  await inFilmMenu(page, 'Low Tide', 'Pace over the film');
  const dialog = page.getByRole('dialog', { name: 'Pace over the film' });
  await expect(dialog.getByRole('img', { name: /^Pace over Low Tide, 35\.\d s$/ })).toBeVisible();
  // Six cuts between seven shots.
  const cuts = dialog.getByTestId('chart-borders');
  expect((await cuts.getAttribute('d'))!.match(/M/g)).toHaveLength(6);
  await expect(dialog.getByRole('row')).toHaveCount(8);
  // What its line says is what the core finds.
  const [crab] = (await shotsOf(page.request, ownServer.address, 'Low Tide')).filter(({ name }) =>
    name.startsWith('Crab'),
  );
  const { paces } = shotPace(crab!);
  const most = Math.max(...paces);
  await expect(dialog.getByRole('row', { name: 'Crab' })).toContainText(
    `${(most * 100).toFixed(2)} at ${paces.indexOf(most) + 1}`,
  );
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const lines = readFileSync(await download.path(), 'utf8')
    .trimEnd()
    .split('\n');
  expect(lines.filter((line) => line.startsWith('Crab'))).toHaveLength(crab!.lengthFrames);
});

test(
  'shots move to another film and are put in order by hand, which stays',
  ONCE,
  async ({ page, ownServer }) => {
    await page.goto(ownServer.address);
    for (const name of ['Dropped cork', 'Lantern on the hook']) {
      await inShotMenu(page, name, 'Move to film');
      await page.getByRole('textbox', { name: 'Film' }).fill('Ebb');
      await page.getByRole('button', { name: 'Move to film', exact: true }).click();
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    await expect(film(page, 'Ebb')).toContainText('2 shots');
    await page.getByRole('button', { name: 'Order, removed shots, backup, guide' }).click();
    await page.getByRole('button', { name: 'By name' }).click();
    const cards = page.locator('[data-testid^="card-"]');
    await expect(cards.first()).toHaveAttribute('data-testid', 'card-Dropped cork');
    await inShotMenu(page, 'Dropped cork', 'Move later');
    await expect(cards.first()).toHaveAttribute('data-testid', 'card-Lantern on the hook');
    await page.reload();
    await expect(cards.first()).toHaveAttribute('data-testid', 'card-Lantern on the hook');
  },
);

test(
  'a film goes out as one ZIP file and comes back with its pictures',
  ONCE,
  async ({ page, ownServer, request }) => {
    await page.goto(ownServer.address);
    await expect(film(page, 'Low Tide')).toBeVisible();
    const before = await shotsOf(request, ownServer.address, 'Low Tide');
    const download = page.waitForEvent('download');
    await inFilmMenu(page, 'Low Tide', 'Export as ZIP');
    const file = await (await download).path();
    expect((await download).suggestedFilename()).toBe('low-tide.zip');
    const written = readFilmZip(readFileSync(file));
    // Eighteen drawings, and the pictures that were taken of the harbour master.
    expect([written.shots.length, written.pictures.size]).toEqual([7, 18 + 21]);

    const bringIn = async (name: string, buffer: Buffer): Promise<void> => {
      const chooser = page.waitForEvent('filechooser');
      await page.getByRole('button', { name: 'Import a shot' }).click();
      await (await chooser).setFiles({ name, mimeType: 'application/zip', buffer });
    };
    await bringIn('low-tide.zip', readFileSync(file));
    await expect(page.getByText('“Low Tide 2” was imported: 7 shots.')).toBeVisible();
    await expect(film(page, 'Low Tide 2')).toContainText('7 shots');
    expect(await shotsOf(request, ownServer.address, 'Low Tide 2')).toEqual(before);

    // Half of it is refused with a sentence, and nothing comes into the list.
    await bringIn('torn.zip', readFileSync(file).subarray(0, 4000));
    await expect(page.getByText(/This ZIP file cannot be read/)).toBeVisible();
    expect(await listed(request, ownServer.address)).toHaveLength(14);
  },
);

test(
  'from an empty list to a rounded table: five taps and one stroke',
  ONCE,
  async ({ page, bench, ownServer, request }) => {
    for (const { id } of await listed(request, ownServer.address))
      await request.delete(`${ownServer.address}/api/shots/${id}`);
    let taps = 0;
    const tap = async (target: Locator): Promise<void> => {
      taps++;
      await target.tap();
    };
    await page.goto(ownServer.address);
    await tap(page.getByRole('button', { name: 'Draw something now' }));
    await expect(page.getByTestId('transport')).toBeVisible();
    await bench.draw([0.1, 0.6], [0.4, 0.3], [0.9, 0.5]);
    // A browser takes a tap right behind a stroke for the end of a fling.
    await bench.saved();
    await tap(page.getByRole('tab', { name: 'Sheet', exact: true }));
    await tap(page.getByRole('button', { name: 'In units, not rounded' }));
    await tap(page.getByRole('radio', { name: '0.5', exact: true }));
    await tap(page.getByRole('button', { name: 'Done' }));
    const rounded = (await bench.column('ruler')).slice(1);
    expect(rounded.length).toBe(47);
    for (const increment of rounded) expect(Number(increment) % 0.5).toBe(0);
    expect(taps).toBeLessThanOrEqual(5);
  },
);

test('an empty list opens the demo film', ONCE, async ({ page, ownServer, request }) => {
  for (const { id } of await listed(request, ownServer.address))
    await request.delete(`${ownServer.address}/api/shots/${id}`);
  await page.goto(ownServer.address);
  await page.getByRole('button', { name: 'Open the demo film' }).click();
  await expect(film(page, 'Low Tide')).toContainText('7 shots');
});
