import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { expect, ONCE, test } from '../support/test';

/** Two takes of a straight move: in the second, which is current, its middle is passed eight frames later. */
function twoTakes(): Shot {
  const empty = freshShot({ name: 'Two ways', rate: 24, lengthFrames: 41, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const { id: moveId, marks } = drawn.moves[0]!;
  const even = edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } });
  const marked = edits.addMark(even, { moveId, frame: 21 });
  const named = edits.renameTake(marked, { takeId: 'take1', name: 'First' });
  const second = edits.addTake(named, { name: 'Late' });
  const middle = second.moves[0]!.marks[1]!.id;
  return edits.moveMarks(second, { moveId, markIds: [middle], byFrames: 8, takesLater: false });
}

test('a take is compared in field, ruler and graph, lined up at a mark, and chosen; undone, and kept', async ({
  bench,
  page,
}) => {
  await bench.open(twoTakes());
  await bench.step('Timing');
  await bench.group('Takes');
  await page.getByRole('tab', { name: 'First', exact: true }).click();
  // On frame 29 the one is in the middle, 800 units on; the other has come 320 further.
  await expect(page.getByText('Furthest apart on frame 29: 320.0 units.')).toBeVisible();
  await expect(page.getByTestId('take-difference').locator('svg').first()).toBeVisible();
  await bench.goTo(29);
  const figure = page.getByTestId('figure').first();
  const outline = page.getByTestId('other-take').locator('path');
  await expect(outline).toHaveAttribute('d', /^M/);
  const apart = async (): Promise<number> => {
    const [mine, other] = [(await figure.boundingBox())!, (await outline.boundingBox())!];
    const paper = (await page.getByTestId('field-paper').first().boundingBox())!;
    return ((other.x + other.width / 2 - mine.x - mine.width / 2) * 1920) / paper.width;
  };
  await expect.poll(apart).toBeGreaterThan(300);
  expect(await apart()).toBeLessThan(340);
  // The other line in its own style; it stands on the ruler as well.
  await expect(page.getByTestId('ruler-other-take')).toHaveAttribute('d', /^M/);

  await bench.choose('End');
  await expect(page.getByText('Furthest apart on frame 29: 320.0 units.')).toBeVisible();
  await page.getByRole('radio', { name: 'First', exact: true }).click();
  await bench.saved();
  await expect(page.getByRole('radio', { name: 'First', exact: true })).toBeChecked();
  // As the current one it is compared with the one that was current.
  await expect(outline).toHaveAttribute('d', /^M/);
  await expect(page.getByTestId('apart-here')).toContainText('“Late”');
  await bench.undo();
  await bench.saved();
  await expect(page.getByRole('radio', { name: 'Late', exact: true })).toBeChecked();
  await page.getByRole('radio', { name: 'First', exact: true }).click();
  await bench.saved();
  await page.reload();
  await bench.step('Timing');
  await bench.group('Takes');
  await expect(page.getByRole('radio', { name: 'First', exact: true })).toBeChecked();
});

test(
  'played by turns the other take is the figure itself, every second time round',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(twoTakes());
    await bench.step('Timing');
    await page.keyboard.press('b');
    await bench.goTo(29);
    const at = (): Promise<string | null> => page.getByTestId('figure').first().getAttribute('transform');
    const own = await at();
    expect(own).toMatch(/^matrix/);
    await bench.press('Play');
    // The other one passes this place eight frames sooner: what is seen there differs by the turn.
    const seen = await page.evaluate(async () => {
      const outline = (): string =>
        document.querySelector('[data-testid="other-take"] path')?.getAttribute('d') ?? '';
      const states = new Set<boolean>();
      const until = performance.now() + 6000;
      while (performance.now() < until && states.size < 2) {
        states.add(outline() !== '');
        await new Promise(requestAnimationFrame);
      }
      return [...states].sort();
    });
    expect(seen).toEqual([false, true]);
    await bench.press('Pause');
  },
);
