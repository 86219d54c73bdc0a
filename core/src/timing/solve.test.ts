import { fc } from '../testing/property';
import { everyEasing, onlyMove, straightShot } from '../testing/shapes';
import { edits } from '../edits/edits';
import { incrementTable } from '../spacing/increments';
import type { Easing } from '../model/schema';
import {
  distanceFor,
  easingUnder,
  framesFor,
  framesUnder,
  keepsTo,
  largestIncrement,
  smallestIncrement,
} from './solve';

const ramp = (leaveFrames: number, arriveFrames: number): Easing => ({
  kind: 'ramped',
  leaveFrames,
  arriveFrames,
  ramp: 'steady',
});
const slow: Easing = { kind: 'slow-place', at: 0, strength: 0.6 };

describe('any one from the others', () => {
  test.each([
    [120, ramp(6, 6), 6, 26, 6],
    [200, ramp(10, 4), 7.5, 34, 7.407],
    [90, ramp(12, 12), 5, 30, 5],
    [360, slow, 25, 24, 23.898],
    [240, { kind: 'curve', x1: 0.42, y1: 0, x2: 0.58, y2: 1 } as Easing, 12, 35, 11.817],
  ])('%d units, case %#', (distance, easing, most, frames, largest) => {
    const solved = framesFor({ distance, easing }, most);
    expect([solved.frames, Number(solved.largest.toFixed(3))]).toEqual([frames, largest]);
    expect(largestIncrement({ distance, easing, frames: frames - 1 })).toBeGreaterThan(most);
  });

  test('one frame fewer than that gives 25.014', () => {
    expect(largestIncrement({ distance: 360, easing: slow, frames: 23 })).toBeCloseTo(25.014, 3);
  });

  test('the fewest frames there are, for every easing', () => {
    fc.assert(
      fc.property(everyEasing(30), fc.integer({ min: 2, max: 60 }), (easing, most) => {
        // What jumps however long it lasts has no answer: that is said, see below.
        if (largestIncrement({ distance: 200, easing, frames: 400 }) > most) return;
        const { frames, largest } = framesFor({ distance: 200, easing }, most);
        expect(largest).toBeLessThanOrEqual(most * (1 + 1e-8));
        for (let fewer = Math.max(1, frames - 20); fewer < frames; fewer++)
          expect(largestIncrement({ distance: 200, easing, frames: fewer })).toBeGreaterThan(most);
      }),
    );
  });

  test('it is what the table shows, on twos as well', () => {
    const easing = ramp(6, 6);
    const shot = straightShot(120, 27, easing);
    for (const framesHeld of [1, 2, 3] as const) {
      const held = edits.setFramesHeld(shot, { moveId: 'move1', framesHeld });
      const along = incrementTable(held, onlyMove(held)).rows.map((row) => Math.abs(row.along ?? 0));
      expect(largestIncrement({ distance: 120, easing, frames: 26, framesHeld })).toBeCloseTo(
        Math.max(...along),
        9,
      );
    }
  });

  test('the distance from the frames', () => {
    expect(distanceFor({ easing: ramp(6, 6), frames: 26 }, 6)).toBeCloseTo(120, 9);
  });

  test('the easing gives way where the frames stay: the longest ramps that keep to it', () => {
    expect(easingUnder({ distance: 120, easing: ramp(12, 6), frames: 26 }, { most: 6 }, 'leave')).toEqual(
      ramp(6, 6),
    );
    expect(easingUnder({ distance: 120, easing: ramp(6, 9), frames: 26 }, { most: 6 }, 'arrive')).toEqual(
      ramp(6, 6),
    );
    expect(easingUnder({ distance: 120, easing: ramp(12, 12), frames: 26 }, { most: 6 })).toEqual(ramp(6, 6));
    expect(() => easingUnder({ distance: 200, easing: ramp(6, 6), frames: 26 }, { most: 6 })).toThrow(
      'Even at an even pace',
    );
    expect(() => easingUnder({ distance: 360, easing: slow, frames: 12 }, { most: 6 })).toThrow(
      'Only an easing',
    );
  });

  test('no increment shorter than a hand can place: fewer frames, or shorter ramps', () => {
    const plan = { distance: 30, easing: ramp(10, 10), frames: 40 };
    expect(smallestIncrement(plan)).toBeCloseTo(0.05, 9);
    const fewer = framesUnder(plan, { least: 0.3 });
    expect(keepsTo({ ...plan, frames: fewer.frames }, { least: 0.3 })).toBe(true);
    expect(keepsTo({ ...plan, frames: fewer.frames + 1 }, { least: 0.3 })).toBe(false);
    const eased = easingUnder(plan, { least: 0.3 });
    expect(eased).toEqual(ramp(1, 1));
    expect(smallestIncrement({ ...plan, easing: eased })).toBeGreaterThanOrEqual(0.3);
  });

  test('nonsense gets a sentence', () => {
    expect(() => framesFor({ distance: 100, easing: slow }, 0)).toThrow('has to be above 0');
    expect(() => framesFor({ distance: 100, easing: slow }, Number.NaN)).toThrow('has to be above 0');
    expect(() => framesFor({ distance: 1e6, easing: slow }, 1)).toThrow('Not even 20000 frames');
    expect(() => framesFor({ distance: 100, easing: { kind: 'snap' } }, 5)).toThrow('Not even');
  });
});
