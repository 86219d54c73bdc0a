import type { CDPSession, Page } from '@playwright/test';

/**
 * How long the fixed loop takes on the reference machine slowed four times, milliseconds. The throttle is chosen so
 * that it takes as long here: a slow machine is slowed less.
 */
const REFERENCE_MS = 42;
const MIN_RATE = 1;
/** Beside other work the loop now and then reads too quick: nothing is slowed by more than the reference is. */
const MAX_RATE = 4;
const ADJUSTMENTS = 3;

/** The quickest of a few turns of a fixed loop of arithmetic and allocation, milliseconds. */
const loopMs = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const turn = (): number => {
      const began = performance.now();
      let sum = 0;
      for (let i = 0; i < 400_000; i++) {
        const place = { x: Math.sin(i), y: Math.sqrt(i) };
        sum += place.x * place.y;
      }
      return Number.isFinite(sum) ? performance.now() - began : Infinity;
    };
    return Math.min(...Array.from({ length: 15 }, turn));
  });

/**
 * Slows the page as the reference machine is slowed by four.
 * @returns the throttle that it took, and what ends it
 */
export async function slowDown(
  page: Page,
  session: CDPSession,
): Promise<{ readonly rate: number; readonly end: () => Promise<void> }> {
  let rate = 1;
  // A machine that others use as well changes its pace: what was set is looked at, and set once more.
  for (let i = 0; i < ADJUSTMENTS; i++) {
    rate = Math.min(MAX_RATE, Math.max(MIN_RATE, (rate * REFERENCE_MS) / (await loopMs(page))));
    await session.send('Emulation.setCPUThrottlingRate', { rate });
  }
  return {
    rate: Math.round(rate * 10) / 10,
    end: () => session.send('Emulation.setCPUThrottlingRate', { rate: 1 }).then(() => undefined),
  };
}
