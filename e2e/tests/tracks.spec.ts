import { enter } from '../support/bench';
import { expect, test } from '../support/test';

const SHOT = '/shot/demo-lantern-on-the-hook';

test('keys turn the figure: added by two taps, typed, dragged, eased, undone, and kept', async ({
  bench,
  page,
  hand,
}) => {
  await page.goto(SHOT);
  await bench.step('Figure');
  await bench.group('Turn');
  const strip = page.getByTestId('track-turn');
  await strip.scrollIntoViewIfNeeded();
  const figure = page.getByTestId('figure').first();
  const at = async (across: number, down: number) => {
    const box = (await strip.boundingBox())!;
    return { x: box.x + across * box.width, y: box.y + down * box.height };
  };
  await hand.tapTwice(await at(0.3, 0.8));
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 1 key');
  await hand.tapTwice(await at(0.7, 0.8));
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 2 keys');

  const before = await figure.getAttribute('transform');
  const value = page.getByRole('textbox', { name: /^Turn on frame/ });
  await enter(value, '90');
  await expect(figure).not.toHaveAttribute('transform', before!);
  await expect(value).toHaveValue('90');

  // The key at the top is dragged to an earlier frame; the playhead goes with it.
  const label = await value.getAttribute('aria-label');
  const keys = page.getByTestId('track-keys');
  const drawn = await keys.getAttribute('d');
  const [x, y] = drawn!.split('M').at(-1)!.split('l')[0]!.split(' ').map(Number) as [number, number];
  const box = (await strip.boundingBox())!;
  const key = { x: box.x + x + 6, y: box.y + y };
  await hand.drag([key, { x: key.x - 20, y: key.y }, { x: key.x - 50, y: key.y }]);
  await expect(keys).not.toHaveAttribute('d', drawn!);
  await expect(page.getByRole('textbox', { name: /^Turn on frame/ })).not.toHaveAttribute(
    'aria-label',
    label!,
  );
  await bench.press('Undo');
  await expect(keys).toHaveAttribute('d', drawn!);

  // Between the keys it can be eased.
  await page.getByRole('button', { name: 'One frame back' }).click();
  await bench.press('Other easings');
  await page.getByRole('radio', { name: 'Winds up' }).click();
  await expect(page.getByText('Goes back a little first, then on to the mark.')).toBeVisible();

  await bench.saved();
  await page.reload();
  await bench.step('Figure');
  await strip.scrollIntoViewIfNeeded();
  await expect(strip).toHaveAccessibleName('Turn over 48 frames: 2 keys');
});
