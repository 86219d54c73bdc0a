import { exposuresOf } from '../exposure/exposures';
import type { Shot } from '../model/schema';
import type { Travel } from '../motion/evaluate';
import { firstFrame, lastFrame, spanIndexAt, spansOf } from '../timing/placeInTime';

export interface Step {
  readonly from: number;
  readonly frame: number;
  /** Along the arc, field units; negative where it goes back. */
  readonly along: number;
  readonly length: number;
  /** From pivot to pivot, field units. */
  readonly straight: number;
  readonly headingChangeDeg: number;
  /** The span that all of it lies in; null where it goes over a mark. */
  readonly span: number | null;
  /** Whether the figure is meant to stay: the step lies in a hold. */
  readonly isHeld: boolean;
}

export function stepsOf(travel: Travel, shot: Pick<Shot, 'lengthFrames'>): readonly Step[] {
  const { move, arcDistance, pivotX, pivotY, heading } = travel;
  const [first, last] = [firstFrame(move), lastFrame(move)];
  const frames = exposuresOf(move, shot)
    .map(({ frame }) => frame)
    .filter((frame) => frame >= first && frame <= last);
  const spans = spansOf(move);
  return frames.slice(1).map((frame, i): Step => {
    const from = frames[i]!;
    const [a, b] = [from - 1, frame - 1];
    const index = spanIndexAt(move, from);
    const isWithin = frame <= spans[index]!.to.frame;
    return {
      from,
      frame,
      along: arcDistance[b]! - arcDistance[a]!,
      length: Math.abs(arcDistance[b]! - arcDistance[a]!),
      straight: Math.hypot(pivotX[b]! - pivotX[a]!, pivotY[b]! - pivotY[a]!),
      headingChangeDeg: heading[b]! - heading[a]!,
      span: isWithin ? index : null,
      isHeld: isWithin && spans[index]!.isHold,
    };
  });
}

/** Neighbours among some steps as runs of frames. @param steps of a travel in order of time, some left out */
export function runsOf(steps: readonly Step[]): readonly { readonly from: number; readonly until: number }[] {
  const runs: { from: number; until: number }[] = [];
  for (const { from, frame } of steps) {
    const last = runs[runs.length - 1];
    if (last && last.until === from) last.until = frame;
    else runs.push({ from, until: frame });
  }
  return runs;
}
