import { arcOf, anyArc, circle, corner, cubicArc } from '../testing/shapes';
import { fc } from '../testing/property';
import type { Arc } from '../model/schema';
import {
  arcLength,
  curvatureAtDistance,
  distanceAtParameter,
  measureArc,
  pointAtDistance,
} from './arcMeasure';
import { pathData } from './pathData';
import { speedAt, polynomial } from './cubic';
import { segmentBetween, segmentCount, segmentEnds } from './segments';

/** An independent reference: composite Simpson with Richardson's step on a grid crowded to the ends. */
function referenceLength(arc: Arc): number {
  let whole = 0;
  for (let i = 0; i < segmentCount(arc); i++) {
    const p = polynomial(segmentBetween(...segmentEnds(arc, i)));
    const simpson = (a: number, b: number): number =>
      ((b - a) / 6) * (speedAt(p, a) + 4 * speedAt(p, (a + b) / 2) + speedAt(p, b));
    const adapt = (a: number, b: number, s: number, depth: number): number => {
      const m = (a + b) / 2;
      const l = simpson(a, m);
      const r = simpson(m, b);
      if (depth > 60 || (depth > 5 && Math.abs(l + r - s) < 1e-13 * (1 + s))) return l + r;
      return adapt(a, m, l, depth + 1) + adapt(m, b, r, depth + 1);
    };
    whole += adapt(0, 1, simpson(0, 1), 0);
  }
  return whole;
}

const published = cubicArc([0, 0], [0, 100], [100, 100], [100, 0]);

describe('length', () => {
  test('the published cubic is exactly 200 units long', () => {
    expect(arcLength(published)).toBeCloseTo(200, 9);
    expect((distanceAtParameter(measureArc(published), 0, 0.25) / 200) * 100).toBeCloseTo(29.69, 2);
  });

  test('a quarter of its length is at (10.59, 48.35), parameter 0.2020', () => {
    const point = pointAtDistance(published, 50);
    expect(point.x).toBeCloseTo(10.59, 2);
    expect(point.y).toBeCloseTo(48.35, 2);
    expect(point.t).toBeCloseTo(0.202, 4);
  });

  test.each<[string, Arc]>([
    ['a loop', cubicArc([0, 0], [300, 200], [-200, 200], [100, 0])],
    ['a cusp', cubicArc([0, 0], [100, 100], [0, 100], [100, 0])],
    ['a cusp off the middle', cubicArc([0, 0], [200, 100], [0, 100], [150, 10])],
    ['a handle drawn in', cubicArc([0, 0], [0, 0], [80, 100], [200, 0])],
    ['a straight line that doubles back', cubicArc([0, 0], [300, 0], [-200, 0], [100, 0])],
    ['something tiny', cubicArc([0, 0], [1e-6, 2e-6], [3e-6, -1e-6], [4e-6, 0])],
    ['something huge', cubicArc([0, 0], [9e6, 8e6], [-3e6, 7e6], [1e7, 0])],
  ])('of %s agrees with an independent quadrature to 1e-9', (_, arc) => {
    const reference = referenceLength(arc);
    expect(Math.abs(arcLength(arc) - reference) / reference).toBeLessThan(1e-9);
  });

  test('the same circle has the same length from any starting point', () => {
    const arc = circle(100, true, 8);
    const turned = arcOf([...arc.points.slice(3), ...arc.points.slice(0, 3)], true);
    expect(arcLength(turned)).toBeCloseTo(arcLength(arc), 9);
    expect(arcLength(circle(100))).toBeCloseTo(2 * Math.PI * 100, 3);
  });

  test('an arc whose points all lie on one spot has no length, and a place', () => {
    const arc = arcOf([corner(7, 9), corner(7, 9), corner(7, 9)]);
    expect(arcLength(arc)).toBe(0);
    expect(pointAtDistance(arc, 5)).toMatchObject({ x: 7, y: 9, headingDeg: 0 });
    expect(curvatureAtDistance(arc, 0)).toBe(0);
  });
});

describe('place at a distance', () => {
  test('is right to 1e-7 of the length on arcs of every sort, and never NaN', () => {
    fc.assert(
      fc.property(anyArc, fc.double({ min: 0, max: 1, noNaN: true }), (arc, share) => {
        const measure = measureArc(arc);
        const s = share * measure.length;
        const point = pointAtDistance(arc, s);
        expect(Number.isFinite(point.x + point.y + point.headingDeg)).toBe(true);
        if (measure.length === 0) return;
        const back = distanceAtParameter(measure, point.segment, point.t);
        const off = Math.abs(back - s) / measure.length;
        expect(Math.min(off, Math.abs(off - 1))).toBeLessThan(1e-7);
      }),
    );
  });

  test('clamps an open arc and counts laps on a closed one', () => {
    const line = arcOf([corner(0, 0), corner(100, 0)]);
    expect(pointAtDistance(line, -5).x).toBe(0);
    expect(pointAtDistance(line, 500).x).toBe(100);
    const round = circle(100);
    const lap = arcLength(round);
    expect(pointAtDistance(round, 1.25 * lap).x).toBeCloseTo(pointAtDistance(round, 0.25 * lap).x, 6);
    expect(pointAtDistance(round, -0.25 * lap).y).toBeCloseTo(pointAtDistance(round, 0.75 * lap).y, 6);
  });

  test('skips a segment without length', () => {
    const arc = arcOf([corner(0, 0), corner(100, 0), corner(100, 0), corner(100, 50)]);
    expect(pointAtDistance(arc, 120)).toMatchObject({ x: 100, y: 20 });
    expect(pointAtDistance(arc, 100).headingDeg).toBe(90);
  });
});

describe('heading', () => {
  test('anticlockwise circle from its rightmost point: −90°, −180° at a quarter, −450° at the end', () => {
    const round = circle(100, false);
    const lap = arcLength(round);
    expect(pointAtDistance(round, 0).headingDeg).toBeCloseTo(-90, 6);
    expect(pointAtDistance(round, lap / 4).headingDeg).toBeCloseTo(-180, 3);
    expect(pointAtDistance(round, lap, 'arriving').headingDeg).toBeCloseTo(-450, 6);
    expect(pointAtDistance(round, 2 * lap).headingDeg).toBeCloseTo(-810, 6);
  });

  test('never jumps along a smooth loop', () => {
    const arc = cubicArc([0, 0], [300, 200], [-200, 200], [100, 0]);
    const length = arcLength(arc);
    let before = pointAtDistance(arc, 0).headingDeg;
    for (let i = 1; i <= 2000; i++) {
      const heading = pointAtDistance(arc, (i / 2000) * length).headingDeg;
      expect(Math.abs(heading - before)).toBeLessThan(5);
      before = heading;
    }
    // It leaves down to the right and, after most of a clockwise turn, arrives up to the right.
    expect(before).toBeCloseTo(360 - 33.69, 2);
  });

  test('a full clockwise loop adds 360', () => {
    expect(measureArc(circle(50)).turnPerLapDeg).toBeCloseTo(360, 6);
    expect(measureArc(circle(50, false)).turnPerLapDeg).toBeCloseTo(-360, 6);
  });

  test('a corner has the heading of the travel that leaves, or that arrives', () => {
    const arc = arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]);
    expect(pointAtDistance(arc, 100).headingDeg).toBe(90);
    expect(pointAtDistance(arc, 100, 'arriving').headingDeg).toBe(0);
  });
});

test('curvature of a circle is 1 / r, positive clockwise as seen', () => {
  expect(curvatureAtDistance(circle(100), 40)).toBeCloseTo(0.01, 5);
  expect(curvatureAtDistance(circle(100, false), 40)).toBeCloseTo(-0.01, 5);
});

test('path data has one curve for each segment', () => {
  expect(pathData(published)).toBe('M0 0C0 100 100 100 100 0');
  expect(pathData(circle(10, true, 4)).match(/C/g)).toHaveLength(4);
  expect(pathData(circle(10, true, 4)).endsWith('Z')).toBe(true);
});
