import { beginsExposure } from '../exposure/exposures';
import type { FramesHeld, Move } from '../model/schema';
import type { CheckedMove, Finding } from './check';

export function exposeFrame(
  move: Move,
  frame: number,
  frameNumber: CheckedMove['frameNumber'],
): Finding['fix'] {
  let until = frame;
  while (!beginsExposure(move, until + 1)) until++;
  const framesHeld = (until - frame + 1) as FramesHeld;
  return {
    label: `Show frame ${frameNumber(frame)}`,
    edit: { name: 'setRangeHeld', args: { moveId: move.id, from: frame, until, framesHeld } },
  };
}
