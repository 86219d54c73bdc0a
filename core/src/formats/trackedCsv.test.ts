import { thinGesture } from '../gesture/thinGesture';
import { readTrackedCsv } from './trackedCsv';

test('frames become a gesture that lasts as long', () => {
  const { gesture, firstFrame, frames } = readTrackedCsv('frame,x,y\n5,10,20\n6,12,20\n9,20,30\n', 24);
  expect([firstFrame, frames]).toEqual([5, 4]);
  expect(gesture.x).toEqual([10, 12, 20]);
  expect(gesture.ms).toEqual([0, 41.7, 166.7]);
});

test('seconds do, too, in any order of columns, with commas for points', () => {
  const { gesture, firstFrame, frames } = readTrackedCsv('\uFEFFX;Y;Seconds\n1,5;2;0,5\n\n3;4;1,5\n', 12);
  expect([firstFrame, frames]).toEqual([7, 12]);
  expect([gesture.x, gesture.y, gesture.ms]).toEqual([
    [1.5, 3],
    [2, 4],
    [0, 1000],
  ]);
});

test('thinned, the figure is on every tracked frame where it was tracked', () => {
  const lines = Array.from({ length: 25 }, (_, i) => `${i + 1},${40 * i},${100 + 50 * Math.sin(i / 4)}`);
  const { gesture, frames } = readTrackedCsv(['frame,x,y', ...lines].join('\n'), 24);
  expect(thinGesture(gesture, { frames, allowedDeviation: 2 }).deviation).toBeLessThanOrEqual(2);
});

test('lines that are wrong are named, and nothing is taken', () => {
  const read = (text: string) => () => readTrackedCsv(text, 24);
  expect(read('frame,x,y\n1,0,0\n2,left,0\n\n2.5,1,1\n1,5,5\n')).toThrow(
    'Nothing was taken: line 3 is not three numbers; line 5 has a frame that is not whole; line 6 does not come after the one before.',
  );
  expect(read('frame,x,y\n0,0,0\n2,9e9,0\n')).toThrow(
    /line 2 has a frame outside 1 to 20000; line 3 lies too far/,
  );
  expect(read(`frame,x,y\n${'a,b,c\n'.repeat(8)}`)).toThrow(/; line 6 is not three numbers, and 3 more\.$/);
  expect(read('seconds,x,y\n-1,0,0\n1,1,1\n')).toThrow('line 2 lies before the start');
  expect(read('frame,x,y\n1,0,0\n')).toThrow('at least two lines');
  expect(read('time,x,y\n1,0,0\n')).toThrow('columns frame or seconds, x and y');
  expect(read('')).toThrow('need a head');
});
