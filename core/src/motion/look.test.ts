import { applyTo, type Transform } from '../arc/transform';
import { edits } from '../edits/edits';
import { readShotFile, writeShotFile } from '../model/openShot';
import type { Shot } from '../model/schema';
import { arcOf, corner, shotAlong } from '../testing/shapes';
import { evaluate } from './evaluate';
import { figureOn } from './figureOn';
import { outlinePath, pivotSpots, svgMatrix } from './look';
import { STAND_INS } from './standIns';

const moveId = 'move1';
const figureId = 'figure1';
/** To the left, so that the heading is 180°. */
const leftward = shotAlong(arcOf([corner(400, 100), corner(0, 100)]), 11);
const placed = (shot: Shot): Transform => figureOn(evaluate(shot).travels[0]!, 0).placement;
/** Where something of the artwork shows in the field, from the pivot. */
const from = (shot: Shot, x: number, y: number) => {
  const { look, placement } = figureOn(evaluate(shot).travels[0]!, 0);
  const [a, b] = [
    applyTo(placement, look.pivot),
    applyTo(placement, { x: look.pivot.x + x, y: look.pivot.y + y }),
  ];
  return { x: Math.sign(Math.round((b.x - a.x) * 1e6)), y: Math.sign(Math.round((b.y - a.y) * 1e6)) };
};
const [front, head] = [
  [10, 0],
  [0, -10],
] as const;

test('mirrored, what looks to the right and travels to the left looks its way and stands upright', () => {
  // Turned with the arc alone it stands on its head.
  expect(from(leftward, ...head)).toEqual({ x: 0, y: 1 });
  const mirrored = edits.setTurning(leftward, { moveId, mirrored: true });
  expect(from(mirrored, ...front)).toEqual({ x: -1, y: 0 });
  expect(from(mirrored, ...head)).toEqual({ x: 0, y: -1 });
});

test('mirrored without turning it looks to the left', () => {
  const still = edits.setTurning(leftward, { moveId, mirrored: true, turnsWithArc: false });
  expect(from(still, ...front)).toEqual({ x: -1, y: 0 });
  expect(from(still, ...head)).toEqual({ x: 0, y: -1 });
});

test('the front of artwork that was drawn looking up is turned to the heading', () => {
  const up = edits.setFigure(leftward, { figureId, frontDeg: -90 });
  expect(from(up, ...head)).toEqual({ x: -1, y: 0 });
  const mirrored = edits.setTurning(up, { moveId, mirrored: true });
  expect(from(mirrored, ...head)).toEqual({ x: -1, y: 0 });
  expect(from(mirrored, ...front)).toEqual({ x: 0, y: 1 });
  // A figure that does not turn with its arc stands as it was drawn.
  const still = edits.setTurning(up, { moveId, turnsWithArc: false });
  expect(from(still, ...head)).toEqual({ x: 0, y: -1 });
});

test('another pivot moves the drawing under the arc, not the arc', () => {
  const moved = edits.setFigure(leftward, { figureId, pivot: { x: 0, y: 0 } });
  expect(applyTo(placed(moved), { x: 0, y: 0 })).toEqual({ x: 400, y: 100 });
  expect(evaluate(moved).travels[0]!.x).toEqual(evaluate(leftward).travels[0]!.x);
});

test('a mirrored figure of a file of version 7 looks as it did then', () => {
  const now = edits.setTurning(leftward, { moveId, mirrored: true, correctionDeg: 30 });
  const old = JSON.parse(writeShotFile(now)) as { version: number };
  const opened = readShotFile(JSON.stringify({ ...old, version: 7 }));
  // Then: its drawing mirrored left to right, then turned by heading and correction.
  const angle = (210 * Math.PI) / 180;
  const k = now.figures[0]!.height / STAND_INS.peg.height;
  const then = {
    a: -k * Math.cos(angle),
    b: -k * Math.sin(angle),
    c: -k * Math.sin(angle),
    d: k * Math.cos(angle),
  };
  const { a, b, c, d } = placed(opened);
  for (const [is, was] of [
    [a, then.a],
    [b, then.b],
    [c, then.c],
    [d, then.d],
  ] as const)
    expect(is).toBeCloseTo(was, 9);
});

test('a map is written as an SVG matrix, and an outline as path data', () => {
  expect(svgMatrix({ a: 1, b: 0, c: 0, d: 2, e: 3.00049, f: -4 })).toBe('matrix(1 0 0 2 3 -4)');
  expect(outlinePath([[0, 0, 4, 0, 4, 4]])).toBe('M0 0L4 0L4 4Z');
});

test('every stand-in has a front, a silhouette within its size, and a pivot on it', () => {
  expect(Object.keys(STAND_INS)).toHaveLength(10);
  for (const { width, height, silhouette, pivot, details } of Object.values(STAND_INS)) {
    const numbers = silhouette.match(/-?[\d.]+/g)!.map(Number);
    numbers.forEach((value, i) => {
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThanOrEqual(i % 2 === 0 ? width : height);
    });
    expect(pivot.x).toBeLessThanOrEqual(width);
    expect(pivot.y).toBeLessThanOrEqual(height);
    expect(details.length).toBeGreaterThan(0);
  }
});

test('the foot is the middle of what stands on the ground, whatever reaches out above it', () => {
  const outline = (...corners: [number, number][]) => `M${corners.map(([x, y]) => `${x} ${y}`).join('L')}Z`;
  // Legs from 20 to 30 and from 40 to 50, and an arm out to 100.
  const puppet = outline(
    [20, 100],
    [20, 40],
    [0, 30],
    [30, 0],
    [100, 30],
    [50, 40],
    [50, 100],
    [40, 100],
    [35, 60],
    [30, 100],
  );
  const foot = pivotSpots({ silhouette: puppet }).find(({ name }) => name === 'foot')!;
  expect([foot.x, foot.y]).toEqual([expect.closeTo(35, 6) as number, 100]);
  // One that stands on a point, and one whose feet are the ends of slanting legs.
  const top = pivotSpots({ silhouette: outline([0, 0], [60, 0], [10, 100]) }).find(
    ({ name }) => name === 'foot',
  )!;
  expect(Math.abs(top.x - 10)).toBeLessThan(2);
  // What the demo's puppet stands on is its coat, not the middle of the lamp that it holds out.
  for (const [standIn, { silhouette }] of Object.entries(STAND_INS)) {
    const spot = pivotSpots({ silhouette }).find(({ name }) => name === 'foot')!;
    expect([standIn, Number.isFinite(spot.x)]).toEqual([standIn, true]);
  }
});
