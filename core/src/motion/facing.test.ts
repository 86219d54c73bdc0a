import { edits } from '../edits/edits';
import type { Move, Shot } from '../model/schema';
import {
  arcOf,
  circle,
  corner,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { evaluate } from './evaluate';
import { smoothed } from './facing';

/** A shot with one even move round a circle that runs clockwise as seen. */
const round = (radius: number, lengthFrames: number): Shot => shotAlong(circle(radius), lengthFrames);

const turned = (shot: Shot, turning: Partial<Move>): Shot =>
  edits.setTurning(shot, { moveId: onlyMove(shot).id, ...turning });
const headings = (shot: Shot): Float64Array => evaluate(shot).travels[0]!.heading;

test('a lean by physics is that of a mass on a string: 8.25° at 0.377 m/s round 100 mm', () => {
  const unitsPerMm = 4;
  const scaled = edits.setScale(round(100 * unitsPerMm, 40), { unitsPerMm });
  const { arcDistance } = evaluate(scaled).travels[0]!;
  const metresAFrame = (arcDistance[11]! - arcDistance[10]!) / unitsPerMm / 1000;
  const shot = { ...scaled, rate: 0.377 / metresAFrame };
  const leaning = turned(shot, {
    turnsWithArc: false,
    lean: { by: 'physics', mostDeg: 12, smoothFrames: 0 },
  });
  headings(leaning)
    .slice(2, 38)
    .forEach((lean) => expect(lean).toBeCloseTo(8.25, 2));
});

test('without a scale physics leans nothing; another rate leans more', () => {
  const lean = { by: 'physics', mostDeg: 12, smoothFrames: 0 } as const;
  const unscaled = turned(round(400, 40), { turnsWithArc: false, lean });
  expect(Math.max(...headings(unscaled))).toBe(0);
  const scaled = edits.setScale(unscaled, { unitsPerMm: 4 });
  const slow = headings(scaled)[10]!;
  const fast = headings({ ...scaled, rate: 48 })[10]!;
  expect(fast).toBeGreaterThan(slow * 2);
});

test('a lean by most degrees has its most where the pull is largest, to the inside of the bend', () => {
  const shot = turned(round(300, 48), {
    turnsWithArc: false,
    lean: { by: 'most', mostDeg: 12, smoothFrames: 0 },
  });
  const leans = headings(shot);
  // A circle runs clockwise as seen: the inside is to the right.
  expect(Math.max(...leans)).toBeCloseTo(12, 9);
  expect(Math.min(...leans.slice(2, 46))).toBeGreaterThan(11);
  const still = turned(straightShot(400, 21), {
    turnsWithArc: false,
    lean: { by: 'most', mostDeg: 12, smoothFrames: 0 },
  });
  expect(Math.max(...headings(still).map(Math.abs))).toBe(0);
});

test('triangular weights leave a straight line alone, and spread a step over their frames', () => {
  const line = Float64Array.from({ length: 20 }, (_, i) => 3 * i);
  smoothed(line, 5)
    .slice(2, 18)
    .forEach((value, i) => expect(value).toBeCloseTo(3 * (i + 2), 12));
  const step = Float64Array.from({ length: 9 }, (_, i) => (i < 5 ? 0 : 9));
  // Weights 1 2 3 2 1 over 9.
  expect([...smoothed(step, 5)]).toEqual([0, 0, 0, 1, 3, 6, 8, 9, 9]);
  expect(smoothed(step, 1)).toBe(step);
});

test('going back a figure keeps facing along its arc, or turns the short way round', () => {
  const there = withMarks(straightShot(400, 21), markAt(1, 0), markAt(11, 1), markAt(21, 0));
  const keeps = headings(there);
  expect([keeps[5], keeps[15]]).toEqual([0, 0]);
  const faces = headings(turned(there, { backwards: 'faces' }));
  expect([faces[5], Math.abs(faces[15]!)]).toEqual([0, 180]);
  const back = withMarks(
    straightShot(400, 41),
    markAt(1, 0),
    markAt(11, 1),
    markAt(21, 0),
    markAt(31, 1),
    markAt(41, 0),
  );
  const often = headings(turned(back, { backwards: 'faces' }));
  // However often it turns back, it never winds up.
  expect(Math.max(...often.map(Math.abs))).toBeLessThanOrEqual(360);
  often.slice(1).forEach((heading, i) => expect(Math.abs(heading - often[i]!)).toBeLessThanOrEqual(180));
});

test('a smoothed heading on a circle still turns all the way, lap after lap', () => {
  const shot = turned(round(300, 49), { smoothFrames: 9 });
  const smooth = headings(shot);
  const plain = headings(turned(shot, { smoothFrames: 0 }));
  smooth.slice(6, 42).forEach((heading, i) => expect(heading).toBeCloseTo(plain[i + 6]!, 4));
});

describe('a corner that is gone over within some frames', () => {
  /** Right, then down: 90° at the corner, which is half way. */
  const bent = arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]);
  const headed = (shot: Shot, cornerFrames: number): number[] =>
    Array.from(headings(turned(shot, { cornerFrames })), (degrees) => Number(degrees.toFixed(9)));

  test('turns evenly by angle, centred on the corner', () => {
    const shot = shotAlong(bent, 21);
    expect(headed(shot, 0).slice(8, 13)).toEqual([0, 0, 90, 90, 90]);
    expect(headed(shot, 4).slice(7, 14)).toEqual([0, 0, 22.5, 45, 67.5, 90, 90]);
    // A corner between two frames: it is passed at index 9.5.
    expect(headed(shotAlong(bent, 20), 4).slice(7, 13)).toEqual([0, 11.25, 33.75, 56.25, 78.75, 90]);
  });

  test('goes the short way round on the way back, too', () => {
    const back = withMarks(shotAlong(bent, 21), markAt(1, 1), markAt(21, 0));
    expect(headed(back, 4).slice(7, 14)).toEqual([90, 90, 67.5, 45, 22.5, 0, 0]);
  });

  test('of one that it stops on: as it leaves', () => {
    const stops = withMarks(
      shotAlong(bent, 31),
      markAt(1, 0),
      markAt(11, 0.5),
      markAt(21, 0.5),
      markAt(31, 1),
    );
    expect(headed(stops, 0).slice(19, 22)).toEqual([0, 0, 90]);
    expect(headed(stops, 4).slice(17, 24)).toEqual([0, 0, 22.5, 45, 67.5, 90, 90]);
  });

  test('turns nothing at one that it begins on, or turns back on', () => {
    const begins = withMarks(shotAlong(bent, 21), markAt(1, 0.5), markAt(21, 1));
    expect(headed(begins, 6)).toEqual(headed(begins, 0));
    const turnsBack = withMarks(shotAlong(bent, 21), markAt(1, 0), markAt(11, 0.5), markAt(21, 0));
    const [snaps, blends] = [headed(turnsBack, 0), headed(turnsBack, 6)];
    expect(blends).toEqual(snaps);
  });

  test('goes round and round: the seam of a closed arc is one of them', () => {
    const square = arcOf([corner(0, 0), corner(100, 0), corner(100, 100), corner(0, 100)], true);
    const twice = withMarks(shotAlong(square, 80), markAt(1, 0), markAt(81, 2));
    const all = headed(twice, 10);
    // Ten frames a side: it turns by 9° with every frame, over the seam, too.
    expect(all[0]).toBe(-45);
    expect(all[79]).toBeCloseTo(720 - 45 - 9, 9);
    for (const [i, degrees] of [
      [10, 45],
      [40, 315],
      [70, 585],
    ] as const)
      expect(all[i]).toBeCloseTo(degrees, 9);
    all.slice(1).forEach((degrees, i) => expect(degrees - all[i]!).toBeCloseTo(9, 6));
  });
});
