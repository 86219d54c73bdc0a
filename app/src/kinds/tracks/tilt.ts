import { fixed } from '../../ui/numbers';
import { figureWords as words } from '../../words/figure';

/** A heading as people say it: a tilt of at most half a turn, and the whole turns apart. @param deg degrees */
export function tiltOf(deg: number): string {
  const turns = Math.round(deg / 360);
  const tilt = words.tilt(fixed(deg - 360 * turns, 1));
  return turns === 0 ? tilt : words.tiltAndTurns(tilt, turns);
}
