import type { Artwork, Cycle } from '../model/schema';

type Drawings = Extract<Artwork, { kind: 'pictures' }>['drawings'];

interface Sequence {
  /** Numbers of the drawings, from 1. */
  readonly order: readonly number[];
  /** Where each begins, frames from the start of the cycle; one more entry ends the last. */
  readonly starts: readonly number[];
}

/** 1 … D, or there and back without the ends doubled: 1 2 3 4 5 4 3 2. */
function sequenceOf(drawings: Drawings, swings: boolean): Sequence {
  const forward = drawings.map((_, i) => i + 1);
  const order = swings ? [...forward, ...forward.slice(1, -1).reverse()] : forward;
  const starts = [0];
  for (const number of order) starts.push(starts[starts.length - 1]! + drawings[number - 1]!.frames);
  return { order, starts };
}

export function cycleFrames(drawings: Drawings, swings: boolean): number {
  const { starts } = sequenceOf(drawings, swings);
  return starts[starts.length - 1]!;
}

/** A share of a cycle that misses the next drawing by less has reached it: distances are sums of doubles. */
const REACHED = 1e-9;

function drawingAt({ order, starts }: Sequence, at: number): number {
  const length = starts[starts.length - 1]!;
  const within = (((at + REACHED) % length) + length) % length;
  let i = 0;
  while (i + 1 < order.length && starts[i + 1]! <= within) i++;
  return order[i]!;
}

function outside(how: Cycle['before'], value: number, edge: number): number | null {
  switch (how) {
    case 'hold':
      return edge;
    case 'repeat':
      return value;
    case 'swing':
      return 2 * edge - value;
    case 'hide':
      return null;
  }
}

/**
 * The drawing that a cycle shows on a frame. By time it goes on with every frame; by way with the distance travelled, so
 * that it slows down when the travel does: phase = s / advance, drawing = 1 + ⌊D · frac(phase)⌋ for drawings held alike.
 * @param frame whole, from 1
 * @param distanceOn distance along the arc on a frame, field units
 * @param lastFrame of the shot: a cycle without an end goes on to it
 * @returns the drawing's number from 1; 0 where it is not shown
 */
export function cycleDrawing(
  cycle: Cycle,
  drawings: Drawings,
  frame: number,
  lastFrame: number,
  distanceOn: (frame: number) => number,
): number {
  const sequence = sequenceOf(drawings, cycle.swings);
  const length = sequence.starts[sequence.starts.length - 1]!;
  const startsWith = Math.min(cycle.startDrawing, drawings.length) - 1;
  const offset = sequence.starts[startsWith]!;
  const until = cycle.until ?? lastFrame;
  const how = frame < cycle.from ? cycle.before : frame > until ? cycle.after : 'repeat';
  const edge = Math.min(until, Math.max(cycle.from, frame));
  if (cycle.by === 'time') {
    const at = outside(how, frame, edge);
    return at === null ? 0 : drawingAt(sequence, offset + at - cycle.from);
  }
  const s = outside(how, distanceOn(frame), distanceOn(edge));
  if (s === null) return 0;
  return drawingAt(sequence, offset + ((s - distanceOn(cycle.from)) / cycle.advance) * length);
}

export interface CycleCount {
  readonly cycles: number;
  readonly over: number;
  /** The nearest lengths that are whole numbers of cycles, frames; the shorter is null where there is none. */
  readonly shorter: number | null;
  readonly longer: number;
}

/** @param range length of the range, frames; @param length of one cycle, frames */
export function countCycles(range: number, length: number): CycleCount {
  const cycles = Math.floor(range / length);
  return {
    cycles,
    over: range - cycles * length,
    shorter: cycles > 0 ? cycles * length : null,
    longer: (cycles + 1) * length,
  };
}
