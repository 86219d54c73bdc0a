import { expect, ONCE, test } from '../support/test';

test(
  'by touch a number is typed with the pad: live in the field, summed, in percent, cancelled, on to the next',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Pad', 41);
    const pad = page.getByTestId('number-pad');
    const key = (name: string) => pad.getByRole('button', { name, exact: true });
    const press = async (...names: string[]): Promise<void> => {
      for (const name of names) await key(name).tap();
    };
    await bench.press('Next mark');
    const place = bench.field('Place, units');
    const before = await place.inputValue();
    expect(before).toBe('1536');
    await place.tap();
    await expect(pad).toBeVisible();
    // No keyboard of the system comes over it.
    await expect(place).toHaveAttribute('inputmode', 'none');
    await press('5', '0', '0', 'Plus', '1', '2', 'Times', '2');
    await expect(place).toHaveValue('500+12×2');
    await expect.poll(async () => page.getByTestId('mark-percent').textContent()).toBe('34.1 % of the arc');
    await press('Cancel');
    await expect(pad).toBeHidden();
    await expect(place).toHaveValue(before);

    await place.tap();
    await press('2', '5');
    await pad.getByRole('radio', { name: '%' }).tap();
    await press('OK');
    await expect(pad).toBeHidden();
    await expect(place).toHaveValue('384');
    await bench.undo();
    await expect(place).toHaveValue('1536');

    // To the field before, and counted down while a finger rests.
    await place.tap();
    await press('Previous number');
    const frame = bench.field('On frame');
    await expect(frame).toBeFocused();
    const minus = await bench.middleOf(key('Minus'));
    await bench.hand.hold([minus], async () => {
      await expect.poll(() => frame.inputValue().then(Number)).toBeLessThan(39);
    });
    await press('OK');
    const stands = await bench.number('On frame');
    expect(stands).toBeLessThan(39);
    await expect(page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
      'aria-valuenow',
      String(stands),
    );
  },
);
