import { fc } from '../../testing/property';
import { arcLength, pointAtDistance } from '../arcMeasure';
import { shapePoints, withShapeHandle } from '../readyShapes';
import { withIds } from '../wholeArc';
import type { ReadyShape } from '../../model/schema';
import { arcOf } from '../../testing/shapes';

type Box = Extract<ReadyShape, { kind: 'rounded-box' }>;

const box = (sizes: Partial<Box> = {}): Box => ({
  kind: 'rounded-box',
  reversed: false,
  centre: { x: 0, y: 0 },
  width: 400,
  height: 200,
  cornerRadius: 50,
  turnDeg: 0,
  startDeg: 0,
  ...sizes,
});

const arcFor = (shape: Box) => {
  const { points, closed } = shapePoints(shape);
  return { ...arcOf([]), closed, points: withIds(points) };
};

/** How far a point lies outside the outline (negative inside): the signed distance of a rounded box. */
function outside({ width, height, cornerRadius }: Box, x: number, y: number): number {
  const r = Math.min(cornerRadius, width / 2, height / 2);
  const [dx, dy] = [Math.abs(x) - (width / 2 - r), Math.abs(y) - (height / 2 - r)];
  return Math.hypot(Math.max(dx, 0), Math.max(dy, 0)) + Math.min(Math.max(dx, dy), 0) - r;
}

const anyBox = fc.record({
  width: fc.double({ min: 10, max: 2000, noNaN: true }),
  height: fc.double({ min: 10, max: 2000, noNaN: true }),
  cornerRadius: fc.double({ min: 0, max: 1200, noNaN: true }),
  startDeg: fc.oneof(
    fc.double({ min: -720, max: 720, noNaN: true }),
    fc.integer({ min: -16, max: 16 }).map((n) => n * 45),
  ),
});

test('the outline stays within 4e-6 of the radius, wherever it starts', () => {
  fc.assert(
    fc.property(anyBox, (sizes) => {
      const shape = box(sizes);
      const arc = arcFor(shape);
      const length = arcLength(arc);
      const r = Math.min(shape.cornerRadius, shape.width / 2, shape.height / 2);
      const allowed = 4.3e-6 * r + 1e-9 * (shape.width + shape.height);
      for (let i = 0; i < 97; i++) {
        const { x, y } = pointAtDistance(arc, (i / 97) * length);
        expect(Math.abs(outside(shape, x, y))).toBeLessThanOrEqual(allowed);
      }
    }),
  );
});

test('its length is that of four sides and one circle', () => {
  const expected = 2 * (400 + 200) - 8 * 50 + 2 * Math.PI * 50;
  expect(Math.abs(arcLength(arcFor(box())) / expected - 1)).toBeLessThan(4e-6);
});

test('it starts where its start is seen from the centre, clockwise, closed', () => {
  const first = (startDeg: number) => shapePoints(box({ startDeg })).points[0]!;
  expect(first(0)).toMatchObject({ x: 200, y: 0 });
  expect(first(90).x).toBeCloseTo(0, 9);
  expect(first(90).y).toBeCloseTo(100, 9);
  expect(first(180).x).toBeCloseTo(-200, 9);
  // In the corner at the lower right: on its circle, on the ray.
  const deg = (Math.atan2(100 - 50 + 50 * Math.SQRT1_2, 200 - 50 + 50 * Math.SQRT1_2) * 180) / Math.PI;
  expect(first(deg).x).toBeCloseTo(150 + 50 * Math.SQRT1_2, 9);
  expect(first(deg).y).toBeCloseTo(50 + 50 * Math.SQRT1_2, 9);
  expect(shapePoints(box()).closed).toBe(true);
  const arc = arcFor(box());
  expect(pointAtDistance(arc, 10).y).toBeGreaterThan(0);
});

test('corners are round, or sharp with a radius of 0; a radius too large makes a circle of a square', () => {
  expect(shapePoints(box()).points.every(({ kind }) => kind === 'smooth')).toBe(true);
  const sharp = shapePoints(box({ cornerRadius: 0 })).points;
  expect(sharp.filter(({ kind }) => kind === 'corner')).toHaveLength(4);
  const circle = arcFor(box({ width: 100, height: 100, cornerRadius: 1e6 }));
  expect(arcLength(circle) / (100 * Math.PI)).toBeCloseTo(1, 5);
});

test('a box of no size at all is still an arc', () => {
  expect(shapePoints(box({ width: 0, height: 0 })).points.length).toBeGreaterThan(1);
  expect(shapePoints(box({ width: 0 })).points.length).toBeGreaterThan(1);
});

test('its corner ring changes the radius, as far as the box has room', () => {
  const at = 100 - 30 * (1 - Math.SQRT1_2);
  expect((withShapeHandle(box(), 'corner', { x: at + 100, y: at }) as Box).cornerRadius).toBeCloseTo(30, 9);
  expect((withShapeHandle(box(), 'corner', { x: 0, y: 0 }) as Box).cornerRadius).toBe(100);
  expect((withShapeHandle(box(), 'corner', { x: 300, y: 300 }) as Box).cornerRadius).toBe(0);
});

test.each([20, 37, 143, 160, 200, 217, 323, 340])('it can start in any corner, seen at %i°', (startDeg) => {
  const sizes = { width: 200, height: 120, cornerRadius: 50 };
  expect(arcLength(arcFor(box({ ...sizes, startDeg })))).toBeCloseTo(arcLength(arcFor(box(sizes))), 2);
});
