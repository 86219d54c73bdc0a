import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { expect, ONCE, test } from '../support/test';

/** A straight move whose speed jumps at the mark in its middle: 24 units a frame before it, 56 after it. */
function jumping(): Shot {
  const empty = freshShot({ name: 'Shunt', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const { id: moveId, marks } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  const marked = edits.addMark(even, { moveId, frame: 21, fraction: 0.3 });
  const middle = marked.moves[0]!.marks[1]!;
  return edits.setMarks(marked, { moveId, markIds: [middle.id], kind: 'pass' });
}

test('a finding is told in the sheet, leads to its frame, is mended by one press, and comes back by undo', async ({
  bench,
  page,
}) => {
  await bench.open(jumping());
  await bench.step('Sheet');
  const count = page.getByRole('button', { name: '1 to check', exact: true });
  await expect(count).toBeVisible();
  await count.click();
  const list = page.getByRole('list', { name: 'To check' });
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await list
    .getByRole('button', { name: /^Go to frame 20: The speed jumps at the mark on frame 21/ })
    .click();
  await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
    'aria-valuenow',
    '20',
  );

  // It shows itself in the field, on the rail and on the ruler.
  await expect(page.getByTestId('finding-ring')).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('rail-findings')).toHaveAttribute('d', /^M/);

  await list.getByRole('button', { name: 'Flow through it' }).click();
  await expect(page.getByRole('button', { name: 'Nothing found', exact: true })).toBeVisible();
  await expect(page.getByText('The checks found nothing to fix.')).toBeVisible();
  await bench.undo();
  await expect(count).toBeVisible();
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await expect(count).toBeVisible();
});

test('a finding is ignored for this shot, told again, and not told at all above another threshold', async ({
  bench,
  page,
}) => {
  await bench.open(jumping());
  await bench.step('Sheet');
  await bench.press('1 to check');
  await bench.press('Ignore');
  await expect(page.getByRole('button', { name: 'Nothing found', exact: true })).toBeVisible();
  await bench.saved();
  await page.reload();
  await bench.step('Sheet');
  await bench.press('Nothing found');
  await bench.press('1 ignored');
  await bench.press('Report it again');
  await expect(page.getByRole('button', { name: '1 to check', exact: true })).toBeVisible();
  await bench.press('When to report');
  await bench.type('Spacing changes by more than, units', 50);
  await expect(page.getByRole('button', { name: 'Nothing found', exact: true })).toBeVisible();
  await bench.undo();
  await expect(page.getByRole('button', { name: '1 to check', exact: true })).toBeVisible();
  // The settings of the shot have them, too.
  await bench.press('When to report');
  await bench.press('Shot menu');
  await bench.press('Shot settings');
  await bench.press('Thresholds of the checks');
  await bench.type('Spacing changes by more than, units', 60);
  await bench.press('Done');
  await expect(page.getByRole('button', { name: 'Nothing found', exact: true })).toBeVisible();
});

test('a finding names frames as they are counted, from 0 as well', ONCE, async ({ bench, page }) => {
  await bench.open(jumping());
  await bench.step('Sheet');
  await bench.press('1 to check');
  await expect(page.getByText(/^The speed jumps at the mark on frame 21:/)).toBeVisible();
  await bench.press('View');
  await bench.choose('Frame 0');
  await bench.press('Close the view sheet');
  await bench.press('1 to check');
  await expect(page.getByText(/^The speed jumps at the mark on frame 20:/)).toBeVisible();
});
