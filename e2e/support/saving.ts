import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';

/** A file that a button saves. @param name of the button, whole */
export async function saved(page: Page, name: string): Promise<Download> {
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    page.getByRole('button', { name, exact: true }).click(),
  ]);
  return download;
}

export const bytesOf = async (download: Download): Promise<Buffer> => readFileSync(await download.path());
