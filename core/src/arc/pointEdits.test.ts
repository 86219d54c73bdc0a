import { anyArc, arcOf, circle, corner, cubicArc } from '../testing/shapes';
import { fc } from '../testing/property';
import { arcLength, measureArc, pointAtDistance } from './arcMeasure';
import { fitStroke } from './fitStroke';
import { nearestPoint } from './nearestPoint';
import { withHandleAt, withPointAt, withPointInserted, withoutPoint } from './pointEdits';
import { segmentCount } from './segments';

test('inserting a point never moves a tick', () => {
  fc.assert(
    fc.property(anyArc, fc.nat(), fc.double({ min: 0.01, max: 0.99, noNaN: true }), (arc, n, t) => {
      const next = withPointInserted(arc, n % segmentCount(arc), t);
      expect(next.points).toHaveLength(arc.points.length + 1);
      const length = arcLength(arc);
      expect(arcLength(next)).toBeCloseTo(length, 5);
      for (let i = 1; i < 8; i++) {
        const before = pointAtDistance(arc, (i / 8) * length);
        const after = pointAtDistance(next, (i / 8) * arcLength(next));
        expect(Math.hypot(after.x - before.x, after.y - before.y)).toBeLessThan(1e-6 * (length + 1) + 1e-6);
      }
    }),
  );
});

test('a point carries its handles with it', () => {
  const arc = withPointAt(cubicArc([0, 0], [0, 100], [100, 100], [100, 0]), 'p1', { x: 10, y: 20 });
  expect(arc.points[0]).toMatchObject({ x: 10, y: 20, out: { x: 0, y: 100 } });
});

test('the other handle of a smooth point stays in line and keeps its length; of a corner it stays', () => {
  const smooth = circle(100, true, 4);
  const pulled = withHandleAt(smooth, 'p1', 'out', { x: 100 + 30, y: 40 }).points[0]!;
  expect(pulled.out).toEqual({ x: 30, y: 40 });
  const length = Math.hypot(smooth.points[0]!.in.x, smooth.points[0]!.in.y);
  expect(pulled.in.x).toBeCloseTo((-30 / 50) * length, 9);
  expect(pulled.in.y).toBeCloseTo((-40 / 50) * length, 9);
  const sharp = arcOf([corner(0, 0), corner(100, 0), corner(200, 0)]);
  const bent = withHandleAt(sharp, 'p2', 'out', { x: 120, y: 30 }).points[1]!;
  expect(bent).toMatchObject({ out: { x: 20, y: 30 }, in: { x: 0, y: 0 } });
});

test('a handle pulled onto its own point leaves the other one alone', () => {
  const arc = circle(100, true, 4);
  const point = withHandleAt(arc, 'p1', 'out', arc.points[0]!).points[0]!;
  expect(point.out).toEqual({ x: 0, y: 0 });
  expect(point.in).toEqual(arc.points[0]!.in);
});

test('deleting an inserted point brings the shape back', () => {
  const arc = cubicArc([0, 0], [0, 100], [100, 100], [100, 0]);
  const back = withoutPoint(withPointInserted(arc, 0, 0.4), 'p3');
  expect(back.points).toHaveLength(2);
  for (let i = 0; i <= 10; i++) {
    const place = pointAtDistance(arc, (i / 10) * arcLength(arc));
    expect(nearestPoint(back, place)!.away).toBeLessThan(0.05);
  }
});

test('deleting works at the ends, on straight segments and on a closed arc', () => {
  const line = arcOf([corner(0, 0), corner(50, 0), corner(100, 0)]);
  expect(arcLength(withoutPoint(line, 'p2'))).toBe(100);
  expect(arcLength(withoutPoint(line, 'p1'))).toBe(50);
  const round = withoutPoint(circle(100, true, 4), 'p1');
  expect(round.points).toHaveLength(3);
  expect(measureArc(round).turnPerLapDeg).toBeCloseTo(360, 6);
});

test('an arc keeps at least two points, and unknown points are refused', () => {
  const line = arcOf(
    fitStroke(
      [
        { x: 0, y: 0 },
        { x: 9, y: 9 },
      ],
      { allowedDeviation: 1 },
    ),
  );
  expect(() => withoutPoint(line, 'p1')).toThrow('at least two points');
  expect(() => withoutPoint(line, 'p9')).toThrow('no point p9');
  expect(() => withPointInserted(line, 7, 0.5)).toThrow('no such place');
});

test('the other handle of an even point mirrors, in both directions and lengths', () => {
  const even = { ...corner(100, 0), kind: 'even' as const, in: { x: -10, y: 0 }, out: { x: 10, y: 0 } };
  const arc = arcOf([corner(0, 0), even, corner(200, 0)]);
  expect(withHandleAt(arc, 'p2', 'out', { x: 130, y: 40 }).points[1]).toMatchObject({
    in: { x: -30, y: -40 },
    out: { x: 30, y: 40 },
  });
  expect(withHandleAt(arc, 'p2', 'in', { x: 100, y: -5 }).points[1]).toMatchObject({
    in: { x: 0, y: -5 },
    out: { x: -0, y: 5 },
  });
});
