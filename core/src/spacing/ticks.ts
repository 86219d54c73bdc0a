import type { Travel } from '../motion/evaluate';
import type { Move, Shot } from '../model/schema';
import { exposuresOf } from '../exposure/exposures';

export interface Tick {
  readonly frame: number;
  /** Distance from the start of the arc, field units. */
  readonly arcDistance: number;
  readonly x: number;
  readonly y: number;
  /** Unit vector across the arc, to the right of the travel. */
  readonly acrossX: number;
  readonly acrossY: number;
  /** Has a longer tick: on ones each frame that is a multiple of five, else every fifth exposure. */
  readonly isFifth: boolean;
}

const RADIANS = Math.PI / 180;

/** Whether an exposure of a move has a longer tick: by its frame, or by its index. */
export function fifthsOf(
  move: Pick<Move, 'framesHeld' | 'exposures'>,
): (frame: number, index: number) => boolean {
  const isOnOnes = move.framesHeld === 1 && move.exposures.every(({ framesHeld }) => framesHeld === 1);
  return isOnOnes ? (frame) => frame % 5 === 0 : (_, index) => index % 5 === 0;
}

export function ticksOf(travel: Travel, shot: Pick<Shot, 'lengthFrames'>): Tick[] {
  const isFifth = fifthsOf(travel.move);
  return exposuresOf(travel.move, shot).map(({ frame }, index) => {
    const i = frame - 1;
    const direction = travel.direction[i]! * RADIANS;
    return {
      frame,
      arcDistance: travel.arcDistance[i]!,
      x: travel.x[i]!,
      y: travel.y[i]!,
      acrossX: -Math.sin(direction),
      acrossY: Math.cos(direction),
      isFifth: isFifth(frame, index),
    };
  });
}

/**
 * Ticks as SVG path data.
 * @param halfLength from the arc to the end of a tick, field units
 * @param digits decimals of the coordinates
 */
export function ticksPath(
  ticks: readonly Pick<Tick, 'x' | 'y' | 'acrossX' | 'acrossY'>[],
  halfLength: number,
  digits = 2,
): string {
  const scale = 10 ** digits;
  const n = (value: number): number => Math.round(value * scale) / scale;
  return ticks
    .map(({ x, y, acrossX, acrossY }) => {
      const dx = acrossX * halfLength;
      const dy = acrossY * halfLength;
      return `M${n(x - dx)} ${n(y - dy)}L${n(x + dx)} ${n(y + dy)}`;
    })
    .join('');
}
