import type { Vector } from '../arc/vector';
import type { DrawingPicture, Figure } from '../model/schema';
import { exposuresOf } from '../exposure/exposures';
import { cycleFrames } from '../exposure/cycle';
import type { Travel } from './evaluate';
import { drawingOfTravel, figureOn } from './figureOn';
import { lookOf } from './look';

const drawingsOf = ({ artwork }: Figure): readonly DrawingPicture[] =>
  artwork.kind === 'pictures' ? artwork.drawings : [];

/**
 * Where the planted spot of a drawing lies along the figure's front, ahead of the pivot positive.
 * @param height of the figure, field units
 * @returns field units; null off the ground
 */
export function plantedPlace(figure: Figure, drawing: DrawingPicture, height: number): number | null {
  if (!drawing.planted) return null;
  const { pivot, height: own } = lookOf(figure);
  const radians = (figure.frontDeg * Math.PI) / 180;
  const { x, y } = drawing.planted;
  return ((x - pivot.x) * Math.cos(radians) + (y - pivot.y) * Math.sin(radians)) * (height / own);
}

/** From one drawing of a contact to the next: how long the first is held, and by how much the spot moves on. */
export interface ContactStep {
  readonly from: number;
  readonly to: number;
  readonly frames: number;
  /** Change of the place along the front, field units: negative where the spot goes back. */
  readonly change: number;
}

/** The steps within the contacts of a figure's drawings, one part after the other. */
export function contactSteps(figure: Figure, height: number): readonly ContactStep[] {
  const drawings = drawingsOf(figure);
  return drawings.flatMap((drawing, i): ContactStep[] => {
    const next = drawings[i + 1];
    if (!next || !drawing.planted || drawing.planted.contact !== next.planted?.contact) return [];
    const change = plantedPlace(figure, next, height)! - plantedPlace(figure, drawing, height)!;
    return [{ from: i + 1, to: i + 2, frames: drawing.frames, change }];
  });
}

/**
 * The travel at which planted spots slip least, field units a frame: least squares over the steps of the contacts, each
 * (t · frames + change)². Null without a step.
 */
export function bestTravel(steps: readonly Pick<ContactStep, 'frames' | 'change'>[]): number | null {
  let [products, squares] = [0, 0];
  for (const { frames, change } of steps) {
    products -= frames * change;
    squares += frames * frames;
  }
  return squares > 0 ? products / squares : null;
}

/** Slip of each step at a steady travel, field units. @param travel a frame */
export const slipsAt = (
  steps: readonly Pick<ContactStep, 'frames' | 'change'>[],
  travel: number,
): readonly number[] => steps.map(({ frames, change }) => travel * frames + change);

/** The advance of one cycle that the planted spots ask for, field units; null where they say nothing. */
export function measuredAdvance(figure: Figure, height: number, swings: boolean): number | null {
  const travel = bestTravel(contactSteps(figure, height));
  const drawings = drawingsOf(figure);
  return travel === null || travel <= 0 ? null : travel * cycleFrames(drawings, swings);
}

/** What hangs together in a stride: A / C = travel / frames. */
export interface Stride {
  readonly advance: number;
  readonly cycleFrames: number;
  readonly travel: number;
  readonly frames: number;
}

export function solveStride(known: Stride, wanted: keyof Stride): number {
  const { advance, cycleFrames: cycle, travel, frames } = known;
  switch (wanted) {
    case 'advance':
      return (travel * cycle) / frames;
    case 'cycleFrames':
      return (advance * frames) / travel;
    case 'travel':
      return (advance * frames) / cycle;
    case 'frames':
      return (travel * cycle) / advance;
  }
}

/** Slip of the planted spot on one exposure: since the one before. */
export interface SlipRow {
  readonly frame: number;
  /** How far the spot moved while it was planted, field units: forward positive. Null off the ground. */
  readonly slip: number | null;
  readonly spot: Vector | null;
}

export interface Slips {
  readonly rows: readonly SlipRow[];
  readonly rms: number;
  readonly mean: number;
  readonly largest: number;
}

/** Whether all drawings from one to another are planted with the same part, without going over the end. */
function staysPlanted(drawings: readonly DrawingPicture[], from: number, to: number): boolean {
  const contact = drawings[from - 1]!.planted?.contact;
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  for (let i = low; i <= high; i++)
    if (contact === undefined || drawings[i - 1]!.planted?.contact !== contact) return false;
  return true;
}

const slipsOf = new WeakMap<Travel, Slips>();

/**
 * How far the planted spot of a move's figure slips, exposure by exposure: the length that it moves in the field while it
 * is planted, forward along the arc or back. On a straight arc that is travel + change of its place. Remembered by travel.
 */
export function slips(travel: Travel): Slips {
  const known = slipsOf.get(travel);
  if (known) return known;
  const { move, figure, arcDistance, blendedDirection } = travel;
  const drawings = drawingsOf(figure);
  const frames = exposuresOf(move, { lengthFrames: arcDistance.length }).map(({ frame }) => frame);
  let before: { readonly drawing: number; readonly spot: Vector } | null = null;
  // A cycle that runs on goes from its last drawing to its first, which is a new step of the foot; going back, the
  // other way round. Within one pass drawings follow each other one way.
  let [sum, squares, largest, count] = [0, 0, 0, 0];
  const rows = frames.map((frame): SlipRow => {
    const drawing = drawingOfTravel(travel, frame);
    const planted = drawing > 0 ? drawings[drawing - 1]?.planted : undefined;
    if (!planted) {
      before = null;
      return { frame, slip: null, spot: null };
    }
    const { a, b, c, d, e, f } = figureOn(travel, frame - 1).placement;
    const spot = { x: a * planted.x + c * planted.y + e, y: b * planted.x + d * planted.y + f };
    let slip: number | null = null;
    if (
      before &&
      staysPlanted(drawings, before.drawing, drawing) &&
      !wraps(travel, before.drawing, drawing, frame)
    ) {
      const [dx, dy] = [spot.x - before.spot.x, spot.y - before.spot.y];
      const radians = (blendedDirection[frame - 1]! * Math.PI) / 180;
      const forward = dx * Math.cos(radians) + dy * Math.sin(radians);
      slip = Math.sign(forward) * Math.hypot(dx, dy);
      sum += slip;
      squares += slip * slip;
      largest = Math.max(largest, Math.abs(slip));
      count++;
    }
    before = { drawing, spot };
    return { frame, slip, spot };
  });
  const result: Slips = {
    rows,
    mean: count > 0 ? sum / count : 0,
    rms: count > 0 ? Math.sqrt(squares / count) : 0,
    largest,
  };
  slipsOf.set(travel, result);
  return result;
}

function wraps({ move, arcDistance }: Travel, from: number, to: number, frame: number): boolean {
  if (from === to || !move.cycle || move.cycle.swings) return false;
  const goesBack = move.cycle.by === 'way' && arcDistance[frame - 1]! < arcDistance[Math.max(0, frame - 2)]!;
  return goesBack ? to > from : to < from;
}

/**
 * The stride of a move as it is: the advance that its drawings ask for, else that of its cycle; their frames; how far the
 * move goes from its first mark to its last; and its intervals. Null without a figure of drawings that goes anywhere.
 */
export function strideOf(travel: Travel): Stride | null {
  const { move, figure, figureHeight, arcLength } = travel;
  const drawings = drawingsOf(figure);
  const swings = move.cycle?.swings ?? false;
  const advance = measuredAdvance(figure, figureHeight, swings) ?? move.cycle?.advance ?? null;
  const [first, last] = [move.marks[0]!, move.marks[move.marks.length - 1]!];
  const goes = Math.abs(last.fraction - first.fraction) * arcLength;
  if (drawings.length === 0 || advance === null || goes === 0) return null;
  return {
    advance,
    cycleFrames: cycleFrames(drawings, swings),
    travel: goes,
    frames: last.frame - first.frame,
  };
}

/**
 * Frames of each drawing so that one cycle has so many, as near to what they had as whole frames allow: the largest
 * remainders get one more. Null where there are fewer frames than drawings.
 */
export function drawingFramesFor(frames: readonly number[], cycle: number): readonly number[] | null {
  if (cycle < frames.length) return null;
  const total = frames.reduce((sum, each) => sum + each, 0);
  const wished = frames.map((each) => (each * cycle) / total);
  const whole = wished.map((each) => Math.max(1, Math.floor(each)));
  const rests = wished
    .map((each, i) => ({ i, rest: each - whole[i]! }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i);
  let over = cycle - whole.reduce((sum, each) => sum + each, 0);
  for (let k = 0; over !== 0; k = (k + 1) % rests.length) {
    const { i } = over > 0 ? rests[k]! : rests[rests.length - 1 - k]!;
    if (over < 0 && whole[i]! <= 1) continue;
    whole[i]! += Math.sign(over);
    over -= Math.sign(over);
  }
  return whole;
}
