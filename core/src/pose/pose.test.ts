import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { shotSchema } from '../model/schema';
import { fc } from '../testing/property';
import { arcOf, corner, shotAlong, straightShot } from '../testing/shapes';
import { fractionOfPoint } from '../timing/keepTiming';
import { evaluate } from '../motion/evaluate';
import type { PosePath } from './pose';

const empty = edits.removeArc(straightShot(120, 49), { arcId: 'arc1' });

const begun = edits.beginPoses(empty, { frame: 1, to: { x: 100, y: 500 } });
const poseOn = (shot: Shot, frame: number, x: number, y: number, path: PosePath = 'curved'): Shot =>
  edits.pose(shot, { moveId: shot.moves[0]!.id, frame, to: { x, y }, path });

/** Where the figure is on a frame. */
const at = (shot: Shot, frame: number): [number, number] => {
  const { x, y } = evaluate(shot).travels[0]!;
  return [Math.round(x[frame - 1]! * 1e6) / 1e6, Math.round(y[frame - 1]! * 1e6) / 1e6];
};

const three = poseOn(poseOn(begun, 25, 700, 300), 49, 1300, 500);

describe('a shot begun by poses', () => {
  test('has a figure that stands where it was put', () => {
    expect(begun.figures).toHaveLength(1);
    expect([at(begun, 1), at(begun, 49)]).toEqual([
      [100, 500],
      [100, 500],
    ]);
    expect(shotSchema.safeParse(begun).success).toBe(true);
  });

  test('gets its arc and its marks as it grows', () => {
    expect([1, 25, 49].map((frame) => at(three, frame))).toEqual([
      [100, 500],
      [700, 300],
      [1300, 500],
    ]);
    const { marks } = three.moves[0]!;
    expect(marks.map(({ frame }) => frame)).toEqual([1, 25, 49]);
    expect(marks.map(({ pointId }) => pointId)).toEqual(three.arcs[0]!.points.map(({ id }) => id));
  });

  test('can be begun on a later frame, and go on before it', () => {
    const later = edits.beginPoses(empty, { frame: 20, to: { x: 300, y: 300 } });
    const both = poseOn(later, 5, 100, 100);
    expect([at(both, 5), at(both, 20), at(both, 49)]).toEqual([
      [100, 100],
      [300, 300],
      [300, 300],
    ]);
  });

  test('its first pose can be put elsewhere before there is a second', () => {
    expect(at(poseOn(begun, 1, 40, 60), 30)).toEqual([40, 60]);
  });
});

describe('a pose', () => {
  test('on a frame with a mark moves it and the point that carries it', () => {
    const moved = poseOn(three, 25, 650, 200);
    expect([1, 25, 49].map((frame) => at(moved, frame))).toEqual([
      [100, 500],
      [650, 200],
      [1300, 500],
    ]);
    expect(moved.arcs[0]!.points).toHaveLength(3);
  });

  test('between marks adds one there, and a point', () => {
    const added = poseOn(three, 13, 300, 450);
    expect(at(added, 13)).toEqual([300, 450]);
    expect(added.arcs[0]!.points).toHaveLength(4);
    expect(added.moves[0]!.marks[1]!.pointId).not.toBeNull();
  });

  test('after the last and before the first draws the arc on', () => {
    const short = poseOn(begun, 25, 700, 300);
    const on = poseOn(short, 40, 900, 900, 'straight');
    expect([at(on, 25), at(on, 40), at(on, 49)]).toEqual([
      [700, 300],
      [900, 900],
      [900, 900],
    ]);
    const later = edits.setMoveFrames(short, { moveId: short.moves[0]!.id, first: 10, last: 25 });
    const before = poseOn(later, 3, 20, 20);
    expect([at(before, 3), at(before, 10), at(before, 25)]).toEqual([
      [20, 20],
      [100, 500],
      [700, 300],
    ]);
  });

  test('drawn on straight has a straight way to it, and what was there stays curved', () => {
    const bent = poseOn(three, 13, 300, 300);
    const facing = (shot: Shot): readonly boolean[] =>
      shot.arcs[0]!.points.flatMap((point) =>
        (['in', 'out'] as const).map((side) => Math.hypot(point[side].x, point[side].y) > 0),
      );
    const kinds = (shot: Shot) => shot.arcs[0]!.points.map(({ kind }) => kind);
    const longer = edits.setLength(bent, { lengthFrames: 60, moves: 'keep' });
    const straight = poseOn(longer, 60, 1500, 900, 'straight');
    // In and out of each point; the last way, and only that, has no handles.
    expect(facing(straight).slice(1, -1)).toEqual([true, true, true, true, true, true, false, false]);
    expect(kinds(straight)).toEqual(['smooth', 'smooth', 'smooth', 'corner', 'corner']);
    const curved = poseOn(longer, 60, 1500, 900, 'curved');
    expect(facing(curved).slice(1, -1)).toEqual([true, true, true, true, true, true, true, true]);
    expect(kinds(curved)).toEqual(['smooth', 'smooth', 'smooth', 'smooth', 'smooth']);
  });

  test('within a hold goes there and comes back', () => {
    const held = edits.insertHold(three, { moveId: 'move1', frame: 25, frames: 12, takesLater: false });
    const out = poseOn(held, 31, 700, 100);
    expect([25, 31, 37, 49].map((frame) => at(out, frame))).toEqual([
      [700, 300],
      [700, 100],
      [700, 300],
      [1300, 500],
    ]);
  });

  test('on twos lands on the first frame of its exposure', () => {
    const twos = edits.setFramesHeld(three, { moveId: 'move1', framesHeld: 2 });
    const posed = poseOn(twos, 12, 300, 450);
    expect(posed.moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 11, 25, 49]);
    expect(at(posed, 11)).toEqual([300, 450]);
  });

  test('on a drawn arc leaves the other marks where they are', () => {
    const drawn = edits.addMark(straightShot(120, 21), { moveId: 'move1', frame: 16 });
    const posed = poseOn(drawn, 6, 30, 40, 'straight');
    expect(at(posed, 6)).toEqual([30, 40]);
    expect([at(posed, 1), at(posed, 21)]).toEqual([
      [0, 0],
      [120, 0],
    ]);
    const tied = poseOn(posed, 16, 90, -20, 'straight');
    expect([6, 16].map((frame) => at(tied, frame))).toEqual([
      [30, 40],
      [90, -20],
    ]);
  });

  test('off all frames is refused', () => {
    expect(() => poseOn(three, 0, 1, 1)).toThrow('from 1 to');
    expect(() => poseOn(three, 2.5, 1, 1)).toThrow('from 1 to');
  });

  test('whatever is posed in whatever order, each pose is where it was put last', () => {
    const pose = fc.record({
      frame: fc.integer({ min: 1, max: 49 }),
      x: fc.integer({ min: 0, max: 1900 }),
      y: fc.integer({ min: 0, max: 1000 }),
      path: fc.constantFrom<PosePath>('straight', 'curved'),
    });
    fc.assert(
      fc.property(fc.array(pose, { minLength: 1, maxLength: 12 }), (poses) => {
        const wanted = new Map<number, [number, number]>([[1, [100, 500]]]);
        let shot = begun;
        for (const { frame, x, y, path } of poses) {
          shot = poseOn(shot, frame, x, y, path);
          wanted.set(frame, [x, y]);
        }
        expect(shotSchema.safeParse(shot).success).toBe(true);
        wanted.forEach(([x, y], frame) => {
          const [ax, ay] = at(shot, frame);
          expect(Math.hypot(ax - x, ay - y)).toBeLessThan(1e-3);
        });
      }),
    );
  });
});

describe('the way between two poses', () => {
  const between = (shot: Shot, markId: string, how: 'straight' | 'curved' | 'snap') =>
    edits.setBetweenPoses(shot, { moveId: 'move1', markId, how });
  const positions = (shot: Shot) => [1, 25, 49].map((frame) => at(shot, frame));
  const first = three.moves[0]!.marks[0]!.id;

  test('made straight has its places on a line, and the poses stay', () => {
    const straight = between(three, first, 'straight');
    expect(positions(straight)).toEqual(positions(three));
    const [x, y] = at(straight, 13);
    expect((y - 500) / (x - 100)).toBeCloseTo(-200 / 600, 6);
  });

  test('made curved again it bends, and the poses stay', () => {
    const again = between(between(three, first, 'straight'), first, 'curved');
    expect(positions(again)).toEqual(positions(three));
    const [x, y] = at(again, 13);
    expect(Math.abs((y - 500) / (x - 100) + 200 / 600)).toBeGreaterThan(0.02);
    expect(again.arcs[0]!.points.every(({ shaping }) => shaping !== null)).toBe(true);
  });

  test('with no in-betweens the figure stays and jumps; curved or straight again it travels', () => {
    const snap = between(three, first, 'snap');
    expect([at(snap, 24), at(snap, 25)]).toEqual([
      [100, 500],
      [700, 300],
    ]);
    expect(at(between(snap, first, 'curved'), 13)).toEqual(at(three, 13));
  });
});

describe('a pose that is taken away', () => {
  test('takes its mark and its point with it', () => {
    const less = edits.deletePose(three, { moveId: 'move1', markId: three.moves[0]!.marks[1]!.id });
    expect(less.moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 49]);
    expect(less.arcs[0]!.points).toHaveLength(2);
    expect([at(less, 1), at(less, 49)]).toEqual([
      [100, 500],
      [1300, 500],
    ]);
  });

  test('leaves the point to others that stand on it', () => {
    const held = edits.insertHold(three, { moveId: 'move1', frame: 25, frames: 6, takesLater: false });
    const less = edits.deletePose(held, { moveId: 'move1', markId: held.moves[0]!.marks[1]!.id });
    expect(at(less, 31)).toEqual([700, 300]);
    expect(less.arcs[0]!.points).toHaveLength(3);
  });

  test('is not the last but one', () => {
    const two = poseOn(begun, 25, 700, 300);
    expect(() => edits.deletePose(two, { moveId: 'move1', markId: two.moves[0]!.marks[0]!.id })).toThrow(
      'at least two marks',
    );
  });
});

test('a curved way between two poses rounds itself off at the ends of the arc, and keeps a straight line beyond', () => {
  // Four poses on an open arc, all ways straight; then the middle one is curved.
  const shot = shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(200, 50), corner(300, 0)]), 31);
  const tied = {
    ...shot,
    moves: shot.moves.map((move) => ({
      ...move,
      marks: [1, 11, 21, 31].map((frame, i) => ({
        ...move.marks[0]!,
        id: `m${i + 1}`,
        frame,
        pointId: `p${i + 1}`,
        fraction: fractionOfPoint(shot.arcs[0]!, `p${i + 1}`, 0),
      })),
    })),
  };
  const kinds = (markId: string) =>
    edits
      .setBetweenPoses(tied, { moveId: 'move1', markId, how: 'curved' })
      .arcs[0]!.points.map(({ kind, shaping }) => (shaping ? 'rounds itself' : kind));
  expect(kinds('m1')).toEqual(['rounds itself', 'corner', 'corner', 'corner']);
  expect(kinds('m2')).toEqual(['corner', 'corner', 'corner', 'corner']);
  expect(kinds('m3')).toEqual(['corner', 'corner', 'corner', 'rounds itself']);
});

test('a pose on one arc leaves what travels on another alone', () => {
  const two = edits.drawArc(straightShot(100, 21), { points: [corner(0, 300), corner(400, 300)] });
  const posed = edits.pose(two, { moveId: 'move1', frame: 11, to: { x: 50, y: 40 }, path: 'straight' });
  expect(posed.moves[1]).toEqual(two.moves[1]);
  expect(posed.arcs[1]).toEqual(two.arcs[1]);
});
