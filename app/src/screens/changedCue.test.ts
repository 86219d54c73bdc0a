import { changedCue } from './changedCue';

test('what has become another brings its group forward, the last such group where several have', () => {
  expect(changedCue(['arc1', null, null], ['arc1', 'p1', null])).toBe(1);
  expect(changedCue(['arc1', 'p1', null], ['arc2', 'p3', null])).toBe(1);
  expect(changedCue(['arc1', 'p1', null], ['arc2', null, null])).toBe(0);
});

test('what is selected still, or no longer, brings nothing forward', () => {
  expect(changedCue(['arc1', 'p1', null], ['arc1', 'p1', null])).toBeNull();
  expect(changedCue(['arc1', 'p1', null], ['arc1', null, null])).toBeNull();
});
