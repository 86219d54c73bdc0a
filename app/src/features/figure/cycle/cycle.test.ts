import { type DrawingPicture, edits, lookOf, measuredAdvance } from '@humble/core';
import { flip, selectFlipFrames, showFlip } from '../../../commands/flipping';
import { currentFrame, goTo, setRange } from '../../../playback/playhead';
import { flipChosen } from '../../../store/editorSlice';
import { stepChosen } from '../../../store/sessionSlice';
import { benchWith, moveOn, shotOn } from '../../../testing/bench';
import { threePoints } from '../../../testing/fieldBench';
import { crabFiles, withCrabFeet } from './crabDrawings';
import { spotOn } from './PlantedEditor';

const drawings = (count: number): DrawingPicture[] =>
  Array.from({ length: count }, (_, i) => ({
    sha256: String(i).repeat(64),
    type: 'image/svg+xml',
    name: `crab ${i + 1}.svg`,
    width: 140,
    height: 100,
    outline: [[0, 0, 140, 0, 140, 100]],
    frames: 1,
    planted: null,
  }));

function crabBench() {
  setRange({ lengthFrames: 21, rate: 24, loops: false });
  const drawn = edits.setArtwork(threePoints(), {
    figureId: 'figure1',
    artwork: { kind: 'pictures', drawings: [...withCrabFeet(drawings(10))] },
  });
  const store = benchWith(edits.setFigure(drawn, { figureId: 'figure1', height: 100 }), 'figure');
  goTo(1);
  return store;
}

test('the ten drawings that ship are ten files, and their feet ask for one travel without any slip', () => {
  expect(crabFiles().map(({ name, type }) => `${name} ${type}`)[9]).toBe('crab 10.svg image/svg+xml');
  const figure = shotOn(crabBench()).figures[0]!;
  // A foot goes back 30 over the five steps of its stand, ten drawings a cycle.
  expect(measuredAdvance(figure, 100, false)).toBeCloseTo(60, 4);
});

test('flips between the ends of the move, of the cycle, or two frames that were chosen', () => {
  const store = crabBench();
  expect(selectFlipFrames(store.getState())).toEqual([1, 21]);
  const cycled = edits.setCycle(shotOn(store), { moveId: moveOn(store).id, cycle: { from: 5 } });
  const after = benchWith(cycled, 'figure');
  expect(selectFlipFrames(after.getState())).toEqual([5, 14]);
  flip(after);
  expect(currentFrame()).toBe(5);
  flip(after);
  expect(currentFrame()).toBe(14);
  after.dispatch(flipChosen([3, 99]));
  showFlip(after, 1);
  expect(currentFrame()).toBe(21);
  showFlip(after, 0);
  expect(currentFrame()).toBe(3);
  after.dispatch(stepChosen('timing'));
  expect(selectFlipFrames(after.getState())).toEqual([3, 21]);
});

test('a spot begins where it was, or under the pivot at the foot of the picture', () => {
  const figure = shotOn(crabBench()).figures[0]!;
  expect(spotOn(figure, 1)).toMatchObject({ x: 35, y: 94 });
  expect(spotOn(figure, 7)).toEqual({ x: lookOf(figure, 7).pivot.x, y: 100 });
});
