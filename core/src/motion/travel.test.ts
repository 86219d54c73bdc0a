import {
  arcOf,
  circle,
  corner,
  cubicArc,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { evaluate } from './evaluate';
import { ghostFrames } from './ghosts';

const travelOf = (shot: Shot) => evaluate(shot).travels[0]!;

test('the heading of a figure is continuous through a loop and turns by its correction', () => {
  const shot = edits.setTurning(shotAlong(circle(100, false), 101), { moveId: 'move1', correctionDeg: 30 });
  const { heading } = travelOf(shot);
  expect(heading[0]).toBeCloseTo(-60, 6);
  expect(heading[50]).toBeCloseTo(-240, 3);
  for (let i = 1; i < 100; i++) expect(heading[i]! - heading[i - 1]!).toBeCloseTo(-3.6, 1);
});

test('a figure that does not turn with the arc keeps its correction', () => {
  const shot = edits.setTurning(shotAlong(circle(100), 50), {
    moveId: 'move1',
    turnsWithArc: false,
    correctionDeg: 12,
  });
  expect(new Set(travelOf(shot).heading)).toEqual(new Set([12]));
});

test('a hold at a corner keeps the last heading until the figure leaves', () => {
  const base = shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]), 31);
  const [first, last] = onlyMove(base).marks;
  const at = (id: string, frame: number) => ({ ...first!, id, frame, fraction: 0.5 });
  const shot: Shot = {
    ...base,
    moves: [{ ...onlyMove(base), marks: [first!, at('a', 11), at('b', 21), last!] }],
  };
  const { heading, x, y } = travelOf(shot);
  expect([heading[9], heading[10], heading[15], heading[20], heading[21]]).toEqual([0, 0, 0, 0, 90]);
  expect([x[15], y[15]]).toEqual([100, 0]);
});

test('nothing is worked out twice: only what an edit touches is new', () => {
  const shot = shotAlong(cubicArc([0, 0], [0, 100], [100, 100], [100, 0]), 48);
  const renamed = edits.renameShot(shot, { name: 'Other' });
  expect(travelOf(renamed)).toBe(travelOf(shot));
  const moved = edits.movePoint(shot, { arcId: 'arc1', pointId: 'p2', to: { x: 150, y: 0 } });
  expect(travelOf(moved)).not.toBe(travelOf(shot));
});

test('a change of the timing finds the same as working everything out anew', () => {
  let shot = shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]), 41);
  const addMark = (frame: number, fraction: number) => (one: Shot) => {
    const [first, ...others] = onlyMove(one).marks;
    const marks = [first!, ...others, { ...first!, id: `m${frame}`, frame, fraction }];
    return { ...one, moves: [{ ...onlyMove(one), marks: marks.sort((a, b) => a.frame - b.frame) }] };
  };
  const changes: ((shot: Shot) => Shot)[] = [
    addMark(11, 0.5),
    // The frame before it now stays at the corner, too, and keeps the heading that it came with.
    addMark(12, 0.5),
    (one) => edits.moveTick(one, { moveId: 'move1', frame: 30, fraction: 0.7, reachFrames: 3 }),
    (one) => edits.setTurning(one, { moveId: 'move1', correctionDeg: 10 }),
    (one) => edits.moveTick(one, { moveId: 'move1', frame: 5, fraction: 0.3, reachFrames: 1 }),
  ];
  for (const change of changes) {
    travelOf(shot);
    shot = change(shot);
    const { x, y, direction, heading } = travelOf(structuredClone(shot));
    expect(travelOf(shot)).toMatchObject({ x, y, direction, heading });
  }
});

test('a shape change keeps the shares of the length', () => {
  const shot = shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 11);
  const moved = edits.movePoint(shot, { arcId: 'arc1', pointId: 'p2', to: { x: 300, y: 0 } });
  expect(travelOf(shot).x[5]).toBeCloseTo(50, 9);
  expect(travelOf(moved).x[5]).toBeCloseTo(150, 9);
});

test('places stay on an open arc', () => {
  const base = shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 11);
  const marks = onlyMove(base).marks.map((mark, i) => ({ ...mark, fraction: i === 0 ? -1 : 2 }));
  const travel = travelOf({ ...base, moves: [{ ...onlyMove(base), marks }] });
  expect(Math.min(...travel.arcDistance)).toBe(0);
  expect(Math.max(...travel.arcDistance)).toBe(100);
});

describe('ghosts', () => {
  const shot = edits.setFramesHeld(shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 31), {
    moveId: 'move1',
    framesHeld: 2,
  });

  test('are exposures before and after the one that is seen, nearest first', () => {
    const ghosts = ghostFrames(onlyMove(shot), shot, 12, { before: 3, after: 2, every: 1 });
    expect(ghosts).toEqual({ before: [9, 7, 5], after: [13, 15] });
  });

  test('can be every third exposure, and end with the move', () => {
    const ghosts = ghostFrames(onlyMove(shot), shot, 25, { before: 2, after: 5, every: 3 });
    expect(ghosts).toEqual({ before: [19, 13], after: [31] });
  });
});

test('what is put by hand leaves the plan as it was', () => {
  const shot = straightShot(100, 11);
  const put = edits.putByHand(shot, { moveId: 'move1', frame: 6, dx: 7, dy: 0 });
  const [travel] = evaluate(put).travels;
  expect([travel!.plan[5], travel!.arcDistance[5]]).toEqual([expect.closeTo(50, 9), expect.closeTo(57, 6)]);
});

test('a frame is found anew when only the one before it has moved', () => {
  const angle = arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]);
  const halted = (...marks: [frame: number, fraction: number][]) =>
    withMarks(shotAlong(angle, 30), ...marks.map(([frame, fraction]) => markAt(frame, fraction)));
  const early = halted([1, 0], [9, 0.5], [10, 0.5], [20, 0.5], [30, 1]);
  const late = { ...halted([1, 0], [9, 0.45], [10, 0.5], [20, 0.5], [30, 1]), arcs: early.arcs };
  evaluate(early);
  const [travel] = evaluate(late).travels;
  const [anew] = evaluate({ ...late, arcs: [{ ...early.arcs[0]! }] }).travels;
  expect([...travel!.direction]).toEqual([...anew!.direction]);
  expect(travel!.direction[9]).toBeCloseTo(0, 9);
});
