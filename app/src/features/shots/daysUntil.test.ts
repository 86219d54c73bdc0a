import { daysUntil } from './daysUntil';

test.each([
  ['2026-12-30T12:00:00Z', 30],
  ['2026-12-01T11:59:59Z', 0],
  ['2026-12-01T12:00:00Z', 1],
  ['2026-11-01T12:00:00Z', 0],
])('at noon of the last of November until %s there are %i days', (iso, days) => {
  expect(daysUntil(iso, new Date('2026-11-30T12:00:00Z'))).toBe(days);
});
