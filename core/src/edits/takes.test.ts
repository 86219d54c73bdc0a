import { evaluate } from '../motion/evaluate';
import type { Shot } from '../model/schema';
import { arcOf, corner, markAt, onlyMove, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { currentTake, shotOfTake } from '../timing/takes';
import { edits } from './edits';

const moveId = 'move1';
const frames = (shot: Shot): number[] => onlyMove(shot).marks.map(({ frame }) => frame);

/** Two takes of a move: the first from 1 to 21, the second stretched to twice as long and current. */
function twoTakes(): Shot {
  const second = edits.addTake(straightShot(400, 21), { name: 'Slower' });
  return edits.stretchPassage(second, { moveId: null, from: 1, until: 21, frames: 40 });
}

test('a new take begins as the current one is; each keeps its own timing and length', () => {
  const shot = twoTakes();
  expect(currentTake(shot).name).toBe('Slower');
  expect([frames(shot), shot.lengthFrames]).toEqual([[1, 41], 41]);
  const first = edits.chooseTake(shot, { takeId: 'take1' });
  expect([frames(first), first.lengthFrames]).toEqual([[1, 21], 21]);
  expect(frames(edits.chooseTake(first, { takeId: 'take2' }))).toEqual([1, 41]);
});

test('a take can be looked at without being chosen, and is the same object for the same shot', () => {
  const shot = twoTakes();
  const first = shotOfTake(shot, 'take1');
  expect(frames(first)).toEqual([1, 21]);
  expect(shotOfTake(shot, 'take1')).toBe(first);
  expect(shotOfTake(shot, 'take2')).toBe(shot);
  // What is worked out for the other take holds while only the current one is worked on.
  const later = edits.addMark(shot, { moveId, frame: 9 });
  expect(shotOfTake(later, 'take1').moves[0]).toBe(first.moves[0]);
});

test('what takes share goes for all of them; the rest is that of the current one', () => {
  const shot = twoTakes();
  const bent = edits.movePoint(shot, { arcId: 'arc1', pointId: 'p2', to: { x: 400, y: 300 } });
  const [, travel] = evaluate(shotOfTake(bent, 'take1')).travels.map(({ arc, y }) => [arc, y] as const)[0]!;
  expect(travel[20]).toBeCloseTo(300, 9);
  const faster = edits.setRate(shot, { rate: 12, keeps: 'seconds' });
  expect(frames(shotOfTake(faster, 'take1'))).toEqual([1, 11]);
  expect(frames(faster)).toEqual([1, 21]);
  const reversed = edits.reverseArc(shot, { arcId: 'arc1', move: 'in-place' });
  expect(onlyMove(shotOfTake(reversed, 'take1')).marks.map(({ fraction }) => fraction)).toEqual([1, 0]);
});

test('an edit that one of the takes cannot follow is refused, and says which', () => {
  const marks = [markAt(1, 0), markAt(2, 0.5), markAt(21, 1)];
  const close = withMarks(straightShot(400, 21), ...marks);
  const wide = edits.moveMarks(edits.addTake(close, {}), {
    moveId,
    markIds: ['m2'],
    byFrames: 8,
    takesLater: false,
  });
  expect(() => edits.setRate(wide, { rate: 8, keeps: 'seconds' })).toThrow(
    /^In “Take 1”: The marks on frames/,
  );
});

test('a mark of another take that is tied to a point follows it, and is let go with it', () => {
  const arc = arcOf([corner(0, 0), corner(200, 0), corner(400, 0)]);
  const tied = edits.tieMark(withMarks(shotAlong(arc, 21), markAt(1, 0), markAt(11, 0.4), markAt(21, 1)), {
    moveId,
    markId: 'm11',
    pointId: 'p2',
  });
  const shot = edits.addTake(tied, {});
  const moved = edits.movePoint(shot, { arcId: 'arc1', pointId: 'p2', to: { x: 100, y: 0 } });
  expect(onlyMove(shotOfTake(moved, 'take1')).marks[1]!.fraction).toBeCloseTo(0.25, 9);
  const gone = edits.deletePoints(shot, { arcId: 'arc1', pointIds: ['p2'] });
  expect(onlyMove(shotOfTake(gone, 'take1')).marks[1]!.pointId).toBeNull();
});

test('without its figure a take has no timing for it, nor notes about it', () => {
  const noted = edits.addNote(twoTakes(), { from: 3, until: 5, text: 'Blinks', figureId: 'figure1' });
  const shot = edits.removeFigure(edits.addTake(noted, {}), { figureId: 'figure1' });
  expect(shot.takes.map(({ kept }) => kept?.timings ?? null)).toEqual([[], [], null]);
  expect([shot.notes, shot.takes[1]!.kept!.notes]).toEqual([[], []]);
});

test('takes are renamed and deleted, the last one stays', () => {
  const shot = edits.renameTake(twoTakes(), { takeId: 'take1', name: ' Quick ' });
  expect(shot.takes.map(({ name }) => name)).toEqual(['Quick', 'Slower']);
  const left = edits.removeTake(shot, { takeId: 'take2' });
  expect([left.takes, frames(left)]).toMatchObject([[{ name: 'Quick', kept: null }], [1, 21]]);
  expect(() => edits.removeTake(left, { takeId: 'take1' })).toThrow('at least one take');
  expect(() => edits.renameTake(shot, { takeId: 'take1', name: ' ' })).toThrow('A take has a name');
});
