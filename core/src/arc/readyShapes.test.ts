import type { Arc, ReadyShape } from '../model/schema';
import { withShape } from './wholeArc';
import { arcOf, corner } from '../testing/shapes';
import { fc } from '../testing/property';
import { arcLength, measureArc, pointAtDistance } from './arcMeasure';
import {
  freshShape,
  FRESH_SHAPES,
  shapeHandles,
  transformedShape,
  withShapeHandle,
  shapePoints,
} from './readyShapes';
import { applyTo, compose, rotationAbout, scalingAbout, translation } from './transform';

const FIELD = { width: 1920, height: 1080 };
const seed = arcOf([corner(0, 0), corner(1, 0)]);
const arcFor = (shape: ReadyShape): Arc => withShape(seed, shape);
const at = (x: number, y: number) => ({ x, y });

test('a circle of radius 100 is round and as long as a circle', () => {
  const circle = arcFor({
    kind: 'ellipse',
    reversed: false,
    centre: at(50, 70),
    radiusX: 100,
    radiusY: 100,
    turnDeg: 0,
    startDeg: 0,
    isRound: true,
  });
  expect(circle.closed).toBe(true);
  const length = arcLength(circle);
  expect(length / (200 * Math.PI)).toBeCloseTo(1, 5);
  // 20 intervals along the arc, and straight across as a ruler would measure them.
  expect(length / 20).toBeCloseTo(31.42, 2);
  const [a, b] = [pointAtDistance(circle, 0), pointAtDistance(circle, length / 20)];
  expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(31.29, 2);
  for (let i = 0; i < 100; i++) {
    const { x, y } = pointAtDistance(circle, (length * i) / 100);
    expect(Math.abs(Math.hypot(x - 50, y - 70) - 100)).toBeLessThan(4.5e-4);
  }
  // It starts at the right and turns clockwise as seen.
  expect(pointAtDistance(circle, 0)).toMatchObject({ x: 150, y: 70 });
  expect(pointAtDistance(circle, length / 4).y).toBeCloseTo(170, 3);
});

test('the same ends as a half circle make gaps of 15.71 where the straight line has 10.00', () => {
  const straight = arcFor({ kind: 'line', reversed: false, from: at(0, 0), to: at(200, 0) });
  const half = arcFor({
    kind: 'three-places',
    reversed: false,
    from: at(0, 0),
    through: at(100, -100),
    to: at(200, 0),
  });
  expect(arcLength(straight) / 20).toBeCloseTo(10, 9);
  expect(arcLength(half) / 20).toBeCloseTo(15.71, 2);
});

test('an arc through three places goes through all of them; in line they make a line', () => {
  const place = fc.record({ x: fc.integer({ min: -900, max: 900 }), y: fc.integer({ min: -900, max: 900 }) });
  fc.assert(
    fc.property(place, place, place, (from, through, to) => {
      const apart = Math.min(
        Math.hypot(from.x - through.x, from.y - through.y),
        Math.hypot(to.x - through.x, to.y - through.y),
        Math.hypot(to.x - from.x, to.y - from.y),
      );
      const area = Math.abs((through.x - from.x) * (to.y - from.y) - (through.y - from.y) * (to.x - from.x));
      fc.pre(apart > 20 && area > 2000);
      const arc = arcFor({ kind: 'three-places', reversed: false, from, through, to });
      const length = arcLength(arc);
      const near = Math.min(
        ...Array.from({ length: 4001 }, (_, i) => {
          const p = pointAtDistance(arc, (length * i) / 4000);
          return Math.hypot(p.x - through.x, p.y - through.y);
        }),
      );
      expect(near).toBeLessThan(length / 4000 + 1e-3 * length);
      const [first, last] = [arc.points[0]!, arc.points.at(-1)!];
      expect(Math.hypot(first.x - from.x, first.y - from.y)).toBeLessThan(1e-6 * length);
      expect(Math.hypot(last.x - to.x, last.y - to.y)).toBeLessThan(1e-6 * length);
    }),
  );
  const flat = arcFor({
    kind: 'three-places',
    reversed: false,
    from: at(0, 0),
    through: at(50, 0),
    to: at(120, 0),
  });
  expect(arcLength(flat)).toBeCloseTo(120, 9);
});

test('a swing hangs at its length all the way, from angle to angle off straight down', () => {
  const swing = arcFor({
    kind: 'swing',
    reversed: false,
    hang: at(960, -40),
    length: 640,
    fromDeg: -48,
    toDeg: 48,
  });
  expect(arcLength(swing)).toBeCloseTo((640 * 96 * Math.PI) / 180, 2);
  const start = pointAtDistance(swing, 0);
  expect(start.x).toBeCloseTo(960 - 640 * Math.sin((48 * Math.PI) / 180), 6);
  for (let i = 0; i <= 20; i++) {
    const { x, y } = pointAtDistance(swing, (arcLength(swing) * i) / 20);
    expect(Math.hypot(x - 960, y + 40)).toBeCloseTo(640, 2);
  }
});

test('a toss rises to its height above the higher end and is a parabola', () => {
  const toss = arcFor({ kind: 'toss', reversed: false, from: at(0, 0), to: at(400, 100), height: 150 });
  const places = Array.from({ length: 2001 }, (_, i) => pointAtDistance(toss, (arcLength(toss) * i) / 2000));
  expect(Math.min(...places.map(({ y }) => y))).toBeCloseTo(-150, 2);
  // Equal steps sideways: second differences of the height are all the same.
  const heightAt = (x: number): number =>
    places.reduce((best, p) => (Math.abs(p.x - x) < Math.abs(best.x - x) ? p : best)).y;
  const bend = (x: number): number => heightAt(x - 80) - 2 * heightAt(x) + heightAt(x + 80);
  expect(Math.abs(bend(100) - bend(300))).toBeLessThan(2);
});

test('each bounce reaches the square of the restitution of the height before, and takes its share of the way', () => {
  const e = 0.7;
  const shape = {
    kind: 'bounces',
    reversed: false,
    from: at(0, 0),
    to: at(1000, 400),
    count: 3,
    restitution: e,
  } as const;
  const { points } = shapePoints(shape);
  const hits = points.filter(({ kind }) => kind === 'corner').filter(({ y }) => Math.abs(y - 400) < 1e-6);
  const tops = points.filter(({ y }) => y < 399.9).slice(1);
  expect(tops.map(({ y }) => 400 - y).map((height) => height / 400)).toEqual([
    expect.closeTo(e ** 2, 6),
    expect.closeTo(e ** 4, 6),
    expect.closeTo(e ** 6, 6),
  ]);
  // Steady sideways: a bounce lasts as long as twice its fall, so its width shrinks with the restitution.
  const widths = hits.slice(1).map(({ x }, i) => x - hits[i]!.x);
  expect(widths[1]! / widths[0]!).toBeCloseTo(e, 6);
});

test('every ready shape, turned the other way, is the same line backwards', () => {
  for (const kind of FRESH_SHAPES) {
    const shape = freshShape(kind, FIELD);
    const [there, back] = [arcFor(shape), arcFor({ ...shape, reversed: true })];
    const length = arcLength(there);
    expect(arcLength(back) / length).toBeCloseTo(1, 9);
    for (let i = 0; i <= 16; i++) {
      const [p, q] = [
        pointAtDistance(there, (length * i) / 16),
        pointAtDistance(back, length - (length * i) / 16),
      ];
      expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(1e-6 * length);
    }
  }
});

test('every ready shape comes at a size that fits the field', () => {
  for (const field of [FIELD, { width: 300, height: 1000 }])
    for (const kind of FRESH_SHAPES) {
      const arc = arcFor(freshShape(kind, field));
      const length = arcLength(arc);
      expect(length).toBeGreaterThan(0.5 * Math.min(field.width, field.height));
      for (let i = 0; i <= 60; i++) {
        const { x, y } = pointAtDistance(arc, (length * i) / 60);
        expect(x > 0 && x < field.width && y > 0 && y < field.height).toBe(true);
      }
    }
});

test('a handle put where it is changes nothing, and put elsewhere it comes to lie there or in line', () => {
  for (const kind of FRESH_SHAPES) {
    const shape = freshShape(kind, FIELD);
    for (const { id, at: place } of shapeHandles(shape)) {
      const same = withShapeHandle(shape, id, place);
      shapePoints(same).points.forEach((point, i) => {
        const before = shapePoints(shape).points[i]!;
        expect(Math.hypot(point.x - before.x, point.y - before.y)).toBeLessThan(1e-6);
      });
      const moved = withShapeHandle(shape, id, { x: place.x + 30, y: place.y - 20 });
      expect(moved).not.toEqual(shape);
      expect(measureArc(arcFor(moved)).length).toBeGreaterThan(0);
    }
  }
});

test('a shape that is moved, turned and evenly sized stays that shape; its line goes along', () => {
  const transform = compose(
    compose(rotationAbout(at(300, 200), 33), scalingAbout(at(0, 0), 1.7)),
    translation(at(-40, 90)),
  );
  for (const kind of FRESH_SHAPES) {
    const shape = freshShape(kind, FIELD);
    const moved = transformedShape(shape, transform);
    if (!moved) continue;
    const [before, after] = [arcFor(shape), arcFor(moved)];
    expect(arcLength(after) / arcLength(before)).toBeCloseTo(1.7, 6);
    for (let i = 0; i <= 12; i++) {
      const p = applyTo(transform, pointAtDistance(before, (arcLength(before) * i) / 12));
      const q = pointAtDistance(after, (arcLength(after) * i) / 12);
      expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(1e-3 * arcLength(after));
    }
  }
  expect(
    FRESH_SHAPES.filter((kind) => transformedShape(freshShape(kind, FIELD), transform)).length,
  ).toBeGreaterThan(5);
});
