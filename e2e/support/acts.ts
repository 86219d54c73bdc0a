import { expect, type Locator, type Page } from '@playwright/test';
import type { Bench } from './bench';
import type { Spot } from './hand';

type Target = string | RegExp | Locator;
export type ChosenFile = { readonly name: string; readonly mimeType: string; readonly buffer: Buffer };

/** What something is called on the screen. */
const nameOf = (on: Locator): Promise<string> =>
  on.first().evaluate((element) => element.getAttribute('aria-label') ?? element.textContent ?? '');

/**
 * What somebody does with a hand, counted: a tap, a drag, and a field that is typed into are one act each. A field that
 * a tap opens is typed into in the same act; what is chosen in the system's own picker of files is none of ours.
 */
export class Acts {
  private acts = 0;
  private screens = 0;
  private seen = '';
  private place = '';
  /** The names of what was touched, in their order. */
  readonly touched: string[] = [];

  constructor(
    private readonly bench: Bench,
    private readonly page: Page,
  ) {}

  get count(): number {
    return this.acts;
  }

  /** How often another screen came up: a page, a step, a group, a dialog or a menu. */
  get screensPassed(): number {
    return this.screens;
  }

  /** From the list of shots. After a stroke it waits until what was drawn is saved: nobody goes on sooner. */
  async begin(): Promise<void> {
    await this.page.goto('/');
    await expect(this.page.getByRole('button', { name: 'New shot' })).toBeVisible();
    [this.acts, this.screens, this.seen, this.place] = [0, 0, '', ''];
  }

  /** The page, the step and group that were gone to, and what lies over them. */
  private async where(): Promise<string> {
    const over = await this.page
      .getByRole('dialog')
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')).join());
    return [new URL(this.page.url()).pathname.split('/')[1], this.place, over].join(' ');
  }

  /** @param on what is touched: the screen that it is on counts as one that was passed */
  private async act(does: () => Promise<void>, on?: Locator): Promise<void> {
    this.acts++;
    await on?.waitFor();
    const now = await this.where();
    if (now !== this.seen) this.screens++;
    this.seen = now;
    if (on) this.touched.push(await nameOf(on));
    await does();
  }

  private find(target: Target): Locator {
    if (typeof target === 'object' && !(target instanceof RegExp)) return target;
    const dialog = this.page.getByRole('dialog');
    const named = (root: Page | Locator): Locator =>
      root.getByRole('button', { name: target, exact: typeof target === 'string' });
    return named(dialog).or(named(this.page)).first();
  }

  tap(target: Target): Promise<void> {
    const on = this.find(target);
    return this.act(() => this.touch(on), on);
  }

  private get field(): Locator {
    return this.page.getByTestId('field-paper').first();
  }

  /** A finger, or the mouse on a wide screen. */
  private touch(target: Locator): Promise<void> {
    return this.bench.hand.isFinger ? target.tap() : target.click();
  }

  tapAt(across: number, down: number): Promise<void> {
    return this.act(() => this.bench.tap(across, down), this.field);
  }

  draw(...shares: [number, number][]): Promise<void> {
    return this.act(async () => {
      await this.bench.draw(...shares);
      await this.bench.saved();
    }, this.field);
  }

  /** Within an editor, at shares of its width and height. */
  tapIn(editor: Locator, across: number, down: number): Promise<void> {
    return this.act(async () => {
      // In the middle: the groups stay above what is scrolled.
      await editor.evaluate((element) => element.scrollIntoView({ block: 'center' }));
      const box = (await editor.boundingBox())!;
      await this.bench.hand.tap({ x: box.x + across * box.width, y: box.y + down * box.height });
    }, editor);
  }

  /** On something that is drawn: its middle. */
  tapOn(drawn: Locator): Promise<void> {
    return this.act(async () => this.bench.hand.tap(await this.bench.middleOf(drawn)));
  }

  drag(spots: readonly Spot[]): Promise<void> {
    return this.act(async () => {
      await this.bench.hand.drag(spots);
      await this.bench.saved();
    }, this.field);
  }

  /** Something done to the device itself: it is turned, say. */
  device(does: () => Promise<void>): Promise<void> {
    return this.act(does);
  }

  type(label: string, value: string | number): Promise<void> {
    return this.act(() => this.bench.type(label, value), this.bench.field(label));
  }

  /** Into a form in which Enter goes on to the next field. */
  fill(label: string, value: string | number): Promise<void> {
    const field = this.bench.field(label);
    return this.act(() => field.fill(String(value)), field);
  }

  toFrame(frame: number): Promise<void> {
    return this.act(async () => {
      await this.touch(this.page.getByTestId('frame-count'));
      const entry = this.page.getByLabel('Go to frame', { exact: true });
      await entry.fill(String(frame));
      await entry.press('Enter');
      await expect(this.page.getByRole('slider', { name: 'Frame', exact: true })).toHaveAttribute(
        'aria-valuenow',
        String(frame),
      );
    });
  }

  async step(name: 'Arc' | 'Figure' | 'Timing' | 'Sheet' | 'Shoot'): Promise<void> {
    await this.tap(this.page.getByRole('tab', { name, exact: true }));
    this.place = name;
  }

  /** A group of the step: by its tab; on a wide screen it is unfolded, or open already. */
  async group(name: string): Promise<void> {
    const tab = this.page.getByRole('tablist', { name: 'Group' }).getByRole('tab', { name, exact: true });
    const section = this.page.locator(`[role=button][aria-expanded][aria-label="${name}"]`);
    await expect(tab.or(section).first()).toBeVisible();
    if (await tab.isVisible()) await this.tap(tab);
    else if ((await section.getAttribute('aria-expanded')) === 'false') await this.tap(section);
    this.place = `${this.place.split(' ')[0]} ${name}`;
  }

  choose(name: string): Promise<void> {
    return this.tap(this.page.getByRole('radio', { name, exact: true }).first());
  }

  openShot(name: string): Promise<void> {
    return this.act(async () => {
      await this.touch(this.page.getByRole('link', { name: `Open ${name},` }).first());
      await expect(this.page.getByTestId('transport')).toBeVisible();
    });
  }

  /** A tap that asks for files. */
  files(target: Target, ...files: ChosenFile[]): Promise<void> {
    const on = this.find(target);
    return this.act(() => this.bench.chooseFiles(() => this.touch(on), ...files), on);
  }
}
