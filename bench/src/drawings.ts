import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { seeDrawing } from '../../server/src/pictures/seeDrawing';

const flatDrawing = (paths: number): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300">${Array.from(
    { length: paths },
    (_, i) =>
      `<path d="M${i % 400} ${i % 300}l3 0 0 3z" fill="#${((i * 7919) % 4096).toString(16).padStart(3, '0')}"/>`,
  ).join('')}</svg>`;

const PATHS = 10_000;
const RUNS = 7;
/** Twice as many are looked at within this, milliseconds. */
export const DRAWING_BUDGET_MS = 3000;

// Thousands of elements are thrown away after each turn: what the turn before left is not to be counted in this one.
setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

async function timeOf(svg: string): Promise<number> {
  collect();
  const began = performance.now();
  await seeDrawing(svg);
  return performance.now() - began;
}

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/**
 * How long a flat drawing takes to be checked and measured, one of twice as many paths, and how many times as long that is:
 * by turns, so that what slows the machine for a while slows both.
 */
export async function drawingTimes(): Promise<{
  readonly ms: number;
  readonly twiceMs: number;
  readonly times: number;
}> {
  const [once, twice] = [flatDrawing(PATHS), flatDrawing(2 * PATHS)];
  // The first ones load what reads drawings, and are read slowly.
  for (let i = 0; i < 3; i++) await seeDrawing(flatDrawing(PATHS / 5));
  const turns: (readonly [number, number])[] = [];
  for (let i = 0; i < RUNS; i++) turns.push([await timeOf(once), await timeOf(twice)]);
  return {
    ms: Math.min(...turns.map(([ms]) => ms)),
    twiceMs: Math.min(...turns.map(([, ms]) => ms)),
    times: median(turns.map(([ms, twiceMs]) => twiceMs / ms)),
  };
}
