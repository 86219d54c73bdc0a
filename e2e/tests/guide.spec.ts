import { join } from 'node:path';
import type { Download, Page } from '@playwright/test';
import { GUIDE, readGuide } from '../../scripts/readGuide.mjs';
import type { Acts } from '../support/acts';
import type { Bench } from '../support/bench';
import { buttonOnSet } from '../support/onSet';
import { pngFile, pngWithBox } from '../support/png';
import { bytesOf } from '../support/saving';
import { expect, ONCE, test } from '../support/test';

// Each chapter of docs/guide is done here, step by step, and ends in a file. A name that a step says has to be one that
// was touched. `npm run screenshots` takes the chapters' pictures by the same steps.

interface Doing {
  readonly act: Acts;
  readonly bench: Bench;
  readonly page: Page;
}

type Step = (doing: Doing) => Promise<unknown>;

const CHAPTERS = readGuide();
/** Where pictures go; none are taken without it. */
const PICTURES = process.env.HUMBLE_GUIDE_PICTURES ? join(GUIDE, 'pictures') : null;
const WINDING: [number, number][] = [
  [0.1, 0.6],
  [0.3, 0.35],
  [0.6, 0.7],
  [0.9, 0.4],
];

/** @param ends what the file that the last step gave has to hold */
function chapter(
  id: string,
  ends: (file: Buffer, doing: Doing) => void | Promise<void>,
  ...steps: Step[]
): void {
  test(`the guide: ${id}`, ONCE, async ({ bench, page }) => {
    test.slow();
    const told = CHAPTERS.find((one) => one.id === id)!;
    expect(steps).toHaveLength(told.steps.length);
    const doing = { act: bench.acts, bench, page };
    if (PICTURES) await page.setViewportSize({ width: 390, height: 844 });
    await bench.acts.begin();
    let download: Download | null = null;
    page.on('download', (one) => (download = one));
    for (const [i, does] of steps.entries()) {
      bench.acts.touched.length = 0;
      const { text, picture } = told.steps[i]!;
      await does(doing);
      const touched = bench.acts.touched.join('\n');
      for (const { isName, text: name } of text) if (isName) expect(touched, `step ${i + 1}`).toContain(name);
      expect(picture?.file ?? null).toBe(picture && `${id}-${i + 1}.jpg`);
      if (PICTURES && picture) {
        await page.evaluate(() => document.fonts.ready);
        if (await bench.status.isVisible()) await bench.saved();
        await page.screenshot({ path: join(PICTURES, picture.file), type: 'jpeg', quality: 72 });
      }
    }
    await expect.poll(() => download).not.toBeNull();
    await ends(await bytesOf(download!), doing);
  });
}

const newShot: Step = async ({ act }) => {
  await act.tap('New shot');
  await act.tap('Create shot');
};

/** By the shot's menu; the file comes with the last tap. */
const exported =
  (label: string): Step =>
  async ({ act, page }) => {
    await act.tap('Shot menu');
    await act.tap('Export');
    await Promise.all([page.waitForEvent('download'), act.tap(label)]);
  };

/** The same by the button of the Sheet step. */
const exportedThere =
  (label: string): Step =>
  async ({ act, page }) => {
    await act.tap('Export');
    await Promise.all([page.waitForEvent('download'), act.tap(label)]);
  };

const savedAs =
  (button: string | RegExp): Step =>
  async ({ act, page }) => {
    await Promise.all([page.waitForEvent('download', { timeout: 60_000 }), act.tap(button)]);
  };

const linesOf = (file: Buffer): string[] => file.toString().trimEnd().split(/\r?\n/);

test('every chapter of the guide is one that is done here', () => {
  expect(CHAPTERS.map(({ id }) => id)).toEqual([
    '01-first-arc',
    '02-posing',
    '03-acting-out',
    '04-timing-with-marks',
    '05-charts',
    '06-cycles-and-feet',
    '07-figure-of-parts',
    '08-to-paper',
    '09-under-the-camera',
    '10-from-a-film',
  ]);
});

chapter(
  '01-first-arc',
  (file) => expect(linesOf(file).length).toBe(49),
  newShot,
  ({ act }) => act.draw(...WINDING),
  async ({ act }) => {
    await act.tap('Play');
    await act.tap('Pause');
  },
  ({ act }) => act.step('Sheet'),
  exportedThere('Increments as CSV'),
);

chapter(
  '02-posing',
  (file) => {
    const { moves } = JSON.parse(file.toString()) as { moves: { marks: { frame: number }[] }[] };
    expect(moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 25, 33, 48]);
  },
  async (doing) => {
    await newShot(doing);
    await doing.act.step('Figure');
    await expect(doing.page.getByText('Place the figure')).toBeVisible();
    await doing.act.tapAt(0.1, 0.7);
  },
  async ({ act }) => {
    await act.toFrame(25);
    await act.tapAt(0.5, 0.35);
    await act.toFrame(48);
    await act.tapAt(0.9, 0.7);
  },
  async ({ act }) => {
    await act.toFrame(25);
    await act.type('Hold from 25, frames', 8);
  },
  async ({ act, page }) => {
    await act.tap('Between frame 33 and frame 48');
    await act.tap(
      page
        .getByRole('radiogroup', { name: 'From frame 33 to frame 48' })
        .getByRole('radio', { name: 'Straight' }),
    );
  },
  exported('Shot as a file'),
);

chapter(
  '03-acting-out',
  (file) => expect(file.subarray(4, 8).toString()).toBe('ftyp'),
  async (doing) => {
    await newShot(doing);
    await doing.act.tap('Act it out');
  },
  async ({ act, page }) => {
    await act.draw(...WINDING);
    await expect(page.getByTestId('thinned-to')).toBeVisible();
  },
  ({ act }) => act.type('Marks at most', 6),
  async ({ act, page }) => {
    await act.tap('Shot menu');
    await act.tap('Preview');
    await expect(page.getByTestId('preview-canvas')).toBeVisible();
  },
  savedAs(/^MP4/),
);

chapter(
  '04-timing-with-marks',
  (file) => expect(linesOf(file).length).toBeGreaterThan(48),
  async (doing) => {
    await newShot(doing);
    await doing.act.draw(...WINDING);
  },
  async ({ act }) => {
    await act.step('Timing');
    await act.toFrame(30);
    await act.tap(/^Add a mark on /);
  },
  ({ act }) => act.type('Place, units', '70 %'),
  async ({ act }) => {
    await act.choose('Stop');
    await act.type('Hold from 30, frames', 6);
  },
  ({ act }) => act.toFrame(20),
  exported('Exposure sheet as CSV'),
);

chapter(
  '05-charts',
  (file) => expect(linesOf(file).length).toBeGreaterThan(10),
  async (doing) => {
    await newShot(doing);
    await doing.act.tap('Shapes');
    await doing.act.tap('Swing');
  },
  async ({ act }) => {
    await act.step('Timing');
    await act.toFrame(24);
    await act.tap(/^Add a mark on /);
  },
  ({ act }) => act.tap('Halves'),
  async ({ act }) => {
    await act.group('Move');
    await act.choose('Twos');
  },
  async ({ act }) => {
    await act.step('Sheet');
    await act.group('Charts');
  },
  exportedThere('Spacing charts as CSV'),
);

const drawings = [1, 2, 3].map((n) =>
  pngFile(`step ${n}.png`, pngWithBox(60, 60, { left: 4 * n, top: 0, right: 60 - 4 * n, bottom: 20 * n })),
);

chapter(
  '06-cycles-and-feet',
  (file) => expect(file.toString()).toContain('<svg'),
  async (doing) => {
    await newShot(doing);
    await doing.act.draw([0.05, 0.6], [0.35, 0.55], [0.65, 0.65], [0.95, 0.6]);
  },
  async ({ act, page }) => {
    await act.step('Figure');
    await act.group('Drawings');
    await act.files('Import drawings', ...drawings);
    await expect(page.getByTestId('figure-picture')).toBeVisible();
  },
  ({ act }) => act.choose('Cycle by distance'),
  ({ act }) => act.type('Distance per cycle, units', 300),
  exported('SVG that moves'),
);

chapter(
  '07-figure-of-parts',
  (file) => expect(file.toString()).toContain('Part'),
  async (doing) => {
    await newShot(doing);
    await doing.act.draw([0.35, 0.6], [0.5, 0.4], [0.7, 0.7], [0.9, 0.4]);
  },
  async ({ act }) => {
    await act.step('Figure');
    await act.group('Parts');
    await act.tap('Make a chain');
  },
  ({ act }) => act.tap('Done'),
  exported('Parts as CSV'),
);

chapter(
  '08-to-paper',
  (file) => expect(file.subarray(0, 5).toString()).toBe('%PDF-'),
  async ({ act }) => {
    await act.tap('New shot');
    await act.fill('Width on set, mm', 300);
    await act.tap('Create shot');
    await act.draw(...WINDING);
  },
  async ({ act, page }) => {
    await act.tap('Shot menu');
    await act.tap('Print');
    await expect(page.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
  },
  savedAs('Save PDF'),
  async ({ act, page }) => {
    await act.choose('Exposures');
    await expect(page.getByRole('img', { name: /^Page 1 of \d+ as it is printed/ })).toBeVisible();
    await Promise.all([page.waitForEvent('download', { timeout: 60_000 }), act.tap('Save PDF')]);
  },
);

chapter(
  '09-under-the-camera',
  (file) => expect(file.subarray(4, 8).toString()).toBe('ftyp'),
  async ({ act, page }) => {
    // A shot with a scale, made before: that is not part of the chapter.
    await page.request.post('/api/shots', { data: { shot: buttonOnSet('Button on the set') } });
    await act.begin();
    await act.openShot('Button on the set');
    await act.step('Shoot');
    await expect(page.getByRole('button', { name: 'Take frame 1', exact: true })).toBeEnabled();
  },
  async ({ act, page }) => {
    for (const frame of [1, 2, 3]) {
      const button = page.getByRole('button', { name: `Take frame ${frame}`, exact: true });
      await expect(button).toBeEnabled();
      await act.tap(button);
      await expect(button).toHaveCount(0);
    }
  },
  // Frame 3 is planned 30 mm along: it stands 5 mm further.
  ({ act }) => act.tapAt((200 + 4 * 35) / 1600, 500 / 900),
  async ({ act, page }) => {
    await act.tap('Spread');
    await expect(page.getByRole('button', { name: 'Use it' })).toBeVisible();
    await act.tap('Use it');
  },
  async ({ act, page }) => {
    await act.tap('Shot menu');
    await act.tap('Preview');
    await expect(page.getByTestId('preview-canvas')).toBeVisible();
    await savedAs(/^MP4/)({ act, page } as Doing);
  },
);

/** A point of a film on 40 frames: it climbs, rests, and comes down, and trembles as tracked points do. */
const tracked = Array.from({ length: 40 }, (_, i) => {
  const along = i < 16 ? i / 15 : i < 24 ? 1 : 1 + (i - 23) / 16;
  const tremble = (n: number): number => 2 * Math.sin(i * n);
  return `${i + 1},${(200 + 700 * along + tremble(1.7)).toFixed(1)},${(800 - 500 * Math.sin(Math.min(along, 2) * 1.2) + tremble(2.9)).toFixed(1)}`;
});

chapter(
  '10-from-a-film',
  (file) => expect(linesOf(file).length).toBe(41),
  async (doing) => {
    await newShot(doing);
    await doing.act.step('Figure');
    await doing.act.group('Act');
  },
  async ({ act, page }) => {
    await act.files('Import tracked positions', {
      name: 'buoy.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['frame,x,y', ...tracked].join('\n')),
    });
    await act.group('Act');
    await expect(page.getByTestId('thinned-to')).toBeVisible();
  },
  async ({ act, page }) => {
    await act.type('Marks at most', 8);
    await expect(page.getByRole('progressbar')).toHaveCount(0);
  },
  exported('Increments as CSV'),
);
