import { fc } from '../../testing/property';
import { onlyMove, straightShot } from '../../testing/shapes';
import { edits } from '../../edits/edits';
import type { Easing, Mark } from '../../model/schema';
import { incrementTable } from '../../spacing/increments';
import { easedDistance } from '../easedDistance';
import { leavesArc } from '../leavesArc';
import { nearestEasings } from '../nearestEasing';
import { freshEasingOf } from '../retime';

const windUp = (backFrames: number, back: number): Easing => ({ kind: 'wind-up', backFrames, back });

test('goes back by its share over its frames, then on, without speed at either turn', () => {
  const easing = windUp(5, 0.1);
  const places = [0, 2.5, 5, 12.5, 20].map((x) => easedDistance(easing, x, 20, 100));
  expect(places.map((place) => Number(place.toFixed(9)) + 0)).toEqual([0, -5, -10, 45, 100]);
  for (const x of [1e-4, 5 - 1e-4, 5 + 1e-4, 20 - 1e-4]) {
    const speed = (easedDistance(easing, x + 1e-5, 20, 100) - easedDistance(easing, x, 20, 100)) / 1e-5;
    expect(Math.abs(speed)).toBeLessThan(0.01);
  }
});

test('it turns back once, whatever its numbers and however short its span', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 2, noNaN: true }),
      fc.integer({ min: 1, max: 40 }),
      (backFrames, back, frames) => {
        const places = Array.from({ length: 101 }, (_, i) =>
          easedDistance(windUp(backFrames, back), (frames * i) / 100, frames, 1),
        );
        expect(places.every(Number.isFinite)).toBe(true);
        const lowest = places.indexOf(Math.min(...places));
        places.forEach((place, i) => {
          if (i === 0) return;
          if (i <= lowest) expect(place).toBeLessThanOrEqual(places[i - 1]! + 1e-12);
          else expect(place).toBeGreaterThanOrEqual(places[i - 1]! - 1e-12);
        });
      },
    ),
  );
});

test('a chart that winds up is found to, with its numbers', () => {
  const ticks = Array.from({ length: 23 }, (_, i) => ({
    x: i + 1,
    share: easedDistance(windUp(6, 0.2), i + 1, 24, 1),
  }));
  const [nearest] = nearestEasings(ticks, 24);
  expect(nearest!.easing).toMatchObject({ kind: 'wind-up' });
  expect(nearest!.easing).toMatchObject({ backFrames: expect.closeTo(6, 1), back: expect.closeTo(0.2, 2) });
});

test('its frames stretch with the move, a mark in it moves nothing, and a table shows it', () => {
  const shot = straightShot(100, 21, windUp(5, 0.1));
  const longer = edits.setLength(shot, { lengthFrames: 41 });
  expect(onlyMove(longer).marks[0]!.easing).toEqual(windUp(10, 0.1));
  const places = (some: typeof shot) =>
    incrementTable(some, onlyMove(some)).rows.map(({ arcDistance }) => arcDistance);
  // An open arc ends where it starts: the figure waits there while it winds up.
  expect(Math.min(...places(shot))).toBe(0);
  const marked = edits.addMark(shot, { moveId: 'move1', frame: 9 });
  places(marked).forEach((place, i) => expect(place).toBeCloseTo(places(shot)[i]!, 9));
});

test('where the arc has no room to go back it says that it leaves the arc', () => {
  const shot = straightShot(100, 21, windUp(5, 0.1));
  const [from, to] = onlyMove(shot).marks as [Mark, Mark];
  expect(leavesArc({ closed: false }, from, to)).toBe(true);
  expect(leavesArc({ closed: true }, from, to)).toBe(false);
  expect(leavesArc({ closed: false }, { ...from, fraction: 0.2 }, to)).toBe(false);
  expect(leavesArc({ closed: false }, { ...from, easing: { kind: 'even' } }, to)).toBe(false);
});

test('a fresh one goes back over a quarter of its frames', () => {
  expect(freshEasingOf('wind-up', 24, { kind: 'even' })).toEqual(windUp(6, 0.15));
});
