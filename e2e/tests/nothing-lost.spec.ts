import { Bench } from '../support/bench';
import { expect, test } from '../support/test';

const SHOT = '/shot/demo-rounds-of-the-harbour-master';
const LEAVE = 'Leave slowly over, frames';

test('while the server is away editing goes on, says so, and is sent when it is back', async ({
  page,
  hand,
  ownServer,
}) => {
  const bench = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  await bench.saved();
  await ownServer.stop('SIGKILL');
  const leave = page.getByLabel(LEAVE, { exact: true }).first();
  await leave.fill('2');
  await leave.press('Enter');
  await expect(bench.status).toHaveText('server away, kept on this device');
  const arrive = page.getByLabel('Arrive slowly over, frames', { exact: true }).first();
  await arrive.fill('3');
  await arrive.press('Enter');
  await ownServer.start();
  await bench.saved();
  await page.reload();
  await expect(leave).toHaveValue('2');
  await expect(arrive).toHaveValue('3');
});

test('edits of a tab that was closed while the server was away are sent at the next visit', async ({
  page,
  context,
  hand,
  ownServer,
}) => {
  const bench = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  await bench.saved();
  await ownServer.stop('SIGKILL');
  const leave = page.getByLabel(LEAVE, { exact: true }).first();
  await leave.fill('1');
  await leave.press('Enter');
  await expect(bench.status).toHaveText('server away, kept on this device');
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
});

test('two windows on one shot: neither version is lost', async ({ page, context, hand, ownServer }) => {
  const mine = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  await mine.saved();
  const otherPage = await context.newPage();
  const theirs = new Bench(otherPage, hand);
  await otherPage.goto(ownServer.address + SHOT);
  await theirs.saved();
  const leaveThere = otherPage.getByLabel(LEAVE, { exact: true }).first();
  await leaveThere.fill('8');
  await leaveThere.press('Enter');
  await theirs.saved();

  const leaveHere = page.getByLabel(LEAVE, { exact: true }).first();
  await leaveHere.fill('2');
  await leaveHere.press('Enter');
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

test('a shot survives a restart of the server', async ({ page, hand, ownServer }) => {
  const bench = new Bench(page, hand);
  await page.goto(ownServer.address + SHOT);
  const leave = page.getByLabel(LEAVE, { exact: true }).first();
  await leave.fill('7');
  await leave.press('Enter');
  await bench.saved();
  await ownServer.stop('SIGTERM');
  await ownServer.start();
  await page.reload();
  await expect(leave).toHaveValue('7');
});

test('the list says when the server is away, and comes back', async ({ page, ownServer }) => {
  const form = page.waitForResponse(/NewShotDialog.*\.js$/);
  await page.goto(ownServer.address);
  await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
  await (await form).finished();
  await ownServer.stop('SIGKILL');
  await page.getByRole('button', { name: 'More for Lantern on the hook' }).click();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByText('The server does not answer. Try again when it is back.')).toBeVisible();
  await page.getByRole('button', { name: 'New shot' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Too early');
  await page.getByRole('button', { name: 'Make the shot' }).click();
  await expect(
    page.getByRole('alert').getByText('The server does not answer. Try again when it is back.'),
  ).toBeVisible();
  await ownServer.start();
  await page.getByRole('button', { name: 'Make the shot' }).click();
  await expect(page.getByTestId('transport')).toBeVisible();
});

test('a part of the page that could not be fetched says so, and is fetched when it is tried again', async ({
  page,
}) => {
  await page.route(/NewShotDialog.*\.js$/, (route) => route.abort());
  await page.goto('/');
  await page.getByRole('button', { name: 'New shot' }).click();
  const notice = page.getByRole('alert').filter({ hasText: 'this part of the page is not here yet' });
  await expect(notice).toBeVisible();
  await page.unroute(/NewShotDialog.*\.js$/);
  await notice.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeVisible();
});
