import { expect, ONCE, test } from '../support/test';

const ROOM = 508;

test(
  'with the keyboard of a phone up, the name that is typed stands just above it, and the picture above that',
  ONCE,
  async ({ bench, page }) => {
    // A browser without a screen has no keyboard of its own: what it leaves of the page is told as one would tell it.
    await page.addInitScript(() => {
      const seen = Object.assign(new EventTarget(), { height: window.innerHeight, width: window.innerWidth });
      Object.defineProperty(window, 'visualViewport', { value: seen });
    });
    const keyboard = (height: number) =>
      page.evaluate((left) => {
        Object.assign(window.visualViewport!, { height: left });
        window.visualViewport!.dispatchEvent(new Event('resize'));
      }, height);
    await bench.straight('Typing', 41);
    await bench.press('Next mark');
    await page.getByRole('radio', { name: 'Custom', exact: true }).click();
    const label = page.getByRole('textbox', { name: 'Custom label' });
    await label.focus();
    await keyboard(ROOM);
    await expect(page.getByRole('tab', { name: 'Sheet', exact: true })).toBeHidden();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden();
    await expect(page.getByRole('tablist', { name: 'Group' })).toBeHidden();
    await expect(label).toBeFocused();
    const box = (await label.boundingBox())!;
    expect(box.y + box.height).toBeLessThanOrEqual(ROOM);
    const field = (await page.getByTestId('field').boundingBox())!;
    expect([field.y, field.height]).toEqual([0, 110]);
    expect(box.y).toBeGreaterThan(field.y + field.height);
    await page.keyboard.type('over the rope');
    await page.keyboard.press('Enter');
    await keyboard(844);
    await expect(page.getByRole('tab', { name: 'Sheet', exact: true })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Mark on frame 41' })).toBeVisible();
    await expect(page.getByText('over the rope').first()).toBeVisible();
  },
);
