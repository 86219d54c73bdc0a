import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import type { Locator, Page } from '@playwright/test';
import { expect, ONCE, test } from '../support/test';

/** A straight move over 41 frames with a mark in its middle. */
function straight(): Shot {
  const empty = freshShot({ name: 'Tender', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  return edits.addMark(drawn, { moveId: drawn.moves[0]!.id, frame: 21 });
}

const versions = (page: Page): Locator => page.getByTestId('history').getByRole('listitem');
const restore = (entry: Locator): Locator => entry.getByRole('button', { name: /^Restore the version/ });

async function openHistory(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Shot menu' }).click();
  await page.getByRole('button', { name: 'History', exact: true }).click();
}

test('a version of before is found by what changed, looked at in the field, and restored; undone, and kept', async ({
  bench,
  page,
}) => {
  await bench.open(straight());
  const id = new URL(page.url()).pathname.split('/').pop()!;
  const moved = edits.movePoint(straight(), { arcId: 'arc1', pointId: 'p1', to: { x: 300, y: 200 } });
  // Saved by another window: this one follows.
  const save = (revision: number, shot: Shot) =>
    page.request.put(`/api/shots/${id}`, { data: { revision, shot } });
  expect((await save(1, moved)).ok()).toBe(true);
  expect((await save(2, edits.setLength(moved, { lengthFrames: 60 }))).ok()).toBe(true);
  await page.reload();
  await bench.saved();

  await openHistory(page);
  await expect(versions(page)).toHaveCount(3);
  await expect(versions(page).nth(0)).toContainText('Now');
  await expect(versions(page).nth(0)).toContainText('60 frames long, was 41');
  await expect(versions(page).nth(1)).toContainText('Arc reshaped');
  await expect(page.getByTestId('history')).toContainText('3 versions kept');

  const first = versions(page).nth(2);
  await expect(first).toContainText('The oldest version kept');
  await first.getByRole('button', { name: /^Look at/ }).click();
  // Its arc is not what the arc is now: it is drawn beside it, and its figure where it was.
  await expect(page.getByTestId('other-arcs')).toHaveAttribute('d', /^M160 540/);
  await expect(page.getByTestId('other-take').locator('path')).toHaveAttribute('d', /^M/);
  await page.getByRole('radio', { name: 'This version' }).click();
  await expect(page.locator('[data-testid^="point-p"]')).toHaveCount(0);

  await restore(first).click();
  await expect(page.getByText(/is back. Undo returns/)).toBeVisible();
  await bench.saved();
  await expect(page.getByTestId('other-arcs')).toHaveCount(0);
  const stored = async (): Promise<Shot> =>
    ((await (await page.request.get(`/api/shots/${id}`)).json()) as { shot: Shot }).shot;
  expect(await stored()).toMatchObject({
    lengthFrames: 41,
    arcs: JSON.parse(JSON.stringify(straight().arcs)),
  });
  // What was there before stands in the history, too.
  await expect(versions(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Close the history' }).click();
  await bench.undo();
  await bench.saved();
  expect((await stored()).lengthFrames).toBe(60);
});

test(
  'a version becomes a shot of its own, and goes on being compared in ruler and graph',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(straight());
    const id = new URL(page.url()).pathname.split('/').pop()!;
    const middle = straight().moves[0]!.marks[1]!.id;
    const later = edits.moveMarks(straight(), {
      moveId: straight().moves[0]!.id,
      markIds: [middle],
      byFrames: 8,
      takesLater: false,
    });
    await page.request.put(`/api/shots/${id}`, { data: { revision: 1, shot: later } });
    await page.reload();
    await bench.saved();
    await openHistory(page);
    await versions(page)
      .nth(1)
      .getByRole('button', { name: /^Look at/ })
      .click();
    await page.getByRole('button', { name: 'Save as a new shot' }).click();
    await expect(page.getByText(/^Saved as “Tender \(/)).toBeVisible();
    await page.getByRole('button', { name: 'Close the history' }).click();
    await bench.step('Timing');
    await expect(page.getByTestId('ruler-other-take')).toHaveAttribute('d', /^M/);
    await bench.group('Takes');
    await expect(page.getByRole('tab', { name: /^Version of/ })).toHaveAttribute('aria-selected', 'true');
    await page.getByRole('tab', { name: 'None' }).click();
    await expect(page.getByTestId('ruler-other-take')).not.toHaveAttribute('d', /^M/);
    const { shots } = (await (await page.request.get('/api/shots')).json()) as { shots: { name: string }[] };
    expect(shots.filter(({ name }) => name.startsWith('Tender ('))).toHaveLength(1);
  },
);

test(
  'a shot that was never changed says so, and a server that is away, too',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(straight());
    await openHistory(page);
    await expect(page.getByText('There are no earlier versions of this shot yet.')).toBeVisible();
    await page.getByRole('button', { name: 'Close the history' }).click();
    await page.route('**/revisions/**', (route) => route.abort());
    await openHistory(page);
    await expect(page.getByTestId('history').getByRole('alert')).toContainText('isn’t answering');
  },
);
