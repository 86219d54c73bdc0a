import { networkInterfaces } from 'node:os';
import type { Shot } from '@humble/core';
import type { Page } from '@playwright/test';
import { Bench } from '../support/bench';
import { handFor } from '../support/hand';
import { buttonOnSet } from '../support/onSet';
import { testServer } from '../support/server';
import { expect, ONCE, test } from '../support/test';

const OWN_ADDRESS = Object.values(networkInterfaces())
  .flatMap((one) => one ?? [])
  .find(({ family, internal }) => family === 'IPv4' && !internal)?.address;

// A service worker would make the requests that a test holds back.
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'block' } as const;

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
    const made = await here.request.post(`${server.address}/api/shots`, { data: { shot: buttonOnSet() } });
    const { id } = (await made.json()) as { readonly id: string };

    // Not paired it gets nothing, and is asked for the passphrase.
    expect((await there.request.get(`${outside}/api/shots`)).status()).toBe(401);
    await there.goto(`${outside}/shot/${id}`);
    await expect(there.getByLabel('Passphrase')).toBeVisible();

    await here.goto(`${server.address}/shot/${id}`);
    await shoot(here);
    // From the step on: two taps, and the phone is pointed at the code.
    const act = new Bench(here, handFor(here, true)).acts;
    await act.tap(here.getByRole('tab', { name: 'Camera', exact: true }));
    const asked = here.waitForResponse((response) => response.url().endsWith('/api/pairing'));
    await act.tap('Pair a phone');
    const { link } = (await (await asked).json()) as { readonly link: string };
    await expect(here.getByRole('img', { name: 'Code to scan' }).first()).toBeVisible();
    await here.getByRole('button', { name: 'Close' }).tap();
    await here.getByRole('tab', { name: 'Next', exact: true }).tap();

    // Scanned: the phone is led to this link.
    await act.device(async () => void (await there.goto(link)));
    expect(act.count).toBeLessThanOrEqual(3);
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
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await bench.group('Camera');
  await bench.press('Pair a phone');
  await expect(page.getByText(/start it again with npm run demo -- --lan/)).toBeVisible();
});

test('without --lan nothing listens outside the machine', ONCE, async ({ page, server }) => {
  test.skip(!OWN_ADDRESS, 'this machine has no address on a local network');
  expect((await page.request.get(`${server.address}/api/health`)).status()).toBe(200);
  const outside = `${server.address.replace('127.0.0.1', OWN_ADDRESS!)}/api/health`;
  await expect(page.request.get(outside)).rejects.toThrow(/ECONNREFUSED/);
});

test('two devices that take a picture at once lose neither', ONCE, async ({ browser, server }) => {
  const contexts = await Promise.all(
    [1, 2].map(() => browser.newContext({ ...PHONE, baseURL: server.address })),
  );
  try {
    const [one, other] = (await Promise.all(contexts.map((context) => context.newPage()))) as [Page, Page];
    const made = await one.request.post('/api/shots', { data: { shot: buttonOnSet('Two hands') } });
    const { id } = (await made.json()) as { readonly id: string };
    for (const page of [one, other]) {
      await page.goto(`/shot/${id}`);
      await shoot(page);
    }
    const takes = (page: Page, frame: number) =>
      page.getByRole('button', { name: `Take frame ${frame}`, exact: true }).tap();
    // The second of them is slow: the first has saved by the time that its two pictures come.
    let isHeld = true;
    await other.route('**/api/shots/*', async (route) => {
      if (isHeld && route.request().method() === 'PUT') await route.abort();
      else await route.continue();
    });
    await takes(other, 1);
    await takes(other, 2);
    await expect(other.getByTestId('save-status')).toHaveText(/isn’t answering/);
    await takes(one, 1);
    // It said that it was saved before it took anything, too: what the server has is asked.
    const revision = async (): Promise<number> =>
      (await (await one.request.get(`/api/shots/${id}/revision`)).json()).revision;
    await expect.poll(revision).toBe(2);
    isHeld = false;
    // It is asked; both versions are there to be kept.
    const dialog = other.getByRole('dialog', { name: 'Changed somewhere else' });
    await expect(dialog).toBeVisible();
    await dialog.getByRole('button', { name: 'Keep my version' }).tap();
    await expect
      .poll(async () => {
        const { shots } = (await (await one.request.get('/api/shots')).json()) as {
          readonly shots: readonly { readonly id: string; readonly name: string }[];
        };
        const named = shots.filter(({ name }) => name.startsWith('Two hands'));
        const all = await Promise.all(
          named.map(async (shot) => (await one.request.get(`/api/shots/${shot.id}`)).json()),
        );
        return (all as { readonly shot: Shot }[]).map(({ shot }) => shot.shoot.pictures.length).sort();
      })
      .toEqual([1, 2]);
  } finally {
    for (const context of contexts) await context.close();
  }
});
