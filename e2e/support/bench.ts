import { edits, freshShot, type Shot, smoothThrough } from '@humble/core';
import { expect, type Locator, type Page } from '@playwright/test';
import { Acts } from './acts';
import type { Hand, Spot } from './hand';

export interface NewShot {
  readonly name: string;
  readonly rate?: number;
  readonly length?: number;
}

/** So many lines of a table are there at once, on the smallest screen. */
const MAX_LINES = 52;

/** Types into a field and is done with it. */
export async function enter(field: Locator, value: string | number): Promise<void> {
  await field.fill(String(value));
  await field.press('Enter');
}

/** The workbench as a person uses it. */
export class Bench {
  /** Acts of a person by touch, counted. */
  readonly acts: Acts;

  constructor(
    readonly page: Page,
    readonly hand: Hand,
  ) {
    this.acts = new Acts(this, page);
  }

  /** A new shot by the form. */
  async makeShot({ name, rate = 24, length = 21 }: NewShot): Promise<void> {
    await this.page.goto('/');
    await this.page.getByRole('button', { name: 'New shot' }).click();
    const dialog = this.page.getByRole('dialog', { name: 'New shot' });
    await dialog.getByRole('textbox', { name: 'Name' }).fill(name);
    await dialog.getByLabel('Rate, frames a second').fill(String(rate));
    await dialog.getByLabel('Length, frames').fill(String(length));
    await dialog.getByRole('button', { name: 'Create shot' }).click();
    await expect(this.page.getByTestId('transport')).toBeVisible();
  }

  /** The same, made by the server at once, for what is not about making it. */
  openShot({ name, rate = 24, length = 21 }: NewShot): Promise<void> {
    return this.open(freshShot({ name, rate, lengthFrames: length, width: 1920, height: 1080 }));
  }

  /** A shot as it is. */
  async open(shot: Shot): Promise<void> {
    const made = await this.page.request.post('/api/shots', { data: { shot } });
    const { id } = (await made.json()) as { readonly id: string };
    await this.page.goto(`/shot/${id}`);
    await expect(this.page.getByTestId('transport')).toBeVisible();
  }

  /** The place on the page of a place in the field, given as shares of its width and height. */
  async spot(across: number, down: number): Promise<Spot> {
    const box = (await this.page.getByTestId('field-paper').first().boundingBox())!;
    return { x: box.x + across * box.width, y: box.y + down * box.height };
  }

  async draw(...shares: [number, number][]): Promise<void> {
    const spots: Spot[] = [];
    for (const [across, down] of shares) spots.push(await this.spot(across, down));
    await this.hand.drag(spots);
    await expect(this.page.getByTestId('arc-line')).toHaveAttribute('d', /^M/);
  }

  /** A stroke over places of the field. */
  async stroke(...shares: [number, number][]): Promise<void> {
    const spots: Spot[] = [];
    for (const [across, down] of shares) spots.push(await this.spot(across, down));
    await this.hand.drag(spots);
  }

  async tap(across: number, down: number): Promise<void> {
    await this.hand.tap(await this.spot(across, down));
  }

  /** Two taps in short order. */
  async tapTwice(across: number, down: number): Promise<void> {
    await this.hand.tapTwice(await this.spot(across, down));
  }

  press(name: string | RegExp): Promise<void> {
    return this.page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click();
  }

  choose(name: string): Promise<void> {
    return this.page.getByRole('radio', { name, exact: true }).click();
  }

  /** Brings a group of the step's panel forward: by its chip on a phone, by unfolding it on a wide screen. */
  async group(name: string): Promise<void> {
    const chip = this.page.getByRole('tablist', { name: 'Group' }).getByRole('tab', { name, exact: true });
    const section = this.page.locator(`[role=button][aria-expanded][aria-label="${name}"]`);
    await expect(chip.or(section)).toBeVisible();
    if (await chip.isVisible()) await chip.click();
    else if ((await section.getAttribute('aria-expanded')) === 'false') await section.click();
  }

  /** Opens a line of the figure's keys. */
  async keyLine(name: string): Promise<void> {
    await this.group('Keys');
    const line = this.page
      .getByRole('button', { name, exact: true })
      .and(this.page.locator('[aria-expanded]'));
    if ((await line.getAttribute('aria-expanded')) === 'false') await line.click();
  }

  /** A mark on the frame at the playhead. */
  async addMark(): Promise<void> {
    await this.page.getByRole('button', { name: /^Add a mark on / }).click();
  }

  /** What a press on play that rests offers, or a button of the same name on a wide screen. */
  async playback(name: string): Promise<void> {
    if (!this.hand.isFinger) return this.press(name);
    await this.press('View');
    await this.page.getByTestId('view-sheet').getByRole('button', { name, exact: true }).click();
    await this.press('Close the view sheet');
  }

  /** A ready shape from the dialog. */
  async readyShape(name: string): Promise<void> {
    await this.group('Draw');
    await this.press('Shapes');
    await this.page.getByRole('dialog').getByRole('button', { name, exact: true }).click();
  }

  get line(): Locator {
    return this.page.getByTestId('arc-line');
  }

  get points(): Locator {
    return this.page.locator('[data-testid^="point-p"]');
  }

  /** The middle of something that is drawn in the field, on the page. */
  async middleOf(drawn: Locator): Promise<Spot> {
    const box = (await drawn.boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }

  field(label: string): Locator {
    return this.page.getByLabel(label, { exact: true });
  }

  async number(label: string): Promise<number> {
    return Number((await this.field(label).inputValue()).replace('−', '-'));
  }

  async step(name: 'Arc' | 'Figure' | 'Timing' | 'Sheet' | 'Shoot'): Promise<void> {
    await this.page.getByRole('tab', { name, exact: true }).click();
  }

  async type(label: string, value: string | number): Promise<void> {
    await enter(this.field(label), value);
  }

  async undo(): Promise<void> {
    await this.page.getByRole('button', { name: 'Undo' }).click();
  }

  async redo(): Promise<void> {
    await this.page.getByRole('button', { name: 'Redo' }).click();
  }

  get status(): Locator {
    return this.page.getByTestId('save-status');
  }

  async saved(): Promise<void> {
    await expect(this.status).toHaveText(/ saved$|^saved$/);
  }

  /** The shot as the server has it, once all is saved. */
  async kept(): Promise<Shot> {
    await this.saved();
    const address = `/api/shots/${new URL(this.page.url()).pathname.split('/').pop()}`;
    return ((await (await this.page.request.get(address)).json()) as { readonly shot: Shot }).shot;
  }

  /** Opens the preview. Returns what reads its picture as it is then. */
  async preview(): Promise<() => Promise<string>> {
    await this.press('Shot menu');
    await this.press('Preview');
    const canvas = this.page.getByTestId('preview-canvas');
    await expect(canvas).toBeVisible();
    await expect(this.page.getByText('Getting the pictures')).toHaveCount(0);
    return () => canvas.evaluate((element) => (element as HTMLCanvasElement).toDataURL());
  }

  /** The increments by column, as they stand in the table of the Sheet step. */
  async column(name: string): Promise<string[]> {
    const table = this.page.getByRole('table', { name: 'Increments' }).first();
    const heads = await table.getByRole('columnheader').allTextContents();
    const index = heads.indexOf(name);
    expect(index, `a column ${name} among ${heads.join(', ')}`).toBeGreaterThanOrEqual(0);
    const cells = table.locator(`[role=row] [role=cell]:nth-of-type(${index + 1})`);
    // A long table has its first lines only, until it is scrolled.
    const all = Number(await table.getAttribute('aria-rowcount'));
    const lines = Math.min(MAX_LINES, all);
    await expect.poll(() => cells.count()).toBeGreaterThanOrEqual(lines);
    // The increment to the picture in sight stands in a field.
    const texts = await cells.evaluateAll((found) =>
      found.map((cell) => cell.querySelector('input')?.value ?? (cell as HTMLElement).innerText),
    );
    return texts.slice(0, lines);
  }

  /** Path data of a shape that may be drawn in pieces. */
  async drawn(testId: string): Promise<string> {
    const shape = this.page.getByTestId(testId);
    await expect(
      shape
        .locator('path[d^=M]')
        .or(shape.and(this.page.locator('path[d^=M]')))
        .first(),
    ).toBeAttached();
    return shape.evaluate((element) =>
      [element, ...element.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '').join(''),
    );
  }

  /** Chooses files where a press asks for some. */
  async chooseFiles(
    press: () => Promise<void>,
    ...files: { readonly name: string; readonly mimeType: string; readonly buffer: Buffer }[]
  ): Promise<void> {
    const chooser = this.page.waitForEvent('filechooser');
    await press();
    await (await chooser).setFiles(files);
  }

  /** How a figure is put into the field: the six numbers of its matrix. @param index from the back, 0 at the back */
  async placement(index = 0): Promise<readonly [number, number, number, number, number, number]> {
    const transform = await this.page.getByTestId('figure').nth(index).getAttribute('transform');
    const numbers =
      /matrix\(([^)]*)\)/
        .exec(transform ?? '')?.[1]
        ?.split(' ')
        .map(Number) ?? [];
    expect(numbers).toHaveLength(6);
    return numbers as unknown as Awaited<ReturnType<Bench['placement']>>;
  }

  /** Goes to a frame by its number on the rail's knob. */
  async goTo(frame: number): Promise<void> {
    const knob = this.page.getByRole('slider', { name: 'Frame', exact: true });
    await knob.focus();
    await this.page.keyboard.press('Home');
    for (let f = 1; f + 10 <= frame; f += 10) await this.page.keyboard.press('PageUp');
    const now = async (): Promise<number> => Number(await knob.getAttribute('aria-valuenow'));
    while ((await now()) < frame) await this.page.keyboard.press('ArrowRight');
    await expect(knob).toHaveAttribute('aria-valuenow', String(frame));
  }

  /** One of the views of the timing: chosen on a phone, there already on a wide screen. */
  async view(name: 'Ruler' | 'Graph' | 'Chart' | 'Numbers'): Promise<void> {
    if (!this.hand.isFinger) return;
    await this.press('Graph, chart or numbers');
    await this.page.getByRole('dialog').getByRole('button', { name, exact: true }).click();
  }

  /** A straight arc over the middle of the field, 1536 units of 1920 long, and an even timing. */
  async straight(name: string, length: number): Promise<void> {
    const empty = freshShot({ name, rate: 24, lengthFrames: length, width: 1920, height: 1080 });
    const drawn = edits.drawArc(empty, { points: smoothThrough([192, 1728].map((x) => ({ x, y: 540 }))) });
    const { id: moveId, marks } = drawn.moves[0]!;
    await this.open(edits.setEasing(drawn, { moveId, markId: marks[0]!.id, easing: { kind: 'even' } }));
    await this.step('Timing');
  }

  /** Numbers of a column, with the words for none and for a hold as they are. */
  async numbers(column: string): Promise<number[]> {
    return (await this.column(column)).map((text) => (text === 'hold' ? 0 : Number(text.replace('−', '-'))));
  }

  /** Length of the arc that is worked on as the browser measures its line, field units to one decimal. */
  async arcLength(): Promise<number> {
    await this.step('Arc');
    const length = await this.line.evaluate((path) => (path as unknown as SVGPathElement).getTotalLength());
    return Math.round(length * 10) / 10;
  }
}
