import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, ONCE, test } from '../support/test';

async function download(page: Page, button: string): Promise<{ name: string; text: string }> {
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const file = await waiting;
  return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'utf8') };
}

async function choose(page: Page, press: () => Promise<void>, name: string, text: string): Promise<void> {
  const waiting = page.waitForEvent('filechooser');
  await press();
  const chooser = await waiting;
  await chooser.setFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });
}

const importButton = (page: Page) => () => page.getByRole('button', { name: 'Import a shot' }).click();

test('what is exported can be read back in', ONCE, async ({ bench, page }) => {
  await page.goto('/shot/demo-rounds-of-the-harbour-master');
  await bench.step('Sheet');
  await page.getByRole('button', { name: 'Export' }).first().click();
  const csv = await download(page, 'Increments as CSV');
  expect(csv.name).toBe('rounds-of-the-harbour-master-increments.csv');
  expect(csv.text.trimEnd().split('\n')).toHaveLength(54);
  await page.getByRole('button', { name: 'Export' }).first().click();
  const json = await download(page, 'Shot as a file');
  expect(json.name).toBe('rounds-of-the-harbour-master.json');
  const places = await bench.column('place mm');

  // The shot file becomes a shot like the one it came from.
  const renamed = json.text.replace('Rounds of the harbour master', 'Rounds again');
  await page.goto('/');
  await choose(page, importButton(page), 'rounds.json', renamed);
  await expect(page.getByRole('heading', { name: 'Rounds again' })).toBeVisible();
  await bench.step('Sheet');
  expect(await bench.column('place mm')).toEqual(places);

  // The table becomes a shot whose figure stands on the same places at the same times.
  await page.goto('/');
  await choose(page, importButton(page), 'From a table.csv', csv.text);
  await expect(page.getByRole('heading', { name: 'From a table' })).toBeVisible();
  await bench.step('Sheet');
  expect((await bench.column('x')).slice(0, 10)).toEqual(
    csv.text
      .split('\n')
      .slice(1, 11)
      .map((line) => Number(line.split(',')[6]).toFixed(1)),
  );
});

test(
  'a table of increments is read into the open shot as timing, one undo step',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Anchor', length: 11 });
    await bench.draw([0.1, 0.5], [0.9, 0.5]);
    await bench.step('Sheet');
    const before = await bench.column('place');
    const table = [
      'frame,place,x,y',
      ...[0, 1, 2, 3, 5, 8, 13, 21, 34, 55, 89].map((place, i) => `${i + 1},${place},0,0`),
    ].join('\n');
    const read = async (name: string, text: string): Promise<void> => {
      await page.getByRole('button', { name: 'Shot menu' }).click();
      await choose(
        page,
        () => page.getByRole('button', { name: 'Read increments from CSV' }).click(),
        name,
        text,
      );
    };
    await read('anchor.csv', table);
    await expect(
      page.getByText('The timing follows “Place along the arc” in “anchor.csv”: 10 places moved.'),
    ).toBeVisible();
    expect(await bench.column('place')).toEqual([
      '0.00',
      '1.00',
      '2.00',
      '3.00',
      '5.00',
      '8.00',
      '13.00',
      '21.00',
      '34.00',
      '55.00',
      '89.00',
    ]);
    await bench.undo();
    expect(await bench.column('place')).toEqual(before);
    await read('far.csv', 'frame,place,x,y\n1,0,0,0\n2,99999,0,0\n');
    await expect(page.getByText(/Frame 2: place 99999 is not on the arc/)).toBeVisible();
    expect(await bench.column('place')).toEqual(before);
  },
);

test('the arc leaves as a drawing with its layers, and can be read back', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Out', length: 11 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.step('Sheet');
  await bench.press('Export');
  const { name, text } = await download(page, 'SVG of arcs and figures');
  expect(name).toBe('out-arc.svg');
  for (const layer of ['arc', 'ticks', 'posts', 'numbers']) expect(text).toContain(`<g id="${layer}"`);
});

test('increments and the arc are copied as text', ONCE, async ({ bench, page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await bench.openShot({ name: 'Copied', length: 11 });
  await bench.draw([0.1, 0.5], [0.9, 0.5]);
  await bench.step('Sheet');
  const places = await bench.column('place');
  const copied = async (label: string): Promise<string> => {
    await bench.press('Export');
    await bench.press(label);
    await expect(page.getByText('Copied.')).toBeVisible();
    await expect(page.getByRole('dialog', { name: 'Export' })).toBeHidden();
    return page.evaluate(() => navigator.clipboard.readText());
  };
  const [head, ...lines] = (await copied('Copy increments')).split('\n').map((line) => line.split('\t'));
  const at = head!.indexOf('place');
  expect(lines.map((cells) => Number(cells[at]).toFixed(2))).toEqual(places);
  expect(await copied('Copy arc as path data')).toMatch(/^M[-\d. ,]+C/);
});

test(
  'increments that are read count: the changed column leads, and where two disagree it asks',
  ONCE,
  async ({ bench, page }) => {
    await bench.straight('Column', 11);
    await bench.step('Sheet');
    await bench.press('Export');
    const { text } = await download(page, 'Increments as CSV');
    const before = await bench.column('along');
    const read = async (name: string, table: string): Promise<void> => {
      await page.getByRole('button', { name: 'Shot menu' }).click();
      await choose(
        page,
        () => page.getByRole('button', { name: 'Read increments from CSV' }).click(),
        name,
        table,
      );
    };
    await read('same.csv', text);
    await expect(page.getByText('Nothing in “same.csv” differs from this move.')).toBeVisible();

    const [head, ...lines] = text.trimEnd().split('\n');
    const columns = head!.split(',');
    const changed = (...changes: (readonly [line: number, column: string, by: number])[]): string => {
      const cells = lines.map((line) => line.split(','));
      for (const [line, column, by] of changes) {
        const at = columns.indexOf(column);
        cells[line]![at] = String(Number(cells[line]![at]) + by);
      }
      return [columns, ...cells].map((row) => row.join(';').replaceAll('.', ',')).join('\r\n');
    };
    await read('shorter.csv', changed([4, 'along', -10]));
    await expect(
      page.getByText(/follows “Increments along the arc” in “shorter.csv”: 7 places moved/),
    ).toBeVisible();
    const after = await bench.column('along');
    expect(Number(after[4])).toBeCloseTo(Number(before[4]) - 10, 2);
    expect(after[5]).toBe(before[5]);
    await bench.undo();

    await read('both.csv', changed([4, 'along', -10], [6, 'place', 5]));
    await page
      .getByRole('dialog', { name: 'Which column sets the timing?' })
      .getByRole('button', { name: 'Place along the arc' })
      .click();
    await expect(page.getByText(/follows “Place along the arc” in “both.csv”: 1 place moved/)).toBeVisible();
  },
);

test(
  'round a circle the sheet has as many increments as pictures, the step back among them',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Coin', length: 20 });
    await bench.step('Arc');
    await bench.readyShape('Circle');
    await bench.step('Sheet');
    const frames = await bench.column('frame');
    expect(frames).toHaveLength(21);
    expect(frames.at(-1)).toBe('to 1');
    const along = await bench.numbers('along');
    expect(along.slice(1)).toHaveLength(20);
    await bench.press('Export');
    const { text } = await download(page, 'Increments as CSV');
    expect(text.trimEnd().split('\n')).toHaveLength(22);
  },
);

test('a broken file gets a sentence and changes nothing', ONCE, async ({ page }) => {
  await page.goto('/');
  await expect(page.getByTestId('list-sum')).toContainText('shots');
  const sum = await page.getByTestId('list-sum').innerText();
  const whole = readFileSync(new URL('../../demo/shots/lantern-on-the-hook.json', import.meta.url), 'utf8');
  for (const [name, text, sentence] of [
    ['half.json', whole.slice(0, 700), /it isn’t valid JSON/],
    ['other.json', '{"hello":1}', /is not a Humble Pendulum shot/],
    ['later.json', whole.replace(/"version": \d+/, '"version": 99'), /newer release \(version 99/],
    [
      'bent.json',
      whole.replace('"frame": 48', '"frame": 1.5'),
      /the frame of mark 2 of move 1 is 1.5, and must be a whole number/,
    ],
    ['words.csv', 'frame,place,x,y\n1,0,0,0\n2,much,0,0\n', /Line 3: place is “much”/],
    ['nothing.csv', '', /This table is empty/],
  ] as const) {
    await choose(page, importButton(page), name, text);
    await expect(page.getByText(sentence)).toBeVisible();
  }
  await page.reload();
  await expect(page.getByTestId('list-sum')).toHaveText(sum);
});
