import { arcOf, circle, corner } from '../testing/shapes';
import { withIds } from './wholeArc';
import { curvatureComb, directionArrows } from './aids';
import { arcLength, pointAtDistance } from './arcMeasure';
import { pointsWithStroke, samplesFor, strokeUses } from './drawOn';
import { fitStroke } from './fitStroke';
import { alongDirections, snap } from './snap';

const line = arcOf([corner(0, 0), corner(100, 0), corner(200, 0)]);
const stroke = (...places: [number, number][]) => places.map(([x, y]) => ({ x, y }));
const fit = (samples: readonly { x: number; y: number }[]) => fitStroke(samples, { allowedDeviation: 0.5 });

describe('what a stroke can mean for an arc', () => {
  test('near an open end it goes on from there, elsewhere it can only be the arc anew', () => {
    expect(strokeUses(line, stroke([203, 2], [260, 40]), 8)).toEqual([
      { kind: 'on', end: 'end' },
      { kind: 'anew' },
    ]);
    expect(strokeUses(line, stroke([-4, 0], [-60, 40]), 8)[0]).toEqual({ kind: 'on', end: 'start' });
    expect(strokeUses(line, stroke([100, 80], [160, 90]), 8)).toEqual([{ kind: 'anew' }]);
    expect(strokeUses(circle(100), stroke([100, 0], [300, 0]), 8)).toEqual([{ kind: 'anew' }]);
  });

  test('on the arc at both ends it replaces what lies between', () => {
    const [use] = strokeUses(line, stroke([40, 3], [80, 60], [120, -3]), 8);
    expect(use).toEqual({ kind: 'stretch', from: expect.closeTo(40, 6), to: expect.closeTo(120, 6) });
  });
});

test('drawn on from the end the arc keeps what it had and ends where the stroke ends', () => {
  const use = { kind: 'on', end: 'end' } as const;
  const samples = samplesFor(line, stroke([210, 0], [240, 0], [300, 0]), use);
  const points = pointsWithStroke(line, use, fit(samples));
  const drawn = arcOf(withIds(points));
  expect(points.slice(0, 2).map((p) => ('id' in p ? p.id : ''))).toEqual(['p1', 'p2']);
  expect(arcLength(drawn)).toBeCloseTo(300, 3);
  const before = { kind: 'on', end: 'start' } as const;
  const back = pointsWithStroke(line, before, fit(samplesFor(line, stroke([-20, 0], [-50, 0]), before)));
  expect(back[0]).toMatchObject({ x: expect.closeTo(-50, 3), y: expect.closeTo(0, 3) });
  expect(back.at(-1)).toMatchObject({ x: 200, y: 0 });
});

test('a replaced stretch runs along the stroke, in whichever direction that was drawn; both ends stay', () => {
  for (const isBackwards of [false, true]) {
    const drawn = stroke([40, 0], [40, 60], [140, 60], [140, 0]);
    const samples = isBackwards ? [...drawn].reverse() : drawn;
    const [use] = strokeUses(line, samples, 5);
    const points = pointsWithStroke(line, use!, fit(samplesFor(line, samples, use!)));
    const arc = arcOf(withIds(points));
    expect(arc.points[0]).toMatchObject({ x: 0, y: 0 });
    expect(arc.points.at(-1)).toMatchObject({ x: 200, y: 0 });
    expect(arcLength(arc)).toBeGreaterThan(300);
    expect(arcLength(arc)).toBeLessThan(325);
  }
});

test('on a closed arc the shorter way round is replaced and it stays closed', () => {
  const round = circle(100, true, 8);
  const samples = stroke([100, 0], [160, 40], [70.7, 70.7]);
  const use = strokeUses(round, samples, 4).find(({ kind }) => kind === 'stretch')!;
  const points = pointsWithStroke(round, use, fit(samplesFor(round, samples, use)));
  const arc = arcOf(withIds(points), true);
  const length = arcLength(arc);
  expect(length).toBeGreaterThan(arcLength(round));
  // The far side is untouched.
  const far = Array.from({ length: 400 }, (_, i) => pointAtDistance(arc, (length * i) / 400));
  expect(Math.min(...far.map(({ x, y }) => Math.hypot(x + 100, y)))).toBeLessThan(2);
});

describe('what is dragged is drawn to things nearby', () => {
  const targets = {
    grid: null,
    points: [{ x: 100, y: 100 }],
    centre: { x: 500, y: 300 },
    lines: true,
    reach: 6,
  };

  test('a point or the middle wins over lines, lines over the grid, each direction by itself', () => {
    expect(snap({ x: 103, y: 98 }, targets)).toEqual({
      at: { x: 100, y: 100 },
      guides: [{ kind: 'point', from: { x: 100, y: 100 }, to: { x: 100, y: 100 } }],
    });
    expect(snap({ x: 499, y: 303 }, targets).guides[0]!.kind).toBe('centre');
    expect(snap({ x: 102, y: 296 }, targets).at).toEqual({ x: 100, y: 300 });
    expect(snap({ x: 102, y: 223 }, { ...targets, grid: 25 }).at).toEqual({ x: 100, y: 225 });
    expect(snap({ x: 300, y: 200 }, targets)).toEqual({ at: { x: 300, y: 200 }, guides: [] });
  });

  test('with Shift it stays in line with where it was', () => {
    const from = { x: 10, y: 20 };
    expect(alongDirections(from, { x: 110, y: 27 }, 45)).toEqual({ x: 110, y: 20 });
    expect(alongDirections(from, { x: 14, y: -80 }, 45)).toEqual({ x: 10, y: -80 });
    const slant = alongDirections(from, { x: 112, y: 118 }, 45);
    expect(slant.x - from.x).toBeCloseTo(slant.y - from.y, 9);
  });
});

test('arrows stand at even distances and point the way the arc runs; teeth are as long as it is bent', () => {
  const arrows = directionArrows(line, 50);
  expect(arrows.map(({ x }) => x)).toEqual([25, 75, 125, 175].map((x) => expect.closeTo(x, 6)));
  expect(arrows.every(({ headingDeg }) => headingDeg === 0)).toBe(true);
  const teeth = curvatureComb(circle(100), 40, 30, 1);
  expect(teeth.every(({ x, y, tipX, tipY }) => Math.abs(Math.hypot(tipX - x, tipY - y) - 30) < 0.2)).toBe(
    true,
  );
  // On the outside of the bend.
  expect(teeth.every(({ tipX, tipY }) => Math.hypot(tipX, tipY) > 129)).toBe(true);
  expect(curvatureComb(line, 10, 30, 1).every(({ y, tipY }) => y === tipY)).toBe(true);
});

test('drawn on before its start the arc has all points of the stroke, and its own after them', () => {
  const use = { kind: 'on', end: 'start' } as const;
  const back = [corner(0, 0), corner(-40, 0), corner(-40, 30), corner(-90, 30)];
  const points = pointsWithStroke(line, use, back);
  expect(points.map(({ x, y }) => [x, y])).toEqual([
    [-90, 30],
    [-40, 30],
    [-40, 0],
    [0, 0],
    [100, 0],
    [200, 0],
  ]);
});
