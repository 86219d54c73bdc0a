import { changedCue } from './changedCue';

test('what has become another brings its group forward, the last such group where several have', () => {
  expect(changedCue(['arc1', null, null], ['arc1', 'p1', null])).toBe(1);
  expect(changedCue(['arc1', 'p1', null], ['arc2', 'p3', null])).toBe(1);
  expect(changedCue(['arc1', 'p1', null], ['arc2', null, null])).toBe(0);
});

test('what comes back where something ended in a group that nobody is at brings nothing forward', () => {
  // A first stroke ends with the edit of a backdrop, whose group is the third.
  expect(changedCue([null, 'stroke', null], ['arc1', null, null], 2)).toBeNull();
  expect(changedCue([null, 'stroke', null], ['arc1', null, null], 1)).toBe(0);
  expect(changedCue(['arc1', null, null], ['arc1 p1', null, null], 2)).toBe(0);
});

test('what is selected still, or no longer, brings nothing forward', () => {
  expect(changedCue(['arc1', 'p1', null], ['arc1', 'p1', null])).toBeNull();
  expect(changedCue(['arc1', 'p1', null], ['arc1', null, null])).toBeNull();
});
