import { fc } from '../testing/property';
import { keptRevisions } from './keptRevisions';

const HOUR = 3600_000;
const NOW = Date.UTC(2026, 11, 1, 12, 30);
const every = (ms: number, count: number) =>
  Array.from({ length: count }, (_, i) => ({ revision: i + 1, at: NOW - (count - 1 - i) * ms }));

test('all of the last hour are kept', () => {
  expect(keptRevisions(every(60_000, 61), NOW).size).toBe(61);
});

test('one an hour of the last day, the last of each', () => {
  const kept = keptRevisions(every(HOUR / 4, 24 * 4), NOW);
  // 12:30 back to 11:30 in quarters, then the last quarter of each hour.
  expect([...kept].length).toBeGreaterThanOrEqual(5 + 22);
  expect([...kept].length).toBeLessThanOrEqual(5 + 24);
});

test('one a day before that, whatever was done on the day', () => {
  const kept = keptRevisions(every(HOUR, 24 * 30), NOW);
  expect(kept.size).toBeLessThanOrEqual(2 + 24 + 30);
  expect(kept.size).toBeGreaterThanOrEqual(28 + 24);
});

test('the newest stays, however old it is, and whatever the clock says', () => {
  expect(keptRevisions([{ revision: 7, at: 0 }], NOW)).toEqual(new Set([7]));
  const setBack = [
    { revision: 1, at: NOW + 5 * HOUR },
    { revision: 2, at: NOW - 40 * HOUR },
  ];
  expect(keptRevisions(setBack, NOW)).toEqual(new Set([1, 2]));
});

test('without any revisions there are none to keep; one that is just an hour old is one of the last hour', () => {
  expect(keptRevisions([], NOW)).toEqual(new Set());
  const atTheEdge = [0, 1, 2].map((i) => ({ revision: i + 1, at: NOW - HOUR + i }));
  expect(keptRevisions(atTheEdge, NOW).size).toBe(3);
  const justPast = [0, 1, 2].map((i) => ({ revision: i + 1, at: NOW - HOUR - 3 + i }));
  expect(keptRevisions(justPast, NOW)).toEqual(new Set([3]));
  const dayOld = [0, 1].map((i) => ({ revision: i + 1, at: NOW - 24 * HOUR + i * HOUR }));
  expect(keptRevisions(dayOld, NOW).size).toBe(2);
});

test('thinning what was thinned takes nothing more, and thinning late takes what thinning early took', () => {
  const ages = fc.uniqueArray(fc.integer({ min: 0, max: 40 * 24 * HOUR }), { minLength: 1, maxLength: 60 });
  fc.assert(
    fc.property(ages, (all) => {
      const revisions = all.sort((a, b) => b - a).map((age, i) => ({ revision: i + 1, at: NOW - age }));
      const once = keptRevisions(revisions, NOW);
      const left = revisions.filter(({ revision }) => once.has(revision));
      expect(keptRevisions(left, NOW)).toEqual(once);
      const later = NOW + 9 * HOUR;
      expect(keptRevisions(left, later)).toEqual(keptRevisions(revisions, later));
    }),
  );
});
