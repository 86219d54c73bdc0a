import { segmentShares } from './Segmented';

test('choices share the width evenly, unless one is much longer than the others', () => {
  expect(segmentShares(['Ruler', 'Graph', 'Chart', 'Numbers'])).toEqual([1, 1, 1, 1]);
  expect(segmentShares(['None', 'Key', 'Breakdown', 'Own'])).toEqual([8, 7, 13, 7]);
  expect(segmentShares(['Proportions', 'Distances', 'Positions'])).toEqual([15, 13, 13]);
});
