import { type DrawnThrough, drawnThroughOn, shareThrough } from '../exposure/drawnThrough';
import type { Transform } from '../arc/transform';
import type { Vector } from '../arc/vector';
import { type DrawnPair, drawnPair } from '../inbetween/drawnPair';
import { type InBetween, inBetween, type Shares } from '../inbetween/inBetween';
import type { Figure, Move } from '../model/schema';
import type { Travel } from './evaluate';

/** The drawing between two key drawings on a frame: a guide to draw over, never artwork. */
export interface BetweenOn extends InBetween, DrawnThrough {
  /** How far the second drawing is reached, 0 to 1. */
  readonly share: number;
  /** The spot of the first drawing that sits on the arc. */
  readonly pivot: Vector;
}

/** How far each pin has come: at its own time, held at both drawings. */
export function sharesOn(move: Move, through: DrawnThrough, { pins }: DrawnPair, frame: number): Shares {
  const plain = shareThrough(move, through, frame);
  return {
    plain,
    ofPins: pins.map(({ followsFrames }) =>
      followsFrames === 0 ? plain : shareThrough(move, through, frame - followsFrames),
    ),
  };
}

export interface PairOn {
  readonly through: DrawnThrough;
  readonly pair: DrawnPair;
  readonly shares: Shares;
}

/** The two drawings that a frame lies between, and how far the second is reached; null where one of them is shown. */
export function pairOn({ move, figure }: Pick<Travel, 'move' | 'figure'>, frame: number): PairOn | null {
  const through = drawnThroughOn(move, frame);
  const pair = through && drawnPair(figure, through.from.drawing, through.to.drawing);
  return through && pair ? { through, pair, shares: sharesOn(move, through, pair, frame) } : null;
}

const outlineOf = ({ artwork }: Figure, drawing: number) =>
  artwork.kind === 'pictures' ? artwork.drawings[drawing - 1]!.outline : [];

const known = new WeakMap<Travel, Map<number, BetweenOn | null>>();

/** @param frame planned: what is seen on another frame of the same exposure is what its first one has */
export function betweenOn(travel: Travel, frame: number): BetweenOn | null {
  const { move, figure } = travel;
  if (move.drawings.length < 2) return null;
  let onFrames = known.get(travel);
  if (!onFrames) known.set(travel, (onFrames = new Map()));
  let between = onFrames.get(frame);
  if (between === undefined) {
    const on = pairOn(travel, frame);
    between = on
      ? {
          ...on.through,
          ...inBetween(on.pair, outlineOf(figure, on.through.from.drawing), on.shares),
          share: on.shares.plain,
          pivot: on.pair.firstPivot,
        }
      : null;
    onFrames.set(frame, between);
  }
  return between;
}

/** A ring in the units that a placement leads to. */
export function placedRing(ring: Float64Array, { a, b, c, d, e, f }: Transform): Float64Array {
  const placed = new Float64Array(ring.length);
  for (let i = 0; i < ring.length; i += 2) {
    placed[i] = a * ring[i]! + c * ring[i + 1]! + e;
    placed[i + 1] = b * ring[i]! + d * ring[i + 1]! + f;
  }
  return placed;
}

const short = (value: number): string => String(Number(value.toFixed(2)) + 0);

/** Rings as SVG path data. */
export const ringsData = (rings: readonly Float64Array[]): string =>
  rings
    .map((ring) => {
      const points: string[] = [];
      for (let i = 0; i < ring.length; i += 2) points.push(`${short(ring[i]!)} ${short(ring[i + 1]!)}`);
      return `M${points.join('L')}Z`;
    })
    .join('');
