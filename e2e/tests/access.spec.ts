import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from '../support/test';

/** Faults that keep someone out, by the rules of WCAG 2.1 A and AA. */
async function faults(page: Page): Promise<string[]> {
  await page.evaluate(() => document.fonts.ready);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'])
    .analyze();
  return violations.flatMap(({ id, nodes }) =>
    nodes.map((node) => `${id}: ${node.target.join(' ')} ${node.failureSummary ?? ''}`),
  );
}

for (const theme of ['light', 'dark'] as const)
  test(`every step can be read and named, ${theme}`, async ({ page, bench }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: theme });
    await page.goto('/');
    await expect(page.getByTestId('card-Lantern on the hook')).toBeVisible();
    expect(await faults(page)).toEqual([]);
    await page.goto('/shot/demo-rounds-of-the-harbour-master');
    for (const step of ['Arc', 'Figure', 'Timing', 'Sheet'] as const) {
      await bench.step(step);
      expect(await faults(page)).toEqual([]);
    }
    await page.getByRole('button', { name: 'View' }).click();
    expect(await faults(page)).toEqual([]);
  });
