import { networkInterfaces } from 'node:os';
import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import type { Page } from '@playwright/test';
import { testServer } from '../support/server';
import { expect, ONCE, test } from '../support/test';

const OWN_ADDRESS = Object.values(networkInterfaces())
  .flatMap((one) => one ?? [])
  .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

function set(): Shot {
  const empty = freshShot({
    name: 'Set',
    rate: 12,
    lengthFrames: 21,
    width: 1600,
    height: 900,
    widthMm: 400,
    rulerStep: 0.5,
  });
  return edits.drawArc(empty, { points: smoothThrough([200, 1400].map((x) => ({ x, y: 500 }))) });
}

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true } as const;

const shoot = async (page: Page): Promise<void> => {
  await page.getByRole('tab', { name: 'Shoot', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Take frame/ })).toBeEnabled();
};

test('a phone is paired by a code, and both follow one shot', ONCE, async ({ browser }) => {
  test.skip(!OWN_ADDRESS, 'this machine has no address on a local network');
  const server = await testServer(['--lan']);
  await server.start();
  const outside = server.address.replace('127.0.0.1', OWN_ADDRESS!);
  const [desk, phone] = await Promise.all([browser.newContext(PHONE), browser.newContext(PHONE)]);
  const [here, there] = [await desk.newPage(), await phone.newPage()];
  try {
    const made = await here.request.post(`${server.address}/api/shots`, { data: { shot: set() } });
    const { id } = (await made.json()) as { readonly id: string };

    // Not paired it gets nothing, and is asked for the passphrase.
    expect((await there.request.get(`${outside}/api/shots`)).status()).toBe(401);
    await there.goto(`${outside}/shot/${id}`);
    await expect(there.getByLabel('Passphrase')).toBeVisible();

    await here.goto(`${server.address}/shot/${id}`);
    await shoot(here);
    await here.getByRole('tab', { name: 'Camera', exact: true }).tap();
    const asked = here.waitForResponse((response) => response.url().endsWith('/api/pairing'));
    await here.getByRole('button', { name: 'Pair a phone' }).tap();
    const { link } = (await (await asked).json()) as { readonly link: string };
    await expect(here.getByRole('img', { name: 'Code to scan' })).toBeVisible();
    await here.getByRole('button', { name: 'Close' }).tap();
    await here.getByRole('tab', { name: 'Next', exact: true }).tap();

    // Scanned: the phone is led to this link.
    await there.goto(link);
    await there.getByRole('link', { name: 'Open Set,' }).tap();
    await shoot(there);
    await there.getByRole('button', { name: 'Take frame 1', exact: true }).tap();
    const saved = there.waitForResponse((response) => response.request().method() === 'PUT');
    await saved;
    const since = Date.now();
    await expect(here.getByRole('button', { name: 'Take frame 2', exact: true })).toBeVisible();
    console.log(`the picture was at the computer ${Date.now() - since} ms after it was saved`); // eslint-disable-line no-console
    // And back: what the computer takes is at the phone.
    await here.getByRole('button', { name: 'Take frame 2', exact: true }).tap();
    await expect(there.getByRole('button', { name: 'Take frame 3', exact: true })).toBeVisible();
    await there.getByRole('button', { name: 'Skip', exact: true }).tap();
    await expect(here.getByText('18 to go')).toBeVisible();

    // Ended at the computer, the phone is out.
    const { devices } = (await (await here.request.get(`${server.address}/api/pairing`)).json()) as {
      readonly devices: readonly { readonly id: string; readonly name: string }[];
    };
    expect(devices.map(({ name }) => name)).toEqual(['Phone']);
    await here.getByRole('tab', { name: 'Camera', exact: true }).tap();
    await here.getByRole('button', { name: 'Pair a phone' }).tap();
    await here.getByRole('button', { name: 'End Phone' }).tap();
    await expect.poll(async () => (await there.request.get(`${outside}/api/shots`)).status()).toBe(401);
  } finally {
    await Promise.all([desk.close(), phone.close()]);
    await server.remove();
  }
});

test('a server that was started without --lan says how to start it', ONCE, async ({ page, bench }) => {
  await bench.open(set());
  await bench.step('Shoot');
  await bench.group('Camera');
  await bench.press('Pair a phone');
  await expect(page.getByText(/start it again with npm run demo -- --lan/)).toBeVisible();
});
