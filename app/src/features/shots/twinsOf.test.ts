import { twinsOf } from './twinsOf';

test('shots of one name are numbered, whatever their order; others are not', () => {
  const shots = [
    { id: 'c', name: 'Bow' },
    { id: 'a', name: 'Eel' },
    { id: 'b', name: 'Bow' },
  ];
  const found = [...twinsOf(shots)].sort();
  expect(found).toEqual([
    ['b', { number: 1, count: 2 }],
    ['c', { number: 2, count: 2 }],
  ]);
  expect([...twinsOf([...shots].reverse())].sort()).toEqual(found);
});
