import { outOfRange } from '../model/errors';
import { PLAIN_MARK } from '../model/plainTiming';
import type { Easing, Mark, Move } from '../model/schema';
import { chartOf } from '../timing/easings/ticks';
import { type RoundedMark, wholeFrame } from '../timing/frameMap';
import { firstFrame } from '../timing/placeInTime';
import type { Course } from './course';

const EVEN: Easing = { kind: 'even' };

/** Two shares of an arc closer than this are one place. */
const NO_WAY = 1e-12;

export function roundedMoments(
  { moments }: Course,
  first: number,
  framesPerSecond: number,
): readonly RoundedMark[] {
  return moments.map(({ seconds }) => {
    const exact = first + seconds * framesPerSecond;
    return { frame: wholeFrame(exact), by: wholeFrame(exact) - exact };
  });
}

/**
 * A move on a course, from its first frame on: a mark for each moment, on whole frames, and between them a chart of where
 * it is on each frame. What lies on its frames besides stays on them.
 * @throws ShotError `out-of-range` where two moments fall on one frame
 */
export function withCourse(move: Move, course: Course, framesPerSecond: number): Move {
  const first = firstFrame(move);
  const { moments, fractionAt } = course;
  const frames = roundedMoments(course, first, framesPerSecond).map(({ frame }) => frame);
  if (frames.some((frame, i) => i > 0 && frame <= frames[i - 1]!))
    throw outOfRange(
      'It is over too soon: two of its moments would fall on one frame. A smaller miniature, or a higher rate, shows more of it.',
    );
  const easing = (i: number): Easing => {
    const [from, to] = [moments[i]!, moments[i + 1]];
    if (!to || Math.abs(to.fraction - from.fraction) < NO_WAY) return EVEN;
    const count = frames[i + 1]! - frames[i]!;
    const shares = Array.from({ length: count }, (_, k) => {
      // From where it was let go on, it is where it truly is on each frame. What follows a moment that was rounded is
      // spread over its frames: a step that took up the rounding would jump.
      const exact = (frames[i]! + k + 1 - first) / framesPerSecond;
      const spread = from.seconds + ((k + 1) / count) * (to.seconds - from.seconds);
      const at = fractionAt(i === 0 ? Math.min(to.seconds, exact) : spread);
      return k === count - 1 ? 1 : (at - from.fraction) / (to.fraction - from.fraction);
    });
    return chartOf(shares);
  };
  const last = moments.length - 1;
  return {
    ...move,
    marks: moments.map(({ fraction }, i): Mark => ({
      ...PLAIN_MARK,
      id: `m${i + 1}`,
      frame: frames[i]!,
      fraction,
      kind: i === 0 || i === last ? 'stop' : 'pass',
      easing: easing(i),
    })),
  };
}
