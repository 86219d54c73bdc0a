import { doEdit } from '../../../store/doEdit';
import { edits, type Easing } from '@humble/core';
import { unrolledArc } from '@humble/core/views';
import { ActionCreators } from 'redux-undo';
import { marksSelected, rangePicked, selectingSeveralSet } from '../../../store/editorSlice';
import { nudge } from '../../../commands/nudges';
import { shotOpened } from '../../../store/shotSlice';
import { currentFrame, goTo, setRange } from '../../../playback/playhead';
import { settingsChanged } from '../../../store/settingsSlice';
import { addMark, copySelectedMarks, pasteMarks, selectNextMark } from '../../../commands/timing';
import type { AppStore } from '../../../store/store';
import { benchWith, moveOn, shotOn, straightShot, withMarks } from '../../../testing/bench';
import { type Axis, valueAt } from '../../../ui/axis';
import { barsPath, curveOf, projectionsPath } from '../graph/graphPaths';
import { interactiveSurface } from '../../../interaction/interactiveSurface';
import { targetAt } from '../../../interaction/target';
import { GRAPH_TARGETS, graphTimingView } from '../graph/graphTimingView';
import { paceDrag } from '../targets/paceTarget';
import { timingGround } from '../targets/timingGround';
import type { GraphTimingView } from '../targets/timingView';
import { postNames } from '../ruler/rulerPaths';
import { selectPassage } from '../../../store/selectors/timingSelection';
import { selectTiming } from '../targets/selectTiming';
import type { GraphAxes } from '../graph/graphAxes';

/** 120 units in 20 even frames: 6 a frame. On the axes a frame is 10 pixels and a unit 1, upwards. */
const time: Axis = { from: 1, to: 21, start: 0, end: 200 };
const distance: Axis = { from: 0, to: 120, start: 120, end: 0 };
const axes: GraphAxes = { time, distance, pace: { time, foot: 200, height: 60, isBeside: false } };
const pointer = (x: number, y: number, isShift = false) => ({ x, y, isShift, isTouch: false, trail: [] });

function bench(): AppStore {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(1);
  const store = benchWith(straightShot());
  store.dispatch(settingsChanged({ tickReach: 0, takesLater: false }));
  return store;
}

const now = (store: AppStore) => selectTiming(store.getState())!;
const marks = (store: AppStore) =>
  moveOn(store).marks.map(({ frame, fraction }) => [frame, Math.round(fraction * 120)]);
const places = (store: AppStore) =>
  now(store).ruler.ticks.map(({ arcDistance }) => Math.round(arcDistance * 1000) / 1000);

/** Takes hold of what lies there in the graph and drags it. */
function drag(store: AppStore, from: [number, number], to: [number, number], isShift = false): void {
  const surface = interactiveSurface<GraphTimingView>({
    view: (at) => graphTimingView({ store, now: now(store), axes, tallestOf: () => 12 }, at),
    targets: GRAPH_TARGETS,
    ground: timingGround,
  });
  const hold = surface.press(pointer(...from, isShift));
  if (from[0] === to[0] && from[1] === to[1]) hold.tap?.(pointer(...to, isShift));
  else hold.drag?.(pointer(...to, isShift));
}

describe('a hand in the graph', () => {
  test('drags the edge of a passage, and what lies in it is spread anew', () => {
    const store = bench();
    store.dispatch(addMark(11));
    store.dispatch(rangePicked({ by: 'frames', from: 1, until: 11 }));
    // The tabs hang from the top.
    drag(store, [100, 9], [160, 40]);
    expect(marks(store)).toEqual([
      [1, 0],
      [17, 60],
      [27, 120],
    ]);
    expect(selectPassage(store.getState())).toEqual({ from: 1, until: 17 });
    store.dispatch(ActionCreators.undo());
    expect(marks(store).map(([frame]) => frame)).toEqual([1, 11, 21]);
  });

  test('drags a tick in place; its frame stays', () => {
    const store = bench();
    drag(store, [100, 60], [140, 57]);
    expect(places(store).slice(9, 12)).toEqual([54, 63, 66]);
    expect(currentFrame()).toBe(11);
  });

  test('drags a mark in time and place, with all that are selected', () => {
    const store = bench();
    store.dispatch(addMark(8));
    store.dispatch(addMark(11));
    store.dispatch(
      marksSelected(
        moveOn(store)
          .marks.slice(1, 3)
          .map(({ id }) => id),
      ),
    );
    // The first nine pixels to either side are a stray of the hand.
    drag(store, [100, 60], [129, 39]);
    expect(marks(store)).toEqual([
      [1, 0],
      [10, 54],
      [13, 72],
      [21, 120],
    ]);
    store.dispatch(ActionCreators.undo());
    expect(marks(store)).toEqual([
      [1, 0],
      [8, 42],
      [11, 60],
      [21, 120],
    ]);
  });

  test('taps select; with Shift they join and leave', () => {
    const store = bench();
    drag(store, [0, 120], [0, 120]);
    expect(store.getState().editor.selectedMarkIds).toEqual(['m1']);
    drag(store, [200, 0], [200, 0], true);
    expect(store.getState().editor.selectedMarkIds).toEqual(['m1', 'm2']);
    drag(store, [0, 120], [0, 120], true);
    expect(store.getState().editor.selectedMarkIds).toEqual(['m2']);
  });

  test('drags a handle of the span at the playhead', () => {
    const store = bench();
    const curve: Easing = { kind: 'curve', x1: 0.5, y1: 0, x2: 0.6, y2: 1 };
    store.dispatch(doEdit('setEasing', { moveId: 'move1', markId: 'm1', easing: curve }));
    drag(store, [100, 120], [60, 96]);
    expect(moveOn(store).marks[0]!.easing).toEqual({ ...curve, x1: 0.3, y1: 0.2 });
  });

  test('on empty ground looks at frames; with Shift, or where several are selected, chooses them', () => {
    const store = bench();
    drag(store, [50, 20], [130, 20]);
    expect(currentFrame()).toBe(14);
    drag(store, [130, 20], [50, 20], true);
    expect(store.getState().editor.pickedRange).toEqual({ by: 'frames', from: 6, until: 14 });
    store.dispatch(selectingSeveralSet(true));
    drag(store, [10, 20], [30, 20]);
    expect(store.getState().editor.pickedRange).toEqual({ by: 'frames', from: 2, until: 4 });
  });

  test('a mark is taken before a tick beside it', () => {
    const store = bench();
    const view = graphTimingView({ store, now: now(store), axes, tallestOf: () => 12 }, { x: 60, y: 0 });
    const kindAt = (x: number, y: number) => targetAt(GRAPH_TARGETS, view, { x, y })?.kind ?? null;
    // The tick of frame 2 lies 10 pixels to the right and 6 higher.
    expect(kindAt(5, 117)).toBe('mark');
    expect(kindAt(40, 96)).toBe('tick');
    expect(kindAt(60, 10)).toBeNull();
  });
});

test('a mark that the handle of a span without a ramp would lie on can be taken, and so can the handle', () => {
  const store = bench();
  const shot = withMarks(straightShot(), [1, 0], [11, 0.5], [21, 1]);
  const ramped = { kind: 'ramped', leaveFrames: 0, arriveFrames: 4, ramp: 'steady' } as const;
  store.dispatch(shotOpened(edits.setEasing(shot, { moveId: 'move1', markId: 'm2', easing: ramped })));
  store.dispatch(marksSelected(['m2']));
  drag(store, [100, 60], [100, 33]);
  expect(marks(store)).toEqual([
    [1, 0],
    [11, 78],
    [21, 120],
  ]);
  // The handle stands 16 pixels beside it, and counts from where the easing has it.
  drag(store, [116, 42], [136, 42]);
  expect(moveOn(store).marks[1]!.easing).toMatchObject({ leaveFrames: 2 });
});

test('bars of the pace are drawn by going over them, those between two words of the hand too', () => {
  const store = bench();
  const meaning = ({ x, y }: { x: number; y: number }) => ({ frame: valueAt(time, x), increment: 12 - y });
  const hold = paceDrag({ store, meaning }, pointer(5, 2));
  hold.drag?.(pointer(35, 2));
  const steps = now(store)
    .ruler.ticks.slice(1)
    .map(({ along }) => Math.round(along! * 100) / 100);
  // Four bars of 10 leave 80 for sixteen.
  expect(steps).toEqual([10, 10, 10, 10, ...Array(16).fill(5)]);
});

describe('keys', () => {
  test('nudge the selected marks; a run of them is one step back', () => {
    const store = bench();
    store.dispatch(addMark(11));
    store.dispatch(nudge('ArrowRight', false));
    store.dispatch(nudge('ArrowRight', false));
    store.dispatch(nudge('ArrowUp', true));
    expect(marks(store)[1]).toEqual([13, 66]);
    store.dispatch(ActionCreators.undo());
    expect(marks(store)[1]).toEqual([11, 60]);
  });

  test('with none selected nudge the tick at the playhead', () => {
    const store = bench();
    goTo(11);
    expect(store.dispatch(nudge('ArrowUp', false))).toBe(true);
    expect(places(store)[10]).toBe(60.6);
    goTo(1);
    expect(store.dispatch(nudge('ArrowUp', false))).toBe(false);
  });

  test('go from mark to mark', () => {
    const store = bench();
    store.dispatch(addMark(11));
    store.dispatch(selectNextMark(1));
    expect([currentFrame(), store.getState().editor.selectedMarkIds]).toEqual([21, ['m2']]);
    store.dispatch(selectNextMark(-1));
    expect(currentFrame()).toBe(11);
  });

  test('copied marks are pasted at the playhead and selected', () => {
    const store = bench();
    store.dispatch(addMark(5));
    store.dispatch(copySelectedMarks());
    goTo(15);
    store.dispatch(pasteMarks());
    expect(marks(store)).toEqual([
      [1, 0],
      [5, 24],
      [15, 24],
      [21, 120],
    ]);
    expect(moveOn(store).marks[2]!.id).toBe(store.getState().editor.selectedMarkIds[0]);
  });
});

describe('drawings', () => {
  test('the names of close posts do not lie over each other; those that are selected come first', () => {
    const shot = withMarks(straightShot(), [1, 0], [3, 0.02], [5, 0.04], [7, 0.06], [21, 1]);
    const ruler = unrolledArc(shot, shot.moves[0]!);
    const axis = { from: 0, to: 120, start: 12, end: 312 };
    const names = postNames(ruler, axis, ({ markIds }) => markIds.includes('m4'), 324);
    expect(names[0]).toMatchObject({ text: '7', isSelected: true });
    const rows = new Map<number, number[]>();
    names.forEach(({ x, y }) => rows.set(y, [...(rows.get(y) ?? []), x]));
    rows.forEach((xs) =>
      xs
        .sort((a, b) => a - b)
        .slice(1)
        .forEach((x, i) => expect(x - xs[i]!).toBeGreaterThan(6.7)),
    );
  });

  test('the curve has its places, the projections lead to the axis, and bars stand on their foot', () => {
    const store = bench();
    const axes = { time, distance, pace: { time, foot: 180, height: 40, isBeside: false } };
    const { ruler } = now(store);
    const plan = Array.from({ length: 21 }, (_, i) => 6 * i);
    expect(curveOf(plan, 1, axes)).toMatch(/^M0\.0 120\.0L10\.0 114\.0.*L200\.0 0\.0$/);
    // A piece of it begins where the one before ended.
    expect(curveOf(plan, 1, axes, { from: 10, until: 12 })).toBe('M90.0 66.0L100.0 60.0L110.0 54.0');
    expect(projectionsPath(ruler.ticks, axes)).toContain('M0.0 114.0H10.0');
    expect(barsPath(ruler.ticks, axes, 12, false)).toMatch(/^M0\.0 180V160\.0H9\.0V180Z/);
    expect(barsPath(ruler.ticks, axes, 12, true)).toBe('');
    const turned = edits.moveMarks(shotOn(store), {
      moveId: 'move1',
      markIds: ['m1'],
      byFraction: 1,
      takesLater: false,
    });
    const back = edits.moveMarks(turned, {
      moveId: 'move1',
      markIds: ['m2'],
      byFraction: -0.5,
      takesLater: false,
    });
    expect(barsPath(unrolledArc(back, back.moves[0]!).ticks, axes, 12, true)).toMatch(/^M0\.0 180V170\.0/);
  });
});
