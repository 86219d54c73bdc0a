import { gestureFrames, gestureFrom } from '../gesture/gesture';
import { actedDeviation } from '../gesture/actedDeviation';
import { measuredOneByOne } from '../arc/arcMeasure';
import { thinGesture, type ThinnedGesture } from '../gesture/thinGesture';
import { straightShot } from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { edits } from './edits';
import { actedPoints } from './gestureEdits';
import { openShot } from '../model/openShot';
import { type Shot, shotSchema } from '../model/schema';

/** Two seconds to the right with a rest of half a second in the middle, at 24 frames a second. */
const gesture = gestureFrom(
  Array.from({ length: 301 }, (_, i) => {
    const t = i / 120;
    return { x: 200 + 400 * (t < 1 ? t : t < 1.5 ? 1 : t - 0.5), y: 300, ms: 1000 * t };
  }),
  1,
);
const empty = edits.removeArc(straightShot(120, 25), { arcId: 'arc1' });
const kept = edits.keepGesture(empty, { gesture });
const known = new Map<number, ThinnedGesture>();
const thinned = (allowedDeviation: number): ThinnedGesture => {
  const before = known.get(allowedDeviation);
  if (before) return before;
  const now = thinGesture(gesture, { frames: gestureFrames(gesture, 24), allowedDeviation });
  known.set(allowedDeviation, now);
  return now;
};
const acting = (shot: Shot, allowedDeviation = 5, moveId: string | null = null) =>
  edits.actOut(shot, {
    moveId,
    gestureId: 'gesture1',
    thinned: thinned(allowedDeviation),
    allowedDeviation,
    firstFrame: 1,
    frames: null,
  });
const acted = acting(kept);

test('a gesture is kept whole, under a name of its own', () => {
  expect(kept.gestures[0]).toMatchObject({ id: 'gesture1', name: 'Gesture 1', speed: 1 });
  expect(kept.gestures[0]!.x).toHaveLength(301);
  expect(edits.keepGesture(kept, { gesture }).gestures[1]!.name).toBe('Gesture 2');
});

test('gestures that would make the file too large to be saved are refused with a sentence', () => {
  const count = 100_000;
  const long = { speed: 1, x: Array(count).fill(1), y: Array(count).fill(2), ms: Array(count).fill(3) };
  const twice = edits.keepGesture(edits.keepGesture(kept, { gesture: long }), { gesture: long });
  expect(twice.gestures).toHaveLength(3);
  expect(() => edits.keepGesture(twice, { gesture: long })).toThrow('delete one first');
  const fewer = edits.deleteGesture(twice, { gestureId: 'gesture2' });
  expect(edits.keepGesture(fewer, { gesture: long }).gestures).toHaveLength(3);
});

test('acted out it gives an arc, a figure and a move, and the shot grows to hold them', () => {
  expect(acted.lengthFrames).toBe(61);
  expect(acted.moves[0]!.acted).toEqual({ gestureId: 'gesture1', allowedDeviation: 5, frames: null });
  const { x } = evaluate(acted).travels[0]!;
  expect(x[0]).toBeCloseTo(200, 6);
  expect(Math.abs(x[30]! - 600)).toBeLessThan(5);
  expect(x[30]).toBe(x[32]);
  expect(x[60]).toBeCloseTo(1000, 6);
  expect(shotSchema.safeParse(acted).success).toBe(true);
});

test('how far it is from the hand is told, by hand-made changes too', () => {
  const [move] = acted.moves;
  const { largest, frame } = actedDeviation(acted, move!)!;
  expect(largest).toBeLessThanOrEqual(5);
  expect(frame).toBeGreaterThanOrEqual(1);
  const off = edits.putByHand(acted, { moveId: move!.id, frame: 20, dx: 0, dy: 60 });
  expect(actedDeviation(off, off.moves[0]!)).toEqual({ largest: expect.closeTo(60, 0) as number, frame: 20 });
  const drawn = straightShot(120, 21);
  expect(actedDeviation(drawn, drawn.moves[0]!)).toBeNull();
});

test('a gesture that comes along is kept with what it gives', () => {
  const args = { moveId: null, gestureId: 'gesture1', allowedDeviation: 5, firstFrame: 1, frames: null };
  const thinned = thinGesture(gesture, { frames: 60, allowedDeviation: 5 });
  expect(edits.actOut(empty, { ...args, thinned, gesture })).toEqual(
    edits.actOut(kept, { ...args, thinned }),
  );
});

test('thinned again it is the same move on the same arc', () => {
  const again = acting(acted, 40, acted.moves[0]!.id);
  expect(again.moves).toHaveLength(1);
  expect(again.arcs).toHaveLength(1);
  expect(again.moves[0]!.acted!.allowedDeviation).toBe(40);
  expect(again.moves[0]!.marks.length).toBeLessThanOrEqual(acted.moves[0]!.marks.length);
});

test('used again it is another figure on an arc of its own', () => {
  const two = acting(acted);
  expect(two.figures).toHaveLength(2);
  expect(two.moves.map(({ acted: of }) => of?.gestureId)).toEqual(['gesture1', 'gesture1']);
});

test('the length of the shot can go by the move', () => {
  const long = edits.setLength(acted, { lengthFrames: 200 });
  const { id } = long.moves[0]!;
  const back = edits.setMoveFrames(long, { moveId: id, first: 1, last: 61 });
  expect(edits.fitLengthTo(back, { moveId: id }).lengthFrames).toBe(61);
});

test('a gesture that is deleted leaves what was acted with it', () => {
  const without = edits.deleteGesture(acted, { gestureId: 'gesture1' });
  expect(without.gestures).toEqual([]);
  expect(without.moves[0]).toEqual({ ...acted.moves[0], acted: null });
  expect(shotSchema.safeParse(without).success).toBe(true);
});

test('what is not there, or does not fit, is refused', () => {
  expect(() => acting(empty)).toThrow('no gesture');
  const thinned = thinGesture(gesture, { frames: 60, allowedDeviation: 5 });
  const args = { moveId: null, gestureId: 'gesture1', allowedDeviation: 5, frames: null };
  expect(() => edits.actOut(kept, { ...args, thinned, firstFrame: 19_999 })).toThrow('at most');
  expect(() => edits.renameGesture(kept, { gestureId: 'gesture1', name: ' ' })).toThrow('needs a name');
});

test('a file of the version before opens, with no gestures', () => {
  const { gestures: _, ...rest } = acted;
  const older = {
    ...rest,
    version: 3,
    moves: acted.moves.map(({ acted: __, ...move }) => move),
  };
  const opened = openShot(older);
  expect(opened.gestures).toEqual([]);
  expect(opened.moves[0]!.acted).toBeNull();
});

test('a gesture whose times go back, or are too few, is no gesture', () => {
  const broken = (some: object): boolean =>
    shotSchema.safeParse({ ...acted, gestures: [{ ...acted.gestures[0]!, ...some }] }).success;
  expect(broken({ ms: acted.gestures[0]!.ms.map((ms, i) => (i === 5 ? 0 : ms)) })).toBe(false);
  expect(broken({ ms: [0, 1] })).toBe(false);
  expect(broken({ speed: 3 })).toBe(false);
  expect(broken({})).toBe(true);
});

test('an arc that was measured segment by segment before is the one that is acted', () => {
  const points = actedPoints(thinned(5));
  expect([...measuredOneByOne(points)]).toHaveLength(points.length - 1);
  const shot = acting(kept);
  // The very same points: what was measured of them is known. Acted again, too.
  for (const { arcs } of [shot, acting(shot, 5, shot.moves[0]!.id)])
    arcs[0]!.points.forEach((point, i) => expect(point).toBe(points[i]));
});
