import { unrolledArc } from '@humble/core/views';
import { straightShot, withMarks } from '../../../testing/bench';
import { graphAxes } from '../graph/graphAxes';
import { axisTicksPath, barsPath, dotsPath, graphPostsByDetail } from '../graph/graphPaths';
import {
  evenBandPath,
  evenPath,
  postNames,
  postsByDetail,
  tickBandsPath,
  rulerTicksPath,
} from '../ruler/rulerPaths';

/** A move of many frames with many marks, on a ruler of 500 pixels. */
function many(frames: number, marks: number) {
  const places = Array.from({ length: marks }, (_, i): [number, number] => {
    const share = i / (marks - 1);
    return [1 + Math.round(share * (frames - 1)), share];
  });
  const shot = withMarks(straightShot(frames), ...places);
  return unrolledArc(shot, shot.moves[0]!);
}

const axis = { from: 0, to: 120, start: 0, end: 500 };
const xsOf = (d: string): number[] => [...d.matchAll(/M([\d.]+) /g)].map(([, x]) => Number(x));
const leastGap = (xs: readonly number[]): number =>
  Math.min(...[...xs].sort((a, b) => a - b).map((x, i, all) => (i === 0 ? Infinity : x - all[i - 1]!)));

test('on a ruler of 500 pixels 200 marks are hairlines, 2,000 a band, and zooming in brings the posts back', () => {
  const ruler = many(2_000, 200);
  const { full, hairlines, bands } = postsByDetail(ruler, axis);
  expect([xsOf(full).length, xsOf(hairlines).length, xsOf(bands).length]).toEqual([0, 200, 0]);
  const crowd = postsByDetail(many(20_000, 2_000), axis);
  expect([xsOf(crowd.full).length, xsOf(crowd.hairlines).length, xsOf(crowd.bands).length]).toEqual([
    0, 0, 1,
  ]);
  const closer = postsByDetail(ruler, { ...axis, from: 0, to: 12 });
  expect(xsOf(closer.full).length).toBeGreaterThan(18);
  expect(leastGap(xsOf(closer.full))).toBeGreaterThan(6);
});

test.each([
  [2_000, 200],
  [20_000, 2_000],
])(
  'of %d frames and %d marks nothing on ruler and graph is nearer than can be told apart',
  (frames, marks) => {
    const ruler = many(frames, marks);
    const axes = graphAxes({ time: { from: 1, to: frames }, distance: axis, width: 700, height: 236 });
    expect(leastGap(xsOf(rulerTicksPath(ruler.ticks, axis, false)))).toBeGreaterThanOrEqual(2.5);
    expect(leastGap(xsOf(rulerTicksPath(ruler.ticks, axis, true)))).toBeGreaterThanOrEqual(4);
    expect(xsOf(tickBandsPath(ruler.ticks, axis))).toHaveLength(1);
    expect(evenPath(ruler, axis)).toBe('');
    expect(evenBandPath(ruler, axis)).not.toBe('');
    expect(dotsPath(ruler, axes, false)).toBe('');
    expect(axisTicksPath(ruler.ticks, axes)).toBe('');
    const posts = graphPostsByDetail(ruler, axes);
    expect([posts.full, posts.hairlines].join('').match(/M/g)?.length ?? 0).toBeLessThanOrEqual(200);
    expect(leastGap(xsOf(barsPath(ruler.ticks, axes, 1, false)))).toBeGreaterThanOrEqual(0.9);
  },
);

test('names of posts keep apart; the selected one and named ones come first', () => {
  const ruler = many(2_000, 200);
  const names = postNames(ruler, axis, ({ markIds }) => markIds.includes('m100'), 500);
  expect(names[0]).toMatchObject({ isSelected: true });
  for (const row of new Set(names.map(({ y }) => y))) {
    const inRow = names.filter(({ y }) => y === row).sort((a, b) => a.x - b.x);
    inRow.slice(1).forEach((name, i) => {
      const before = inRow[i]!;
      const halves = ((name.text.length + before.text.length) / 2) * 6.7;
      expect(name.x - before.x).toBeGreaterThanOrEqual(halves + 9);
    });
  }
});
