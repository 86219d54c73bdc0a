import { evaluate, type Shot } from '@humble/core';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { type Bench, enter } from '../support/bench';
import { FRAMES, rolling } from '../support/disc';
import { bytesOf, saved } from '../support/saving';
import { expect, ONCE, test } from '../support/test';

/** Where the middle of the disc is on each frame, field units: its pivot is its middle. */
function middles(): readonly (readonly [x: number, y: number])[] {
  const { shown, pivotX, pivotY } = evaluate(rolling()).travels[0]!;
  return [...shown].map((frame) => [pivotX[frame - 1]!, pivotY[frame - 1]!] as const);
}

async function openPreview(bench: Bench, page: Page, before?: () => Promise<void>): Promise<void> {
  await bench.open(rolling());
  await before?.();
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Preview', exact: true }).click();
  await expect(page.getByTestId('preview-canvas')).toBeVisible();
}

/** The middle of what is dark on each of some pictures, decoded by the browser. Shares of the field. */
const DARK = `(image) => {
  const canvas = new OffscreenCanvas(image.displayWidth ?? image.videoWidth ?? image.width, image.displayHeight ?? image.videoHeight ?? image.height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context.drawImage(image, 0, 0);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  let sum = 0, x = 0, y = 0;
  for (let i = 0; i < data.length; i += 4) {
    const dark = 255 - data[i];
    if (dark < 100) continue;
    sum += 1;
    x += (i / 4) % canvas.width;
    y += Math.floor(i / 4 / canvas.width);
  }
  return [x / sum + 0.5, y / sum + 0.5, canvas.width];
}`;

type Seen = readonly (readonly [x: number, y: number, width: number])[];

/** The same drawn by the page from what the evaluation says: the pointer of the disc makes its dark part lopsided. */
function expectAlike(seen: Seen): void {
  expect(seen).toHaveLength(FRAMES);
  const wanted = middles();
  // How far the dark part lies off the pivot is the same on every frame.
  const off = [0, 1].map((k) => seen.reduce((sum, one, i) => sum + one[k]! - wanted[i]![k]!, 0) / FRAMES);
  expect(Math.hypot(off[0]!, off[1]!)).toBeLessThan(4);
  seen.forEach(([x, y], i) => {
    expect(Math.abs(x - wanted[i]![0] - off[0]!), `frame ${i + 1}, across`).toBeLessThan(0.5);
    expect(Math.abs(y - wanted[i]![1] - off[1]!), `frame ${i + 1}, down`).toBeLessThan(0.5);
  });
}

/** Pictures that follow each other in a file, as the browser's own decoder has them. */
const decodedImages = (page: Page, bytes: Buffer, type: string): Promise<{ seen: Seen; seconds: number }> =>
  page.evaluate(
    async ({ data, mime, dark }) => {
      const darkOf = (0, eval)(dark) as (image: unknown) => readonly [number, number, number];
      interface Decoder {
        readonly tracks: {
          readonly ready: Promise<void>;
          readonly selectedTrack: { readonly frameCount: number };
        };
        readonly completed: Promise<void>;
        readonly decode: (options: object) => Promise<{ image: VideoFrame }>;
      }
      const Decoding = (window as unknown as { ImageDecoder: new (options: object) => Decoder }).ImageDecoder;
      const decoder = new Decoding({ data: Uint8Array.from(data), type: mime });
      await decoder.tracks.ready;
      await decoder.completed;
      const seen = [];
      let micros = 0;
      for (let i = 0; i < decoder.tracks.selectedTrack.frameCount; i++) {
        const { image } = await decoder.decode({ frameIndex: i });
        seen.push(darkOf(image));
        micros += image.duration ?? 0;
        image.close();
      }
      return { seen, seconds: micros / 1e6 };
    },
    { data: [...bytes], mime: type, dark: DARK },
  );

test('a preview plays without an aid, and stands on the frame that is shown', async ({ bench, page }) => {
  await openPreview(bench, page);
  const darkNow = () =>
    page.evaluate((dark) => {
      const canvas = document.querySelector<HTMLCanvasElement>('[data-testid="preview-canvas"]')!;
      return ((0, eval)(dark) as (image: unknown) => readonly number[])(canvas);
    }, DARK);
  const [x, , width] = await darkNow();
  // Only the disc is dark: no arc, no ticks.
  expect(Math.abs((x! * 640) / width! - middles()[0]![0])).toBeLessThan(4);
  await page.getByRole('button', { name: 'Play', exact: true }).last().click();
  await expect.poll(async () => ((await darkNow())[0]! * 640) / width!).toBeGreaterThan(300);
  // The picture by itself is as wide as the window, or as high.
  await page.getByRole('button', { name: 'Full screen' }).click();
  await expect(page.getByRole('button', { name: 'GIF', exact: true })).toBeHidden();
  const whole = await page.evaluate(() => [innerWidth, innerHeight] as const);
  await expect
    .poll(async () => {
      const box = (await page.getByTestId('preview-canvas').boundingBox())!;
      return Math.max(box.width / whole[0], (box.height + 72) / whole[1]);
    })
    .toBeCloseTo(1, 2);
  await page.getByRole('button', { name: 'Exit full screen' }).click();
  const dialog = page.getByRole('dialog', { name: 'Preview' });
  await dialog.getByRole('button', { name: 'Loop: on' }).click();
  await expect(dialog.getByRole('button', { name: 'Loop: off' })).toBeVisible();
  await page.getByRole('button', { name: 'Close the preview' }).click();
  await expect(page.getByTestId('preview-canvas')).toHaveCount(0);
});

test(
  'each format is made in the browser, decoded again, and is where the evaluation is',
  ONCE,
  async ({ bench, page }) => {
    test.setTimeout(180_000);
    await openPreview(bench, page);

    const zip = unzipSync(await bytesOf(await saved(page, 'PNG sequence')));
    const names = Object.keys(zip);
    expect(names).toEqual(
      Array.from({ length: FRAMES }, (_, i) => `frame-${String(i + 1).padStart(4, '0')}.png`),
    );
    const pictures: (readonly [number, number, number])[] = [];
    for (const name of names)
      pictures.push((await decodedImages(page, Buffer.from(zip[name]!), 'image/png')).seen[0]!);
    expectAlike(pictures);

    const moving = await decodedImages(page, await bytesOf(await saved(page, 'APNG')), 'image/png');
    expectAlike(moving.seen);
    expect(Math.abs(moving.seconds - FRAMES / 12)).toBeLessThan(1 / 12);
    const gif = await decodedImages(page, await bytesOf(await saved(page, 'GIF')), 'image/gif');
    expectAlike(gif.seen);
    expect(Math.abs(gif.seconds - FRAMES / 12)).toBeLessThan(1 / 12);

    // What a browser cannot write is not offered.
    for (const kind of ['WebM', 'MP4']) {
      if ((await page.getByRole('button', { name: kind, exact: true }).count()) === 0) continue;
      const bytes = await bytesOf(await saved(page, kind));
      // A page of its own: this one lets no medium in but from its server.
      const blank = await page.context().newPage();
      const video = await blank.evaluate(
        async ({ data, mime, count, rate, dark }) => {
          const darkOf = (0, eval)(dark) as (image: unknown) => readonly [number, number, number];
          const element = document.createElement('video');
          element.muted = true;
          element.src = URL.createObjectURL(new Blob([Uint8Array.from(data)], { type: mime }));
          await new Promise((ready, fail) => {
            element.onloadeddata = ready;
            element.onerror = () => fail(new Error('not playable'));
          });
          // From the last frame back: each is another one than the video shows, and is drawn when it is presented.
          const seen: (readonly [number, number, number])[] = [];
          for (let i = count - 1; i >= 0; i--) {
            const isPresented = ({ mediaTime }: { mediaTime: number }): boolean =>
              Math.abs(mediaTime * rate - i) < 0.5;
            const presented = new Promise<void>((done) => {
              const look = (_: number, frame: { mediaTime: number }): void => {
                if (isPresented(frame)) done();
                else element.requestVideoFrameCallback(look);
              };
              element.requestVideoFrameCallback(look);
            });
            element.currentTime = (i + 0.5) / rate;
            await presented;
            seen.unshift(darkOf(element));
          }
          return { seen, seconds: element.duration };
        },
        { data: [...bytes], mime: `video/${kind.toLowerCase()}`, count: FRAMES, rate: 12, dark: DARK },
      );
      await blank.close();
      expectAlike(video.seen);
      expect(Math.abs(video.seconds - FRAMES / 12)).toBeLessThan(1 / 12);
    }

    // Of a range there are its frames only, by their numbers in the shot.
    await enter(page.getByRole('textbox', { name: 'First frame' }), 5);
    await enter(page.getByRole('textbox', { name: 'Last frame' }), 8);
    const part = unzipSync(await bytesOf(await saved(page, 'PNG sequence')));
    expect(Object.keys(part)).toEqual([5, 6, 7, 8].map((frame) => `frame-000${frame}.png`));
    await page.getByRole('button', { name: 'All frames' }).click();
    await expect(page.getByRole('textbox', { name: 'Last frame' })).toHaveValue(String(FRAMES));

    const strobeBytes = async () => bytesOf(await saved(page, 'Strobe picture'));
    const [strobe] = (await decodedImages(page, await strobeBytes(), 'image/png')).seen;
    await page.getByRole('switch', { name: 'Arcs and ticks on the strobe picture' }).click();
    const [ticked] = (await decodedImages(page, await strobeBytes(), 'image/png')).seen;
    expect([strobe![2], ticked![2]]).toEqual([640, 640]);
    expect(ticked).not.toEqual(strobe);
    const svg = (await bytesOf(await saved(page, 'Strobe picture as SVG'))).toString();
    // The arc, and a tick for each exposure.
    expect(/id="ticks" d="([^"]*)"/.exec(svg)![1]!.match(/M/g)).toHaveLength(FRAMES + 1);
    const contact = await decodedImages(page, await bytesOf(await saved(page, 'Contact sheet')), 'image/png');
    expect(contact.seen[0]![2]).toBe(640);
  },
);

test('pictures of a sequence are called as frames are counted', ONCE, async ({ bench, page }) => {
  await openPreview(bench, page, async () => {
    await bench.press('View');
    await bench.choose('Frame 0');
    await bench.press('Close the view sheet');
  });
  const names = Object.keys(unzipSync(await bytesOf(await saved(page, 'PNG sequence'))));
  expect([names[0], names.at(-1), names.length]).toEqual(['frame-0000.png', 'frame-0023.png', FRAMES]);
});

test(
  'a tab that goes to sleep wakes up to a whole file; what is cancelled leaves none',
  ONCE,
  async ({ bench, page }) => {
    await openPreview(bench, page);
    await enter(page.getByRole('textbox', { name: /^Size/ }), 200);
    const progress = page.getByText(/^Frame \d+ of 24$/);
    const downloads: string[] = [];
    page.on('download', (file) => downloads.push(file.suggestedFilename()));
    await page.getByRole('button', { name: 'GIF', exact: true }).click();
    await expect(progress).toBeVisible();
    await page.getByRole('button', { name: 'Cancel', exact: true }).click();
    await expect(page.getByRole('button', { name: 'GIF', exact: true })).toBeVisible();

    const session = await page.context().newCDPSession(page);
    const waiting = page.waitForEvent('download', { timeout: 60_000 });
    await page.getByRole('button', { name: 'APNG', exact: true }).click();
    await expect(progress).toBeVisible();
    await session.send('Page.setWebLifecycleState', { state: 'frozen' });
    // Meanwhile somebody looks at another page.
    const other = await page.context().newPage();
    await other.goto(page.url());
    await expect(other.getByRole('button', { name: 'Shot menu' })).toBeVisible();
    await other.close();
    await session.send('Page.setWebLifecycleState', { state: 'active' });
    const { seen } = await decodedImages(page, await bytesOf(await waiting), 'image/png');
    expect(seen.map(([, , width]) => width)).toEqual(Array(FRAMES).fill(1280));
    expect(downloads).toEqual(['disc.png']);
  },
);

test('a video has the sound of its frames, in time with them', ONCE, async ({ page, bench }) => {
  await page.goto('/shot/demo-dropped-cork');
  await bench.step('Arc');
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Preview', exact: true }).click();
  await expect(page.getByText(/can have sound\.$/)).toContainText('WebM');
  // A sound that cannot be had is said, and no file is saved in its place.
  await page.route('**/api/sounds/*', (route) => route.abort());
  await page.getByRole('button', { name: 'WebM', exact: true }).click();
  await expect(page.getByText(/^The sound can’t be read\. Turn off “With its sound”/)).toBeVisible();
  await page.unroute('**/api/sounds/*');
  const address = '/api/shots/demo-dropped-cork';
  const { shot } = (await (await page.request.get(address)).json()) as { shot: Shot };
  const blank = await page.context().newPage();
  for (const isHeard of [true, false]) {
    if (!isHeard) await page.getByRole('switch', { name: 'With its sound' }).click();
    const bytes = await bytesOf(await saved(page, 'WebM'));
    const heard = await blank.evaluate(
      async (data) => {
        const context = new OfflineAudioContext(1, 1, 48_000);
        const sound = await context.decodeAudioData(Uint8Array.from(data).buffer).catch(() => null);
        if (!sound) return null;
        const samples = sound.getChannelData(0);
        const loudest = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
        const first = samples.findIndex((sample) => Math.abs(sample) > loudest / 3);
        return { seconds: sound.duration, firstKnock: first / sound.sampleRate };
      },
      [...bytes],
    );
    if (!isHeard) {
      expect(heard).toBeNull();
      continue;
    }
    expect(Math.abs(heard!.seconds - shot.lengthFrames / shot.rate)).toBeLessThan(1 / shot.rate);
    expect(Math.abs(heard!.firstKnock - shot.cues[0]!.seconds)).toBeLessThan(0.5 / shot.rate);
  }
  await blank.close();
});
