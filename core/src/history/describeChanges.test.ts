import { applyEdit, type Edit, edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import type { Shot } from '../model/schema';
import { arcOf, corner, shotAlong } from '../testing/shapes';
import { describeChanges } from './describeChanges';

const empty = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
const line = arcOf([corner(0, 0), corner(60, 40), corner(120, 0)]);
const shot = shotAlong(line, 48, { kind: 'even' });

const after = (...many: Edit[]): readonly string[] =>
  describeChanges(shot, many.reduce<Shot>(applyEdit, shot));

test('the same shot has no changes, also where it was read anew', () => {
  expect(describeChanges(shot, shot)).toEqual([]);
  expect(describeChanges(shot, JSON.parse(JSON.stringify(shot)) as Shot)).toEqual([]);
});

test('an arc that is pulled is reshaped, and its marks stay where they are', () => {
  const args = { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } };
  expect(after({ name: 'movePoint', args })).toEqual(['arc reshaped']);
});

test('arc and marks changed between two saves are both said, the arc first', () => {
  const markIds = shot.moves[0]!.marks.map(({ id }) => id);
  expect(
    after(
      {
        name: 'moveMarks',
        args: { moveId: 'move1', markIds: [markIds[0]!], byFrames: 4, takesLater: false },
      },
      {
        name: 'moveMarks',
        args: { moveId: 'move1', markIds: [markIds[1]!], byFrames: -8, takesLater: false },
      },
      { name: 'movePoint', args: { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } } },
    ),
  ).toEqual(['arc reshaped', '2 marks moved']);
});

test('points that come and go are counted', () => {
  const removed = edits.deletePoints(shot, { arcId: 'arc1', pointIds: ['p2'] });
  expect(describeChanges(shot, removed)).toContain('1 point removed from the arc');
  expect(describeChanges(removed, shot)).toContain('1 point added to the arc');
});

test('a first arc with its figure', () => {
  const drawn = edits.drawArc(empty, { points: line.points });
  expect(describeChanges(empty, drawn)).toEqual(['1 arc added', '1 figure added']);
  expect(describeChanges(drawn, empty)).toEqual(['1 arc removed', '1 figure removed']);
});

test('where there are several arcs the one that changed is named', () => {
  const two = edits.drawArc(shot, { points: line.points });
  const args = { arcId: 'arc1', pointId: 'p2', to: { x: 70, y: 80 } };
  expect(describeChanges(two, edits.movePoint(two, args))).toEqual([`arc “${shot.arcs[0]!.name}” reshaped`]);
});

test('easing, length, rate and name', () => {
  expect(after({ name: 'renameShot', args: { name: 'Steps' } })).toEqual(['renamed “Steps”']);
  const longer = edits.setLength(shot, { lengthFrames: 96 });
  expect(describeChanges(shot, longer)).toEqual(['1 mark moved', '96 frames long, was 48']);
  const [first] = shot.moves[0]!.marks;
  const eased = edits.setEasing(shot, {
    moveId: 'move1',
    markId: first!.id,
    easing: { kind: 'ramped', leaveFrames: 4, arriveFrames: 4, ramp: 'steady' },
  });
  expect(describeChanges(shot, eased)).toEqual(['easing changed']);
});

test('another take, and what only one member can tell', () => {
  const taken = edits.addTake(shot, { name: 'Slower' });
  expect(describeChanges(shot, taken)).toEqual(['1 take added']);
  const hidden = { ...shot, waiting: [], gestures: [{ ...shot.gestures[0], id: 'g9' }] } as unknown as Shot;
  expect(describeChanges(shot, hidden)).toEqual(['other details changed']);
});
