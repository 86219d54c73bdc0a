import { pointAtDistance } from '../arc/arcMeasure';
import { distance } from '../arc/vector';
import { nearestSpot, type RiderTravel } from '../motion/riders';
import type { Travel } from '../motion/evaluate';
import type { Check, CheckedTravel, Finding } from './check';

/** So many halvings tell a jump from a quick stretch. */
const HALVINGS = 16;
/** What is left of a step after that, where it is a jump. */
const LEFT_OF_A_JUMP = 0.5;
/** A part that keeps up goes no further than so many times the figure's own step, and this share of its arc. */
const KEEPS_UP = 3;
const SMALL = 1e-3;

/** Whether the nearest spot goes over from one place of the second arc to another at once, between two places of the first. */
function jumps(
  travel: Travel,
  { arc, distanceOn, rider }: RiderTravel,
  from: number,
  frame: number,
): boolean {
  const ahead = rider.follows.by === 'distance' ? rider.follows.distance : 0;
  const back = rider.follows.by === 'frames' ? rider.follows.frames : 0;
  const firstOn = (f: number): number =>
    travel.arcDistance[Math.min(travel.arcDistance.length, Math.max(1, f - back)) - 1]! + ahead;
  let [low, high] = [firstOn(from), firstOn(frame)];
  let [spotLow, spotHigh] = [distanceOn(from - 1), distanceOn(frame - 1)];
  const gap = (a: number, b: number): number => distance(pointAtDistance(arc, a), pointAtDistance(arc, b));
  const whole = gap(spotLow, spotHigh);
  if (whole <= KEEPS_UP * Math.abs(high - low) + SMALL * travel.arcLength) return false;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    const spot = nearestSpot(arc, pointAtDistance(travel.arc, middle), spotLow);
    if (gap(spotLow, spot) > gap(spot, spotHigh)) [high, spotHigh] = [middle, spot];
    else [low, spotLow] = [middle, spot];
  }
  return gap(spotLow, spotHigh) > LEFT_OF_A_JUMP * whole;
}

export const jumpingPart: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ travel, steps, frameNumber }) =>
    travel.riders
      .filter(({ rider }) => rider.arcId !== null && rider.onSecond === 'nearest' && !rider.hidden)
      .flatMap((ridden) =>
        steps
          .filter(({ from, frame }) => jumps(travel, ridden, from, frame))
          .map(({ from, frame }): Finding => ({
            from,
            until: frame,
            sentence: `“${ridden.rider.name}” jumps on frame ${frameNumber(frame)}: from there another stretch of its own arc is nearer. Bend that arc away, or put the part at the same share instead.`,
            fix: null,
          })),
      ),
};
