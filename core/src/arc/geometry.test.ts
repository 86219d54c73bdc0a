import { arcOf, corner, cubicArc } from '../testing/shapes';
import { arcLength, pointAtDistance } from './arcMeasure';
import { pointsWithStroke, samplesFor, type StrokeUse, strokeUses } from './drawOn';
import { fitStroke } from './fitStroke';
import { freshShape, shapeHandles, shapePoints, transformedShape, withShapeHandle } from './readyShapes';
import { PLAIN, type PointShape, withKind } from './smoothing';
import { applyTo, compose, mirrorAbout, rotationAbout, scalingAbout } from './transform';
import { joinedArcs, withIds } from './wholeArc';
import type { Arc, ReadyShape } from '../model/schema';

describe('direction of travel where a cubic stands still', () => {
  test('is that of its second derivative, upright or level', () => {
    // The first handle is drawn in: it leaves towards the second control point.
    const down = cubicArc([0, 0], [0, 0], [0, 60], [90, 90]);
    expect(pointAtDistance(down, 0).headingDeg).toBeCloseTo(90, 9);
    const left = cubicArc([0, 0], [0, 0], [-60, 0], [90, 90]);
    expect(pointAtDistance(left, 0).headingDeg).toBeCloseTo(180, 9);
    // And arrives from it.
    const arriving = cubicArc([90, 90], [0, 60], [0, 0], [0, 0]);
    expect(pointAtDistance(arriving, Infinity).headingDeg).toBeCloseTo(-90, 9);
  });
});

test('a stroke that goes on is tied to the end that it goes on from', () => {
  const arc = arcOf([corner(0, 0), corner(100, 0), corner(200, 50)]);
  const samples = [{ x: 300, y: 300 }];
  const first = (end: 'start' | 'end') => samplesFor(arc, samples, { kind: 'on', end })[0];
  expect(first('start')).toMatchObject({ x: 0, y: 0 });
  expect(first('end')).toMatchObject({ x: 200, y: 50 });
});

test('a mirror image is taken across an upright or a level line through the centre', () => {
  const centre = { x: 10, y: 20 };
  const image = (across: 'left-right' | 'up-down') => applyTo(mirrorAbout(centre, across), { x: 13, y: 26 });
  expect(image('left-right')).toEqual({ x: 7, y: 26 });
  expect(image('up-down')).toEqual({ x: 13, y: 14 });
});

test('rings for the height lie below the centre, and a drag there sets the height alone', () => {
  const field = { width: 1000, height: 600 };
  for (const name of ['ellipse', 'eight', 'rounded-box'] as const) {
    const shape = freshShape(name, field);
    const ring = shapeHandles(shape).find(({ id }) => id === 'y')!;
    expect(ring.at.x).toBeCloseTo(500, 9);
    expect(ring.at.y).toBeGreaterThan(300);
    const higher = withShapeHandle(shape, 'y', { x: 500, y: ring.at.y + 50 });
    expect(shapeHandles(higher).find(({ id }) => id === 'y')!.at.y).toBeCloseTo(ring.at.y + 50, 9);
    expect(shapeHandles(higher).find(({ id }) => id === 'x')!.at).toEqual(
      shapeHandles(shape).find(({ id }) => id === 'x')!.at,
    );
  }
});

describe('a stroke that replaces a part of an arc', () => {
  const arc = arcOf([corner(0, 0), corner(100, 0), corner(200, 0), corner(300, 0)]);
  const fitted = [corner(150, 0), corner(200, 40), corner(250, 0)];
  const places = (use: StrokeUse, points = fitted) =>
    pointsWithStroke(arc, use, points).map(({ x, y }) => [Math.round(x), Math.round(y)]);

  test('leaves what lies before and after it, and takes out what lies between', () => {
    expect(places({ kind: 'stretch', from: 150, to: 250 })).toEqual([
      [0, 0],
      [100, 0],
      [150, 0],
      [200, 40],
      [250, 0],
      [300, 0],
    ]);
  });

  test('drawn against the arc, it is turned round', () => {
    expect(places({ kind: 'stretch', from: 250, to: 150 }, [...fitted].reverse())).toEqual([
      [0, 0],
      [100, 0],
      [150, 0],
      [200, 40],
      [250, 0],
      [300, 0],
    ]);
  });

  test('is meant for the end that it begins nearer to', () => {
    const end = (x: number) =>
      strokeUses(
        arc,
        [
          { x, y: 5 },
          { x, y: 90 },
        ],
        200,
      )[0];
    expect(end(20)).toEqual({ kind: 'on', end: 'start' });
    expect(end(280)).toEqual({ kind: 'on', end: 'end' });
    expect(
      strokeUses(
        arc,
        [
          { x: 20, y: 30 },
          { x: 20, y: 90 },
        ],
        10,
      ),
    ).toEqual([{ kind: 'anew' }]);
  });
});

describe('joining two arcs', () => {
  const at = (...places: [number, number][]) => arcOf(places.map(([x, y]) => corner(x, y)));
  const rounded = (arc: Arc): Arc => ({
    ...arc,
    points: arc.points.map((point) => ({ ...point, kind: 'smooth', shaping: { ...PLAIN, tighten: 0.5 } })),
  });

  test('turns round the one or the other, so that the nearest ends meet', () => {
    const far = at([0, 0], [100, 0]);
    const turned = (a: Arc, b: Arc) => {
      const { reverseA, reverseB } = joinedArcs(a, b);
      return [reverseA, reverseB];
    };
    expect(turned(far, at([110, 0], [300, 0]))).toEqual([false, false]);
    expect(turned(far, at([300, 0], [110, 0]))).toEqual([false, true]);
    expect(turned(far, at([-10, 0], [-300, 0]))).toEqual([true, false]);
    expect(turned(far, at([-300, 0], [-10, 0]))).toEqual([true, true]);
  });

  test('keeps every point where it is, however it rounded itself off', () => {
    const { points } = joinedArcs(rounded(at([0, 0], [50, 40], [100, 0])), rounded(at([110, 0], [200, 0])));
    expect(points.map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [50, 40],
      [100, 0],
      [110, 0],
      [200, 0],
    ]);
    expect(points.every(({ shaping }) => shaping === null)).toBe(true);
    expect(points.map(({ kind }) => kind)).toEqual(['smooth', 'smooth', 'corner', 'corner', 'smooth']);
  });

  test('ends that meet become one point', () => {
    expect(joinedArcs(at([0, 0], [100, 0]), at([100, 0], [200, 50])).points).toHaveLength(3);
  });
});

test('without a stroke nothing but a fresh arc is meant, and a fresh one is fitted as it is', () => {
  const arc = arcOf([corner(0, 0), corner(100, 0)]);
  expect(strokeUses(arc, [], 10)).toEqual([{ kind: 'anew' }]);
  const samples = [{ x: 1, y: 2 }];
  expect(samplesFor(arc, samples, { kind: 'anew' })).toBe(samples);
});

describe('ready shapes follow their formulas', () => {
  const along = (shape: ReadyShape, count = 60) => {
    const { points, closed } = shapePoints(shape);
    const arc = { ...arcOf([]), closed, points: withIds(points) };
    return Array.from({ length: count + 1 }, (_, i) => pointAtDistance(arc, (i / count) * arcLength(arc)));
  };

  test('a figure of eight goes up and down twice while it goes to and fro once', () => {
    const eight = {
      kind: 'eight',
      reversed: false,
      centre: { x: 0, y: 0 },
      width: 200,
      height: 80,
      turnDeg: 0,
    } as const;
    for (const { x, y } of along(eight)) {
      const sine = Math.max(-1, Math.min(1, x / 100));
      expect(Math.abs(Math.abs(y) - Math.abs(2 * 40 * sine * Math.sqrt(1 - sine * sine)))).toBeLessThan(0.8);
    }
  });

  test('the radius of a spiral grows evenly with its turn', () => {
    const spiral = {
      kind: 'spiral',
      reversed: false,
      centre: { x: 0, y: 0 },
      innerRadius: 20,
      outerRadius: 100,
      turns: 2,
      startDeg: 0,
    } as const;
    for (const { x, y } of along(spiral, 200)) {
      const turned = (Math.atan2(y, x) / (2 * Math.PI) + 1) % 1;
      const radius = Math.hypot(x, y);
      const nearest = Math.min(...[0, 1, 2].map((lap) => Math.abs(20 + 40 * (lap + turned) - radius)));
      expect(nearest).toBeLessThan(0.2);
    }
  });

  test('a fresh circle is three tenths of the shorter side in radius', () => {
    expect(freshShape('circle', { width: 900, height: 500 })).toMatchObject({ radiusX: 150, radiusY: 150 });
  });

  test('stay what they are when they are turned and made very large or very small', () => {
    const circle = freshShape('circle', { width: 900, height: 500 });
    for (const factor of [1e5, 1e-5]) {
      const map = compose(scalingAbout({ x: 3, y: 4 }, factor), rotationAbout({ x: 1e4, y: -1e4 }, 30));
      expect(transformedShape(circle, map)).toMatchObject({
        kind: 'ellipse',
        turnDeg: expect.closeTo(30, 6),
      });
    }
  });
});

test('a point that is made smooth keeps the lengths of its handles, an even one has the mean of both', () => {
  const point: PointShape = { x: 0, y: 0, in: { x: -10, y: 0 }, out: { x: 0, y: 40 }, kind: 'corner' };
  const lengths = (kind: 'smooth' | 'even') => {
    const made = withKind(point, kind);
    return [Math.hypot(made.in.x, made.in.y), Math.hypot(made.out.x, made.out.y)].map(Math.round);
  };
  expect(lengths('smooth')).toEqual([10, 40]);
  expect(lengths('even')).toEqual([25, 25]);
});

test('the ends of a stroke can be drawn on: their outer handles mirror the inner ones', () => {
  const stroke = Array.from({ length: 40 }, (_, i) => ({ x: 5 * i, y: 30 * Math.sin(i / 9) }));
  const points = fitStroke(stroke, { allowedDeviation: 2 });
  const [first, last] = [points[0]!, points.at(-1)!];
  expect(first.in).toEqual({ x: -first.out.x, y: -first.out.y });
  expect(last.out).toEqual({ x: -last.in.x, y: -last.in.y });
});
