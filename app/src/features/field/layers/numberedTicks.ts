import { type Tick } from '@humble/core/views';
import { frameNumber } from '../../../store/frameNumbers';

type Place = Pick<Tick, 'frame' | 'x' | 'y' | 'acrossX' | 'acrossY'>;

/** Room between the arc and a frame number, pixels. */
export const NUMBER_AWAY_PX = 20;
/** Size of its type, pixels; a digit is so much of it wide. */
export const NUMBER_SIZE_PX = 11;
const DIGIT = 0.6;
/** Numbers keep so far from each other, pixels. */
const GAP_PX = 9;
const LINE_PX = NUMBER_SIZE_PX + 3;

interface Written {
  readonly x: number;
  readonly y: number;
  readonly half: number;
}

/**
 * Those of some ticks at which there is room for the frame number beside the arc, the first ones first: a figure
 * that comes by the same way again does not write over the numbers that stand there.
 * @param pixel field units in a pixel of the screen
 */
export function numberedTicks<Numbered extends Place>(ticks: readonly Numbered[], pixel: number): Numbered[] {
  const written: Written[] = [];
  return ticks.filter((tick) => {
    const mine: Written = {
      x: tick.x / pixel + tick.acrossX * NUMBER_AWAY_PX,
      y: tick.y / pixel + tick.acrossY * NUMBER_AWAY_PX,
      half: (String(frameNumber(tick.frame)).length * DIGIT * NUMBER_SIZE_PX) / 2,
    };
    const isFree = written.every(
      ({ x, y, half }) =>
        Math.abs(x - mine.x) >= half + mine.half + GAP_PX || Math.abs(y - mine.y) >= LINE_PX,
    );
    if (isFree) written.push(mine);
    return isFree;
  });
}
