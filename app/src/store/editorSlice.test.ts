import { edits, freshShot, type Shot } from '@humble/core';
import { ActionCreators } from 'redux-undo';
import { benchWith, shotOn, straightShot } from '../testing/bench';
import { nextTask } from './throttled/nextTask';
import { throttledStoreOf } from './throttled/throttledStore';
import { doEdit } from './doEdit';
import {
  arcActivated,
  centreChosen,
  arcLocationSelected,
  pointsPlaced,
  pointsSelected,
  strokeAsked,
  toolChosen,
} from './editorSlice';
import { finishPlacing, placedShape, takePlacedBack } from '../commands/placing';
import { selectTransformCentre, chosenDistance } from './selectors/selection';
import { stepChosen } from './sessionSlice';
import { goToStep } from '../commands/goToStep';
import { changeSketch, selectSketchedShape, keepSketch, redoSketch, drawStroke } from '../commands/sketch';
import { selectActiveArc, selectActiveMove } from './selectors/active';

const still = { x: 0, y: 0 };
const empty = (): Shot => freshShot({ name: 'Quay', rate: 24, lengthFrames: 21, width: 1920, height: 1080 });
const wave = Array.from({ length: 80 }, (_, i) => ({ x: 20 * i, y: 300 + 120 * Math.sin(i / 9) }));
const place = (x: number, y: number) => ({
  x,
  y,
  in: still,
  out: still,
  kind: 'smooth' as const,
  shaping: null,
});

describe('a stroke', () => {
  test('on a new shot is an arc at once, and what is settled about it stays one undo step', async () => {
    const store = benchWith(empty(), 'arc');
    await store.dispatch(drawStroke(wave, 20, 2, 'stroke-1'));
    const close = shotOn(store).arcs[0]!.points.length;
    store.dispatch(changeSketch({ deviation: 40 }));
    await Promise.resolve();
    await Promise.resolve();
    expect(shotOn(store).arcs).toHaveLength(1);
    expect(shotOn(store).arcs[0]!.points.length).toBeLessThan(close);
    expect(shotOn(store).moves).toHaveLength(1);
    store.dispatch(ActionCreators.undo());
    expect(shotOn(store).arcs).toHaveLength(0);
    expect(store.getState().editor.sketch).toBeNull();
  });

  test('that is kept before the last wish is worked out becomes what was wished last', async () => {
    const store = benchWith(empty(), 'arc');
    await store.dispatch(drawStroke(wave, 20, 2, 'stroke-7'));
    const close = shotOn(store).arcs[0]!.points.length;
    store.dispatch(changeSketch({ deviation: 40 }));
    expect(store.getState().editor.sketch).toMatchObject({ isFitting: true });
    await store.dispatch(keepSketch());
    expect(shotOn(store).arcs[0]!.points.length).toBeLessThan(close);
    expect(store.getState().editor.sketch).toBeNull();
  });

  test('that is drawn again takes the first one back', async () => {
    const store = benchWith(empty(), 'arc');
    await store.dispatch(drawStroke(wave, 20, 2, 'stroke-2'));
    store.dispatch(redoSketch());
    expect(shotOn(store).arcs).toHaveLength(0);
    expect(store.getState().editor.tool).toBe('stroke');
  });

  test('beside an arc changes nothing until it is kept, and then is what was chosen', async () => {
    const store = benchWith(straightShot(), 'arc');
    const before = shotOn(store);
    store.dispatch(strokeAsked(null));
    const on = [120, 140, 160, 200].map((x) => ({ x, y: 0 }));
    await store.dispatch(drawStroke(on, 10, 1, 'stroke-3'));
    expect(shotOn(store)).toBe(before);
    expect(store.getState().editor.sketch!.uses.map(({ kind }) => kind)).toEqual(['on', 'fresh', 'anew']);
    expect(selectSketchedShape(store.getState())!.points.at(-1)!.x).toBeCloseTo(200, 3);
    await store.dispatch(keepSketch());
    expect(shotOn(store).arcs).toHaveLength(1);
    expect(shotOn(store).arcs[0]!.points.at(-1)!.x).toBeCloseTo(200, 3);
    expect(store.getState().editor.tool).toBe('shape');
  });

  test('asked for anew is first of all the arc anew; as an arc of its own it becomes the active one', async () => {
    const store = benchWith(straightShot(), 'arc');
    store.dispatch(strokeAsked('anew'));
    await store.dispatch(drawStroke(wave, 10, 2, 'stroke-4'));
    const { uses } = store.getState().editor.sketch!;
    expect(uses[0]).toEqual({ kind: 'anew' });
    store.dispatch(changeSketch({ use: uses.find(({ kind }) => kind === 'fresh')! }));
    await Promise.resolve();
    await Promise.resolve();
    await store.dispatch(keepSketch());
    expect(shotOn(store).arcs).toHaveLength(2);
    expect(selectActiveArc(store.getState())).toBe(shotOn(store).arcs[1]);
    expect(selectActiveMove(store.getState())!.arcId).toBe(shotOn(store).arcs[1]!.id);
  });

  test('another edit settles a first stroke as it is', async () => {
    const store = benchWith(empty(), 'arc');
    await store.dispatch(drawStroke(wave, 20, 2, 'stroke-5'));
    store.dispatch(doEdit('renameShot', { name: 'Steps' }));
    expect(store.getState().editor.sketch).toBeNull();
    expect(shotOn(store).arcs).toHaveLength(1);
  });
});

test('a place on the arc is let go of when another tool or another arc is taken', () => {
  const store = benchWith(straightShot(), 'arc');
  const location = { segment: 0, t: 0.5 };
  for (const letGo of [toolChosen('points'), arcActivated('arc1')]) {
    store.dispatch(toolChosen('shape'));
    store.dispatch(arcLocationSelected(location));
    expect(store.getState().editor.arcLocation).toEqual(location);
    store.dispatch(letGo);
    expect(store.getState().editor.arcLocation).toBeNull();
  }
});

describe('placing points', () => {
  test('one by one they become an arc; a single one is given up', () => {
    const store = benchWith(empty(), 'arc');
    store.dispatch(toolChosen('points'));
    store.dispatch(pointsPlaced([place(0, 0)]));
    store.dispatch(finishPlacing(false));
    expect(shotOn(store).arcs).toHaveLength(0);
    store.dispatch(toolChosen('points'));
    store.dispatch(pointsPlaced([place(0, 0), place(100, 0), place(100, 90), place(0, 90)]));
    store.dispatch(takePlacedBack());
    store.dispatch(finishPlacing(true));
    expect(shotOn(store).arcs[0]).toMatchObject({ closed: true });
    expect(shotOn(store).arcs[0]!.points).toHaveLength(3);
    expect(store.getState().editor).toMatchObject({ tool: 'shape', placed: [] });
  });

  test('they are smooth from the first tap on, and steered ones keep their handles', () => {
    const shaped = placedShape([
      { ...place(0, 0), shaping: { tighten: 0, sharpen: 0, lean: 0 } },
      { ...place(100, 50), kind: 'even', in: { x: -9, y: 0 }, out: { x: 9, y: 0 } },
      { ...place(200, 0), shaping: { tighten: 0, sharpen: 0, lean: 0 } },
    ]);
    expect(shaped[1]!.out).toEqual({ x: 9, y: 0 });
    expect(shaped[0]!.out.x).toBeGreaterThan(0);
  });
});

test('going on to another step finishes what was placed, and says that a stroke was not kept', async () => {
  const store = benchWith(straightShot(), 'arc');
  store.dispatch(toolChosen('points'));
  store.dispatch(pointsPlaced([place(0, 0), place(100, 0)]));
  store.dispatch(goToStep('timing'));
  expect(shotOn(store).arcs).toHaveLength(2);
  expect(store.getState().session.step).toBe('timing');
  store.dispatch(goToStep('arc'));
  store.dispatch(strokeAsked(null));
  await store.dispatch(drawStroke(wave, 10, 2, 'stroke-6'));
  store.dispatch(goToStep('sheet'));
  expect(shotOn(store).arcs).toHaveLength(2);
  expect(store.getState().session.message!.text).toMatch('so it was discarded');
});

describe('what is selected', () => {
  const bench = () =>
    benchWith(edits.insertPoint(straightShot(), { arcId: 'arc1', segment: 0, t: 0.5 }), 'arc');

  test('points and a place take turns; leaving the step lets go of both, choosing it again does not', () => {
    const store = bench();
    store.dispatch(pointsSelected(['p1', 'p2']));
    store.dispatch(stepChosen('arc'));
    expect(store.getState().editor.selectedPointIds).toEqual(['p1', 'p2']);
    store.dispatch(arcLocationSelected({ segment: 1, t: 0.5 }));
    expect(store.getState().editor.selectedPointIds).toEqual([]);
    expect(chosenDistance(shotOn(store).arcs[0]!, store.getState().editor)).toBeCloseTo(90, 6);
    store.dispatch(stepChosen('timing'));
    expect(store.getState().editor.arcLocation).toBeNull();
  });

  test('it turns about its middle, or about a centre that was chosen', () => {
    const store = bench();
    expect(selectTransformCentre(store.getState(), 1)).toBeNull();
    store.dispatch(pointsSelected(['p1', 'p2', 'p3']));
    expect(selectTransformCentre(store.getState(), 1)).toEqual({ x: 60, y: 0 });
    store.dispatch(toolChosen('centre'));
    expect(store.getState().editor.selectedPointIds).toHaveLength(3);
    store.dispatch(centreChosen({ x: 5, y: 9 }));
    expect(selectTransformCentre(store.getState(), 1)).toEqual({ x: 5, y: 9 });
  });

  test('an arc that is gone hands over to the first one', () => {
    const store = benchWith(
      edits.drawArc(straightShot(), { points: wave.slice(0, 2).map((p) => place(p.x, p.y)) }),
      'arc',
    );
    const second = shotOn(store).arcs[1]!.id;
    store.dispatch(arcActivated(second));
    expect(selectActiveArc(store.getState())!.id).toBe(second);
    store.dispatch(doEdit('removeArc', { arcId: second }));
    expect(selectActiveArc(store.getState())!.id).toBe('arc1');
  });
});

test('while something is held, what follows from afar is told a few times a second, and the end at once', async () => {
  jest.useFakeTimers();
  const store = benchWith(straightShot(), 'arc');
  const throttled = throttledStoreOf(store);
  const told = jest.fn();
  throttled.subscribe(told);
  const move = (x: number) =>
    store.dispatch(doEdit('movePoint', { arcId: 'arc1', pointId: 'p2', to: { x, y: 0 } }, 'drag'));
  throttled.begin();
  for (let x = 121; x <= 140; x++) move(x);
  expect(told).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1000);
  await nextTask();
  expect(told).toHaveBeenCalledTimes(1);
  move(150);
  throttled.end();
  expect(told).toHaveBeenCalledTimes(2);
  expect(throttled.get()).toBe(store.getState());
  // With nothing in the hand every change is told.
  move(160);
  expect(told).toHaveBeenCalledTimes(3);
  jest.useRealTimers();
});
