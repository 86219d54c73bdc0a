import { anyArc } from '../testing/shapes';
import { fc } from '../testing/property';
import { heavyShot } from '../testing/heavyShots';
import { arcLength, pointAtDistance } from './arcMeasure';
import { nearestPoint } from './nearestPoint';
import { distance } from './vector';

const SAMPLES = 400;
/** Share of the arc by which the edge of a window may be missed. */
const EDGE = 1e-3;
const somewhere = fc.record({
  x: fc.double({ min: -2500, max: 2500, noNaN: true }),
  y: fc.double({ min: -2500, max: 2500, noNaN: true }),
});

test('no place within the window is nearer than the one that is found', () => {
  fc.assert(
    fc.property(
      anyArc,
      somewhere,
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0.01, max: 1, noNaN: true }),
      (arc, to, at, width) => {
        const length = arcLength(arc);
        const window = [(at - width / 2) * length, (at + width / 2) * length] as const;
        const found = nearestPoint(arc, to, window);
        if (length === 0) return expect(found).toBeNull();
        const [from, until] = [Math.max(0, window[0]), Math.min(length, window[1])];
        expect(found!.s).toBeGreaterThanOrEqual(from - EDGE * length);
        expect(found!.s).toBeLessThanOrEqual(until + EDGE * length);
        for (let i = 0; i <= SAMPLES; i++) {
          const s = from + ((until - from) * i) / SAMPLES;
          expect(distance(pointAtDistance(arc, s), to)).toBeGreaterThanOrEqual(found!.away - EDGE * length);
        }
      },
    ),
    { numRuns: 100 },
  );
});

test('a place found on an arc of hundreds of points is the one that a look at all of it finds', () => {
  const arc = heavyShot({ points: 800 }).arcs[0]!;
  const length = arcLength(arc);
  for (const share of [0.1, 0.4999, 0.77]) {
    const there = pointAtDistance(arc, share * length);
    const found = nearestPoint(arc, there, [(share - 0.02) * length, (share + 0.02) * length])!;
    expect(found.away).toBeLessThan(1e-6);
    expect(found.s).toBeCloseTo(share * length, 3);
  }
});
