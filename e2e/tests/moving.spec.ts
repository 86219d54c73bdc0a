import { edits, evaluate, freshShot, type Shot, smoothThrough } from '@humble/core';
import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import type { Bench } from '../support/bench';
import { expect, ONCE, test } from '../support/test';

const moveId = 'move1';

/** On twos round a bend, with one picture off its arc, turned by a key and sized by another. */
function lively(): Shot {
  const empty = freshShot({ name: 'Lively', rate: 24, lengthFrames: 30, width: 1920, height: 1080 });
  const bend = [
    [200, 800],
    [900, 250],
    [1700, 700],
  ].map(([x, y]) => ({ x: x!, y: y! }));
  const drawn = edits.drawArc(empty, { points: smoothThrough(bend) });
  const held = edits.setFramesHeld(drawn, { moveId, framesHeld: 2 });
  const turned = edits.setKey(held, { moveId, track: 'turn', frame: 11, value: 50 });
  const sized = edits.setKey(turned, { moveId, track: 'size', frame: 21, value: 160 });
  return edits.putByHand(sized, { moveId, frame: 9, dx: 30, dy: -40 });
}

/** Where the figure's pivot is seen on each frame, field units. */
function pivots(shot: Shot): readonly (readonly [x: number, y: number])[] {
  const { shown, pivotX, pivotY } = evaluate(shot).travels[0]!;
  return [...shown].map((frame) => [pivotX[frame - 1]!, pivotY[frame - 1]!] as const);
}

async function exported(bench: Bench, page: Page, label: string): Promise<string> {
  await bench.step('Sheet');
  await bench.press('Export');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('dialog').getByRole('button', { name: label }).click(),
  ]);
  return readFileSync(await download.path(), 'utf8');
}

test(
  'an SVG that moves by itself is where the evaluation is, on every frame',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(lively());
    const svg = await exported(bench, page, 'SVG that moves');
    await page.setContent(svg);
    const shot = lively();
    // A spot of the figure that does not turn or grow: its pivot, in the figure's own units.
    const seen = await page.evaluate(
      ({ rate, count }) => {
        const root = document.querySelector('svg')!;
        root.pauseAnimations();
        const part = root.querySelector<SVGGElement>('g.part')!;
        const field = root.getScreenCTM()!.inverse();
        return Array.from({ length: count }, (_, i) => {
          root.setCurrentTime((i + 0.5) / rate);
          const { e, f } = field.multiply(part.getScreenCTM()!);
          return [e, f] as const;
        });
      },
      { rate: shot.rate, count: shot.lengthFrames },
    );
    pivots(shot).forEach(([x, y], i) => {
      expect(Math.abs(seen[i]![0] - x), `frame ${i + 1}`).toBeLessThan(0.5);
      expect(Math.abs(seen[i]![1] - y), `frame ${i + 1}`).toBeLessThan(0.5);
    });
  },
);

test(
  'Lottie is played by a public player, and is where the evaluation is, on every frame',
  ONCE,
  async ({ bench, page }) => {
    await bench.open(lively());
    const json = await exported(bench, page, 'Lottie JSON');
    const player = readFileSync(createRequire(import.meta.url).resolve('lottie-web'), 'utf8');
    await page.setContent('<div id="stage" style="width:1920px;height:1080px"></div>');
    await page.evaluate(`${player}\n;window.lottie ??= lottie;`);
    const shot = lively();
    const seen = await page.evaluate(
      async ({ data, count }) => {
        interface Player {
          readonly loadAnimation: (options: object) => {
            readonly goToAndStop: (frame: number, isFrame: boolean) => void;
            readonly totalFrames: number;
            readonly isLoaded: boolean;
            readonly addEventListener: (name: string, heard: () => void) => void;
          };
        }
        const { lottie } = window as unknown as { lottie: Player };
        const animation = lottie.loadAnimation({
          container: document.querySelector('#stage')!,
          renderer: 'svg',
          autoplay: false,
          loop: false,
          animationData: JSON.parse(data) as object,
        });
        await new Promise<void>((ready) => {
          if (animation.isLoaded) ready();
          else animation.addEventListener('DOMLoaded', ready);
        });
        const root = document.querySelector<SVGSVGElement>('#stage svg')!;
        const path = root.querySelector<SVGGraphicsElement>('path')!;
        const field = root.getScreenCTM()!.inverse();
        const at = (frame: number) => {
          animation.goToAndStop(frame, true);
          const m = field.multiply(path.getScreenCTM()!);
          return { a: m.a, b: m.b, c: m.c, d: m.d, e: m.e, f: m.f };
        };
        return { frames: animation.totalFrames, places: Array.from({ length: count }, (_, i) => at(i)) };
      },
      { data: json, count: shot.lengthFrames },
    );
    expect(seen.frames).toBe(shot.lengthFrames);
    const { look } = await import('@humble/core/views').then(({ figureOn }) =>
      figureOn(evaluate(shot).travels[0]!, 0),
    );
    pivots(shot).forEach(([x, y], i) => {
      const { a, b, c, d, e, f } = seen.places[i]!;
      const { x: px, y: py } = look.pivot;
      expect(Math.abs(a * px + c * py + e - x), `frame ${i + 1}`).toBeLessThan(0.5);
      expect(Math.abs(b * px + d * py + f - y), `frame ${i + 1}`).toBeLessThan(0.5);
    });
  },
);
