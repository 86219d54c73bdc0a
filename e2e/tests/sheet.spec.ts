import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { knocks, waveFile } from '@humble/core/testing/soundFiles';
import { readFileSync } from 'node:fs';
import { expect, test } from '../support/test';

function onTwos(): Shot {
  const empty = freshShot({ name: 'Sheet', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  return edits.setFramesHeld(drawn, { moveId: drawn.moves[0]!.id, framesHeld: 2 });
}

interface Kept {
  readonly shot: Shot;
}

test('a picture is dragged longer in the exposure sheet, a note and a word are typed; undone, exported, kept', async ({
  bench,
  page,
  hand,
}) => {
  await bench.open(onTwos());
  await bench.step('Sheet');
  await bench.group('Exposures');
  const sheet = page.getByRole('table', { name: 'Exposure sheet' });
  await expect(sheet).toHaveAttribute('aria-rowcount', '41');
  await bench.goTo(5);
  const kept = async (): Promise<Shot> => {
    const address = `/api/shots/${new URL(page.url()).pathname.split('/').pop()}`;
    return ((await (await page.request.get(address)).json()) as Kept).shot;
  };

  const row = (await sheet.getByRole('row', { name: 'Frame 5', exact: true }).boundingBox())!;
  const tab = await bench.middleOf(page.getByTestId('hold-grip'));
  await hand.drag([tab, { x: tab.x, y: tab.y + row.height / 2 }, { x: tab.x, y: tab.y + row.height }]);
  await bench.saved();
  await expect
    .poll(async () => (await kept()).moves[0]!.exposures)
    .toEqual([
      { from: 5, until: 7, framesHeld: 3 },
      { from: 8, until: 8, framesHeld: 1 },
    ]);
  await bench.undo();
  await bench.saved();
  await expect.poll(async () => (await kept()).moves[0]!.exposures).toEqual([]);

  await page.getByLabel('Note on frame 5').fill('Blinks');
  await page.getByLabel('Note on frame 5').press('Enter');
  await bench.press('Lengthen the note by a frame');
  await page.getByLabel('What is heard on frame 5').fill('thud');
  await page.getByLabel('What is heard on frame 5').press('Enter');
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await expect(sheet.getByText('Blinks')).toBeVisible();
  expect((await kept()).notes).toMatchObject([{ from: 5, until: 6, text: 'Blinks' }]);
  expect((await kept()).cues).toMatchObject([{ seconds: 4 / 24, word: 'thud' }]);

  await bench.press('Export');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('dialog').getByRole('button', { name: 'Exposure sheet as CSV' }).click(),
  ]);
  const lines = readFileSync(await download.path(), 'utf8').split('\n');
  expect(lines[5]).toMatch(/^5,0\.166667,thud,x,/);
  expect(lines[5]).toContain('Blinks (to 6)');
});

/** What the page asks of the browser's sound. */
interface Asked {
  readonly offset: number;
  readonly seconds: number | undefined;
  readonly speed: number;
}

test('a sound is drawn, heard while it plays and is scrubbed; cues are tapped on it; it stays after a reload', async ({
  bench,
  page,
}) => {
  await page.addInitScript(() => {
    const heard: unknown[] = [];
    Object.assign(window, { heard });
    const start = AudioBufferSourceNode.prototype.start;
    AudioBufferSourceNode.prototype.start = function (when?: number, offset?: number, seconds?: number) {
      heard.push({ offset: offset ?? 0, seconds, speed: this.playbackRate.value });
      return seconds === undefined ? start.call(this, when, offset) : start.call(this, when, offset, seconds);
    };
  });
  const asked = (): Promise<Asked[]> => page.evaluate(() => (window as unknown as { heard: Asked[] }).heard);
  await bench.open(onTwos());
  await bench.step('Sheet');
  await bench.group('Sound');
  const add = async (name: string, bytes: Uint8Array): Promise<void> => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), bench.press('Add a WAV or MP3')]);
    await chooser.setFiles({ name, mimeType: 'audio/wav', buffer: Buffer.from(bytes) });
  };
  await add('fake.wav', new TextEncoder().encode('RIFF of nothing'));
  await expect(page.getByText('This is no WAV or MP3.')).toBeVisible();
  await add('knock.wav', waveFile(1.5, 8000, knocks([{ seconds: 0.5, loud: 1 }])));
  await expect(page.getByText('knock.wav')).toBeVisible();
  const wave = page.getByTestId('rail-wave');
  await expect(wave).toHaveAttribute('d', /^M/);

  // A frame at a time: frame 13 begins half a second in.
  await bench.goTo(12);
  await page.getByRole('button', { name: 'Next frame' }).click();
  await expect.poll(async () => (await asked()).at(-1)).toMatchObject({ offset: 0.5, speed: 1 });
  expect((await asked()).at(-1)!.seconds).toBeCloseTo(0.08, 2);
  await bench.goTo(1);
  await bench.press('Play');
  await expect
    .poll(async () => (await asked()).some((one) => one.seconds === undefined && one.offset === 0))
    .toBe(true);
  // Round again it begins again.
  const playing = async (): Promise<number> =>
    (await asked()).filter((one) => one.seconds === undefined).length;
  await expect.poll(playing, { timeout: 8000 }).toBeGreaterThan(1);
  await bench.group('Sound');
  await bench.press('Tap');
  await bench.press('Pause');
  await bench.saved();
  await page.reload();
  await expect(wave).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('rail-cues')).toHaveAttribute('d', /^M/);
  await bench.step('Sheet');
  await bench.group('Sound');
  await bench.press('Remove sound');
  await expect(wave).toHaveCount(0);
  await bench.undo();
  await expect(wave).toHaveAttribute('d', /^M/);
});
