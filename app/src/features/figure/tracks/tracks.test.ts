import { ActionCreators } from 'redux-undo';
import { addKey, deleteKeyAt, goToNextKey, nudgeKeyAt } from '../../../commands/keys';
import { currentFrame, goTo, setRange } from '../../../playback/playhead';
import { createLiveView } from '../../../render/frameScheduler';
import { heldSourcesOf } from '../../../playback/heldSources';
import { createPointerSession } from '../../../render/pointerSession';
import { doEdit } from '../../../store/doEdit';
import type { AppStore } from '../../../store/store';
import { benchWith, moveOn } from '../../../testing/bench';
import { threePoints } from '../../../testing/fieldBench';
import type { Axis } from '../../../ui/axis';
import { keyRowsSurface, selectPlacedKeys, rowPath } from './keyRows';
import { shownRange, type TrackAxes, valuesPath } from './trackPaths';
import { keyTarget, trackSurface } from './trackTargets';

/** Ten pixels a frame, a pixel a degree, 0° at 100. */
const AXES: TrackAxes = {
  time: { from: 1, to: 21, start: 0, end: 200 },
  value: { from: -100, to: 100, start: 200, end: 0 },
};

const keysOf = (store: AppStore) => moveOn(store).tracks.turn.map(({ frame, value }) => [frame, value]);

function bench(...keys: [frame: number, value: number][]) {
  return benchOn((store) => trackSurface(store, 'turn', AXES), keys);
}

function benchOn(
  surfaceOn: (store: AppStore) => ReturnType<typeof trackSurface>,
  keys: readonly [frame: number, value: number][],
) {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  const store = benchWith(threePoints(), 'figure');
  const { id: moveId } = moveOn(store);
  for (const [frame, value] of keys)
    store.dispatch(doEdit('setKey', { moveId, track: 'turn', frame, value }));
  const session = createPointerSession({
    held: heldSourcesOf(store),
    inWindow: (at) => at,
    view: createLiveView(),
    surface: () => surfaceOn(store),
    trail: () => ({ isShift: () => false, take: () => [], pressedAt: () => performance.now() }),
  });
  const drag = (...[first, ...rest]: [number, number][]): void => {
    session.begin({ x: first![0], y: first![1] }, false);
    for (const [x, y] of rest) session.update({ x, y });
    const [x, y] = rest.at(-1) ?? first!;
    session.end({ x, y });
  };
  return { store, drag };
}

describe('the strip of a track', () => {
  test('a key is dragged in time or in value; one drag is one undo step, and the playhead goes along', () => {
    const { store, drag } = bench([1, 0], [11, 50]);
    drag([100, 50], [120, 52], [148, 50]);
    expect(keysOf(store)).toEqual([
      [1, 0],
      [15, 50],
    ]);
    expect(currentFrame()).toBe(15);
    store.dispatch(ActionCreators.undo());
    expect(keysOf(store)).toEqual([
      [1, 0],
      [11, 50],
    ]);
    drag([100, 50], [103, 30], [100, 22]);
    expect(keysOf(store)[1]).toEqual([11, 70]);
  });

  test('beside a key a drag looks at frames and changes nothing', () => {
    const { store, drag } = bench([1, 0]);
    drag([60, 150], [80, 150], [90, 150]);
    expect(currentFrame()).toBe(10);
    expect(keysOf(store)).toEqual([[1, 0]]);
  });

  test('two taps add a key with the value that is there', () => {
    const { store, drag } = bench([1, 0], [21, 40]);
    drag([100, 150]);
    drag([100, 150]);
    expect(keysOf(store)).toEqual([
      [1, 0],
      [11, 20],
      [21, 40],
    ]);
  });

  test('a tap on a key goes to its frame', () => {
    const { drag } = bench([1, 0], [11, 50]);
    goTo(3);
    drag([101, 51]);
    expect(currentFrame()).toBe(11);
  });
});

describe('keys by keys', () => {
  test('are gone to, nudged in one undo step, added and taken out', () => {
    const { store } = bench([1, 0], [11, 50]);
    goTo(1);
    expect(store.dispatch(goToNextKey('turn', 1))).toBe(true);
    expect(currentFrame()).toBe(11);
    expect(store.dispatch(goToNextKey('turn', 1))).toBe(false);
    expect(store.dispatch(nudgeKeyAt('turn', 11, 'ArrowUp', false))).toBe(true);
    expect(store.dispatch(nudgeKeyAt('turn', 11, 'ArrowRight', false))).toBe(true);
    expect(keysOf(store)[1]).toEqual([12, 55]);
    expect(currentFrame()).toBe(12);
    store.dispatch(ActionCreators.undo());
    expect(keysOf(store)[1]).toEqual([11, 50]);
    expect(store.dispatch(nudgeKeyAt('turn', 5, 'ArrowUp', false))).toBe(false);
    expect(store.dispatch(nudgeKeyAt('turn', 11, 'Enter', false))).toBe(false);
    store.dispatch(addKey('turn', 6));
    expect(keysOf(store)[1]).toEqual([6, 25]);
    expect(store.dispatch(deleteKeyAt('turn', 6))).toBe(true);
    expect(store.dispatch(deleteKeyAt('turn', 6))).toBe(false);
    expect(keysOf(store)).toHaveLength(2);
  });
});

describe('what a strip draws', () => {
  test('shows at least so much of the value, all of it and zero, with room', () => {
    const little = shownRange(Float64Array.of(0, 2), 60);
    expect(little.to - little.from).toBeGreaterThan(60);
    const much = shownRange(Float64Array.of(100, 1080), 60);
    expect(much.from).toBeLessThan(0);
    expect(much.to).toBeGreaterThan(1080);
  });

  test('values that fall on one pixel are drawn as their least and most', () => {
    const narrow = { ...AXES, time: { from: 1, to: 4, start: 0, end: 1 } };
    expect(valuesPath(Float64Array.of(0, 50, -50, 10), narrow)).toBe('M0 100.0L0 50.0L1 150.0L1 90.0');
  });

  test('of several keys within reach the nearest is taken, and none from afar', () => {
    const { store } = bench([1, 0], [2, 0]);
    const taken = (x: number) => keyTarget({ store, track: 'turn', axes: AXES }, { x, y: 100 });
    const nameOf = (x: number) => {
      const raw = { x, y: 100, isShift: false, isTouch: false, trail: [] };
      return taken(x)?.press?.(raw)?.name;
    };
    const [first, second] = moveOn(store).tracks.turn;
    expect(nameOf(6)).toBe(`key ${second!.id}`);
    expect(nameOf(3)).toBe(`key ${first!.id}`);
    expect(taken(60)).toBeNull();
  });
});

describe('the keys under the unrolled arc', () => {
  /** Six hundred units of arc on as many pixels; even over twenty intervals, so 30 to a frame. */
  const ALONG: Axis = { from: 0, to: 600, start: 0, end: 600 };
  const rowBench = (...keys: [number, number][]) => {
    const on = benchOn((store) => keyRowsSurface(store, ['turn'], ALONG), keys);
    const [first] = moveOn(on.store).marks;
    const moveId = moveOn(on.store).id;
    on.store.dispatch(doEdit('setEasing', { moveId, markId: first!.id, easing: { kind: 'even' } }));
    return on;
  };

  test('stand where the figure is on their frames', () => {
    const { store } = rowBench([1, 0], [11, 50]);
    expect(selectPlacedKeys(store.getState(), 'turn').map(({ arcDistance }) => arcDistance)).toEqual([
      0, 300,
    ]);
    expect(rowPath(selectPlacedKeys(store.getState(), 'turn'), ALONG, 0)).toMatch(/^M-1.5 5h3.*M298.5 5h3/);
  });

  test('a drag along the arc takes a key to the frame on which the figure is there, in one undo step', () => {
    const { store, drag } = rowBench([1, 0], [11, 50]);
    drag([304, 12], [340, 12], [397, 30]);
    expect(keysOf(store)).toEqual([
      [1, 0],
      [14, 50],
    ]);
    expect(currentFrame()).toBe(14);
    store.dispatch(ActionCreators.undo());
    expect(keysOf(store)[1]).toEqual([11, 50]);
  });

  test('a tap selects a key and goes to its frame; beside keys the playhead goes, two taps add one', () => {
    const { store, drag } = rowBench([1, 0], [11, 50]);
    drag([301, 10]);
    expect(store.getState().editor.selectedKeys?.ids).toEqual([moveOn(store).tracks.turn[1]!.id]);
    expect(currentFrame()).toBe(11);
    drag([480, 10]);
    expect(currentFrame()).toBe(17);
    drag([480, 10]);
    expect(keysOf(store).map(([frame]) => frame)).toEqual([1, 11, 17]);
  });
});
