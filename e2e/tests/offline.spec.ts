import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { BrowserContext, Page } from '@playwright/test';
import { Bench, enter } from '../support/bench';
import { handFor } from '../support/hand';
import { expect, ONCE, test } from '../support/test';
import { testServer, type TestServer } from '../support/server';

const LEAVE = 'Leave slowly over, frames';
const SHOT = 'Rounds of the harbour master';

test.use({ serviceWorkers: 'allow' });

/** A page on which the application is kept on the device. */
async function keptPage(context: BrowserContext, server: TestServer): Promise<Page> {
  const page = await context.newPage();
  await page.goto(server.address);
  await expect(page.getByTestId(`card-${SHOT}`)).toBeVisible();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active?.state !== 'activated')
      await new Promise<void>((resolve) =>
        active?.addEventListener('statechange', () => active.state === 'activated' && resolve()),
      );
  });
  return page;
}

test(
  'while the server is away the application starts, lists what it knows, and a shot that was open is edited; the edits are sent later',
  ONCE,
  async ({ context, ownServer, hasTouch }) => {
    const page = await keptPage(context, ownServer);
    await page.getByTestId(`card-${SHOT}`).getByRole('link').click();
    const bench = new Bench(page, handFor(page, Boolean(hasTouch)));
    await bench.saved();
    await ownServer.stop('SIGKILL');
    await page.close();

    const later = await context.newPage();
    await later.goto(ownServer.address);
    await expect(later.getByRole('alert')).toContainText('as this device last saw it');
    await expect(later.getByTestId('card-Dropped cork')).toContainText('Not on this device');
    await expect(later.getByTestId(`card-${SHOT}`)).not.toContainText('Not on this device');
    await later.getByTestId(`card-${SHOT}`).getByRole('link').click();
    const again = new Bench(later, handFor(later, Boolean(hasTouch)));
    await expect(again.status).toHaveText('server isn’t answering, kept on this device');
    const leave = later.getByLabel(LEAVE, { exact: true }).first();
    await enter(leave, '3');
    await later.close();

    await ownServer.start();
    const back = await context.newPage();
    await back.goto(ownServer.address);
    const stored = async (): Promise<number> => {
      const answer = await back.request.get(
        `${ownServer.address}/api/shots/demo-rounds-of-the-harbour-master`,
      );
      return (await answer.json()).shot.moves[0].marks[0].easing.leaveFrames;
    };
    await expect.poll(stored).toBe(3);
  },
);

test(
  'a shot that was opened without the server is saved again as soon as that is back',
  ONCE,
  async ({ context, ownServer, hasTouch }) => {
    const page = await keptPage(context, ownServer);
    await page.getByTestId(`card-${SHOT}`).getByRole('link').click();
    const bench = new Bench(page, handFor(page, Boolean(hasTouch)));
    await bench.saved();
    await ownServer.stop('SIGKILL');
    await page.reload();
    await expect(bench.status).toHaveText('server isn’t answering, kept on this device');
    await ownServer.start();
    await bench.saved();
  },
);

test(
  'what this device keeps is told and can be cleared; what waits for the server stays',
  ONCE,
  async ({ context, ownServer, hasTouch }) => {
    const page = await keptPage(context, ownServer);
    await page.getByTestId(`card-${SHOT}`).getByRole('link').click();
    const bench = new Bench(page, handFor(page, Boolean(hasTouch)));
    await bench.saved();
    await ownServer.stop('SIGKILL');
    await enter(page.getByLabel(LEAVE, { exact: true }).first(), '3');
    await expect(bench.status).toHaveText('server isn’t answering, kept on this device');
    await page.goto(`${ownServer.address}/backup`);
    const device = page.getByTestId('on-this-device');
    await expect(device).toContainText('1 shot that can be opened without the server (at most 30)');
    await expect(
      page.getByText('1 shot with edits and 0 pictures waiting for the server: they stay.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Clear copies of what the server has' }).click();
    await expect(device).toContainText('0 shots that can be opened');
    await expect(page.getByText('1 shot with edits and 0 pictures waiting')).toBeVisible();
    await ownServer.start();
    await page.goto(ownServer.address);
    await expect
      .poll(async () => {
        const answer = await page.request.get(
          `${ownServer.address}/api/shots/demo-rounds-of-the-harbour-master`,
        );
        return (await answer.json()).shot.moves[0].marks[0].easing.leaveFrames;
      })
      .toBe(3);
  },
);

test(
  'it can be installed: a manifest with icons and screenshots of the sizes that it names',
  ONCE,
  async ({ page }) => {
    await page.goto('/');
    const address = await page.locator('link[rel=manifest]').getAttribute('href');
    const manifest = await (await page.request.get(address!)).json();
    expect(manifest).toMatchObject({ name: 'Humble Pendulum', start_url: '/', display: 'standalone' });
    for (const { src, sizes } of [...manifest.icons, ...manifest.screenshots].filter(
      ({ sizes }) => sizes !== 'any',
    )) {
      const size = await page.evaluate(async (from: string) => {
        const image = new Image();
        image.src = from;
        await image.decode();
        return `${image.naturalWidth}x${image.naturalHeight}`;
      }, src);
      expect(size, src).toBe(sizes);
    }
  },
);

const BUILT = join(fileURLToPath(new URL('../..', import.meta.url)), 'app/dist');

/** What is served after another build: another page, and a part that has another name now. */
function buildAnother(app: string): void {
  const page = join(app, 'index.html');
  writeFileSync(page, readFileSync(page, 'utf8').replace('</title>', ' 2</title>'));
  const scripts = join(app, '_expo/static/js/web');
  for (const name of readdirSync(scripts).filter((one) => one.startsWith('BinScreen')))
    rmSync(join(scripts, name));
  const worker = join(app, 'sw.js');
  const text = readFileSync(worker, 'utf8')
    .replace(/\{url:"[^"]*BinScreen[^"]*",revision:null\},/, '')
    .replace(/(url:"index\.html",revision:)"[^"]*"/, '$1"another"');
  writeFileSync(worker, text);
}

test(
  'a new version says that it is there, takes no part from an open page, and starts when it is told to',
  ONCE,
  async ({ context }) => {
    const app = mkdtempSync(join(tmpdir(), 'humble-app-'));
    cpSync(BUILT, app, { recursive: true });
    const server = await testServer([], { HUMBLE_APP: app });
    try {
      await server.start();
      const page = await keptPage(context, server);
      buildAnother(app);
      const other = await context.newPage();
      await other.goto(server.address);
      await expect(other.getByTestId('new-version')).toBeVisible();
      await expect(other).not.toHaveTitle(/ 2$/);
      // A part that the server no longer has comes from this device.
      await page.getByRole('button', { name: 'Order, removed shots, backup, guide' }).click();
      await page.getByRole('button', { name: 'Removed shots', exact: true }).click();
      await expect(page.getByText('Nothing was removed.')).toBeVisible();
      await other.getByRole('button', { name: 'Start it now' }).click();
      await expect(other.getByText(/Close the other pages of Humble Pendulum first/)).toBeVisible();
      await page.close();
      await other.getByRole('button', { name: 'Start it now' }).click();
      await expect(other).toHaveTitle(/ 2$/);
      await expect(other.getByTestId('card-Dropped cork')).toBeVisible();
      await expect(other.getByTestId('new-version')).toHaveCount(0);
    } finally {
      await server.remove();
      rmSync(app, { recursive: true });
    }
  },
);
