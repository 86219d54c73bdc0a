import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { createRequire } from 'node:module';
import { expect, ONCE, test } from '../support/test';

/** The table that panels are made from; the application is no module of Node's. */
const { groupWords } = createRequire(import.meta.url)(
  '../../app/src/words/groups.ts',
) as typeof import('../../app/src/words/groups');

type Groups = Readonly<Record<string, { readonly label: string }>>;

const STEPS = {
  arc: 'Arc',
  figure: 'Figure',
  timing: 'Timing',
  sheet: 'Sheet',
  shoot: 'Shoot',
} as const satisfies Readonly<Record<keyof typeof groupWords, string>>;

/** Groups of a wide screen that a phone has in a view. */
const ELSEWHERE_ON_A_PHONE = new Set(['keys']);

const THEMES = ['light', 'dark'] as const;
type Theme = (typeof THEMES)[number];

const runsOn = (theme: Theme) => (theme === 'light' ? {} : ONCE);

/**
 * Faults that keep someone out, by the rules of WCAG 2.1 A and AA. What can be read and named is the same in both
 * themes: in the dark one only the contrast is looked at, which goes by colours that are the same on every screen.
 */
async function faults(page: Page, theme: Theme): Promise<string[]> {
  await page.evaluate(() => document.fonts.ready);
  // There are no frames within the page, for which the other mode opens a page of its own each time.
  const axe = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], preload: false });
  const { violations } = await (
    theme === 'light'
      ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
      : axe.withRules(['color-contrast'])
  ).analyze();
  return violations.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.target.join(' ')} ${node.failureSummary ?? ''}`),
  );
}

for (const theme of THEMES)
  test(`every step can be read and named, ${theme}`, runsOn(theme), async ({ page, bench, hand }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: theme });
    await page.goto('/');
    await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    for (const [step, groups] of Object.entries<Groups>(groupWords)) {
      await bench.step(STEPS[step as keyof typeof STEPS]);
      const names = Object.entries(groups).filter(
        ([name]) => !hand.isFinger || !ELSEWHERE_ON_A_PHONE.has(name),
      );
      for (const [, { label }] of names) {
        await bench.group(label);
        // A wide screen has all groups at once.
        if (hand.isFinger) expect(await faults(page, theme)).toEqual([]);
      }
      if (!hand.isFinger || names.length === 0) expect(await faults(page, theme)).toEqual([]);
    }
    await page.getByRole('button', { name: 'View' }).click();
    expect(await faults(page, theme)).toEqual([]);
  });

test('making and shaping arcs can be read and named', ONCE, async ({ page, bench, hand }) => {
  test.slow();
  await page.goto('/shot/demo-dropped-cork');
  await bench.step('Arc');
  for (const group of ['Arcs', 'Backdrop', 'Draw', 'This arc']) {
    await bench.group(group);
    if (hand.isFinger || group === 'This arc') expect(await faults(page, 'light')).toEqual([]);
  }
  for (const [group, opens, title] of [
    ['Draw', 'Shapes', 'Shapes'],
    ['Draw', 'Import SVG', 'Import SVG'],
    ['This arc', 'Reverse', 'Reverse the arc'],
  ] as const) {
    await bench.group(group);
    await bench.press(opens);
    const dialog = page.getByRole('dialog', { name: title });
    await expect(dialog).toBeVisible();
    expect(await faults(page, 'light')).toEqual([]);
    await dialog.getByRole('button', { name: 'Close', exact: true }).click();
  }
  await bench.group('This arc');
  await bench.press('Select all');
  await expect(page.getByText('The whole arc')).toBeVisible();
  expect(await faults(page, 'light')).toEqual([]);
  await bench.press('Deselect');
  await bench.press('Point at the figure');
  await expect(page.getByText('This spot on the arc')).toBeVisible();
  expect(await faults(page, 'light')).toEqual([]);
  await bench.group('Draw');
  await bench.press('Point by point');
  expect(await faults(page, 'light')).toEqual([]);
  await bench.press('Discard');
  await bench.group('Draw');
  await bench.press('Freehand');
  await bench.stroke([0.2, 0.8], [0.4, 0.7], [0.6, 0.85]);
  await expect(page.getByText('Your stroke', { exact: true })).toBeVisible();
  expect(await faults(page, 'light')).toEqual([]);
  await bench.press('Discard');
  await bench.step('Timing');
  await bench.group('Here');
  await bench.press('Other easings');
  await expect(page.getByRole('region', { name: 'Easing of this span' })).toBeVisible();
  expect(await faults(page, 'light')).toEqual([]);
});

test(
  'a phone on its side and a tablet can be read and named in every step',
  ONCE,
  async ({ page, bench }) => {
    test.slow();
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    for (const size of [
      { width: 844, height: 390 },
      { width: 768, height: 1024 },
    ]) {
      await page.setViewportSize(size);
      for (const step of ['Arc', 'Figure', 'Timing', 'Sheet'] as const) {
        await bench.step(step);
        expect(await faults(page, 'light')).toEqual([]);
      }
    }
  },
);

for (const theme of THEMES)
  test(`what opens for a moment can be read and named, ${theme}`, ONCE, async ({ page, bench, hand }) => {
    await page.emulateMedia({ colorScheme: theme });
    await page.goto('/');
    await page.getByRole('button', { name: 'New shot' }).click();
    await expect(page.getByRole('dialog', { name: 'New shot' })).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Order, removed shots, backup, guide' }).click();
    await page.getByRole('button', { name: 'Removed shots', exact: true }).click();
    await expect(page.getByText(/stays here for 30 days/)).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.goto('/backup');
    await expect(page.getByTestId('on-this-device')).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.goto('/guide');
    await page.getByRole('button', { name: 'Chapter 1: A first arc' }).click();
    await expect(page.getByRole('heading', { name: 'A first arc' })).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    await bench.step('Timing');
    await page.getByTestId('frame-count').click();
    await expect(page.getByRole('textbox', { name: 'Go to frame' })).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.keyboard.press('Escape');
    const rail = (await page.getByTestId('scrub-rail').boundingBox())!;
    await hand.askMenu({ x: rail.x + 14, y: rail.y + 24 });
    await expect(page.getByRole('dialog', { name: 'Mark on frame 1' })).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
    await page.keyboard.press('Escape');
    const { id, revision, shot } = await (
      await page.request.get('/api/shots/demo-rounds-of-the-harbour-master')
    ).json();
    await page.request.put(`/api/shots/${id}`, { data: { revision, shot: { ...shot, film: 'Low Tide 2' } } });
    await page.getByRole('button', { name: 'Shot menu' }).click();
    await page.getByRole('button', { name: 'History', exact: true }).click();
    await page
      .getByRole('button', { name: /^Look at the version/ })
      .nth(1)
      .click();
    await expect(page.getByRole('radio', { name: 'This version' })).toBeVisible();
    expect(await faults(page, theme)).toEqual([]);
  });

test('Tab goes through the bench as it is read: head, field, transport, panel, steps', async ({
  page,
  bench,
  hand,
}) => {
  await page.goto('/shot/demo-rounds-of-the-harbour-master');
  await bench.step('Timing');
  await page.getByRole('button', { name: 'Back to the shots' }).focus();
  const visited: string[] = [];
  const last = hand.isFinger ? 'Sheet' : 'Unrolled arc';
  for (let i = 0; i < 120 && !visited.at(-1)?.startsWith(last); i++) {
    await page.keyboard.press('Tab');
    visited.push(await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? ''));
  }
  const places = (
    hand.isFinger
      ? ['View', 'Play', 'Frame', 'Unrolled arc', 'Here', 'Leave slowly over', 'Arc', 'Sheet']
      : ['View', 'Arc', 'Sheet', 'Here', 'Move', 'Play', 'Unrolled arc']
  ).map((name) => visited.findIndex((label) => label.startsWith(name)));
  expect(Math.min(...places), visited.join(' | ')).toBeGreaterThanOrEqual(0);
  expect([...places].sort((a, b) => a - b)).toEqual(places);
});

test('with text twice as large a phone loses nothing', ONCE, async ({ page, bench }) => {
  test.slow();
  await page.addInitScript(() =>
    document.addEventListener('DOMContentLoaded', () => {
      document.documentElement.style.fontSize = '200%';
    }),
  );
  /** Words that are cut off; the name of the shot stands in its settings too. */
  const cutOff = (): Promise<string[]> =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[dir=auto]')]
        .filter((element) => {
          const isShown = element.offsetParent !== null && element.clientWidth > 0;
          return (
            isShown &&
            element.getAttribute('role') !== 'heading' &&
            (element.scrollWidth > element.clientWidth + 1 ||
              // Large digits stand close: they have nothing below the line.
              (/[a-z]/i.test(element.innerText) && element.scrollHeight > element.clientHeight + 4))
          );
        })
        .map((element) => element.innerText),
    );
  await page.goto('/shot/demo-rounds-of-the-harbour-master');
  for (const [name, groups] of Object.entries<Groups>(groupWords)) {
    const step = STEPS[name as keyof typeof STEPS];
    await bench.step(step);
    for (const [group, { label }] of Object.entries(groups)) {
      if (ELSEWHERE_ON_A_PHONE.has(group)) continue;
      await bench.group(label);
      expect(await cutOff(), `${step}, ${label}`).toEqual([]);
    }
    for (const name of ['Play', 'Undo', 'View', 'Shot menu']) {
      const box = (await page.getByRole('button', { name, exact: true }).boundingBox())!;
      expect(box.x, name).toBeGreaterThanOrEqual(0);
      expect(box.x + box.width, name).toBeLessThanOrEqual(390);
    }
  }
  const size = await page
    .getByRole('tab', { name: 'Arc' })
    .locator('[dir=auto]')
    .evaluate((word) => getComputedStyle(word).fontSize);
  expect(size).toBe('28px');
  for (const [path, there] of [
    ['/', 'list-sum'],
    ['/backup', 'on-this-device'],
    ['/guide', 'chapter-01-first-arc'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByTestId(there)).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390);
    if (path !== '/') expect(await cutOff(), path).toEqual([]);
  }
});

test('whoever wants less motion gets none, and is told what changes', ONCE, async ({ page, bench }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/shot/demo-dropped-cork');
  await bench.step('Arc');
  /** How long the longest of what moves on the page lasts, milliseconds. */
  const longest = (): Promise<number> =>
    page.evaluate(() =>
      Math.max(
        0,
        ...document.getAnimations().map(({ effect }) => Number(effect!.getComputedTiming().duration)),
      ),
    );
  await page.getByRole('button', { name: 'Shot menu' }).click();
  expect(await longest()).toBeLessThanOrEqual(1);
  await page.keyboard.press('Escape');
  // How far the edits have come, and what was done, are said as they change.
  await expect(page.getByTestId('save-status')).toHaveAttribute('aria-live', 'polite');
  await bench.group('Arcs');
  await page.keyboard.press('Control+a');
  await bench.step('Timing');
  await bench.group('Takes');
  await bench.press('New take');
  await bench.press('Delete');
  const message = page.getByText(/was deleted\. Undo brings it back\./);
  await expect(message).toBeVisible();
  expect(
    await message.evaluate((element) => element.closest('[aria-live],[role=status],[role=alert]') !== null),
  ).toBe(true);
  expect(await longest()).toBeLessThanOrEqual(1);
});
