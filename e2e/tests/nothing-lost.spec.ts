import type { Page } from '@playwright/test';
import { Bench, enter } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

const SHOT = '/shot/demo-rounds-of-the-harbour-master';
const LEAVE = 'Leave slowly over, frames';

/** The panel of a step comes as a part of its own: what is to go on without the server waits for it. */
const panelIsHere = (page: Page): Promise<void> =>
  expect(page.getByLabel(LEAVE, { exact: true }).first()).toBeVisible();

test(
  'while the server is away editing goes on, says so, and is sent when it is back',
  ONCE,
  async ({ page, hand, ownServer }) => {
    const bench = new Bench(page, hand);
    await page.goto(ownServer.address + SHOT);
    await bench.saved();
    await panelIsHere(page);
    await ownServer.stop('SIGKILL');
    const leave = page.getByLabel(LEAVE, { exact: true }).first();
    await enter(leave, '2');
    await expect(bench.status).toHaveText('server isn’t answering, kept on this device');
    const arrive = page.getByLabel('Arrive slowly over, frames', { exact: true }).first();
    await enter(arrive, '3');
    await ownServer.start();
    await bench.saved();
    await page.reload();
    await expect(leave).toHaveValue('2');
    await expect(arrive).toHaveValue('3');
  },
);

test(
  'edits of a tab that was closed while the server was away are sent at the next visit',
  ONCE,
  async ({ page, context, hand, ownServer }) => {
    const bench = new Bench(page, hand);
    await page.goto(ownServer.address + SHOT);
    await bench.saved();
    await panelIsHere(page);
    await ownServer.stop('SIGKILL');
    const leave = page.getByLabel(LEAVE, { exact: true }).first();
    await enter(leave, '1');
    await expect(bench.status).toHaveText('server isn’t answering, kept on this device');
    await page.close({ runBeforeUnload: false });
    await ownServer.start();
    const next = await context.newPage();
    await next.goto(ownServer.address);
    await expect
      .poll(async () => {
        const answer = await next.request.get(
          `${ownServer.address}/api/shots/demo-rounds-of-the-harbour-master`,
        );
        return (await answer.json()).shot.moves[0].marks[0].easing.leaveFrames;
      })
      .toBe(1);
  },
);

test('two windows on one shot: neither version is lost', ONCE, async ({ page, context, hand, ownServer }) => {
  const mine = new Bench(page, hand);
  // A window that hears nothing of the other one until it saves.
  await page.route('**/revision', (route) => route.abort());
  await page.goto(ownServer.address + SHOT);
  await mine.saved();
  const otherPage = await context.newPage();
  const theirs = new Bench(otherPage, hand);
  await otherPage.goto(ownServer.address + SHOT);
  await theirs.saved();
  const leaveThere = otherPage.getByLabel(LEAVE, { exact: true }).first();
  await enter(leaveThere, '8');
  await theirs.saved();

  const leaveHere = page.getByLabel(LEAVE, { exact: true }).first();
  await enter(leaveHere, '2');
  await expect(page.getByRole('dialog', { name: 'Changed somewhere else' })).toBeVisible();
  // It can be put off, and is found again in the shot's menu.
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(mine.status).toHaveText('changed somewhere else');
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'Choose between two versions' }).click();
  await page.getByRole('button', { name: 'Keep my version' }).click();
  await mine.saved();
  await page.reload();
  await expect(leaveHere).toHaveValue('2');
  await page.goto(ownServer.address);
  await page.getByRole('link', { name: /Open Rounds of the harbour master \(other version\)/ }).click();
  await expect(page.getByLabel(LEAVE, { exact: true }).first()).toHaveValue('8');
});

test('a shot survives a restart of the server', ONCE, async ({ page, hand, ownServer }) => {
  const bench = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  const leave = page.getByLabel(LEAVE, { exact: true }).first();
  await enter(leave, '7');
  await bench.saved();
  await ownServer.stop('SIGTERM');
  await ownServer.start();
  await page.reload();
  await expect(leave).toHaveValue('7');
});

test('the list says when the server is away, and comes back', ONCE, async ({ page, ownServer }) => {
  const form = page.waitForResponse(/NewShotDialog.*\.js$/);
  await page.goto(ownServer.address);
  await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
  await (await form).finished();
  await ownServer.stop('SIGKILL');
  await page.getByRole('button', { name: 'More for Lantern on the hook' }).click();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByText('The server isn’t answering. Try again when it is back.')).toBeVisible();
  await page.getByRole('button', { name: 'New shot' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Too early');
  await page.getByRole('button', { name: 'Create shot' }).click();
  await expect(
    page.getByRole('alert').getByText('The server isn’t answering. Try again when it is back.'),
  ).toBeVisible();
  await ownServer.start();
  await page.getByRole('button', { name: 'Create shot' }).click();
  await expect(page.getByTestId('transport')).toBeVisible();
});

test(
  'a part of the page that could not be fetched says so, and is fetched when it is tried again',
  ONCE,
  async ({ page }) => {
    await page.route(/NewShotDialog.*\.js$/, (route) => route.abort());
    await page.goto('/');
    await page.getByRole('button', { name: 'New shot' }).click();
    const notice = page.getByRole('alert').filter({ hasText: 'this part of the page hasn’t loaded yet' });
    await expect(notice).toBeVisible();
    await page.unroute(/NewShotDialog.*\.js$/);
    await notice.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('textbox', { name: 'Name' })).toBeVisible();
  },
);

test(
  'another window shows what was changed, and that the shot was removed, before it is edited',
  ONCE,
  async ({ page, context, hand, ownServer }) => {
    const mine = new Bench(page, hand);
    await page.goto(ownServer.address + SHOT);
    await mine.saved();
    const otherPage = await context.newPage();
    await otherPage.goto(ownServer.address + SHOT);
    const leaveThere = otherPage.getByLabel(LEAVE, { exact: true }).first();
    await enter(leaveThere, '8');
    const leaveHere = page.getByLabel(LEAVE, { exact: true }).first();
    await expect(leaveHere).toHaveValue('8');
    await expect(
      page.getByText('This shot was changed in another window. You’re now seeing that version.'),
    ).toBeVisible();
    await mine.saved();

    await page.request.delete(`${ownServer.address}/api${SHOT.replace('shot', 'shots')}`);
    await expect(mine.status).toHaveText('removed somewhere else');
    await page.getByRole('button', { name: 'Restore' }).click();
    await mine.saved();
  },
);

/** Takes IndexedDB away from a page before it loads, in one way or another. */
const BROKEN_STORAGE = {
  missing: () => Object.defineProperty(window, 'indexedDB', { value: undefined }),
  'throwing at once': () => {
    IDBFactory.prototype.open = () => {
      throw new Error('no storage');
    };
  },
  'failing later': () => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  },
} as const;

for (const [how, breakStorage] of Object.entries(BROKEN_STORAGE))
  test(
    `with the browser's storage ${how} the page says that nothing is kept, and asks before it is left`,
    ONCE,
    async ({ page, hand, ownServer }) => {
      await page.addInitScript(breakStorage);
      const bench = new Bench(page, hand);
      await page.goto(ownServer.address + SHOT);
      await bench.saved();
      await panelIsHere(page);
      await ownServer.stop('SIGKILL');
      const leave = page.getByLabel(LEAVE, { exact: true }).first();
      await enter(leave, '2');
      await expect(bench.status).toHaveText('not saved: keep this page open');
      // It goes on saying so: it is never said to be kept.
      await expect(page.getByText('kept on this device')).toHaveCount(0);
      const asked = page.waitForEvent('dialog');
      const closed = page.close({ runBeforeUnload: true });
      const dialog = await asked;
      expect(dialog.type()).toBe('beforeunload');
      await dialog.dismiss();
      await closed;
      await ownServer.start();
      await bench.saved();
      await page.reload();
      await expect(leave).toHaveValue('2');
    },
  );

test(
  'an edit is kept when the page is left at once, and can be undone after the reload',
  ONCE,
  async ({ page, hand, ownServer }) => {
    const bench = new Bench(page, hand);
    await page.goto(ownServer.address + SHOT);
    const leave = page.getByLabel(LEAVE, { exact: true }).first();
    const before = await leave.inputValue();
    await enter(leave, '7');
    await bench.saved();
    // The server is away, and the page is left the moment that the edit was made.
    await page.route('**/api/shots/**', (route) => route.abort());
    await enter(leave, '3');
    await page.evaluate(() => location.reload());
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await expect(leave).toHaveValue('3');
    await bench.saved();
    await bench.undo();
    await expect(leave).toHaveValue('7');
    await bench.undo();
    await expect(leave).toHaveValue(before);
    await bench.redo();
    await expect(leave).toHaveValue('7');
  },
);

test(
  'a damaged shot hides no other; its text can be had, and it can be removed',
  ONCE,
  async ({ page, ownServer }) => {
    await ownServer.damage('demo-lantern-on-the-hook');
    await page.goto(ownServer.address);
    await expect(page.getByTestId('card-Dropped cork')).toBeVisible();
    const card = page.getByTestId('card-Lantern on the hook');
    await expect(card.getByText('damaged', { exact: true })).toBeVisible();
    await card.getByRole('link').click();
    const menu = page.getByRole('dialog', { name: 'Lantern on the hook' });
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      menu.getByRole('button', { name: 'Download the file' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('demo-lantern-on-the-hook.txt');

    await page.goto(`${ownServer.address}/shot/demo-lantern-on-the-hook`);
    await expect(page.getByText('This shot cannot be opened', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Try again' }).click();
    await page.getByRole('button', { name: 'Remove it' }).click();
    await expect(page.getByTestId('card-Dropped cork')).toBeVisible();
    await expect(card).toHaveCount(0);
  },
);

test('a server error is told from a server that isn’t answering', ONCE, async ({ page, hand, ownServer }) => {
  const bench = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  await bench.saved();
  await page.route('**/api/shots/demo-rounds-of-the-harbour-master', (route) =>
    route.fulfill({
      status: 507,
      contentType: 'application/problem+json',
      body: JSON.stringify({ type: '/problems/disk-full', detail: 'The server’s disk is full.' }),
    }),
  );
  const leave = page.getByLabel(LEAVE, { exact: true }).first();
  await enter(leave, '5');
  await expect(bench.status).toHaveText('the server could not save, kept on this device');
  await expect(page.getByText('The server’s disk is full.')).toBeVisible();
  await page.unroute('**/api/shots/demo-rounds-of-the-harbour-master');
  await bench.saved();
});

test(
  'what is typed out of range says so where it was typed, and the length says what it did',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Range', 21);
    await bench.group('Move');
    const ends = page.getByLabel('Ends on frame', { exact: true });
    await enter(ends, '30');
    await expect(ends).toHaveValue('21');
    await expect(page.getByText('21 is the last frame of the shot.')).toBeVisible();
    await page.getByRole('button', { name: 'Make the shot longer' }).click();
    await expect(ends).toHaveValue('30');
    await bench.group('Shot');
    const length = page.getByLabel('Length, frames', { exact: true });
    await expect(length).toHaveValue('30');

    await enter(length, '60');
    await expect(page.getByText('The move was stretched to fit.')).toBeVisible();
    await page.getByRole('button', { name: 'Don’t stretch the move' }).click();
    await bench.group('Move');
    await expect(ends).toHaveValue('30');
    await bench.group('Shot');
    await expect(length).toHaveValue('60');
    await bench.undo();
    await expect(length).toHaveValue('30');
    await enter(length, 'many');
    await expect(page.getByText('“many” is not a number.')).toBeVisible();
    await expect(length).toHaveValue('30');
  },
);

test('a mark is tied to a point that is far away only when that is meant', ONCE, async ({ bench, page }) => {
  await bench.straight('Tie', 21);
  await bench.goTo(6);
  await bench.group('Here');
  await bench.addMark();
  const place = page.getByLabel('Place, units', { exact: true });
  const before = await place.inputValue();
  await bench.press(/^Tie to point/);
  await expect(
    page.getByText(/units away along the arc: on frame 6 the figure would stand there/),
  ).toBeVisible();
  await bench.press('Leave it where it is');
  await expect(place).toHaveValue(before);
  await bench.press(/^Tie to point/);
  await bench.press('Move it there');
  await expect(place).not.toHaveValue(before);
});
