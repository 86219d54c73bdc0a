// Takes the pictures in docs/screenshots and docs/guide from the demo film: `npm run screenshots`, with the application built.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import buildServer from './buildServer.mjs';
import { ROOT, run } from './run.mjs';

const PHONE = { width: 390, height: 844 };
const SIDE = { width: 844, height: 390 };
const WIDE = { width: 1280, height: 800 };
const LANTERN = '/shot/demo-lantern-on-the-hook';
const ROUNDS = '/shot/demo-rounds-of-the-harbour-master';
const CORK = '/shot/demo-dropped-cork';
const ROWING = '/shot/demo-rowing-to-the-steps';
const EEL = '/shot/demo-eel-under-the-jetty';
const CRAB = '/shot/demo-crabs-detour';

const step = (page, name) => page.getByRole('tab', { name, exact: true }).click();
/** Brings a group of the panel forward: a tab on a phone, a section on a wide screen. */
const group = async (page, name) => {
  const tab = page.getByRole('tablist', { name: 'Group' }).getByRole('tab', { name, exact: true });
  const section = page.locator(`[role=button][aria-expanded][aria-label="${name}"]`);
  await tab.or(section).waitFor();
  if (await tab.isVisible()) await tab.click();
  else if ((await section.getAttribute('aria-expanded')) === 'false') await section.click();
};
const goTo = async (page, frame) => {
  for (let f = 1; f < frame; f++) await page.getByRole('button', { name: 'Next frame' }).click();
  await page.mouse.move(0, 0);
};

/** The middle of something drawn in the field. */
const middleOf = async (page, name) => {
  const box = await page.getByTestId(name).boundingBox();
  return [box.x + box.width / 2, box.y + box.height / 2];
};
const tap = async (page, name) => page.mouse.click(...(await middleOf(page, name)));

const button = (page, name) => page.getByRole('button', { name, exact: true }).click();

const inShotMenu = async (page, name) => {
  await button(page, 'Shot menu');
  await button(page, name);
};

/** A step of the workbench, on a frame. */
const inStep =
  (name, frame = 1, groupName = null) =>
  async (page) => {
    await step(page, name);
    if (groupName) await group(page, groupName);
    await goTo(page, frame);
  };

/** Where the next picture of the demo is to be taken. */
const inShoot = async (page) => {
  await step(page, 'Shoot');
  await page.getByTestId('live-picture').waitFor();
  await page
    .getByRole('button', { name: 'Take frame 22', exact: true })
    .and(page.locator(':enabled'))
    .waitFor();
};

const PICTURES = [
  { file: 'phone-list', view: PHONE, theme: 'light', path: '/' },
  {
    file: 'phone-timing',
    view: PHONE,
    theme: 'light',
    path: ROUNDS,
    act: inStep('Timing', 26),
  },
  {
    file: 'phone-graph-dark',
    view: PHONE,
    theme: 'dark',
    path: ROUNDS,
    act: async (page) => {
      await inStep('Timing', 44)(page);
      await button(page, 'Graph, chart or numbers');
      await page.getByRole('dialog').getByRole('button', { name: 'Graph', exact: true }).click();
      await page.getByTestId('graph-curve').or(page.getByTestId('distance-graph')).first().waitFor();
    },
  },
  {
    file: 'phone-exposures',
    view: PHONE,
    theme: 'light',
    path: CORK,
    act: async (page) => {
      await inStep('Sheet')(page);
      await group(page, 'Exposures');
      await page.getByTestId('rail-wave').waitFor();
      await goTo(page, 26);
      await page.getByRole('button', { name: '1 to check', exact: true }).waitFor();
    },
  },
  {
    file: 'phone-side',
    view: SIDE,
    theme: 'light',
    path: ROUNDS,
    act: inStep('Figure', 26, 'Keys'),
  },
  {
    file: 'phone-arc-dark',
    view: PHONE,
    theme: 'dark',
    path: LANTERN,
    act: async (page) => {
      await step(page, 'Arc');
      await tap(page, 'point-p3');
      await goTo(page, 8);
    },
  },
  { file: 'phone-shoot', view: PHONE, theme: 'light', path: ROUNDS, act: inShoot },
  { file: 'side-shoot', view: SIDE, theme: 'light', path: ROUNDS, act: inShoot },
  { file: 'wide-shoot', view: WIDE, theme: 'light', path: ROUNDS, act: inShoot },
  {
    file: 'phone-sheet',
    view: PHONE,
    theme: 'light',
    path: ROUNDS,
    act: inStep('Sheet', 13),
  },
  {
    file: 'phone-figure',
    view: PHONE,
    theme: 'light',
    path: LANTERN,
    act: async (page) => {
      await inStep('Figure', 6, 'Figures')(page);
      await page.getByTestId('pivot-editor').scrollIntoViewIfNeeded();
    },
  },
  {
    file: 'phone-cycle',
    view: PHONE,
    theme: 'light',
    path: ROWING,
    act: async (page) => {
      await inStep('Figure', 71, 'Drawings')(page);
      await page.getByTestId('planted-editor').scrollIntoViewIfNeeded();
    },
  },
  {
    file: 'phone-preview',
    view: PHONE,
    theme: 'light',
    path: CORK,
    act: async (page) => {
      await goTo(page, 17);
      await inShotMenu(page, 'Preview');
      await page.getByText(/can have sound/).waitFor();
    },
  },
  {
    file: 'wide-parts-dark',
    view: WIDE,
    theme: 'dark',
    path: EEL,
    act: inStep('Figure', 38, 'Parts'),
  },
  {
    file: 'phone-keys-dark',
    view: PHONE,
    theme: 'dark',
    path: ROUNDS,
    act: inStep('Figure', 26, 'Keys'),
  },
  {
    file: 'wide-print',
    view: WIDE,
    theme: 'light',
    path: ROUNDS,
    act: async (page) => {
      await inShotMenu(page, 'Print');
      await page.getByRole('img', { name: /^Page 1 of/ }).waitFor();
    },
  },
  { file: 'wide-timing', view: WIDE, theme: 'light', path: ROUNDS, act: inStep('Timing', 28) },
  {
    // An arc and its timing as they were before some changes, laid on what they are now.
    file: 'phone-history',
    view: PHONE,
    theme: 'light',
    path: CRAB,
    act: async (page) => {
      const id = CRAB.split('/').pop();
      const address = new URL(`/api/shots/${id}`, page.url()).href;
      const change = async (edit) => {
        const { revision, shot } = await (await page.request.get(address)).json();
        edit(shot);
        await page.request.put(address, { data: { revision, shot } });
      };
      await change((shot) => (shot.arcs[0].points[1].y -= 130));
      await change((shot) => (shot.moves[0].marks[1].frame += 3));
      await change((shot) => (shot.notes = []));
      await page.reload();
      await page.getByTestId('transport').waitFor();
      await inShotMenu(page, 'History');
      await page
        .getByRole('button', { name: /^Look at the version/ })
        .nth(3)
        .click();
      await page.getByRole('radio', { name: 'Both' }).waitFor();
    },
  },
  // Last, since it draws a further arc and that is saved.
  {
    file: 'wide-takes',
    view: WIDE,
    theme: 'light',
    path: CRAB,
    act: async (page) => {
      await inStep('Timing', 30, 'Takes')(page);
      await page.getByRole('tab', { name: 'Longer wait', exact: true }).click();
      await page.getByTestId('take-difference').scrollIntoViewIfNeeded();
      await page.mouse.move(0, 0);
    },
  },
];

await buildServer();
const folder = mkdtempSync(join(tmpdir(), 'humble-pictures-'));
const server = spawn(process.execPath, ['server/dist/main.mjs', '--demo'], {
  cwd: ROOT,
  env: { ...process.env, PORT: '0', HUMBLE_DATA: folder },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const [line] = await once(server.stdout, 'data');
const address = /http:\/\/\S+/.exec(line.toString())[0];
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
for (const { file, view, theme, path, act, isTouch = false } of PICTURES) {
  const context = await browser.newContext({
    viewport: view,
    colorScheme: theme,
    deviceScaleFactor: view === PHONE ? 2 : 1,
    locale: 'en-GB',
    hasTouch: isTouch,
    isMobile: isTouch,
  });
  const page = await context.newPage();
  await page.goto(address + path);
  await page.getByTestId(path === '/' ? 'card-Lantern on the hook' : 'transport').waitFor();
  await page.evaluate(() => document.fonts.ready);
  await act?.(page);
  await page.screenshot({ path: join(ROOT, `docs/screenshots/${file}.png`) });
  await context.close();
}
await browser.close();
server.kill('SIGTERM');
await once(server, 'exit');
rmSync(folder, { recursive: true });

// The guide's pictures: each chapter is done once more, and photographed on its way.
const code = await run(
  'npx',
  ['playwright', 'test', 'guide', '--project=phone', '--workers=1', '--reporter=line'],
  {
    cwd: join(ROOT, 'e2e'),
    env: { HUMBLE_GUIDE_PICTURES: '1' },
  },
);
process.exit(code);
