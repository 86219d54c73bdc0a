import { anyArc, arcOf, circle, corner, cubicArc } from '../testing/shapes';
import { fc } from '../testing/property';
import { arcLength, pointAtDistance } from './arcMeasure';
import { withSegmentPulled, withSegmentStraight } from './bend';
import { withRestShifted, withRestTurned } from './fromHere';
import { withPointsOfKind, withPointsShaped } from './pointEdits';
import { PLAIN, smoothThrough, withShapedHandles } from './smoothing';
import { applyTo, mirrorAbout, rotationAbout, scalingAbout, type Transform } from './transform';
import {
  closedArc,
  cutArc,
  joinedArcs,
  openedArc,
  reversedArc,
  transformedArc,
  withIds,
  withPointAtDistance,
} from './wholeArc';

const near = (a: { x: number; y: number }, b: { x: number; y: number }): number =>
  Math.hypot(a.x - b.x, a.y - b.y);
const share = fc.double({ min: 0, max: 1, noNaN: true });

test('reversing twice is the arc itself, and once runs through the same places backwards', () => {
  fc.assert(
    fc.property(anyArc, share, (arc, u) => {
      const back = reversedArc(arc);
      expect(reversedArc(back)).toEqual(arc);
      const length = arcLength(arc);
      expect(Math.abs(arcLength(back) - length)).toBeLessThanOrEqual(2e-9 * length);
      const [p, q] = [pointAtDistance(arc, u * length), pointAtDistance(back, (1 - u) * arcLength(back))];
      expect(near(p, q)).toBeLessThan(1e-6 * (1 + length));
    }),
  );
});

test('transforming then measuring is measuring then scaling', () => {
  const even: fc.Arbitrary<readonly [Transform, number]> = fc
    .tuple(
      fc.record({ x: fc.integer({ min: -500, max: 500 }), y: fc.integer({ min: -500, max: 500 }) }),
      fc.double({ min: -720, max: 720, noNaN: true }),
      fc.double({ min: 0.01, max: 50, noNaN: true }),
    )
    .chain(([centre, deg, factor]) =>
      fc.constantFrom<readonly [Transform, number]>(
        [rotationAbout(centre, deg), 1],
        [scalingAbout(centre, factor), factor],
        [mirrorAbout(centre, 'left-right'), 1],
        [mirrorAbout(centre, 'up-down'), 1],
      ),
    );
  fc.assert(
    fc.property(anyArc, even, share, (arc, [transform, factor], u) => {
      const after = transformedArc(arc, transform);
      const length = arcLength(arc);
      expect(Math.abs(arcLength(after) - factor * length)).toBeLessThanOrEqual(2e-8 * factor * (1 + length));
      const p = applyTo(transform, pointAtDistance(arc, u * length));
      expect(near(p, pointAtDistance(after, u * arcLength(after)))).toBeLessThan(
        1e-5 * factor * (1 + length),
      );
    }),
  );
});

test('an arc that is closed and opened again is the same length of line, and opens where it is told', () => {
  const open = arcOf(smoothThrough([0, 1, 2, 3].map((i) => ({ x: 100 * i, y: 80 * (i % 2) }))));
  const closed = closedArc(open);
  expect(closed.closed).toBe(true);
  const round = circle(100, true, 6);
  const opened = openedArc(round, 'p3');
  expect(opened.closed).toBe(false);
  expect(opened.points).toHaveLength(7);
  expect(near(opened.points[0]!, round.points[2]!)).toBe(0);
  expect(near(opened.points[6]!, round.points[2]!)).toBe(0);
  expect(arcLength(opened)).toBeCloseTo(arcLength(round), 6);
  expect(arcLength(closedArc(opened))).toBeCloseTo(arcLength(round), 6);
});

test('cut in two and joined again an arc is as it was, whichever way round the parts lie', () => {
  fc.assert(
    fc.property(
      anyArc.filter((arc) => !arc.closed && arcLength(arc) > 50),
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      fc.boolean(),
      fc.boolean(),
      (arc, u, turnsFirst, turnsSecond) => {
        const length = arcLength(arc);
        const [first, second] = cutArc(arc, u * length);
        const parts = [arcOf(first), arcOf(second)] as const;
        expect(Math.abs(arcLength(parts[0]) - u * length)).toBeLessThan(1e-6 * length);
        expect(Math.abs(arcLength(parts[0]) + arcLength(parts[1]) - length)).toBeLessThan(1e-6 * length);
        const a = turnsFirst ? reversedArc(parts[0]) : parts[0];
        const b = turnsSecond ? reversedArc(parts[1]) : parts[1];
        const ends = [a.points[0]!, a.points.at(-1)!, b.points[0]!, b.points.at(-1)!];
        // Ends that lie on each other elsewhere too could be joined in another way.
        const apart = near(ends[0]!, ends[1]!) > 1 && near(ends[2]!, ends[3]!) > 1;
        fc.pre(apart);
        const whole = arcOf(withIds(joinedArcs(a, b).points));
        expect(arcLength(whole)).toBeLessThan(length * (1 + 1e-6) + 1e-6);
      },
    ),
  );
});

test('a point that is asked for at a distance lies there and changes no length', () => {
  fc.assert(
    fc.property(anyArc, share, (arc, u) => {
      const length = arcLength(arc);
      const { arc: pointed, index } = withPointAtDistance(arc, u * length);
      expect(near(pointed.points[index]!, pointAtDistance(arc, u * length))).toBeLessThan(
        1e-5 * (1 + length),
      );
      expect(Math.abs(arcLength(pointed) - length)).toBeLessThan(1e-6 * (1 + length));
    }),
  );
});

test('a segment that is pulled goes through where it was pulled to, and no point is added', () => {
  const place = fc.record({ x: fc.integer({ min: -600, max: 600 }), y: fc.integer({ min: -600, max: 600 }) });
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), place, (t, to) => {
      const arc = arcOf([corner(0, 0), corner(300, 0), corner(300, 300)]);
      const pulled = withSegmentPulled(arc, 0, t, to);
      expect(pulled.points.map(({ x, y }) => [x, y])).toEqual(arc.points.map(({ x, y }) => [x, y]));
      const [a, b] = pulled.points;
      const at = (p: number, q: number, r: number, e: number): number =>
        (1 - t) ** 3 * p + 3 * (1 - t) ** 2 * t * q + 3 * (1 - t) * t ** 2 * r + t ** 3 * e;
      expect(at(a!.x, a!.x + a!.out.x, b!.x + b!.in.x, b!.x)).toBeCloseTo(to.x, 6);
      expect(at(a!.y, a!.y + a!.out.y, b!.y + b!.in.y, b!.y)).toBeCloseTo(to.y, 6);
    }),
  );
  const bent = cubicArc([0, 0], [50, 200], [250, 200], [300, 0]);
  expect(arcLength(withSegmentStraight(bent, 0))).toBeCloseTo(300, 9);
});

describe('from here on', () => {
  const elbow = arcOf([corner(0, 0), corner(10, 0), corner(20, 0), corner(30, 0)]);

  test('turned by 90° anticlockwise about the third of four places the last one lies at (20, −10)', () => {
    const turned = withRestTurned(elbow, 20, 'from-here', -90);
    expect(turned.points.at(-1)).toMatchObject({ x: expect.closeTo(20, 9), y: expect.closeTo(-10, 9) });
  });

  test('turned by 90° about the second of four places the last one comes to lie at (10, 20)', () => {
    const turned = withRestTurned(elbow, 10, 'from-here', 90);
    expect(turned.points.at(-1)).toMatchObject({ x: expect.closeTo(10, 9), y: expect.closeTo(20, 9) });
    const other = withRestTurned(elbow, 20, 'up-to-here', -90);
    expect(other.points[0]).toMatchObject({ x: expect.closeTo(20, 9), y: expect.closeTo(20, 9) });
  });

  test('no gap changes, whatever is turned and wherever', () => {
    fc.assert(
      fc.property(
        anyArc.filter((arc) => !arc.closed && arcLength(arc) > 50),
        share,
        fc.double({ min: -360, max: 360, noNaN: true }),
        fc.constantFrom('from-here' as const, 'up-to-here' as const),
        (arc, u, deg, rest) => {
          const length = arcLength(arc);
          const turned = withRestTurned(arc, u * length, rest, deg);
          expect(Math.abs(arcLength(turned) - length)).toBeLessThan(1e-6 * length);
          // The part that stays stays.
          const still = rest === 'from-here' ? 0.5 * u : u + 0.5 * (1 - u);
          expect(
            near(pointAtDistance(turned, still * length), pointAtDistance(arc, still * length)),
          ).toBeLessThan(1e-5 * length);
        },
      ),
    );
  });

  test('shifted, the rest hangs on a straight segment and is as long as before', () => {
    const shifted = withRestShifted(elbow, 10, 'from-here', { x: 0, y: 40 });
    expect(arcLength(shifted)).toBeCloseTo(70, 9);
    expect(shifted.points.at(-1)).toMatchObject({ x: 30, y: 40 });
    expect(() => withRestShifted(circle(10), 5, 'from-here', { x: 1, y: 0 })).toThrow('open it first');
  });
});

describe('points that round themselves off', () => {
  const places = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 200, y: 100 },
  ];

  test('a plain one leaves in the direction between its neighbours; tightened fully it has no handles', () => {
    const [, middle] = smoothThrough(places);
    expect(Math.atan2(middle!.out.y, middle!.out.x)).toBeGreaterThan(0);
    expect(middle!.out.x * middle!.in.y).toBeCloseTo(middle!.out.y * middle!.in.x, 6);
    const tight = withPointsShaped(arcOf(smoothThrough(places)), ['p2'], { ...PLAIN, tighten: 1 });
    expect(Math.hypot(tight.points[1]!.out.x, tight.points[1]!.out.y)).toBeCloseTo(0, 9);
  });

  test('sharpened fully both its sides point at the neighbours, and leaning turns it to one of them', () => {
    const sharp = withPointsShaped(arcOf(smoothThrough(places)), ['p2'], { ...PLAIN, sharpen: 1 });
    expect(sharp.points[1]!.in.y).toBeCloseTo(0, 9);
    expect(sharp.points[1]!.out.x).toBeCloseTo(sharp.points[1]!.out.y, 9);
    const leaning = withPointsShaped(arcOf(smoothThrough(places)), ['p2'], { ...PLAIN, lean: 1 });
    expect(leaning.points[1]!.out.y).toBeCloseTo(0, 9);
  });

  test('they follow when a neighbour moves, and those shaped by hand do not', () => {
    const smooth = smoothThrough(places);
    const moved = smooth.map((point, i) => (i === 2 ? { ...point, y: -100 } : point));
    expect(withShapedHandles(moved, false)[1]!.out.y).toBeLessThan(0);
    const byHand = smooth.map((point) => ({ ...point, shaping: null }));
    expect(withShapedHandles(byHand, false)).toBe(byHand);
  });

  test('an even one has handles of one length, a corner keeps both as they are', () => {
    const arc = arcOf([
      corner(0, 0),
      { ...corner(100, 0), in: { x: -30, y: 0 }, out: { x: 0, y: 50 } },
      corner(200, 0),
    ]);
    const even = withPointsOfKind(arc, ['p2'], 'even').points[1]!;
    expect(even.in.x).toBeCloseTo(-even.out.x, 9);
    expect(even.in.y).toBeCloseTo(-even.out.y, 9);
    const sharp = withPointsOfKind(arc, ['p2'], 'corner').points[1]!;
    expect(sharp).toMatchObject({ in: { x: -30, y: 0 }, out: { x: 0, y: 50 } });
  });
});
