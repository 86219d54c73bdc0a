import { evaluate, type Shot } from '@humble/core';
import { incrementTable, unrolledArc } from '@humble/core/views';
import { openShot, shotCard } from '@humble/core/files';
import { type HeavyShot, heavyShot } from '@humble/core/testing/heavyShots';

/** Twice the input may take so many times as long. */
export const GROWTH_BUDGET = 2.2;
const RUNS = 9;

/** What grows, from one size to twice of it. The other numbers are large enough to matter. */
const GROWING: Readonly<Record<string, (n: number) => Partial<HeavyShot>>> = {
  'frames (5,000)': (n) => ({ frames: 5000 * n, points: 50 }),
  'marks (1,000)': (n) => ({ frames: 10_000, points: 50, marks: 1000 * n }),
  'marks that flow (1,000)': (n) => ({ frames: 10_000, points: 50, marks: 1000 * n, easing: 'flow' }),
  'tied marks and points (1,000)': (n) => ({
    frames: 10_000,
    points: 1000 * n,
    marks: 1000 * n,
    isTied: true,
  }),
  'points (1,000)': (n) => ({ frames: 1000, points: 1000 * n }),
  'placements (500)': (n) => ({ frames: 10_000, points: 1000, placements: 500 * n }),
  'ranges (1,000)': (n) => ({ frames: 10_000, ranges: 1000 * n }),
  'moves (20)': (n) => ({ frames: 800, points: 20, moves: 20 * n }),
};

/** What is done with a shot. Each works on objects of its own, so that nothing is remembered of them. */
const WORK: Readonly<Record<string, (shot: Shot) => unknown>> = {
  opened: (shot) => openShot(shot),
  card: (shot) => shotCard(shot),
  evaluated: (shot) => evaluate(shot),
  tables: (shot) => shot.moves.map((move) => incrementTable(shot, move)),
  rulers: (shot) => shot.moves.map((move) => unrolledArc(shot, move)),
};

function timeOf(work: (shot: Shot) => unknown, text: string): number {
  const shot = JSON.parse(text) as Shot;
  const began = performance.now();
  work(shot);
  return performance.now() - began;
}

/** The shortest times of both, measured by turns: what slows the machine for a while slows both. */
function timesOf(work: (shot: Shot) => unknown, once: string, twice: string): Pick<Growth, 'ms' | 'twiceMs'> {
  const times = Array.from({ length: RUNS }, () => [timeOf(work, once), timeOf(work, twice)] as const);
  return {
    ms: Math.min(...times.map(([ms]) => ms)),
    twiceMs: Math.min(...times.map(([, ms]) => ms)),
  };
}

export interface Growth {
  readonly grows: string;
  readonly work: string;
  readonly ms: number;
  readonly twiceMs: number;
}

export function growths(): Growth[] {
  return Object.entries(GROWING).flatMap(([grows, shotOf]) => {
    const [once, twice] = [1, 2].map((n) => JSON.stringify(heavyShot(shotOf(n)))) as [string, string];
    return Object.entries(WORK).map(([work, perform]) => ({ grows, work, ...timesOf(perform, once, twice) }));
  });
}
