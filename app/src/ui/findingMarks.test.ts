import { findingMarks } from './findingMarks';

test('a frame has a ring with a stroke through it, several a line up to it; what is out of sight has none', () => {
  const xOf = (frame: number) => (frame > 20 ? null : 10 * frame);
  const one = findingMarks([{ from: 3, until: 3 }], xOf, 0);
  expect(one).toBe('M26.5 3.5a3.5 3.5 0 1 0 7 0a3.5 3.5 0 1 0 -7 0M26.5 7l7 -7');
  expect(findingMarks([{ from: 3, until: 9 }], xOf, 0)).toMatch(/^M30\.0 3\.5H86\.5M/);
  expect(findingMarks([{ from: 25, until: 30 }], xOf, 0)).toBe('');
});
