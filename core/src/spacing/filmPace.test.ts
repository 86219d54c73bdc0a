import { edits } from '../edits/edits';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { chartOf } from '../timing/easings/ticks';
import { filmPace, shotPace } from './filmPace';

/** On nine frames four increments, the first of a tenth of the way; then it holds. */
const shot = withMarks(
  straightShot(100, 9),
  markAt(1, 0, { easing: chartOf([0.1, 0.3, 0.6, 1]) }),
  markAt(5, 1),
  markAt(9, 1),
);
const moveId = onlyMove(shot).id;
const width = shot.field.width;

const rounded = (paces: readonly number[]) => paces.map((pace) => Math.round(pace * width * 1e6) / 1e6);

test('each frame has the way of its picture, as a share of the width', () => {
  expect(rounded(shotPace(shot).paces)).toEqual([0, 10, 20, 30, 40, 0, 0, 0, 0]);
  const twos = edits.setFramesHeld(shot, { moveId, framesHeld: 2 });
  expect(rounded(shotPace(twos).paces)).toEqual([0, 15, 15, 35, 35, 0, 0, 0, 0]);
});

test('is the same in millimetres; a hidden figure does not count', () => {
  const scaled = edits.setSheet(edits.setScale(shot, { unitsPerMm: 4 }), { units: 'mm' });
  expect(rounded(shotPace(scaled).paces)).toEqual([0, 10, 20, 30, 40, 0, 0, 0, 0]);
  const hidden = { ...shot, figures: shot.figures.map((figure) => ({ ...figure, hidden: true })) };
  expect(Math.max(...shotPace(hidden).paces)).toBe(0);
});

test('over a film each shot takes its time, whatever its rate, and no peak is lost', () => {
  const one = { lengthFrames: 4, rate: 1, paces: [0, 1, 2, 3] };
  const two = { lengthFrames: 8, rate: 2, paces: [9, 0, 0, 0, 5, 5, 5, 5] };
  const film = filmPace([one, two], 8);
  expect(film).toEqual({ seconds: 8, begins: [0, 4], paces: [0, 1, 2, 3, 9, 0, 5, 5] });
  expect(filmPace([one, two], 2).paces).toEqual([3, 9]);
  expect(filmPace([one], 8).paces).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  expect(filmPace([], 3)).toEqual({ seconds: 0, begins: [], paces: [0, 0, 0] });
});
