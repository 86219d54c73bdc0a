import {
  arcOf,
  circle,
  corner,
  everyEasing,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { fc } from '../testing/property';
import { edits } from '../edits/edits';
import { type Easing, type Mark, type Shot, shotSchema } from '../model/schema';
import { openShot, writeShotFile } from '../model/openShot';
import { evaluate } from '../motion/evaluate';
import { fractionAt } from './placeInTime';
import { copiedMarks, holdOn, withMarksMoved } from './markEdits';

const moveId = 'move1';
const frames = (shot: Shot): number[] => onlyMove(shot).marks.map(({ frame }) => frame);
const fractions = (shot: Shot): number[] => onlyMove(shot).marks.map(({ fraction }) => fraction);
const places = (shot: Shot, ...at: number[]): number[] => {
  const { arcDistance } = evaluate(shot).travels[0]!;
  return at.map((f) => arcDistance[f - 1]!);
};
const steady: Easing = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' };

/** 120 units with a halt on the way: even to 60 in 10 frames, 4 frames of hold, even to the end. */
const withHalt = (): Shot =>
  withMarks(straightShot(120, 31), markAt(1, 0), markAt(11, 0.5), markAt(15, 0.5), markAt(31, 1));

describe('a further mark', () => {
  test('where the move is steady keeps its ramps as numbers', () => {
    const shot = edits.addMark(straightShot(120, 21, steady), { moveId, frame: 11 });
    const [first, added] = onlyMove(shot).marks;
    expect(first!.easing).toEqual({ ...steady, arriveFrames: 0 });
    expect(added).toMatchObject({ frame: 11, kind: 'pass', easing: { ...steady, leaveFrames: 0 } });
    expect(added!.fraction).toBeCloseTo(0.5, 12);
  });

  test('moves no frame, whatever the easing', () => {
    fc.assert(
      fc.property(
        everyEasing(24).filter(({ kind }) => kind !== 'flow'),
        fc.integer({ min: 2, max: 24 }),
        (easing, frame) => {
          const shot = straightShot(100, 25, easing);
          // A part that comes back to where it began has no way to take shares of.
          const share = fractionAt(onlyMove(shot), frame);
          fc.pre(Math.abs(share) > 1e-6 && Math.abs(1 - share) > 1e-6);
          const before = evaluate(shot).travels[0]!.arcDistance;
          const after = evaluate(edits.addMark(shot, { moveId, frame })).travels[0]!.arcDistance;
          after.forEach((s, i) => expect(s).toBeCloseTo(before[i]!, 6));
        },
      ),
    );
  });

  test('after the last one goes on to where it is put; on a frame with a mark it is refused', () => {
    const short = edits.setMoveFrames(straightShot(120, 31), { moveId, first: 1, last: 21 });
    const shot = edits.addMark(short, { moveId, frame: 31, fraction: 0.25 });
    expect(frames(shot)).toEqual([1, 21, 31]);
    expect(places(shot, 26)[0]).toBeCloseTo(75, 9);
    expect(() => edits.addMark(shot, { moveId, frame: 21 })).toThrow('Frame 21 has a mark already.');
    expect(() => edits.addMark(shot, { moveId, frame: 32 })).toThrow('A mark lies within frames 1 to 31.');
  });
});

describe('marks that are moved', () => {
  test('keep a frame to their neighbours, and stay on an open arc', () => {
    const shot = withHalt();
    const far = edits.moveMarks(shot, { moveId, markIds: ['m11'], byFrames: 40, takesLater: false });
    expect(frames(far)).toEqual([1, 14, 15, 31]);
    const up = edits.moveMarks(shot, { moveId, markIds: ['m15', 'm31'], byFraction: -3, takesLater: false });
    expect(fractions(up)).toEqual([0, 0.5, 0, 0.5]);
  });

  test('take later ones along, and the shot that they filled', () => {
    const later = edits.moveMarks(withHalt(), { moveId, markIds: ['m11'], byFrames: 5, takesLater: true });
    expect(frames(later)).toEqual([1, 16, 20, 36]);
    expect(later.lengthFrames).toBe(36);
    const sooner = edits.moveMarks(withHalt(), { moveId, markIds: ['m11'], byFrames: -5, takesLater: true });
    expect(frames(sooner)).toEqual([1, 6, 10, 26]);
    expect(sooner.lengthFrames).toBe(26);
  });

  test('several keep their frames to each other', () => {
    const shot = edits.moveMarks(withHalt(), {
      moveId,
      markIds: ['m11', 'm15'],
      byFrames: 3,
      takesLater: false,
    });
    expect(frames(shot)).toEqual([1, 14, 18, 31]);
  });

  test('may go backwards, and on a closed arc to a further lap', () => {
    const back = edits.moveMarks(withHalt(), {
      moveId,
      markIds: ['m15'],
      byFraction: -0.3,
      takesLater: false,
    });
    expect(places(back, 13)[0]).toBeCloseTo(42, 9);
    const round = shotAlong(circle(100), 25);
    const twice = edits.moveMarks(round, { moveId, markIds: ['m2'], byFraction: 1, takesLater: false });
    const { arcDistance, arcLength } = evaluate(twice).travels[0]!;
    expect(arcDistance[24]! / arcLength).toBeCloseTo(2, 9);
    expect(arcDistance[12]! / arcLength).toBeCloseTo(1, 9);
  });
});

describe('a hold', () => {
  test('is a span of its own; later marks move along', () => {
    const shot = edits.insertHold(straightShot(120, 21), { moveId, frame: 11, frames: 8, takesLater: true });
    expect(frames(shot)).toEqual([1, 11, 19, 29]);
    expect(places(shot, 11, 15, 19, 24, 29).map((s) => Math.round(s * 1e9) / 1e9)).toEqual([
      60, 60, 60, 90, 120,
    ]);
    expect(shot.lengthFrames).toBe(29);
  });

  test('or they stay, and the next span is shorter; when there is no room it says so', () => {
    const shot = edits.insertHold(withHalt(), { moveId, frame: 15, frames: 6, takesLater: false });
    expect(frames(shot)).toEqual([1, 11, 15, 21, 31]);
    expect(places(shot, 26)[0]).toBeCloseTo(90, 9);
    expect(() => edits.insertHold(withHalt(), { moveId, frame: 11, frames: 4, takesLater: false })).toThrow(
      'There are only 4 frames to the next mark',
    );
  });

  test('after the last mark makes the move longer', () => {
    const shot = edits.insertHold(straightShot(120, 21), {
      moveId,
      frame: 21,
      frames: 12,
      takesLater: false,
    });
    expect(frames(shot)).toEqual([1, 21, 33]);
    expect(shot.lengthFrames).toBe(33);
  });
});

describe('how long the figure holds', () => {
  const hold = (shot: Shot, frame: number, count: number, takesLater = false): Shot =>
    edits.setHold(shot, { moveId, frame, frames: count, takesLater });

  test('is told on every frame of a hold', () => {
    const move = onlyMove(withHalt());
    expect([10, 11, 13, 15, 16].map((frame) => holdOn(move, frame)?.frames ?? 0)).toEqual([0, 4, 4, 4, 0]);
    expect(holdOn(move, 15)!.index).toBe(1);
  });

  test('is one number: a hold is made, made longer or shorter, and taken away', () => {
    expect(frames(hold(straightShot(120, 21), 21, 12))).toEqual([1, 21, 33]);
    expect(frames(hold(straightShot(120, 21), 6, 4))).toEqual([1, 6, 10, 21]);
    expect(frames(hold(straightShot(120, 21), 6, 0))).toEqual([1, 21]);
    const longer = hold(withHalt(), 11, 9);
    expect(frames(longer)).toEqual([1, 11, 20, 31]);
    expect(frames(hold(longer, 15, 2))).toEqual([1, 11, 13, 31]);
    const gone = hold(withHalt(), 15, 0);
    expect(frames(gone)).toEqual([1, 11, 31]);
    expect(onlyMove(gone).marks[1]).toMatchObject({ id: 'm11', easing: { kind: 'even' } });
    const same = withHalt();
    expect(onlyMove(hold(same, 11, 4))).toBe(onlyMove(same));
  });

  test('later marks move along when they are to, and else there must be room', () => {
    expect(frames(hold(withHalt(), 11, 9, true))).toEqual([1, 11, 20, 36]);
    expect(frames(hold(withHalt(), 11, 0, true))).toEqual([1, 11, 27]);
    expect(frames(hold(withHalt(), 11, 19))).toEqual([1, 11, 30, 31]);
    expect(() => hold(withHalt(), 11, 20)).toThrow('There are only 20 frames to the next mark');
    expect(() => hold(withHalt(), 11, -1)).toThrow('whole number');
    expect(() => hold(withHalt(), 11, 1.5)).toThrow('whole number');
    expect(() => hold(withHalt(), 0, 2)).toThrow('on a frame of the shot');
  });

  test('a hold that is taken away leaves the easing that came after it', () => {
    const eased = edits.setEasing(withHalt(), { moveId, markId: 'm15', easing: steady });
    expect(onlyMove(hold(eased, 11, 0)).marks[1]!.easing).toEqual(steady);
  });
});

describe('copied marks', () => {
  test('are pasted on frames counted from the playhead and take the place of what stands there', () => {
    const shot = withHalt();
    const copied = copiedMarks(onlyMove(shot), ['m11', 'm15']);
    expect(copied.map(({ frame }) => frame)).toEqual([0, 4]);
    const pasted = edits.pasteMarks(shot, { moveId, copied, at: 27 });
    expect(frames(pasted)).toEqual([1, 11, 15, 27, 31]);
    expect(fractions(pasted)).toEqual([0, 0.5, 0.5, 0.5, 0.5]);
    expect(new Set(onlyMove(pasted).marks.map(({ id }) => id)).size).toBe(5);
  });
});

test('deleting keeps two marks at least', () => {
  const shot = edits.deleteMarks(withHalt(), { moveId, markIds: ['m11', 'm15'] });
  expect(frames(shot)).toEqual([1, 31]);
  expect(() => edits.deleteMarks(shot, { moveId, markIds: ['m1'] })).toThrow('at least two marks');
});

describe('a mark that is tied to a point', () => {
  const bent = (): Shot =>
    withMarks(
      shotAlong(arcOf([corner(0, 0), corner(60, 0), corner(120, 0)]), 31),
      markAt(1, 0),
      markAt(16, 0.4),
      markAt(31, 1),
    );

  test('comes to stand there, and goes with it; ticks slide past a point without one', () => {
    const tied = edits.tieMark(bent(), { moveId, markId: 'm16', pointId: 'p2' });
    expect(fractions(tied)).toEqual([0, 0.5, 1]);
    const moved = edits.movePoint(tied, { arcId: 'arc1', pointId: 'p2', to: { x: 30, y: 0 } });
    expect(fractions(moved)[1]).toBeCloseTo(0.25, 12);
    expect(places(moved, 16)[0]).toBeCloseTo(30, 9);
    const loose = edits.movePoint(bent(), { arcId: 'arc1', pointId: 'p2', to: { x: 30, y: 0 } });
    expect(places(loose, 16)[0]).toBeCloseTo(48, 9);
  });

  test('is untied when it is moved along the arc, or when its point goes', () => {
    const tied = edits.tieMark(bent(), { moveId, markId: 'm16', pointId: 'p2' });
    const slid = edits.moveMarks(tied, { moveId, markIds: ['m16'], byFraction: 0.1, takesLater: false });
    expect(onlyMove(slid).marks[1]!.pointId).toBeNull();
    const later = edits.moveMarks(tied, { moveId, markIds: ['m16'], byFrames: 2, takesLater: false });
    expect(onlyMove(later).marks[1]!.pointId).toBe('p2');
    const bare = edits.deletePoints(tied, { arcId: 'arc1', pointIds: ['p2'] });
    expect(onlyMove(bare).marks[1]).toMatchObject({ pointId: null });
    expect(shotSchema.safeParse(bare).success).toBe(true);
  });

  test('stays with its point when the arc is turned round under a move that stays in place', () => {
    const tied = edits.tieMark(bent(), { moveId, markId: 'm1', pointId: 'p1' });
    const turned = edits.reverseArc(tied, { arcId: 'arc1', move: 'in-place' });
    expect(fractions(turned)).toEqual([1, 0.6, 0]);
  });
});

test('clearing takes all timing off and keeps the arc and the frames', () => {
  const busy = edits.insertHold(straightShot(120, 21), { moveId, frame: 11, frames: 8, takesLater: true });
  const shot = edits.clearTiming(busy, { moveId });
  expect(frames(shot)).toEqual([1, 29]);
  expect(onlyMove(shot).marks[0]!.easing).toMatchObject({ kind: 'ramped', leaveFrames: 7, arriveFrames: 7 });
  expect(shot.arcs).toBe(busy.arcs);
});

test('labels and kinds are set on several marks at once', () => {
  const shot = edits.setMarks(withHalt(), {
    moveId,
    markIds: ['m11', 'm15'],
    label: 'breakdown',
    kind: 'pass',
  });
  const told = (marks: readonly Mark[]) => marks.map(({ label, kind }) => `${label} ${kind}`);
  expect(told(onlyMove(shot).marks)).toEqual([' stop', 'breakdown pass', 'breakdown pass', ' stop']);
});

test('a file of version 2 opens: its marks are untied, it holds outside them, and nothing is skipped', () => {
  const file = JSON.parse(writeShotFile(withHalt()));
  file.version = 2;
  for (const move of file.moves) {
    for (const key of ['before', 'after', 'exposures', 'skips', 'overrides']) delete move[key];
    for (const mark of move.marks) {
      delete mark.pointId;
      delete mark.label;
    }
  }
  expect(openShot(file)).toEqual(withHalt());
});

test('no marks moved are no change, later ones or not', () => {
  const move = onlyMove(straightShot(100, 21));
  for (const takesLater of [true, false])
    expect(withMarksMoved(move, [], { byFrames: 3, byFraction: 0.1, takesLater })).toEqual(move);
});

test('the first mark can be moved alone', () => {
  const move = onlyMove(straightShot(100, 21));
  const moved = withMarksMoved(move, ['m1'], { byFrames: 3, byFraction: 0.1, takesLater: false });
  expect(moved.marks.map(({ frame, fraction }) => [frame, fraction])).toEqual([
    [4, 0.1],
    [21, 1],
  ]);
});
