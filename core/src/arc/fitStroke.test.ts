import { arcOf } from '../testing/shapes';
import { fc } from '../testing/property';
import { arcLength, pointAtDistance } from './arcMeasure';
import { fitStroke } from './fitStroke';
import { keepSamples } from './keepSamples';
import { nearestPoint } from './nearestPoint';
import { smoothThrough } from './smoothing';
import type { Vector } from './vector';

const along = (count: number, place: (u: number) => Vector): Vector[] =>
  Array.from({ length: count }, (_, i) => place(i / (count - 1)));

describe('samples kept', () => {
  const samples = [
    [0, 0],
    [10, 0.4],
    [20, 8],
    [30, 0.5],
    [40, 0],
  ].map(([x, y]) => ({ x: x!, y: y! }));

  test.each([
    [4, 3],
    [1, 5],
    [9, 2],
  ])('with an allowed deviation of %d: %d', (deviation, count) => {
    expect(keepSamples(samples, deviation)).toHaveLength(count);
  });
});

describe('a stroke becomes an arc', () => {
  test('a half circle drawn with 120 samples needs few points and keeps its length', () => {
    const stroke = along(120, (u) => ({
      x: 400 - 300 * Math.cos(Math.PI * u),
      y: 500 - 300 * Math.sin(Math.PI * u),
    }));
    const points = fitStroke(stroke, { allowedDeviation: 2 });
    expect(points.length).toBeLessThanOrEqual(4);
    expect(arcLength(arcOf(points))).toBeCloseTo(300 * Math.PI, -1);
    expect(points.every((point) => point.kind === 'smooth')).toBe(true);
  });

  test('a corner stays a corner, at its place', () => {
    const stroke = along(201, (u) => (u < 0.5 ? { x: 400 * u, y: 0 } : { x: 200, y: 400 * (u - 0.5) }));
    const points = fitStroke(stroke, { allowedDeviation: 2 });
    const corners = points.filter((point) => point.kind === 'corner');
    expect(corners).toHaveLength(1);
    expect(corners[0]).toMatchObject({ x: 200, y: 0 });
  });

  test('a wave has no corners', () => {
    const stroke = along(300, (u) => ({ x: 900 * u, y: 120 * Math.sin(4 * Math.PI * u) }));
    const points = fitStroke(stroke, { allowedDeviation: 3 });
    expect(points.filter((point) => point.kind === 'corner')).toHaveLength(0);
    expect(points.length).toBeLessThanOrEqual(10);
  });

  test('no sample lies further from the arc than allowed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 0, max: 800 }), y: fc.integer({ min: 0, max: 500 }) }), {
          minLength: 2,
          maxLength: 25,
        }),
        fc.integer({ min: 1, max: 20 }),
        (stroke, allowedDeviation) => {
          const arc = arcOf(fitStroke(stroke, { allowedDeviation }));
          for (const sample of stroke) {
            const away =
              nearestPoint(arc, sample)?.away ??
              Math.hypot(sample.x - arc.points[0]!.x, sample.y - arc.points[0]!.y);
            expect(away).toBeLessThanOrEqual(allowedDeviation + 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a tap, a repeat and a sample without a number do not break it', () => {
    expect(fitStroke([], { allowedDeviation: 2 })).toEqual([]);
    expect(
      fitStroke(
        [
          { x: 5, y: 6 },
          { x: 5, y: 6 },
        ],
        { allowedDeviation: 2 },
      ),
    ).toHaveLength(2);
    const points = fitStroke(
      [
        { x: 0, y: 0 },
        { x: NaN, y: 4 },
        { x: 10, y: 0 },
      ],
      { allowedDeviation: 2 },
    );
    expect(points.map((p) => p.x)).toEqual([0, 10]);
  });
});

test('a smooth arc through given places passes through each of them', () => {
  const places = [
    { x: 0, y: 0 },
    { x: 100, y: 50 },
    { x: 220, y: -30 },
  ];
  const arc = arcOf(smoothThrough(places));
  for (const place of places) expect(nearestPoint(arc, place)!.away).toBeLessThan(1e-6);
});

describe('nearest place', () => {
  const crossing = arcOf(
    fitStroke(
      along(400, (u) => ({ x: 300 * Math.sin(2 * Math.PI * u), y: 150 * Math.sin(4 * Math.PI * u) })),
      { allowedDeviation: 1 },
    ),
  );

  test('finds the place that a brute search finds', () => {
    fc.assert(
      fc.property(fc.integer({ min: -350, max: 350 }), fc.integer({ min: -200, max: 200 }), (x, y) => {
        const length = arcLength(crossing);
        let best = Infinity;
        for (let i = 0; i <= 4000; i++) {
          const place = pointAtDistance(crossing, (i / 4000) * length);
          best = Math.min(best, Math.hypot(place.x - x, place.y - y));
        }
        const found = nearestPoint(crossing, { x, y })!;
        expect(found.away).toBeLessThanOrEqual(best + 1e-6);
        const again = pointAtDistance(crossing, found.s);
        expect(Math.hypot(again.x - found.point.x, again.y - found.point.y)).toBeLessThan(1e-4);
      }),
      { numRuns: 30 },
    );
  });

  test('a window narrower than any piece of the arc still holds a place', () => {
    const line = arcOf(
      fitStroke(
        [
          { x: 0, y: 0 },
          { x: 1000, y: 0 },
        ],
        { allowedDeviation: 1 },
      ),
    );
    expect(nearestPoint(line, { x: 300, y: 50 }, [200, 290])!.s).toBeCloseTo(290, 0);
    expect(nearestPoint(line, { x: 250, y: 50 }, [200, 290])!.s).toBeCloseTo(250, 6);
    expect(nearestPoint(line, { x: 250, y: 50 }, [2000, 2100])).toBeNull();
  });

  test('stays on its branch at a crossing when it is given a window', () => {
    const length = arcLength(crossing);
    const first = nearestPoint(crossing, { x: 3, y: 0 }, [0, length * 0.2])!;
    const second = nearestPoint(crossing, { x: 3, y: 0 }, [length * 0.4, length * 0.6])!;
    expect(first.s).toBeLessThan(length * 0.2);
    expect(second.s).toBeGreaterThan(length * 0.4);
  });
});
