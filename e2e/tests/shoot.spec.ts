import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Shot } from '@humble/core';
import { nextPlacement, standingPictures } from '@humble/core/shoot';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { png } from '../support/png';
import { bytesOf, saved } from '../support/saving';
import { buttonOnSet } from '../support/onSet';
import { testServer } from '../support/server';
import { expect, ONCE, test } from '../support/test';

const takeButton = (page: Page) => page.getByRole('button', { name: /^Take frame \d+$/ });

/** Takes pictures with the camera that is open, one after the other. */
async function take(page: Page, count: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    await expect(takeButton(page)).toBeEnabled();
    const name = (await takeButton(page).getAttribute('aria-label'))!;
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);
  }
}

const framesOf = (shot: Shot): number[] => standingPictures(shot).map(({ frame }) => frame);

/** The next increment as it can be read. */
const along = async (page: Page): Promise<number> => Number(await page.getByTestId('next-along').innerText());

test('placements are taken one after the other, outlive a reload, and each can be undone', async ({
  bench,
  page,
}) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await expect(page.getByText('21 to go')).toBeVisible();
  await take(page, 5);
  await expect(page.getByText('16 to go')).toBeVisible();
  expect(await along(page)).toBe(15);
  const shot = await bench.kept();
  expect(framesOf(shot)).toEqual([1, 2, 3, 4, 5]);
  // Each picture is another one, and all of them are on the server.
  const shas = standingPictures(shot).map(({ picture }) => picture.sha256);
  expect(new Set(shas).size).toBe(5);
  for (const sha of shas)
    await expect.poll(async () => (await page.request.get(`/api/pictures/${sha}`)).status()).toBe(200);
  await page.reload();
  await bench.step('Shoot');
  await expect(page.getByText('16 to go')).toBeVisible();
  await take(page, 1);
  await bench.undo();
  await expect(page.getByText('16 to go')).toBeVisible();
});

test('where it really stands is told by a tap; the next number counts from there, and the rest is replanned', async ({
  bench,
  page,
}) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 5);
  // Frame 5 is planned at 200 + 4 · 60 units, 60 mm along: it stands 3 mm further.
  await bench.tap((440 + 12) / 1600, 500 / 900);
  const deviation = page.getByTestId('deviation').first();
  await expect(deviation).toHaveText(/^[23]\.\d mm ahead/);
  const ahead = Number((await deviation.innerText()).split(' ')[0]);
  expect(Math.abs((await along(page)) - (15 - ahead))).toBeLessThanOrEqual(0.5);
  await bench.press('Spread');
  await expect(page.getByTestId('proposed-ticks')).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('proposed-steps').first()).toHaveText(/^Next steps: 14\.\d, 14\.\d/);
  expect((await bench.kept()).takes).toHaveLength(1);
  await bench.press('Use it');
  const shot = await bench.kept();
  expect(shot.takes.map(({ name }) => name)).toEqual(['Take 1', 'As planned']);
  const next = nextPlacement(shot)!.figures[0]!.along!;
  expect(next).toBeGreaterThan(14);
  expect(next).toBeLessThan(15);
  expect(await along(page)).toBe(next);
  // One undo takes the replanning back, and leaves what was told.
  await bench.undo();
  const undone = await bench.kept();
  expect(undone.takes).toHaveLength(1);
  expect(standingPictures(undone)[4]!.actuals).toHaveLength(1);
});

test(
  'a figure of the stage is dragged to its place, and stands there in the picture',
  ONCE,
  async ({ bench, page, hand }) => {
    await bench.open(buttonOnSet());
    await bench.step('Shoot');
    await take(page, 1);
    await page.getByRole('tab', { name: 'Camera', exact: true }).click();
    const pixel = (): Promise<string> =>
      page
        .getByTestId('live-picture')
        .locator('canvas')
        .evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
    const before = await pixel();
    const from = await bench.spot(200 / 1600, 480 / 900);
    const to = await bench.spot(900 / 1600, 480 / 900);
    await hand.drag([from, to]);
    await expect.poll(pixel).not.toBe(before);
    const dragged = await pixel();
    await bench.group('Next');
    await take(page, 1);
    // The stage’s own hand left it where the finger put it: the picture is the one that was seen.
    const [, second] = standingPictures(await bench.kept());
    await expect
      .poll(async () => (await page.request.get(`/api/pictures/${second!.picture.sha256}`)).status())
      .toBe(200);
    expect(await pixel()).not.toBe(before);
    expect(dragged.length).toBeGreaterThan(1000);
  },
);

test('skip, once more, halfway; shoot over, hide and hold', ONCE, async ({ bench, page }) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 4);
  await bench.press('Skip');
  await expect(page.getByTestId('next-along')).toHaveText('30.0');
  await bench.press('Once more');
  await expect(page.getByText(/^Next: frame 5/)).toBeVisible();
  await expect(page.getByTestId('next-along')).toHaveText('0.0');
  await bench.undo();
  await bench.press('Halfway');
  await expect(page.getByTestId('next-along')).toHaveText('15.0');
  await take(page, 2);
  expect(framesOf(await bench.kept())).toEqual([1, 2, 3, 4, 5, 6]);
  await bench.group('Pictures');
  await bench.press('Picture of frame 3');
  await bench.press('Hide');
  await expect(page.getByRole('button', { name: 'Picture of frame 3, hidden' })).toBeVisible();
  await bench.type('Hold', 3);
  expect(framesOf(await bench.kept())).toEqual([1, 2, 3, 6, 7, 8]);
  await bench.press('Picture of frame 6');
  await bench.press('Reshoot from here');
  await expect(page.getByText('3 pictures were set aside. Undo brings them back.')).toBeVisible();
  const over = await bench.kept();
  expect(framesOf(over)).toEqual([1, 2, 3]);
  expect(over.shoot.pictures).toHaveLength(6);
  await bench.group('Next');
  await take(page, 1);
  expect(framesOf(await bench.kept())).toEqual([1, 2, 3, 6]);
});

test('what was taken plays at true speed, and goes on from the plan', ONCE, async ({ bench, page }) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 4);
  await bench.goTo(1);
  const shown = page.getByTestId('taken-picture').locator('canvas');
  const shas = standingPictures(await bench.kept()).map(({ picture }) => picture.sha256);
  for (const [i, sha] of shas.entries()) {
    await bench.goTo(i + 1);
    await expect(shown).toHaveAttribute('data-picture', sha);
  }
  await bench.goTo(1);
  // A recorder notes each picture and whether a figure of the plan stands in the field meanwhile.
  await page.evaluate(() => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    const note = (): void => {
      const picture = document.querySelector<HTMLElement>('[data-testid="taken-picture"] canvas')?.dataset
        .picture;
      const now = picture ?? (document.querySelector('[data-testid="figure"]') ? 'plan' : 'nothing');
      if (seen[seen.length - 1] !== now) seen.push(now);
      requestAnimationFrame(note);
    };
    note();
  });
  await bench.press('Play');
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { seen: string[] }).seen.join(' ')))
    .toContain([...shas.slice(1), 'plan'].join(' '));
  await bench.press('Pause');
});

test(
  'a webcam takes pictures; one that goes away is told of, and nothing is lost',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(buttonOnSet());
    await bench.step('Shoot');
    await bench.group('Camera');
    await bench.choose('Webcam');
    await bench.choose('640 px');
    const video = page.getByTestId('live-picture').locator('video');
    await expect.poll(() => video.evaluate((one) => (one as HTMLVideoElement).videoWidth)).toBe(640);
    await bench.group('Next');
    await take(page, 2);
    const shot = await bench.kept();
    expect(standingPictures(shot).map(({ picture }) => [picture.type, picture.width])).toEqual([
      ['image/jpeg', 640],
      ['image/jpeg', 640],
    ]);
    // Pulled out: its track ends.
    await video.evaluate((one) => {
      const [track] = ((one as HTMLVideoElement).srcObject as MediaStream).getVideoTracks();
      track!.stop();
      track!.dispatchEvent(new Event('ended'));
    });
    await expect(page.getByRole('alert').first()).toHaveText(
      /The camera was disconnected\. Your pictures are safe/,
    );
    await expect(takeButton(page)).toBeDisabled();
    expect(framesOf(await bench.kept())).toEqual([1, 2]);
    await bench.press('Try again');
    await take(page, 1);
    expect(framesOf(await bench.kept())).toEqual([1, 2, 3]);
  },
);

test(
  'pictures of a watched folder are taken as they come, and a strange one is named',
  ONCE,
  async ({ browser }) => {
    const folder = mkdtempSync(join(tmpdir(), 'humble-folder-'));
    const server = await testServer(['--pictures-from', folder]);
    await server.start();
    const page = await browser.newPage({ baseURL: server.address, viewport: { width: 390, height: 844 } });
    try {
      const made = await page.request.post('/api/shots', { data: { shot: buttonOnSet() } });
      const { id } = (await made.json()) as { readonly id: string };
      await page.addInitScript(() =>
        localStorage.setItem('humble-settings', JSON.stringify({ camera: 'folder' })),
      );
      await page.goto(`/shot/${id}`);
      await page.getByRole('tab', { name: 'Shoot', exact: true }).click();
      await expect(takeButton(page)).toBeEnabled();
      writeFileSync(join(folder, 'a.png'), png(320, 180));
      await expect(page.getByRole('button', { name: 'Take frame 2' })).toBeVisible();
      writeFileSync(join(folder, 'light.txt'), 'a note');
      await expect(page.getByText(/“light\.txt”/)).toBeVisible();
      writeFileSync(join(folder, 'b.png'), png(160, 90));
      await expect(page.getByRole('button', { name: 'Take frame 3' })).toBeVisible();
      await expect(page.getByText('This picture is 160 × 90; the one before was 320 × 180.')).toBeVisible();
    } finally {
      await page.close();
      await server.remove();
      rmSync(folder, { recursive: true });
    }
  },
);

test(
  'pictures that were taken while the server was away are sent when it is back',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(buttonOnSet());
    await bench.step('Shoot');
    await take(page, 1);
    await bench.saved();
    await page.route('**/api/**', (route) => route.abort());
    await take(page, 3);
    await expect(page.getByText(/pictures wait for the server/)).toBeVisible();
    // The page goes away with them; the next one has them still.
    await page.unroute('**/api/**');
    await page.reload();
    await bench.step('Shoot');
    await expect(page.getByText(/^Next: frame 5/)).toBeVisible();
    const shot = await bench.kept();
    expect(framesOf(shot)).toEqual([1, 2, 3, 4]);
    for (const { picture } of standingPictures(shot))
      await expect
        .poll(async () => (await page.request.get(`/api/pictures/${picture.sha256}`)).status())
        .toBe(200);
  },
);

test('four corners of a sheet make increments true on the table', ONCE, async ({ bench, page }) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 2);
  await bench.group('Camera');
  await bench.press('Tap four corners');
  for (const [x, y] of [
    [0.35, 0.3],
    [0.65, 0.3],
    [0.8, 0.8],
    [0.2, 0.8],
  ] as const)
    await bench.tap(x, y);
  await expect(page.getByText(/^Corners fit to within 0\.000 mm/)).toBeVisible();
  const shot = await bench.kept();
  expect(shot.shoot.perspective).toMatchObject({ widthMm: 297, heightMm: 210 });
  await bench.group('Next');
  const next = nextPlacement(shot)!;
  expect(next.units).toBe('mm');
  expect(await along(page)).toBe(next.figures[0]!.along);
  // A step of 60 units is no longer 15 mm: there the sheet is some 710 units wide.
  expect(next.figures[0]!.along).toBeGreaterThan(22);
  expect(next.figures[0]!.along).toBeLessThan(28);
  await bench.undo();
  await expect(page.getByTestId('next-along')).toHaveText('15.0');
});

test('keys take pictures, and the step is dark', ONCE, async ({ bench, page }) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await expect(page.locator('html')).toHaveClass(/lampout/);
  await expect(takeButton(page)).toBeEnabled();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (const [i, key] of ['Space', 'Enter', 'PageDown'].entries()) {
    await page.keyboard.press(key);
    await expect(page.getByRole('button', { name: `Take frame ${i + 2}`, exact: true })).toBeVisible();
  }
  await bench.step('Sheet');
  await expect(page.locator('html')).not.toHaveClass(/lampout/);
});

test(
  'what was taken is saved picture by picture; one that is hidden leaves its frame to the one before',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(buttonOnSet());
    await bench.step('Shoot');
    await take(page, 4);
    await bench.group('Pictures');
    await bench.press('Picture of frame 3');
    await bench.press('Hide');
    await bench.saved();
    await bench.press('Shot menu');
    await bench.press('Preview');
    await expect(page.getByRole('radio', { name: 'Pictures taken' })).toBeChecked();
    await bench.type('Last frame', 5);
    await bench.type('Size, %', 25);
    const files = unzipSync(await bytesOf(await saved(page, 'PNG sequence')));
    const pictures = Object.keys(files)
      .sort()
      .map((name) => Buffer.from(files[name]!).toString('base64'));
    expect(pictures).toHaveLength(5);
    expect(pictures[1]).toBe(pictures[2]);
    // The rest are all others; the fifth is the plan, in which nothing was taken.
    expect(new Set(pictures).size).toBe(4);
  },
);

test('the next increment is spoken', ONCE, async ({ bench, page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    speechSynthesis.speak = ({ text }) => void said.push(text);
    localStorage.setItem('humble-settings', JSON.stringify({ speaksIncrement: true }));
  });
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 1);
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(await said()).toEqual(['15 millimetres along, 15 right.']);
  await bench.press('Speak');
  expect(await said()).toHaveLength(2);
});

test('a full disk keeps the picture on this device until there is room', ONCE, async ({ bench, page }) => {
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  let isFull = true;
  await page.route('**/api/pictures', (route) =>
    isFull
      ? route.fulfill({
          status: 507,
          contentType: 'application/problem+json',
          json: { detail: 'The server’s disk is full. Make room on it; saving will be tried again.' },
        })
      : route.continue(),
  );
  await take(page, 2);
  await expect(page.getByText(/2 pictures wait for the server: .*disk is full/)).toBeVisible();
  isFull = false;
  await expect(page.getByText(/pictures wait for the server/)).toHaveCount(0);
  for (const { picture } of standingPictures(await bench.kept()))
    expect((await page.request.get(`/api/pictures/${picture.sha256}`)).status()).toBe(200);
});

test('a phone that slept between two pictures is awake again, and goes on', ONCE, async ({ bench, page }) => {
  await page.addInitScript(() => {
    const asked: string[] = [];
    Object.assign(window, { asked });
    const lock = { release: () => Promise.resolve() };
    const request = (kind: string) => (asked.push(kind), Promise.resolve(lock));
    Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
  });
  await bench.open(buttonOnSet());
  await bench.step('Shoot');
  await take(page, 1);
  const asked = () => page.evaluate(() => (window as unknown as { asked: string[] }).asked.length);
  expect(await asked()).toBe(1);
  const turned = (state: string) =>
    page.evaluate((now) => {
      Object.defineProperty(document, 'visibilityState', { value: now, configurable: true });
      document.dispatchEvent(new Event('visibilitychange'));
    }, state);
  await turned('hidden');
  await turned('visible');
  // The browser let go of it meanwhile: it is asked again.
  await expect.poll(asked).toBe(2);
  await take(page, 1);
  expect(framesOf(await bench.kept())).toEqual([1, 2]);
});
