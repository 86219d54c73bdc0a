import type { PointShape } from '../arc/smoothing';
import { withIds } from '../arc/wholeArc';
import { freshShot } from '../model/freshShot';
import { NO_KEYS } from '../timing/tracks';
import { PLAIN_FIGURE, PLAIN_RIDING } from '../model/plainRiding';
import { PLAIN_MARK, PLAIN_TIMING } from '../model/plainTiming';
import type { Arc, Figure, Mark, Move, Shot } from '../model/schema';

export interface HeavyShot {
  readonly frames: number;
  readonly points: number;
  readonly moves: number;
  /** Marks of each move, at least 2. */
  readonly marks: number;
  readonly easing: 'even' | 'flow';
  readonly isTied: boolean;
  readonly ranges: number;
  readonly placements: number;
}

const LIGHT: HeavyShot = {
  frames: 100,
  points: 4,
  moves: 1,
  marks: 2,
  easing: 'even',
  isTied: false,
  ranges: 0,
  placements: 0,
};

function wave(count: number): PointShape[] {
  const step = 1900 / (count - 1);
  return Array.from({ length: count }, (_, i) => ({
    x: 10 + i * step,
    y: 540 + 300 * Math.sin(i / 3),
    in: { x: -step / 3, y: 0 },
    out: { x: step / 3, y: 0 },
    kind: 'smooth',
  }));
}

const figure = (n: number): Figure => ({
  id: `figure${n}`,
  name: `Figure ${n}`,
  artwork: { kind: 'stand-in', standIn: 'peg' },
  height: 80,
  ...PLAIN_FIGURE,
});

/** A shot with so much of everything; what is not said is light. */
export function heavyShot(some: Partial<HeavyShot>): Shot {
  const { frames, points, moves, marks, easing, isTied, ranges, placements } = { ...LIGHT, ...some };
  const arc: Arc = {
    id: 'arc1',
    name: 'Wave',
    closed: false,
    points: withIds(wave(points)),
    shape: null,
    colour: 'indigo',
    hidden: false,
    locked: false,
  };
  const timed = Array.from({ length: marks }, (_, i): Mark => ({
    ...PLAIN_MARK,
    id: `m${i + 1}`,
    frame: 1 + Math.round((i * (frames - 1)) / (marks - 1)),
    fraction: Number((i / (marks - 1)).toFixed(6)),
    kind: i === 0 || i === marks - 1 ? 'stop' : 'pass',
    easing: { kind: easing },
    pointId: isTied ? arc.points[Math.round((i * (points - 1)) / (marks - 1))]!.id : null,
  }));
  const every = Math.max(1, Math.floor(frames / Math.max(1, placements)));
  const move = (n: number): Move => ({
    ...PLAIN_TIMING,
    id: `move${n}`,
    figureId: `figure${n}`,
    arcId: 'arc1',
    turnsWithArc: true,
    correctionDeg: 0,
    ...PLAIN_RIDING,
    tracks: NO_KEYS,
    keeps: 'fractions',
    acted: null,
    framesHeld: 1,
    marks: timed,
    exposures: Array.from({ length: ranges }, (_, i) => ({
      from: 1 + 2 * i,
      until: 2 + 2 * i,
      framesHeld: 2 as const,
    })),
    overrides: Array.from({ length: placements }, (_, i) => ({ frame: 1 + i * every, dx: 3, dy: -4 })),
  });
  const numbers = Array.from({ length: moves }, (_, i) => i + 1);
  return {
    ...freshShot({ name: 'Heavy', rate: 24, lengthFrames: frames, width: 1920, height: 1080 }),
    figures: numbers.map(figure),
    arcs: [arc],
    moves: numbers.map(move),
  };
}

/** Documents that once held the server up, each with what it is. */
export const BLOCKING_SHOTS: readonly (readonly [name: string, shot: Partial<HeavyShot>])[] = [
  ['200 placements by hand on 300 points', { frames: 1000, points: 300, placements: 200 }],
  [
    '200 placements by hand on 5,000 points, 20,000 frames',
    { frames: 20_000, points: 5000, placements: 200 },
  ],
  ['2,000 placements by hand on 5,000 points', { frames: 20_000, points: 5000, placements: 2000 }],
  ['24 moves with 5,000 ranges of exposures', { frames: 20_000, moves: 24, ranges: 5000 }],
  ['200 moves over 20,000 frames', { frames: 20_000, moves: 200 }],
  ['12 moves with 5,000 tied marks', { frames: 20_000, points: 5000, moves: 12, marks: 5000, isTied: true }],
  ['5,000 marks that flow', { frames: 20_000, marks: 5000, easing: 'flow' }],
];
