import { freshShot } from '../model/freshShot';
import type { ReadyShape, Shot } from '../model/schema';
import { shotSchema } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { bouncingAt } from '../physics/falling';
import { angleAt } from '../physics/pendulum';
import { edits } from './edits';
import { physicalTiming } from './physicsEdits';

const moveId = 'move1';
const PLAIN = { damping: 0, swings: 1, rolls: 'slides', miniature: 1 } as const;
/** Two field units are a millimetre. */
const onShape = (shape: ReadyShape): Shot => {
  const empty = freshShot({ name: 'Weight', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  return edits.setScale(edits.drawArc(empty, { shape }), { unitsPerMm: 2 });
};
const framesOf = (shot: Shot): readonly number[] => shot.moves[0]!.marks.map(({ frame }) => frame);

test('a pendulum of 250 mm let go at 40°: its true angle on every frame but the rounded turns', () => {
  const hang = { x: 900, y: 100 };
  const shot = onShape({ kind: 'swing', reversed: false, hang, length: 500, fromDeg: 40, toDeg: 10 });
  const timed = edits.timePhysically(shot, { ...PLAIN, moveId, swings: 2 });
  expect(timed.arcs[0]!.shape).toMatchObject({ fromDeg: 40, toDeg: -40 });
  // Half a swing is 12.415 frames, a whole one 24.831.
  expect(framesOf(timed)).toEqual([1, 13, 26]);
  const { x, y } = evaluate(timed).travels[0]!;
  for (let i = 0; i < 12; i++) {
    const angle = (Math.atan2(x[i]! - hang.x, y[i]! - hang.y) * 180) / Math.PI;
    expect(angle).toBeCloseTo(angleAt({ length: 0.25, fromDeg: 40 }, i / 24), 2);
  }
  expect(shotSchema.safeParse(timed).success).toBe(true);
  expect(timed.lengthFrames).toBe(26);
});

test('bounces from 300 mm: marks where it hits, its true fall before, its true heights spread between them', () => {
  const shot = onShape({
    kind: 'bounces',
    reversed: false,
    from: { x: 300, y: 300 },
    to: { x: 1500, y: 900 },
    count: 2,
    restitution: 0.6,
  });
  const timed = edits.timePhysically(shot, { ...PLAIN, moveId });
  expect(framesOf(timed)).toEqual([1, 7, 14, 18]);
  const { y } = evaluate(timed).travels[0]!;
  const truly = (seconds: number): number => 1000 * bouncingAt({ height: 0.3, restitution: 0.6 }, seconds);
  for (const i of [1, 3, 5]) expect((900 - y[i]!) / 2).toBeCloseTo(truly(i / 24), 0);
  // Its first bounce takes seven frames instead of 7.12, and is as steep up as it is down.
  const fall = Math.sqrt(0.6 / 9.80665);
  for (const i of [7, 8, 9, 10, 11, 12])
    expect((900 - y[i]!) / 2).toBeCloseTo(truly(fall + (2 * 0.6 * fall * (i - 6)) / 7), 0);
  expect(y[7]).toBeCloseTo(y[12]!, 6);
  expect(shotSchema.safeParse(timed).success).toBe(true);
});

test('a fall of 200 mm, and as a miniature of 1 : 6; a toss; a ball on a slope', () => {
  const line = (to: { x: number; y: number }): ReadyShape => ({
    kind: 'line',
    reversed: false,
    from: { x: 500, y: 100 },
    to,
  });
  const fall = edits.timePhysically(onShape(line({ x: 500, y: 500 })), { ...PLAIN, moveId });
  expect(framesOf(fall)).toEqual([1, 6]);
  const { y } = evaluate(fall).travels[0]!;
  expect([1, 2, 3, 4].map((i) => Number(((y[i]! - 100) / 2).toFixed(2)))).toEqual([
    8.51, 34.05, 76.61, 136.2,
  ]);
  const small = edits.timePhysically(onShape(line({ x: 500, y: 500 })), { ...PLAIN, moveId, miniature: 6 });
  expect(framesOf(small)).toEqual([1, 13]);
  const toss = edits.timePhysically(
    onShape({ kind: 'toss', reversed: false, from: { x: 500, y: 900 }, to: { x: 900, y: 900 }, height: 600 }),
    { ...PLAIN, moveId },
  );
  expect(framesOf(toss)).toEqual([1, 7, 13]);
  const ball = edits.timePhysically(onShape(line({ x: 1500, y: 400 })), { ...PLAIN, moveId, rolls: 'ball' });
  const slid = edits.timePhysically(onShape(line({ x: 1500, y: 400 })), { ...PLAIN, moveId });
  expect(ball.lengthFrames).toBeGreaterThan(slid.lengthFrames);
});

test('turned round it begins at the other end', () => {
  const shape: ReadyShape = {
    kind: 'line',
    reversed: true,
    from: { x: 500, y: 100 },
    to: { x: 500, y: 500 },
  };
  const { marks } = edits.timePhysically(onShape(shape), { ...PLAIN, moveId }).moves[0]!;
  expect(marks.map(({ fraction }) => fraction)).toEqual([1, 0]);
});

test('what it would come to is said beforehand, with what rounding does', () => {
  const shape: ReadyShape = {
    kind: 'line',
    reversed: false,
    from: { x: 500, y: 100 },
    to: { x: 500, y: 500 },
  };
  const timing = physicalTiming(onShape(shape), { ...PLAIN, moveId });
  expect(timing.seconds).toBeCloseTo(0.201962, 6);
  expect(timing.frames).toBeCloseTo(4.847, 3);
  expect(timing.rounded).toEqual([{ frame: 6, by: expect.closeTo(0.153, 3) as number }]);
});

describe('a move that was timed by its weight', () => {
  const drop: ReadyShape = {
    kind: 'line',
    reversed: false,
    from: { x: 500, y: 100 },
    to: { x: 500, y: 500 },
  };
  const fall = edits.timePhysically(onShape(drop), { ...PLAIN, moveId, miniature: 6 });
  const physicsOf = (shot: Shot) => shot.moves[0]!.physics;

  test('remembers with what, and is timed anew with its shape, the rate and the scale', () => {
    expect(physicsOf(fall)).toEqual({ ...PLAIN, miniature: 6 });
    const arcId = fall.arcs[0]!.id;
    const longer = edits.shapeArc(fall, { arcId, shape: { ...drop, to: { x: 500, y: 900 } } });
    // Twice the height takes √2 of the time: 16.79 frames.
    expect([framesOf(longer), physicsOf(longer)?.miniature]).toEqual([[1, 18], 6]);
    expect(framesOf(edits.setRate(fall, { rate: 48 }))).toEqual([1, 25]);
    expect(framesOf(edits.setScale(fall, { unitsPerMm: 1 }))).toEqual([1, 18]);
    expect(framesOf(edits.timePhysically(fall, { ...PLAIN, moveId, miniature: 1 }))).toEqual([1, 6]);
  });

  test('keeps its exposures and what was put by hand when it is timed anew', () => {
    const held = edits.putByHand(edits.setFramesHeld(fall, { moveId, framesHeld: 2 }), {
      moveId,
      frame: 3,
      dx: 4,
      dy: 0,
    });
    const faster = edits.setRate(held, { rate: 48 });
    expect(physicsOf(held)).not.toBeNull();
    expect(faster.moves[0]).toMatchObject({ framesHeld: 2, overrides: [{ frame: 3, dx: 4, dy: 0 }] });
  });

  test('is a plain one once a mark is touched, its shape is bent, or the user says so; nothing moves', () => {
    const arcId = fall.arcs[0]!.id;
    expect(physicsOf(edits.addMark(fall, { moveId, frame: 5 }))).toBeNull();
    expect(physicsOf(edits.movePoint(fall, { arcId, pointId: 'p1', to: { x: 400, y: 100 } }))).toBeNull();
    const plain = edits.makePlain(fall, { moveId });
    expect([physicsOf(plain), plain.moves[0]!.marks]).toEqual([null, fall.moves[0]!.marks]);
    const level = edits.shapeArc(fall, { arcId, shape: { ...drop, to: { x: 900, y: 100 } } });
    expect(physicsOf(level)).toBeNull();
    expect(shotSchema.safeParse(level).success).toBe(true);
  });

  test('is made in one go, arc, figure and marks', () => {
    const empty = freshShot({
      name: 'Weight',
      rate: 24,
      lengthFrames: 48,
      width: 960,
      height: 540,
      widthMm: 480,
    });
    const made = edits.makePhysical(empty, { shape: { ...drop, kind: 'line' }, ...PLAIN });
    expect([framesOf(made), made.figures.length, physicsOf(made)]).toEqual([[1, 6], 1, PLAIN]);
    const unscaled = edits.setScale(empty, { unitsPerMm: null });
    expect(() => edits.makePhysical(unscaled, { shape: { ...drop, kind: 'line' }, ...PLAIN })).toThrow(
      'set the scale',
    );
  });
});

test('what cannot fall gets a sentence', () => {
  const level = onShape({ kind: 'line', reversed: false, from: { x: 100, y: 500 }, to: { x: 900, y: 500 } });
  expect(() => edits.timePhysically(level, { ...PLAIN, moveId })).toThrow('A slope goes down');
  const bare = edits.setScale(level, { unitsPerMm: null });
  expect(() => edits.timePhysically(bare, { ...PLAIN, moveId })).toThrow('set the scale of the field first');
  const moved = edits.movePoint(level, { arcId: level.arcs[0]!.id, pointId: 'p1', to: { x: 0, y: 0 } });
  expect(() => edits.timePhysically(moved, { ...PLAIN, moveId })).toThrow('Only a line, a swing');
  const tiny = onShape({ kind: 'line', reversed: false, from: { x: 100, y: 500 }, to: { x: 100, y: 500.1 } });
  expect(() => edits.timePhysically(tiny, { ...PLAIN, moveId })).toThrow('It is over too soon');
});
