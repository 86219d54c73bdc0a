import { at } from '../../../ui/axis';
import { graphAxes, isOnPace, timeAt } from './graphAxes';

const seen = { time: { from: 1, to: 57 }, distance: { from: 0, to: 200 } };

test('a low and wide view has the pace beside the graph, over the same frames', () => {
  const axes = graphAxes({ ...seen, width: 820, height: 136 });
  expect(axes.distance.start - axes.distance.end).toBeGreaterThan(90);
  expect(axes.pace.time.start).toBeGreaterThan(axes.time.end);
  expect([axes.pace.time.from, axes.pace.time.to]).toEqual([1, 57]);
  expect(isOnPace(axes, { x: at(axes.pace.time, 20), y: 60 })).toBe(true);
  expect(isOnPace(axes, { x: at(axes.time, 50), y: axes.distance.start + 20 })).toBe(false);
});

test('a high one has it beneath, and a pointer means the frames of what it is over', () => {
  const axes = graphAxes({ ...seen, width: 358, height: 236 });
  expect(axes.pace.time).toEqual(axes.time);
  expect(axes.pace.foot - axes.pace.height).toBeGreaterThan(axes.distance.start);
  const wide = graphAxes({ ...seen, width: 820, height: 136 });
  expect(timeAt(wide, { x: wide.time.end, y: 60 })).toBe(wide.time);
  expect(timeAt(wide, { x: wide.pace.time.start, y: 60 })).toBe(wide.pace.time);
});
