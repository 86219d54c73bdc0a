import type { Page } from '@playwright/test';
import type { Shot } from '@humble/core';
import { bytesOf } from '../support/saving';
import { expect, test } from '../support/test';

// A whole task in every step by keys alone: no test here touches anything with the mouse.

const MAX_TABS = 250;

/** What has the focus is called so. */
const focused = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const element = document.activeElement;
    return element?.getAttribute('aria-label') ?? element?.textContent ?? '';
  });

/** Goes on with Tab until something of this name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  const visited: string[] = [];
  for (let i = 0; i < MAX_TABS; i++) {
    const now = await focused(page);
    if (typeof name === 'string' ? now === name : name.test(now)) return;
    visited.push(now);
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never comes to ${String(name)}: ${visited.slice(-60).join(' | ')}`);
}

async function press(page: Page, name: string | RegExp): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press('Enter');
}

async function stored(page: Page): Promise<Shot> {
  const id = new URL(page.url()).pathname.split('/').pop();
  return ((await (await page.request.get(`/api/shots/${id}`)).json()) as { shot: Shot }).shot;
}

test('from a new shot to pictures under the camera, by keys alone', async ({ page, bench, hand }) => {
  test.skip(hand.isFinger, 'a phone has no such keys');
  test.slow();
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New shot' }).first()).toBeVisible();
  await press(page, 'New shot');
  await expect(page.getByRole('dialog', { name: 'New shot' })).toBeVisible();
  await tabTo(page, 'Name');
  await page.keyboard.type('By keys');
  await press(page, 'Create shot');
  await expect(page.getByTestId('transport')).toBeVisible();

  // Arc: a ready shape, one of its points pulled.
  await press(page, 'Shapes');
  await press(page, 'Swing');
  await expect(bench.line).toHaveAttribute('d', /^M/);
  await bench.saved();
  const before = await stored(page);
  await page.keyboard.press('PageDown');
  await page.keyboard.press('Shift+ArrowUp');
  await bench.saved();
  await expect.poll(async () => (await stored(page)).arcs[0]!.points).not.toEqual(before.arcs[0]!.points);
  await page.keyboard.press('Escape');

  // Figure: it looks the other way.
  await page.keyboard.press('Alt+2');
  await press(page, 'Flip left to right');
  await expect.poll(async () => (await stored(page)).moves[0]!.mirrored).toBe(true);

  // Timing: a mark in the middle, further along.
  await page.keyboard.press('Alt+3');
  await page.keyboard.press('Home');
  for (let i = 1; i < 12; i++) await page.keyboard.press('ArrowRight');
  await press(page, 'Add a mark on 12');
  await expect.poll(async () => (await stored(page)).moves[0]!.marks.map(({ frame }) => frame)).toContain(12);

  // Sheet: the increments go out.
  await page.keyboard.press('Alt+4');
  await press(page, 'Export');
  await tabTo(page, 'Increments as CSV');
  const [download] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')]);
  expect((await bytesOf(download)).toString()).toMatch(/^move,figure,frame,/);

  // Shoot: the first picture.
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('button', { name: 'Take frame 1', exact: true })).toBeEnabled();
  // The button that was used last still has the focus, and the space bar is its own.
  await page.keyboard.press('PageDown');
  await expect.poll(async () => (await stored(page)).shoot.pictures.length).toBe(1);

  // And back to how it was before the picture.
  await press(page, 'Shot menu');
  await press(page, 'History');
  await press(page, /^Restore the version/);
  await expect.poll(async () => (await stored(page)).shoot.pictures.length).toBe(0);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await stored(page)).shoot.pictures.length).toBe(1);
});
