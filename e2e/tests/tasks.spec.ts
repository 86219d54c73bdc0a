import { readFileSync } from 'node:fs';
import { cameraOn, edits, evaluate, freshShot, type Shot, smoothThrough } from '@humble/core';
import { knocks, waveFile } from '@humble/core/testing/soundFiles';
import type { Page } from '@playwright/test';
import type { Acts } from '../support/acts';
import type { Bench } from '../support/bench';
import { buttonOnSet } from '../support/onSet';
import { png, pngFile, pngWithBox } from '../support/png';
import { bytesOf } from '../support/saving';
import { twoScans } from '../support/scans';
import { expect, ONCE, test } from '../support/test';

// Twenty-three tasks from the list of shots to their result, by the shortest way, with a budget of acts for each.

interface Doing {
  readonly act: Acts;
  readonly bench: Bench;
  readonly page: Page;
}

interface Task {
  readonly name: string;
  readonly budget: number;
  /** What there is before it begins: a shot on the list. */
  readonly given?: () => Shot;
  readonly alsoWide?: true;
  readonly does: (doing: Doing) => Promise<void>;
  readonly holds: (doing: Doing) => Promise<void>;
}

const TABLE = new URL('../../docs/tasks.md', import.meta.url);

function task({ name, budget, given, alsoWide, does, holds }: Task): void {
  test(`${name}: at most ${budget} acts`, alsoWide ? {} : ONCE, async ({ bench, page, hand }) => {
    if (given) await page.request.post('/api/shots', { data: { shot: given() } });
    const act = bench.acts;
    await act.begin();
    await does({ act, bench, page });
    const row = `| ${name} | ${budget} | ${act.count} | ${act.screensPassed} |`;
    // eslint-disable-next-line no-console -- the table is printed
    console.log(`${hand.isFinger ? 'phone' : 'wide '} ${row}`);
    const { count } = act;
    await holds({ act, bench, page });
    expect(count).toBeLessThanOrEqual(budget);
    // The table of the documents says what is so.
    if (hand.isFinger) expect(readFileSync(TABLE, 'utf8')).toContain(row);
  });
}

/** The middle of the paper, where a fresh camera rests. */
async function middleOfField(page: Page): Promise<{ readonly x: number; readonly y: number }> {
  const box = (await page.getByTestId('field-paper').first().boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** The shot as the server has it. */
const kept = ({ bench }: Doing): Promise<Shot> => bench.kept();

const marksOf = ({ moves }: Shot) => moves[0]!.marks;
const framesOf = (shot: Shot): number[] => marksOf(shot).map(({ frame }) => frame);

/** A straight way across the field in so many frames. */
function across(name: string, lengthFrames: number): Shot {
  const empty = freshShot({ name, rate: 24, lengthFrames, width: 1920, height: 1080 });
  return edits.drawArc(empty, { points: smoothThrough([192, 1728].map((x) => ({ x, y: 540 }))) });
}

async function newShot(act: Acts, some: Readonly<Record<string, string | number>> = {}): Promise<void> {
  await act.tap('New shot');
  for (const [label, value] of Object.entries(some)) await act.fill(label, value);
}

task({
  name: 'A coin round a circle: 20 pictures, slow at the bottom, 300 mm, rounded to 0.5 mm',
  budget: 9,
  alsoWide: true,
  does: async ({ act, page }) => {
    await newShot(act, { 'Length, frames': 20, 'Width on set, mm': 300 });
    await act.tap(page.getByRole('radiogroup', { name: 'Round to, mm' }).getByRole('radio', { name: '0.5' }));
    await act.tap('Create shot');
    await act.tap('Shapes');
    await act.tap('Circle');
    await act.step('Timing');
    await act.choose('Slow at one point');
  },
  holds: async ({ bench, page }) => {
    await expect(page.getByText(/the slowest step is 25 % of the quickest/)).toBeVisible();
    await bench.step('Sheet');
    const ruler = (await bench.column('ruler mm')).filter((text) => /^\d/.test(text)).map(Number);
    expect(ruler.length).toBeGreaterThanOrEqual(20);
    for (const value of ruler) expect(value * 2).toBeCloseTo(Math.round(value * 2), 9);
    // It starts at the top; the smallest step is half way round, at the bottom.
    const steps = (await bench.column('along')).map(Number).filter((step) => step > 0);
    const slowest = steps.indexOf(Math.min(...steps));
    expect(Math.abs(slowest - (steps.length - 1) / 2)).toBeLessThanOrEqual(1);
  },
});

task({
  name: 'In, hold, over, hold, out in 100 frames, over it bent, 1.5 times as slow',
  budget: 18,
  does: async ({ act, page }) => {
    await newShot(act, { 'Length, frames': 100 });
    await act.tap('Create shot');
    await act.step('Figure');
    await expect(page.getByText('Place the figure')).toBeVisible();
    await act.tapAt(0.08, 0.7);
    await act.toFrame(25);
    await act.tapAt(0.35, 0.5);
    await act.type('Hold from 25, frames', 15);
    await act.toFrame(65);
    await act.tapAt(0.65, 0.5);
    await act.type('Hold from 65, frames', 15);
    await act.toFrame(100);
    await act.tapAt(0.92, 0.7);
    await act.tap('Between frame 40 and frame 65');
    await act.tap(
      page
        .getByRole('radiogroup', { name: 'From frame 40 to frame 65' })
        .getByRole('radio', { name: 'Curved' }),
    );
    await act.step('Timing');
    await act.group('Move');
    await act.type('Lasts, frames', '1.5 ×');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    // 99 frames and a half more are 148.5.
    expect(framesOf(shot)).toEqual([1, 37, 60, 97, 120, 150]);
    expect(marksOf(shot)[1]!.fraction).toBe(marksOf(shot)[2]!.fraction);
    expect(marksOf(shot)[3]!.fraction).toBe(marksOf(shot)[4]!.fraction);
    // It is where it was tapped on each of them.
    const { pivotX } = evaluate(shot).travels[0]!;
    [0.08, 0.35, 0.35, 0.65, 0.65, 0.92].forEach((share, i) => {
      const x = pivotX[framesOf(shot)[i]! - 1]!;
      expect(Math.abs(x / 1920 - share)).toBeLessThan(0.02);
    });
  },
});

task({
  name: 'A loop passing at 24, 48 and 80, looking back',
  budget: 13,
  does: async ({ act }) => {
    await newShot(act, { 'Length, frames': 100 });
    await act.tap('Create shot');
    await act.draw(
      [0.5, 0.2],
      [0.65, 0.3],
      [0.7, 0.5],
      [0.6, 0.75],
      [0.4, 0.75],
      [0.3, 0.5],
      [0.35, 0.3],
      [0.5, 0.2],
    );
    await act.step('Timing');
    for (const frame of [24, 48, 80]) {
      await act.toFrame(frame);
      await act.tap(/^Add a mark on /);
    }
    await act.step('Figure');
    await act.tap('Flip left to right');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(framesOf(shot)).toEqual([1, 24, 48, 80, 101]);
    expect(
      marksOf(shot)
        .slice(1, 4)
        .map(({ kind }) => kind),
    ).toEqual(['pass', 'pass', 'pass']);
    expect(shot.moves[0]!.mirrored).toBe(true);
    expect(shot.arcs[0]!.closed).toBe(true);
  },
});

task({
  name: '40 to 55 % of the arc from frame 140 to 250 of 400',
  budget: 8,
  given: () => across('Long walk', 400),
  alsoWide: true,
  does: async ({ act }) => {
    await act.openShot('Long walk');
    await act.step('Timing');
    await act.group('Range');
    await act.type('From place, units', '40 %');
    await act.type('To place, units', '55 %');
    await act.type('On it from frame', 140);
    await act.type('To frame', 250);
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(framesOf(shot)).toEqual([1, 140, 250, 400]);
    const places = marksOf(shot).map(({ fraction }) => fraction);
    [0, 0.4, 0.55, 1].forEach((place, i) => expect(places[i]).toBeCloseTo(place, 12));
  },
});

task({
  name: 'Acted out, with at most 8 marks',
  budget: 6,
  does: async ({ act, page }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.tap('Act it out');
    await act.draw([0.1, 0.6], [0.2, 0.3], [0.4, 0.7], [0.5, 0.3], [0.7, 0.7], [0.9, 0.4]);
    await expect(page.getByTestId('thinned-to')).toBeVisible();
    await act.type('Marks at most', 8);
  },
  holds: async (doing) => {
    await expect(doing.page.getByRole('progressbar')).toHaveCount(0);
    await expect.poll(async () => marksOf(await kept(doing)).length).toBeLessThanOrEqual(8);
    expect(marksOf(await kept(doing)).length).toBeGreaterThanOrEqual(2);
  },
});

task({
  name: 'A swing on twos, its second half in halves, and back',
  budget: 12,
  does: async ({ act }) => {
    await newShot(act, { 'Length, frames': 49 });
    await act.tap('Create shot');
    await act.tap('Shapes');
    await act.tap('Swing');
    await act.step('Timing');
    await act.toFrame(25);
    await act.tap(/^Add a mark on /);
    await act.tap('Halves');
    await act.group('Move');
    await act.choose('Twos');
    await act.choose('Back and forth');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    const [move] = shot.moves;
    expect(move!.framesHeld).toBe(2);
    expect(move!.before === 'swing' || move!.after === 'swing').toBe(true);
    expect(marksOf(shot)[1]).toMatchObject({ frame: 25, easing: { kind: 'ticks' } });
  },
});

task({
  name: 'Increments out, three changed, in; the shot out, removed, in again',
  budget: 14,
  given: () => across('Plank', 25),
  does: async ({ act, page, bench }) => {
    const downloaded = async (press: () => Promise<void>): Promise<Buffer> => {
      const [download] = await Promise.all([page.waitForEvent('download'), press()]);
      return bytesOf(download);
    };
    await act.openShot('Plank');
    await act.tap('Shot menu');
    await act.tap('Export');
    const table = (await downloaded(() => act.tap('Increments as CSV'))).toString();
    const [head, ...lines] = table.trimEnd().split(/\r?\n/);
    const column = head!.split(',').indexOf('place');
    const changed = lines.map((line, i) => {
      const cells = line.split(',');
      if (i >= 10 && i < 13) cells[column] = String(Number(cells[column]) + 2);
      return cells.join(',');
    });
    await act.tap('Shot menu');
    await act.files('Read increments from CSV', {
      name: 'changed.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from([head, ...changed].join('\n')),
    });
    await expect(page.getByText(/changed\.csv/)).toBeVisible();
    await bench.saved();
    await act.tap('Shot menu');
    await act.tap('Export');
    const file = await downloaded(() => act.tap('Shot as a file'));
    await act.tap('Back to the shots');
    await act.tap('More for Plank');
    await act.tap('Remove');
    await expect(page.getByTestId('card-Plank')).toHaveCount(0);
    await act.files('Import a shot', { name: 'plank.json', mimeType: 'application/json', buffer: file });
    await expect(page.getByTestId('transport')).toBeVisible();
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(shot.name).toBe('Plank');
    const easings = marksOf(shot).map(({ easing }) => easing.kind);
    expect(easings[0]).toBe('ticks');
  },
});

task({
  name: 'A photograph measured, the arc in millimetres',
  budget: 9,
  does: async ({ act, bench, page }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.draw([0.1, 0.6], [0.3, 0.4], [0.6, 0.4], [0.9, 0.6]);
    await act.group('Backdrop');
    await act.files('Choose pictures', pngFile('quay.png', png(320, 180)));
    await expect(page.getByTestId('backdrop')).toBeVisible();
    await bench.saved();
    await act.tap('Set the scale');
    await act.drag([await bench.spot(0.25, 0.8), await bench.spot(0.75, 0.8)]);
    await act.type('Known length, mm', 100);
    await act.tap('Set this scale');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(shot.sheet.units).toBe('mm');
    // Half of 1920 units are 100 mm, as near as a finger draws it.
    expect(shot.field.unitsPerMm!).toBeGreaterThan(9.3);
    expect(shot.field.unitsPerMm!).toBeLessThan(9.9);
    await doing.bench.group('This arc');
    await expect(doing.page.getByText(/ mm/).first()).toBeVisible();
  },
});

task({
  name: 'A removed shot comes back',
  budget: 4,
  given: () => across('Lost at sea', 20),
  does: async ({ act, page }) => {
    // Removed before: that is not part of the task.
    await page.getByRole('button', { name: 'More for Lost at sea' }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByTestId('card-Lost at sea')).toHaveCount(0);
    await act.begin();
    await act.tap('Order, removed shots, backup, guide');
    await act.tap('Removed shots');
    await act.tap('Restore Lost at sea');
    await expect(page.getByTestId('removed-Lost at sea')).toHaveCount(0);
    await act.tap('Back to the shots');
  },
  holds: ({ page }) => expect(page.getByTestId('card-Lost at sea')).toBeVisible(),
});

task({
  name: 'A shot goes back to how it was before its last change',
  budget: 4,
  given: () => across('Second thoughts', 20),
  does: async ({ act, page }) => {
    // Changed before: that is not part of the task.
    const { shots } = (await (await page.request.get('/api/shots')).json()) as {
      shots: { id: string; name: string; revision: number }[];
    };
    const { id, revision } = shots.find(({ name }) => name === 'Second thoughts')!;
    const shot = edits.setLength(across('Second thoughts', 20), { lengthFrames: 90 });
    await page.request.put(`/api/shots/${id}`, { data: { revision, shot } });
    await act.begin();
    await act.openShot('Second thoughts');
    await act.tap('Shot menu');
    await act.tap('History');
    await act.tap(/^Restore the version/);
    await expect(page.getByText(/is back\. Undo returns/)).toBeVisible();
  },
  holds: async (doing) => expect((await kept(doing)).lengthFrames).toBe(20),
});

task({
  name: 'The phone is turned on its side while an arc is shaped',
  budget: 8,
  does: async ({ act, bench, page }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.draw([0.15, 0.6], [0.3, 0.3], [0.5, 0.6], [0.7, 0.3], [0.85, 0.6]);
    await act.tapOn(bench.points.nth(1));
    await act.device(() => page.setViewportSize({ width: 844, height: 390 }));
    const from = await bench.middleOf(bench.points.nth(1));
    await act.drag([from, { x: from.x + 10, y: from.y + 30 }]);
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(shot.arcs[0]!.points.length).toBeGreaterThanOrEqual(3);
    await expect(doing.page.getByTestId('transport')).toBeVisible();
    await expect(doing.page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  },
});

task({
  name: 'A picture of one’s own, pivot at the foot, leaning, from 50 to 120 %',
  budget: 14,
  does: async ({ act, page }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.draw([0.1, 0.6], [0.3, 0.4], [0.6, 0.7], [0.9, 0.4]);
    await act.step('Figure');
    await act.group('Figures');
    await act.files(
      'Import its picture',
      pngFile('hat.png', pngWithBox(40, 80, { left: 0, top: 0, right: 40, bottom: 80 })),
    );
    await expect(page.getByTestId('figure-picture')).toBeVisible();
    await act.tap(/ foot$/);
    await act.group('Keys');
    await act.tap('Lean');
    await act.choose('By degrees');
    await act.tap('Size');
    await act.type('Size on frame 1, %', 50);
    await act.toFrame(48);
    await act.type('Size on frame 48, %', 120);
  },
  holds: async (doing) => {
    const { figures, moves } = await kept(doing);
    expect(figures[0]!.artwork.kind).toBe('pictures');
    expect(figures[0]!.pivot).toMatchObject({ x: 20, y: 80 });
    expect(moves[0]!.lean.by).toBe('most');
    expect(moves[0]!.tracks.size.map(({ frame, value }) => [frame, value])).toEqual([
      [1, 50],
      [48, 120],
    ]);
  },
});

task({
  name: 'Three drawings by distance, ghosts every fourth',
  budget: 13,
  does: async ({ act, page }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.draw([0.1, 0.6], [0.3, 0.4], [0.6, 0.7], [0.9, 0.4]);
    await act.step('Figure');
    await act.group('Drawings');
    const drawings = [1, 2, 3].map((n) =>
      pngFile(`step ${n}.png`, pngWithBox(20, 20, { left: 0, top: 0, right: 20, bottom: 6 * n })),
    );
    await act.files('Import drawings', ...drawings);
    await expect(page.getByTestId('figure-picture')).toBeVisible();
    await act.choose('Cycle by distance');
    await act.type('Distance per cycle, units', 300);
    await act.tap('View');
    await act.type('One every, exposures', 4);
    await act.tap(page.getByRole('button', { name: 'Close the view sheet' }));
  },
  holds: async (doing) => {
    const { figures, moves } = await kept(doing);
    expect(figures[0]!.artwork).toMatchObject({ kind: 'pictures' });
    expect(moves[0]!.cycle).toMatchObject({ by: 'way', advance: 300 });
    const settings = await doing.page.evaluate(() => localStorage.getItem('humble-settings') ?? '{}');
    expect((JSON.parse(settings) as { ghosts: { every: number } }).ghosts.every).toBe(4);
  },
});

task({
  name: 'A snake of seven parts',
  budget: 7,
  does: async ({ act }) => {
    await newShot(act);
    await act.tap('Create shot');
    await act.draw([0.3, 0.6], [0.5, 0.4], [0.7, 0.7], [0.9, 0.4]);
    await act.step('Figure');
    await act.group('Parts');
    await act.tap('Make a chain');
    await act.tap('Done');
  },
  holds: async (doing) => {
    const { riders } = (await kept(doing)).moves[0]!;
    expect(riders).toHaveLength(6);
    expect(riders.every(({ pastEnds }) => pastEnds === 'straight')).toBe(true);
  },
});

task({
  name: 'Two takes: which is later on frame 20',
  budget: 9,
  given: () => across('Two ways', 41),
  alsoWide: true,
  does: async ({ act, bench }) => {
    await act.openShot('Two ways');
    await act.step('Timing');
    await act.group('Takes');
    await act.tap('New take');
    await act.tap(
      bench.page.getByRole('tablist', { name: 'Compare with' }).getByRole('tab', { name: 'Take 1' }),
    );
    await act.group('Move');
    await act.type('Lasts, frames', '150 %');
    await act.toFrame(20);
  },
  holds: async ({ bench, page }) => {
    // 60 frames instead of 40: it is behind.
    await expect(page.getByTestId('read-out')).toContainText(/ units behind Take 1/);
    await bench.saved();
  },
});

task({
  name: 'The track and the exposure sheet as PDF',
  budget: 8,
  given: () => edits.setScale(across('Track', 30), { unitsPerMm: 8, units: 'mm' }),
  does: async ({ act, page }) => {
    const pdf = async (press: () => Promise<void>): Promise<void> => {
      const [download] = await Promise.all([page.waitForEvent('download', { timeout: 60_000 }), press()]);
      expect((await bytesOf(download)).subarray(0, 5).toString()).toBe('%PDF-');
    };
    await act.openShot('Track');
    await act.tap('Shot menu');
    await act.tap('Print');
    await expect(page.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
    await pdf(() => act.tap('Save PDF'));
    await act.choose('Exposures');
    await expect(page.getByRole('img', { name: 'Page 1 of 1 as it is printed' })).toBeVisible();
    await pdf(() => act.tap('Save PDF'));
  },
  holds: () => Promise.resolve(),
});

task({
  name: 'A preview as MP4',
  budget: 5,
  given: () => across('Preview', 12),
  does: async ({ act, page }) => {
    await act.openShot('Preview');
    await act.tap('Shot menu');
    await act.tap('Preview');
    await expect(page.getByTestId('preview-canvas')).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 60_000 }),
      act.tap(/^MP4/),
    ]);
    expect((await bytesOf(download)).subarray(4, 8).toString()).toBe('ftyp');
  },
  holds: () => Promise.resolve(),
});

task({
  name: 'A move on three beeps',
  budget: 12,
  alsoWide: true,
  does: async ({ act, page }) => {
    await newShot(act, { 'Length, frames': 73 });
    await act.tap('Create shot');
    await act.draw([0.1, 0.6], [0.3, 0.4], [0.6, 0.7], [0.9, 0.4]);
    await act.step('Sheet');
    await act.group('Sound');
    const beeps = [0.5, 1.5, 2.5].map((seconds) => ({ seconds, loud: 1 }));
    await act.files('Add a WAV or MP3', {
      name: 'beeps.wav',
      mimeType: 'audio/wav',
      buffer: Buffer.from(waveFile(3, 8000, knocks(beeps))),
    });
    await expect(page.getByText('beeps.wav')).toBeVisible();
    await act.tap('Make 3 beats cues');
    await act.tap('Put marks on the cues');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(shot.cues.map(({ seconds }) => Math.round(seconds * 24) + 1)).toEqual([13, 37, 61]);
    expect(framesOf(shot)).toEqual([1, 13, 37, 61, 73]);
  },
});

task({
  name: 'A cork that falls from 400 mm',
  budget: 7,
  does: async ({ act }) => {
    await newShot(act, { 'Width on set, mm': 1200 });
    await act.tap('Create shot');
    await act.tap('By physics');
    await act.choose('Fall');
    await act.type('Height, mm', 400);
    await act.tap('Make it');
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    // √(2 · 0.4 / 9.81) s are 0.2856 s: 6.85 frames.
    expect(framesOf(shot)).toEqual([1, 8]);
  },
});

task({
  name: 'Ten placements, one of them skipped and the rest replanned once',
  budget: 16,
  given: () => buttonOnSet('Button'),
  alsoWide: true,
  does: async ({ act, page }) => {
    const takeNext = async (frame: number): Promise<void> => {
      const button = page.getByRole('button', { name: `Take frame ${frame}`, exact: true });
      await expect(button).toBeEnabled();
      await act.tap(button);
      await expect(button).toHaveCount(0);
    };
    await act.openShot('Button');
    await act.step('Shoot');
    for (let frame = 1; frame <= 5; frame++) await takeNext(frame);
    await act.tap('Skip');
    await expect(page.getByTestId('next-along')).toHaveText('30.0');
    await takeNext(6);
    // Frame 6 is planned 90 mm along: it stands 3 mm further.
    await act.tapAt((200 + 4 * 93) / 1600, 500 / 900);
    await act.tap('Spread');
    await act.tap('Use it');
    for (let frame = 7; frame <= 10; frame++) await takeNext(frame);
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    expect(shot.shoot.pictures.map(({ frame }) => frame)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(shot.lengthFrames).toBe(20);
    expect(shot.takes.map(({ name }) => name)).toEqual(['Take 1', 'As planned']);
    const { arcDistance } = evaluate(shot).travels[0]!;
    const [stands, next] = [arcDistance[5]! / 4, arcDistance[6]! / 4];
    expect(Math.abs(stands - 93)).toBeLessThan(1);
    // What is left to the end in 14 even increments.
    expect(next - stands).toBeCloseTo((300 - stands) / 14, 6);
  },
});

task({
  name: 'Two scans drawn through over 24 frames, halves at the end, three pins, one following, sheets out',
  budget: 24,
  does: async ({ act, page }) => {
    await newShot(act, { 'Length, frames': 24 });
    await act.tap('Create shot');
    await act.draw([0.2, 0.6], [0.5, 0.5], [0.8, 0.6]);
    await act.step('Figure');
    await act.group('Drawings');
    await act.files('Scans or photos', ...twoScans());
    await act.tap('Use 2 drawings');
    await act.tap(page.getByRole('button', { name: 'Draw through', exact: true }));
    await act.choose('Halves');
    const editor = page.getByTestId('pin-editor');
    for (const [index, [first, second]] of [
      [
        [0.25, 0.22],
        [0.75, 0.32],
      ],
      [
        [0.25, 0.68],
        [0.75, 0.58],
      ],
      [
        [0.18, 0.46],
        [0.65, 0.46],
      ],
    ].entries()) {
      await act.tapIn(editor, first![0]!, first![1]!);
      await expect(page.getByText(/^Now tap the same spot/)).toBeVisible();
      await act.tapIn(editor, second![0]!, second![1]!);
      await expect(
        page.getByText(index === 0 ? '1 pin' : `${index + 1} pins`, { exact: true }),
      ).toBeVisible();
    }
    await act.type('Follows by, frames', 2);
    await act.tap('Sheets to draw on');
    const saving = page.waitForEvent('download');
    await act.tap('Save PDF');
    expect((await bytesOf(await saving)).subarray(0, 5).toString()).toBe('%PDF-');
  },
  holds: async (doing) => {
    await doing.page.getByRole('button', { name: 'Close', exact: true }).click();
    const shot = await kept(doing);
    const [from, to] = shot.moves[0]!.drawings;
    expect([from!.frame, to!.frame]).toEqual([1, 24]);
    expect(from!.drawnThrough?.easing).toMatchObject({ kind: 'ticks' });
    const [pair] = shot.figures[0]!.drawingPairs;
    expect(pair!.pins.map(({ followsFrames }) => followsFrames)).toEqual([0, 0, 2]);
    const { artwork } = shot.figures[0]!;
    const drawings = artwork.kind === 'pictures' ? artwork.drawings : [];
    // Each egg is one ring, and the marks are gone.
    expect(drawings.map(({ outline }) => outline.length)).toEqual([1, 1]);
    // Lined up: the middle of both eggs is one spot, though one sheet lay askew.
    const middles = drawings.map(({ outline: [ring] }) => {
      const [xs, ys] = [0, 1].map((k) => ring!.filter((_, i) => i % 2 === k)) as [number[], number[]];
      return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2] as const;
    });
    for (const k of [0, 1] as const) expect(Math.abs(middles[0]![k] - middles[1]![k])).toBeLessThan(4);
  },
});

task({
  name: 'A pan, then a truck in to a spot, and its table as CSV',
  budget: 14,
  does: async ({ act, page }) => {
    await newShot(act, { 'Length, frames': 48 });
    await act.tap('Create shot');
    await act.step('Figure');
    await act.group('Figures');
    await act.tap('Add a camera');
    await act.toFrame(24);
    const middle = await middleOfField(page);
    await act.drag([middle, { x: middle.x + 40, y: middle.y }]);
    await act.tapIn(page.getByTestId('camera-whole'), 0.75, 0.5);
    await act.tap('Move in');
    await act.tap('Shot menu');
    await act.tap('Export');
    const saving = page.waitForEvent('download');
    await act.tap('Pan table as CSV');
    expect((await bytesOf(await saving)).toString()).toMatch(/^frame,held,camera_across/);
  },
  holds: async (doing) => {
    const shot = await kept(doing);
    const [first, panned, last] = [1, 24, 48].map((frame) => cameraOn(shot, frame)!);
    expect(first).toMatchObject({ x: 960, y: 540, width: 1920 });
    expect(panned!.x).toBeGreaterThan(1000);
    expect(panned!.width).toBeCloseTo(1920, 6);
    expect(last!.width).toBeCloseTo(960, 6);
    expect(Math.abs(last!.x - 1440)).toBeLessThan(12);
  },
});

task({
  name: 'The perspective of the set, from the group Camera',
  budget: 5,
  given: () => buttonOnSet('Button'),
  does: async ({ act, bench, page }) => {
    await page.getByRole('link', { name: 'Open Button,' }).first().tap();
    await bench.step('Shoot');
    await bench.group('Camera');
    await act.tap('Tap four corners');
    for (const [x, y] of [
      [0.35, 0.3],
      [0.65, 0.3],
      [0.8, 0.8],
      [0.2, 0.8],
    ] as const)
      await act.tapAt(x, y);
  },
  holds: async (doing) => {
    const { perspective } = (await kept(doing)).shoot;
    expect(perspective).toMatchObject({ widthMm: 297, heightMm: 210 });
    expect(Math.abs(perspective!.upperLeft.x - 560)).toBeLessThan(5);
  },
});
