import { evaluate } from '@humble/core';
import { gestureSeconds } from '@humble/core/views';
import { ActionCreators } from 'redux-undo';
import { doEdit } from '../../store/doEdit';
import { toolChosen } from '../../store/editorSlice';
import { goTo, isPlaying, pause, setRange } from '../../playback/playhead';
import { stepChosen } from '../../store/sessionSlice';
import { settingsChanged } from '../../store/settingsSlice';
import { nudgeFigure, putFigureInMiddle, askForPoses } from '../../commands/posing';
import { moveOn, shotOn } from '../../testing/bench';
import { type Bench, bench, emptyField, threePoints } from '../../testing/fieldBench';
import { fieldStateOf } from './fieldState';
import { hintFor } from './hints';

const NO_GRIPS = () => ({ grips: [], corners: [] });

beforeEach(() => {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(1);
});

/** Where the figure is on a frame. */
const at = (on: Bench, frame: number): [number, number] => {
  const { x, y } = evaluate(shotOn(on.store)).travels[0]!;
  return [Math.round(x[frame - 1]!), Math.round(y[frame - 1]!)];
};

const hint = (on: Bench): string => hintFor(fieldStateOf(on.store.getState(), NO_GRIPS), null);

describe('a figure that is put in place', () => {
  const posing = (): Bench => {
    const on = bench(emptyField);
    on.store.dispatch(askForPoses());
    return on;
  };

  test('begins a shot with no arc, by a tap or by a drag', () => {
    for (const put of [
      (on: Bench) => on.tap(200, 400),
      (on: Bench) => on.drag([100, 100], [150, 300], [200, 400]),
    ]) {
      const on = posing();
      expect(hint(on)).toBe('Tap where the figure is to stand on this frame.');
      put(on);
      expect(at(on, 1)).toEqual([200, 400]);
      expect(on.store.getState().editor.tool).toBe('shape');
      on.store.dispatch(ActionCreators.undo());
      expect(shotOn(on.store).arcs).toEqual([]);
    }
  });

  test('goes where empty paper is tapped, while its place is worked on', () => {
    const on = posing();
    on.tap(200, 400);
    goTo(21);
    on.tap(600, 200);
    goTo(11);
    on.tap(500, 500);
    const places = () => [at(on, 1), at(on, 11), at(on, 21)];
    expect(places()).toEqual([
      [200, 400],
      [500, 500],
      [600, 200],
    ]);
    on.store.dispatch(ActionCreators.undo());
    on.store.dispatch(settingsChanged({ keyLine: 'turn' }));
    const before = places();
    on.tap(500, 500);
    expect(places()).toEqual(before);
  });

  test('gets a further pose where it is dragged on another frame, in one undo step', () => {
    const on = posing();
    on.tap(200, 400);
    goTo(21);
    expect(hint(on)).toBe('Tap or drag: move the pose on frame 21.');
    on.drag([205, 395], [400, 300], [605, 195]);
    expect([at(on, 1), at(on, 21)]).toEqual([
      [200, 400],
      [600, 200],
    ]);
    goTo(11);
    expect(hint(on)).toContain('a pose on frame 11.');
    const [x, y] = at(on, 11);
    on.drag([x, y], [x, y + 50], [x, y + 100]);
    expect(at(on, 11)).toEqual([x, y + 100]);
    expect(moveOn(on.store).marks.map(({ frame }) => frame)).toEqual([1, 11, 21]);
    on.store.dispatch(ActionCreators.undo());
    expect(moveOn(on.store).marks).toHaveLength(2);
  });

  test('on twos lands where the exposure begins, and the hint says so', () => {
    const on = bench(threePoints());
    on.store.dispatch(doEdit('setFramesHeld', { moveId: 'move1', framesHeld: 2 }));
    on.store.dispatch(stepChosen('figure'));
    goTo(12);
    expect(hint(on)).toContain('a pose on frame 11, where the exposure of frame 12 begins');
    on.drag([400, 300], [400, 260], [400, 200]);
    expect(moveOn(on.store).marks.map(({ frame }) => frame)).toEqual([1, 11, 21]);
    expect(at(on, 11)).toEqual([400, 200]);
  });

  test('is nudged without a pointer, a run of nudges being one step, and begins in the middle', () => {
    const on = posing();
    expect(on.store.dispatch(nudgeFigure({ x: 1, y: 0 }))).toBe(false);
    expect(on.store.dispatch(putFigureInMiddle())).toBe(true);
    const [x, y] = at(on, 1);
    expect([x, y]).toEqual([500, 300]);
    expect(on.store.getState().editor.tool).toBe('shape');
    expect(on.store.dispatch(putFigureInMiddle())).toBe(false);
    goTo(11);
    on.store.dispatch(nudgeFigure({ x: 10, y: 0 }));
    on.store.dispatch(nudgeFigure({ x: 0, y: -10 }));
    on.store.dispatch(nudgeFigure({ x: 10, y: 0 }));
    expect([at(on, 1), at(on, 11)]).toEqual([
      [x, y],
      [x + 20, y - 10],
    ]);
    goTo(1);
    on.store.dispatch(nudgeFigure({ x: -5, y: 0 }));
    expect(at(on, 1)).toEqual([x - 5, y]);
    on.store.dispatch(ActionCreators.undo());
    on.store.dispatch(ActionCreators.undo());
    expect(at(on, 11)).toEqual([x, y]);
  });

  test('is not dragged where it is only looked at', () => {
    const on = bench(threePoints());
    on.store.dispatch(stepChosen('timing'));
    on.drag([100, 290], [100, 200], [100, 100]);
    expect(moveOn(on.store).marks).toHaveLength(2);
    expect(at(on, 1)).toEqual([100, 300]);
  });
});

describe('a figure that is acted out', () => {
  const later = () => new Promise((resolve) => setTimeout(resolve, 0));

  /** A gesture of a second to the right, with a rest of another second in its middle, at 120 reports a second. */
  const act = (on: Bench): void => {
    const began = performance.now();
    const report = (i: number, at: number): void => {
      on.reports.push({ x: 100 + 5 * i, y: 300, at: began + at });
    };
    report(0, 0);
    on.session.begin({ x: 100, y: 300 }, true);
    for (let i = 1; i <= 120; i++) {
      report(i, (i * 1000) / 120 + (i > 60 ? 1000 : 0));
      on.session.update({ x: 100 + 5 * i, y: 300 });
    }
    on.session.end({ x: 700, y: 300 });
  };

  const acting = (): Bench => {
    const on = bench(emptyField);
    on.store.dispatch(settingsChanged({ playsMeanwhile: false, countsIn: false, recordingSpeed: 1 }));
    on.store.dispatch(stepChosen('figure'));
    on.store.dispatch(toolChosen('act', 'further'));
    return on;
  };

  test('does what the hand did, its rest too, and the gesture is kept; one undo step', async () => {
    const on = acting();
    act(on);
    await later();
    const { gestures, moves } = shotOn(on.store);
    expect(gestureSeconds(gestures[0]!)).toBeCloseTo(2, 1);
    expect(moves[0]!.acted).toMatchObject({ gestureId: 'gesture1', frames: null });
    const { marks } = moves[0]!;
    const hold = marks.findIndex((mark, i) => mark.fraction === marks[i + 1]?.fraction);
    expect(marks[hold + 1]!.frame - marks[hold]!.frame).toBeGreaterThanOrEqual(22);
    on.store.dispatch(ActionCreators.undo());
    expect(shotOn(on.store)).toMatchObject({ gestures: [], moves: [], arcs: [] });
  });

  test('the others play while it is recorded, when that is wished for, and what was done plays at once', async () => {
    for (const playsMeanwhile of [true, false]) {
      const on = acting();
      on.store.dispatch(settingsChanged({ playsMeanwhile }));
      on.reports.push({ x: 100, y: 300, at: performance.now() });
      on.session.begin({ x: 100, y: 300 }, true);
      expect(isPlaying()).toBe(playsMeanwhile);
      on.reports.push({ x: 400, y: 300, at: performance.now() + 500 });
      on.session.update({ x: 400, y: 300 });
      on.session.end({ x: 400, y: 300 });
      expect(isPlaying()).toBe(false);
      await later();
      expect(shotOn(on.store).moves).toHaveLength(1);
      expect(isPlaying()).toBe(true);
      pause();
    }
  });

  test('recorded at half speed lasts half as long', async () => {
    const on = acting();
    on.store.dispatch(settingsChanged({ recordingSpeed: 0.5 }));
    act(on);
    await later();
    expect(gestureSeconds(shotOn(on.store).gestures[0]!)).toBeCloseTo(1, 1);
  });

  test('acted out again is the same figure, and the gesture before is kept, too', async () => {
    const on = acting();
    act(on);
    await later();
    on.store.dispatch(toolChosen('act', 'this'));
    act(on);
    await later();
    const { gestures, moves, figures } = shotOn(on.store);
    expect([gestures.length, moves.length, figures.length]).toEqual([2, 1, 1]);
    expect(moves[0]!.acted!.gestureId).toBe('gesture2');
  });

  test('let go before it is counted in records nothing, and says so', () => {
    const on = acting();
    on.store.dispatch(settingsChanged({ countsIn: true }));
    on.tap(100, 100);
    expect(shotOn(on.store).gestures).toEqual([]);
    expect(on.store.getState().session.message?.text).toMatch(/nothing was recorded/);
  });
});

describe('a figure in the Timing step', () => {
  const timing = (): Bench => {
    const on = bench(threePoints());
    on.store.dispatch(stepChosen('timing'));
    return on;
  };

  test('dragged by its body goes along the arc, and the mark of its frame with it, in one undo step', () => {
    const on = timing();
    const count = moveOn(on.store).marks.length;
    goTo(11);
    const [x, y] = at(on, 11);
    // Beside the line: the arc itself is for looking at other frames.
    const body: [number, number] = [x, y - 40];
    expect(
      hintFor(fieldStateOf(on.store.getState(), NO_GRIPS), {
        kind: 'figure',
        frame: 11,
        adds: true,
        isFar: false,
      }),
    ).toBe('Drag: move the figure along the arc, and its mark on frame 11.');
    on.drag(body, [x + 30, y - 40], [x + 80, y - 40]);
    const mark = moveOn(on.store).marks.find(({ frame }) => frame === 11);
    expect(moveOn(on.store).marks).toHaveLength(count + 1);
    expect(at(on, 11)[0]).toBeGreaterThan(x + 40);
    expect(on.store.getState().editor.selectedMarkIds).toEqual([mark!.id]);
    const there = at(on, 11);
    on.drag([there[0], there[1] - 40], [there[0] - 60, there[1] - 40]);
    expect(moveOn(on.store).marks).toHaveLength(count + 1);
    expect(at(on, 11)[0]).toBeLessThan(there[0] - 30);
    on.store.dispatch(ActionCreators.undo());
    on.store.dispatch(ActionCreators.undo());
    expect(moveOn(on.store).marks).toHaveLength(count);
  });
});
