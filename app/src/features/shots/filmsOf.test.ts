import type { ListedShot } from '../../persistence/api';
import { filmsOf, movedBy, secondsOf } from './filmsOf';

const shot = (id: string, some: Partial<ListedShot> = {}): ListedShot =>
  ({
    id,
    name: id,
    film: 'Low Tide',
    updatedAt: '2026-01-01',
    rank: null,
    lengthFrames: 24,
    rate: 12,
    ...some,
  }) as ListedShot;

const ids = (shots: readonly ListedShot[], order: 'hand' | 'change' | 'name') =>
  filmsOf(shots, order).map(({ film, shots: own }) => [film, own.map(({ id }) => id).join(' ')]);

const shots = [
  shot('Shot 10', { updatedAt: '2026-01-03', rank: 0 }),
  shot('Shot 9', { updatedAt: '2026-01-01' }),
  shot('Buoy', { film: 'Ebb', updatedAt: '2026-01-04' }),
  shot('Loose', { film: '', updatedAt: '2026-01-09' }),
  shot('Eel', { updatedAt: '2026-01-02', rank: 1 }),
  shot('Crab', { updatedAt: '2026-01-05' }),
];

test('shots stand under their film, the one changed last first, or by name', () => {
  expect(ids(shots, 'change')).toEqual([
    ['', 'Loose'],
    ['Low Tide', 'Crab Shot 10 Eel Shot 9'],
    ['Ebb', 'Buoy'],
  ]);
  expect(ids(shots, 'name')).toEqual([
    ['Ebb', 'Buoy'],
    ['Low Tide', 'Crab Eel Shot 9 Shot 10'],
    ['', 'Loose'],
  ]);
  expect(ids(shots, 'hand')[1]).toEqual(['Low Tide', 'Shot 10 Eel Crab Shot 9']);
});

test('a shot is moved by one place, not past the ends', () => {
  const three = ['a', 'b', 'c'].map((id) => shot(id));
  expect(movedBy(three, 'b', -1)).toEqual(['b', 'a', 'c']);
  expect(movedBy(three, 'b', 1)).toEqual(['a', 'c', 'b']);
  expect([movedBy(three, 'a', -1), movedBy(three, 'c', 1), movedBy(three, 'x', 1)]).toEqual([
    null,
    null,
    null,
  ]);
});

test('a film is as long as its shots together, each at its own rate', () => {
  expect(secondsOf([shot('a'), shot('b', { rate: 24, lengthFrames: 36 })])).toBe(3.5);
});
