import { edits } from './edits';
import { madeIds } from './madeIds';
import { arcOf, corner, shotAlong } from '../testing/shapes';

const shot = shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 24);
const nothing = {
  arcs: [],
  figures: [],
  moves: [],
  gestures: [],
  points: [],
  marks: [],
  keys: [],
  riders: [],
};

test('an edit that makes nothing has made no ids', () => {
  expect(madeIds(shot, shot)).toEqual(nothing);
  expect(madeIds(shot, edits.setLength(shot, { lengthFrames: 30 }))).toEqual(nothing);
});

test('what an edit made is known by its ids', () => {
  const pointed = edits.insertPoint(shot, { arcId: 'arc1', segment: 0, t: 0.5 });
  expect(madeIds(shot, pointed)).toEqual({ ...nothing, points: ['p3'] });
  const marked = edits.addMark(shot, { moveId: 'move1', frame: 9 });
  expect(madeIds(shot, marked)).toEqual({ ...nothing, marks: ['m3'] });
  const keyed = edits.setKey(shot, { moveId: 'move1', track: 'turn', frame: 9, value: 4 });
  expect(madeIds(shot, keyed)).toEqual({ ...nothing, keys: ['k1'] });
  const drawn = edits.drawArc(shot, { points: [corner(0, 50), corner(100, 50)] });
  expect(madeIds(shot, drawn)).toEqual({
    ...nothing,
    arcs: ['arc2'],
    figures: ['figure2'],
    moves: ['move2'],
    points: ['p1', 'p2'],
    marks: ['m1', 'm2'],
  });
});
