import { ActionCreators } from 'redux-undo';
import { currentFrame, goTo, setRange } from '../../playback/playhead';
import { heldSourcesOf } from '../../playback/heldSources';
import { createPointerSession } from '../../render/pointerSession';
import { doEdit } from '../../store/doEdit';
import { rangePicked } from '../../store/editorSlice';
import { selectPassage } from '../../store/selectors/timingSelection';
import type { AppStore } from '../../store/store';
import { benchWith, moveOn, shotOn, straightShot, withMarks } from '../../testing/bench';
import { railSurface } from './railTargets';
import { SIDE } from './railView';

/** Ten pixels a frame. */
const WIDTH = 200 + 2 * SIDE;
const x = (frame: number): number => SIDE + (frame - 1) * 10;

function bench(canMark = true) {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(1);
  const store = benchWith(withMarks(straightShot(), [1, 0], [11, 0.5], [21, 1]));
  const session = createPointerSession({
    held: heldSourcesOf(store),
    inWindow: (at) => at,
    view: null,
    surface: () =>
      railSurface({
        store,
        width: WIDTH,
        lengthFrames: 21,
        move: moveOn(store),
        passage: selectPassage(store.getState()),
        canMark,
        posts: 'marks',
      }),
    trail: () => ({ isShift: () => false, take: () => [], pressedAt: () => performance.now() }),
  });
  const drag = (...[first, ...rest]: [number, number][]): void => {
    session.begin({ x: first![0], y: first![1] }, false);
    for (const [toX, y] of rest) session.update({ x: toX, y });
    const [toX, y] = rest.at(-1) ?? first!;
    session.end({ x: toX, y });
  };
  return { store, drag };
}

const marksOn = (store: AppStore) => moveOn(store).marks.map(({ frame }) => frame);

test('beside marks the playhead is dragged, from the first movement on', () => {
  const { store, drag } = bench();
  drag([x(5), 30], [x(5) + 2, 30], [x(8), 30]);
  expect(currentFrame()).toBe(8);
  expect(marksOn(store)).toEqual([1, 11, 21]);
});

test('a mark is dragged in time where marks can be, unless the knob stands on it', () => {
  const { store, drag } = bench();
  drag([x(11), 30], [x(14), 30]);
  expect(marksOn(store)).toEqual([1, 14, 21]);
  goTo(14);
  drag([x(14), 30], [x(16), 30]);
  expect([marksOn(store), currentFrame()]).toEqual([[1, 14, 21], 16]);
  const other = bench(false);
  other.drag([x(11), 30], [x(14), 30]);
  expect([marksOn(other.store), currentFrame()]).toEqual([[1, 11, 21], 14]);
});

test('an edge of a passage is dragged below the knob, before a mark on its frame', () => {
  const { store, drag } = bench();
  store.dispatch(rangePicked({ by: 'frames', from: 1, until: 11 }));
  drag([x(11), 36], [x(15), 36]);
  expect(selectPassage(store.getState())).toEqual({ from: 1, until: 15 });
});

describe('a note', () => {
  const noted = () => {
    const on = bench();
    on.store.dispatch(doEdit('addNote', { from: 6, until: 8, text: 'Holds his hat', figureId: null }));
    return on;
  };
  const frames = (store: AppStore) => shotOn(store).notes.map(({ from, until }) => [from, until]);

  test('is read by a tap, which goes to its first frame', () => {
    const { store, drag } = noted();
    drag([x(6), 5]);
    expect(currentFrame()).toBe(6);
    expect(store.getState().session.message?.text).toBe('Holds his hat');
    expect(frames(store)).toEqual([[6, 8]]);
  });

  test('is dragged to other frames as a whole, in one undo step, and not past the beginning', () => {
    const { store, drag } = noted();
    drag([x(6), 5], [x(8), 9], [x(10), 9]);
    expect(frames(store)).toEqual([[10, 12]]);
    store.dispatch(ActionCreators.undo());
    expect(frames(store)).toEqual([[6, 8]]);
    drag([x(6), 5], [x(1) - 90, 5]);
    expect(frames(store)).toEqual([[1, 3]]);
  });

  test('leaves the knob that stands on it to the playhead', () => {
    const { store, drag } = noted();
    goTo(6);
    drag([x(6), 5], [x(9), 5]);
    expect([currentFrame(), frames(store)]).toEqual([9, [[6, 8]]]);
  });

  test('leaves the rail beneath it to the playhead', () => {
    const { store, drag } = noted();
    drag([x(6), 30], [x(9), 30]);
    expect(currentFrame()).toBe(9);
    expect(frames(store)).toEqual([[6, 8]]);
  });
});
