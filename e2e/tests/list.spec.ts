import { expect, ONCE, test } from '../support/test';

test(
  'the demo film is there, with pictures of its own arcs and ghosts',
  ONCE,
  async ({ page, ownServer }) => {
    await page.goto(ownServer.address);
    for (const name of ['Lantern on the hook', 'Rounds of the harbour master']) {
      const card = page.getByTestId(`card-${name}`);
      await expect(card).toBeVisible();
      // Six ghosts, the arc, the ticks.
      expect(await card.locator('svg').first().locator('path').count()).toBeGreaterThanOrEqual(8);
    }
    await expect(page.getByTestId('card-Rounds of the harbour master')).toContainText('57 frames at 12');
    await expect(page.getByTestId('card-Rounds of the harbour master')).toContainText('4.75 s');
    await page.getByRole('link', { name: /Open Rounds of the harbour master/ }).click();
    await expect(page.getByTestId('transport')).toBeVisible();
    await expect(page.getByTestId('read-out')).toContainText('mm');
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
  },
);

test('rename, duplicate, remove and bring back', ONCE, async ({ bench, page }) => {
  await bench.makeShot({ name: 'Old rope', rate: 25, length: 50 });
  await bench.draw([0.1, 0.4], [0.9, 0.6]);
  await bench.saved();
  await page.getByRole('button', { name: 'Back to the shots' }).click();
  await expect(page.getByTestId('card-Old rope')).toContainText('50 frames at 25');

  const more = (name: string) => page.getByRole('button', { name: `More for ${name}` }).click();
  await more('Old rope');
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('  ');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await expect(page.getByText('Give it a name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Name' }).fill('New rope');
  await page.getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByTestId('card-New rope')).toBeVisible();

  await more('New rope');
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByTestId('card-New rope copy')).toBeVisible();

  await more('New rope copy');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByTestId('card-New rope copy')).toBeHidden();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByTestId('card-New rope copy')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('card-New rope copy')).toBeVisible();
});

test(
  'a shot opens on its first frame, and the way back of a removed one does not stand over it',
  ONCE,
  async ({ bench, page }) => {
    await bench.makeShot({ name: 'Gull overhead', rate: 24, length: 30 });
    await bench.goTo(20);
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    await bench.makeShot({ name: 'Bell buoy', rate: 24, length: 30 });
    const frame = page.getByRole('slider', { name: 'Frame', exact: true });
    await expect(frame).toHaveAttribute('aria-valuenow', '1');
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    await page.getByRole('button', { name: 'More for Gull overhead' }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Restore' })).toBeVisible();
    await page.getByRole('link', { name: /Open Bell buoy/ }).click();
    await expect(page.getByTestId('transport')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Restore' })).toBeHidden();
    await expect(frame).toHaveAttribute('aria-valuenow', '1');
  },
);

test('search finds by name, and says when it finds nothing', ONCE, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Search' }).click();
  await page.getByLabel('Search by name').fill('lantern');
  await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
  await expect(page.getByTestId('card-Rounds of the harbour master')).toBeHidden();
  await page.getByLabel('Search by name').fill('zeppelin');
  await expect(page.getByText('No shot matches “zeppelin”.')).toBeVisible();
});

test(
  'a new shot with nonsense in it is not made, and each fault has its sentence',
  ONCE,
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New shot' }).click();
    const dialog = page.getByRole('dialog', { name: 'New shot' });
    await dialog.getByRole('textbox', { name: 'Name' }).fill(' ');
    await dialog.getByLabel('Rate, frames a second').fill('fast');
    await dialog.getByLabel('Length, frames').fill('12.5');
    await dialog.getByLabel('Field width, units').fill('0');
    await dialog.getByRole('button', { name: 'Create shot' }).click();
    await expect(dialog.getByText('A rate from 1 to 240.')).toBeVisible();
    await expect(dialog.getByText('Enter a whole number of frames, from 2 to 20,000.')).toBeVisible();
    await expect(dialog.getByText('Enter a number from 16 to 20,000.')).toBeVisible();
    await dialog.getByRole('radio', { name: '30' }).click();
    await expect(dialog.getByLabel('Rate, frames a second')).toHaveValue('30');
  },
);

test(
  'one press makes a shot: a name is offered, and the rate and field used last',
  ONCE,
  async ({ page, bench }) => {
    await bench.makeShot({ name: 'Slow tide', rate: 12, length: 30 });
    await page.getByRole('button', { name: 'Back to the shots' }).click();
    await page.getByRole('button', { name: 'New shot' }).click();
    const dialog = page.getByRole('dialog', { name: 'New shot' });
    await expect(dialog.getByRole('textbox', { name: 'Name' })).toHaveValue(/^Shot \d+$/);
    await expect(dialog.getByLabel('Rate, frames a second')).toHaveValue('12');
    await dialog.getByRole('button', { name: 'Create shot' }).click();
    await expect(page.getByTestId('transport')).toBeVisible();
    await expect(page.getByTestId('frame-count')).toContainText('of 30');
  },
);

test('a shot that does not exist says so and leads back', ONCE, async ({ page }) => {
  await page.goto('/shot/nothing-here');
  await expect(page.getByText('There is no such shot')).toBeVisible();
  await page.getByRole('button', { name: 'To the shots' }).click();
  await expect(page.getByTestId('list-sum')).toHaveText(/\d+ shots/);
});

test('a removed shot can be brought back from its own address', ONCE, async ({ bench, page }) => {
  await bench.makeShot({ name: 'Driftwood' });
  const address = page.url();
  await page.getByRole('button', { name: 'Back to the shots' }).click();
  await page.getByRole('button', { name: 'More for Driftwood' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByTestId('card-Driftwood')).toBeHidden();
  await page.goto(address);
  await expect(page.getByText('This shot was removed')).toBeVisible();
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByTestId('transport')).toBeVisible();
});

test('an empty list invites', ONCE, async ({ page, ownServer }) => {
  await page.goto(ownServer.address);
  for (const name of [
    'Lantern on the hook',
    'Rounds of the harbour master',
    'Dropped cork',
    "Crab's detour",
    'Rowing to the steps',
    'Eel under the jetty',
    'Under the jetty at dusk',
  ]) {
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByTestId(`card-${name}`)).toBeHidden();
  }
  await expect(page.getByText('No shots yet')).toBeVisible();
});

test(
  'the bin shows what was removed, for how long still, and removes it for good when asked to',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Low water, gone' });
    await bench.openShot({ name: 'Low water, kept' });
    const { shots } = (await (await page.request.get('/api/shots')).json()) as {
      readonly shots: readonly { readonly id: string; readonly name: string }[];
    };
    for (const { id, name } of shots)
      if (name.startsWith('Low water')) await page.request.delete(`/api/shots/${id}`);
    await page.goto('/bin');
    const gone = page.getByTestId('removed-Low water, gone');
    await expect(gone).toContainText('gone in 29 days');
    await page.getByRole('button', { name: 'Remove Low water, gone for good' }).click();
    const asked = page.getByRole('dialog', { name: 'Remove for good' });
    await expect(asked).toContainText('Nothing can bring it back.');
    await asked.getByRole('button', { name: 'Keep' }).click();
    await expect(gone).toBeVisible();
    await page.getByRole('button', { name: 'Remove Low water, gone for good' }).click();
    await asked.getByRole('button', { name: 'Remove for good' }).click();
    await expect(gone).toHaveCount(0);
    await expect(page.getByTestId('removed-Low water, kept')).toBeVisible();
    await page.reload();
    await expect(page.getByTestId('removed-Low water, kept')).toBeVisible();
    await expect(gone).toHaveCount(0);
  },
);
