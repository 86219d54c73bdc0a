import { expect, ONCE, test } from '../support/test';
import { bytesOf } from '../support/saving';
import { testServer } from '../support/server';

test(
  'a lantern in ten strokes: four hints lead to a file, and the guide goes on from there',
  ONCE,
  async ({ bench, page }) => {
    const { acts: act } = bench;
    await page.goto('/guide');
    const hint = page.getByTestId('lesson-hint');
    await act.tap('Try it: a lantern in ten strokes');
    await expect(hint).toContainText('Hint 1 of 4');
    await act.draw([0.1, 0.3], [0.35, 0.6], [0.65, 0.6], [0.9, 0.3]);
    await expect(hint).toContainText('Hint 2 of 4');
    await act.tap('Play');
    await act.step('Figure');
    await act.group('Figures');
    await act.choose('Lantern');
    await expect(hint).toContainText('Hint 3 of 4');
    await act.step('Timing');
    await act.type('Leave slowly over, frames', 24);
    await expect(hint).toContainText('Hint 4 of 4');
    // It is found again where it was left.
    await bench.saved();
    await page.reload();
    await expect(hint).toContainText('Hint 4 of 4');
    await act.tap('Shot menu');
    await act.tap('Export');
    const [download] = await Promise.all([page.waitForEvent('download'), act.tap('Increments as CSV')]);
    expect((await bytesOf(download)).toString().trimEnd().split(/\r?\n/)).toHaveLength(49);
    // The first tap began it.
    expect(act.count - 1).toBe(10);
    await expect(hint).toContainText('That’s a lantern in ten strokes.');
    await hint.getByRole('button', { name: 'Guide' }).click();
    await page.getByRole('button', { name: 'Chapter 2: Posing' }).click();
    await expect(page.getByText('Put the figure where it has to be, frame by frame.')).toBeVisible();
    const picture = page.getByAltText('Three poses and the arc through them');
    await expect(picture).toBeVisible();
    await page.getByRole('button', { name: 'Next: Acting out' }).click();
    await expect(page.getByRole('heading', { name: 'Acting out' })).toBeVisible();
  },
);

test('the hints can be left at any time, and do not come back', ONCE, async ({ bench, page }) => {
  await page.goto('/guide');
  await page.getByRole('button', { name: 'Try it: a lantern in ten strokes' }).click();
  await expect(page.getByTestId('lesson-hint')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the hints' }).click();
  await expect(page.getByTestId('lesson-hint')).toHaveCount(0);
  await bench.draw([0.1, 0.6], [0.9, 0.4]);
  await page.reload();
  await expect(bench.line).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('lesson-hint')).toHaveCount(0);
});

test('an empty list leads to it, and help on the bench does', ONCE, async ({ page }) => {
  const server = await testServer(['--empty']);
  try {
    await server.start();
    await page.goto(server.address);
    await page.getByRole('button', { name: 'Try it: a lantern in ten strokes' }).click();
    await expect(page.getByTestId('lesson-hint')).toContainText('Hint 1 of 4');
    await page.getByRole('button', { name: 'Shot menu' }).click();
    await page.getByRole('button', { name: 'Help for this step' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Guide', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Chapter 10: From a film' })).toBeVisible();
    await expect(page).toHaveURL(/\/guide$/);
  } finally {
    await server.remove();
  }
});
