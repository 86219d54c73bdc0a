import { arcLength } from '../arc/arcMeasure';
import { edits } from '../edits/edits';
import type { Keeps, Shot } from '../model/schema';
import { arcOf, corner, onlyMove, shotAlong } from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { fractionOfPoint } from './keepTiming';

const straight = arcOf([corner(0, 0), corner(100, 0), corner(200, 0)]);

/** A move that stops half way, and the arc then made longer at its end. */
function lengthened(keeps: Keeps): Shot {
  const shot = shotAlong(straight, 21);
  const move = onlyMove(shot);
  const [first, last] = move.marks;
  const halted: Shot = {
    ...shot,
    moves: [
      {
        ...move,
        marks: [first!, { ...last!, frame: 11, fraction: 0.5 }, { ...last!, id: 'm3', fraction: 0.75 }],
      },
    ],
  };
  const told = edits.setKeeps(halted, { moveId: move.id, keeps });
  return edits.movePoint(told, { arcId: 'arc1', pointId: 'p3', to: { x: 400, y: 0 } });
}

const fractions = (shot: Shot): number[] => onlyMove(shot).marks.map(({ fraction }) => fraction);

test('a move keeps its shares of the length', () => {
  expect(fractions(lengthened('fractions'))).toEqual([0, 0.5, 0.75]);
});

test('a move keeps its distances from the start', () => {
  const shot = lengthened('distances');
  expect(fractions(shot).map((f) => f * arcLength(shot.arcs[0]!))).toEqual(
    [0, 100, 150].map((s) => expect.closeTo(s, 6)),
  );
});

test('a move keeps its spots in the field', () => {
  const bent = edits.movePoint(edits.setKeeps(shotAlong(straight, 21), { moveId: 'move1', keeps: 'spots' }), {
    arcId: 'arc1',
    pointId: 'p2',
    to: { x: 100, y: -80 },
  });
  const { x, y } = evaluate(bent).travels[0]!;
  expect([x[0], y[0], x[20], y[20]]).toEqual([0, 0, 200, 0].map((v) => expect.closeTo(v, 6)));
  const longer = lengthened('spots');
  expect(fractions(longer).map((f) => f * 400)).toEqual([0, 100, 150].map((s) => expect.closeTo(s, 4)));
});

test('turned round in place the figure stands where it stood; otherwise it runs the other way', () => {
  const shot = shotAlong(straight, 21);
  const places = (of: Shot): number[] => [...evaluate(of).travels[0]!.x];
  const still = edits.reverseArc(shot, { arcId: 'arc1', move: 'in-place' });
  places(still).forEach((x, i) => expect(x).toBeCloseTo(places(shot)[i]!, 6));
  const round = edits.reverseArc(shot, { arcId: 'arc1', move: 'turned-round' });
  places(round).forEach((x, i) => expect(x).toBeCloseTo(200 - places(shot)[i]!, 6));
});

test('a point that is inserted moves no tick, whatever the move keeps', () => {
  for (const keeps of ['fractions', 'distances', 'spots'] as const) {
    const shot = edits.setKeeps(shotAlong(straight, 21), { moveId: 'move1', keeps });
    const next = edits.insertPoint(shot, { arcId: 'arc1', segment: 1, t: 0.3 });
    const [a, b] = [evaluate(shot).travels[0]!, evaluate(next).travels[0]!];
    a.x.forEach((x, i) => expect(b.x[i]).toBeCloseTo(x, 6));
  }
});

test('joined to another arc, both moves go on through the same places', () => {
  const one = shotAlong(straight, 21);
  const two = edits.drawArc(one, { points: [corner(210, 0), corner(310, 0)] });
  const joined = edits.joinArcs(two, { arcId: 'arc1', otherId: two.arcs[1]!.id });
  expect(joined.arcs).toHaveLength(1);
  const before = evaluate(two).travels[1]!;
  const after = evaluate(joined).travels.find(({ move }) => move.id === before.move.id)!;
  expect(after.x[0]).toBeCloseTo(210, 4);
  expect(after.x[20]).toBeCloseTo(310, 4);
});

test('a rest that is shifted takes its marks along and leaves the others where they were', () => {
  const shot = shotAlong(straight, 21);
  const shifted = edits.shiftRest(shot, { arcId: 'arc1', s: 100, rest: 'from-here', by: { x: 0, y: 50 } });
  const { x, y } = evaluate(shifted).travels[0]!;
  expect([x[0], y[0]]).toEqual([0, 0].map((v) => expect.closeTo(v, 6)));
  expect([x[20], y[20]]).toEqual([200, 50].map((v) => expect.closeTo(v, 6)));
});

test('on an arc without length every point is at its start', () => {
  const nowhere = arcOf([corner(50, 50), corner(50, 50)]);
  expect(fractionOfPoint(nowhere, 'p2', 0)).toBe(0);
  expect(fractionOfPoint({ ...nowhere, closed: true }, 'p2', 3)).toBe(0);
});
