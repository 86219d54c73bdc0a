import { edits, evaluate, PLAIN } from '@humble/core';
import { ActionCreators } from 'redux-undo';
import { doEdit } from '../../store/doEdit';
import { pointsPlaced, selectingSeveralSet, toolChosen } from '../../store/editorSlice';
import { stepChosen } from '../../store/sessionSlice';
import { settingsChanged } from '../../store/settingsSlice';
import { addMark } from '../../commands/timing';
import { selectPickedRange } from '../../store/selectors/timingSelection';
import { moveOn, shotOn } from '../../testing/bench';
import { type Bench, bench, corner, emptyField, threePoints } from '../../testing/fieldBench';

const selected = ({ store }: Bench): readonly string[] => store.getState().editor.selectedPointIds;

describe('points', () => {
  test('are selected by the press and dragged without a jump; one drag is one undo step', () => {
    const on = bench(threePoints());
    on.drag([405, 303], [420, 320], [455, 353]);
    expect(selected(on)).toEqual(['p2']);
    expect(on.points()[1]).toMatchObject({ x: 450, y: 350 });
    on.store.dispatch(ActionCreators.undo());
    expect(on.points()[1]).toMatchObject({ x: 400, y: 300 });
  });

  test('join the selection with Shift or while several are selected, and then move together', () => {
    const on = bench(threePoints());
    on.tap(100, 300);
    on.keys.shift = true;
    on.tap(400, 300);
    expect(selected(on)).toEqual(['p1', 'p2']);
    on.tap(100, 300);
    expect(selected(on)).toEqual(['p2']);
    on.keys.shift = false;
    on.store.dispatch(selectingSeveralSet(true));
    on.tap(700, 300);
    expect(selected(on)).toEqual(['p2', 'p3']);
    on.drag([700, 300], [710, 280], [720, 270]);
    expect(on.points().map(({ x, y }) => [x, y])).toEqual([
      [100, 300],
      [420, 270],
      [720, 270],
    ]);
  });

  test('that lie close take turns when the tap comes again, and the one it came to is dragged', () => {
    const close = edits.drawArc(emptyField, {
      points: [corner(100, 300), corner(110, 300), corner(700, 300)],
    });
    const on = bench(close);
    on.tap(103, 300);
    expect(selected(on)).toEqual(['p1']);
    on.tap(103, 300);
    expect(selected(on)).toEqual(['p2']);
    on.drag([103, 300], [103, 320], [103, 340]);
    expect(on.points()[1]).toMatchObject({ x: 110, y: 340 });
    expect(on.points()[0]).toMatchObject({ x: 100, y: 300 });
  });

  test('stay in line with Shift, and are drawn to a grid when that is wished', () => {
    const on = bench(threePoints());
    on.keys.shift = true;
    on.drag([400, 300], [430, 306], [460, 309]);
    expect(on.points()[1]).toMatchObject({ x: 460, y: 300 });
    expect(selected(on)).toEqual(['p2']);
    on.keys.shift = false;
    on.store.dispatch(settingsChanged({ snapsToGrid: true, gridSize: 50 }));
    on.drag([460, 300], [480, 330], [503, 348]);
    expect(on.points()[1]).toMatchObject({ x: 500, y: 350 });
  });
});

describe('the arc', () => {
  test('is pulled between two points, and two taps put a point there', () => {
    const on = bench(threePoints());
    on.drag([250, 300], [250, 260], [250, 200]);
    expect(on.points()).toHaveLength(3);
    expect(on.points()[0]!.out.y).toBeLessThan(0);
    on.store.dispatch(ActionCreators.undo());
    on.tap(550, 302);
    expect(on.store.getState().editor.arcLocation).toMatchObject({ segment: 1 });
    on.tap(550, 302);
    expect(on.points()).toHaveLength(4);
    expect(on.points()[2]).toMatchObject({ x: expect.closeTo(550, 6), y: expect.closeTo(300, 6) });
    expect(selected(on)).toEqual([on.points()[2]!.id]);
  });

  test('moves as a whole when all of it is selected', () => {
    const on = bench(threePoints());
    on.keys.shift = true;
    on.drag([50, 250], [400, 320], [760, 350]);
    on.keys.shift = false;
    expect(selected(on)).toEqual(['p1', 'p2', 'p3']);
    on.drag([250, 300], [255, 290], [260, 280]);
    expect(on.points().map(({ x, y }) => [x, y])).toEqual([
      [110, 280],
      [410, 280],
      [710, 280],
    ]);
  });

  test('is left alone when it is locked', () => {
    const on = bench(edits.setArc(threePoints(), { arcId: 'arc1', locked: true }));
    const before = shotOn(on.store);
    on.drag([400, 300], [430, 340], [460, 380]);
    on.drag([250, 300], [250, 260], [250, 200]);
    on.tap(550, 300);
    on.tap(550, 300);
    expect(shotOn(on.store)).toBe(before);
    expect(on.views.length).toBeGreaterThan(0);
  });
});

describe('the ground', () => {
  test('is panned by a drag, lets go with a tap, and shows the whole field with two', () => {
    const on = bench(threePoints());
    on.tap(400, 300);
    on.drag([500, 500], [520, 510], [540, 520]);
    expect(on.views.at(-1)!.centre).toEqual({ x: 460, y: 280 });
    expect(selected(on)).toEqual(['p2']);
    on.tap(500, 500);
    expect(selected(on)).toEqual([]);
    on.tap(500, 500);
    expect(on.views.at(-1)).toBeNull();
  });
});

describe('placing points', () => {
  const placing = (): Bench => {
    const on = bench(emptyField);
    on.store.dispatch(toolChosen('points'));
    return on;
  };
  const placed = ({ store }: Bench) => store.getState().editor.placed;

  test('a tap places a point that rounds itself off, a drag steers it evenly', () => {
    const on = placing();
    on.tap(100, 100);
    on.drag([300, 100], [320, 110], [340, 130]);
    expect(placed(on)).toEqual([
      expect.objectContaining({ x: 100, y: 100, shaping: PLAIN }),
      expect.objectContaining({
        x: 300,
        y: 100,
        kind: 'even',
        out: { x: 40, y: 30 },
        in: { x: -40, y: -30 },
      }),
    ]);
  });

  test('a second finger takes back the point that the first one placed', () => {
    const on = placing();
    on.store.dispatch(pointsPlaced([]));
    on.session.begin({ x: 100, y: 100 }, true);
    expect(placed(on)).toHaveLength(1);
    on.session.pinchBegins({ x: 150, y: 100 });
    on.session.pinch(2, { x: 150, y: 100 });
    on.session.pinchEnds();
    expect(placed(on)).toHaveLength(0);
    expect(on.views.at(-1)!.zoom).toBe(2);
  });

  test('a tap on the first of three closes the arc', () => {
    const on = placing();
    on.tap(100, 100);
    on.tap(500, 120);
    on.tap(400, 400);
    on.tap(104, 98);
    expect(shotOn(on.store).arcs[0]).toMatchObject({ closed: true });
    expect(on.points()).toHaveLength(3);
  });

  test('a double tap on the last one finishes the arc', () => {
    const on = placing();
    on.tap(100, 100);
    on.tap(500, 120);
    on.tap(502, 121);
    expect(on.points()).toHaveLength(2);
    expect(shotOn(on.store).arcs[0]!.closed).toBe(false);
  });
});

test('in the Sheet step a drag along the arc looks at other frames and changes nothing', () => {
  const on = bench(threePoints());
  const before = shotOn(on.store);
  on.store.dispatch(stepChosen('sheet'));
  on.drag([120, 300], [300, 300], [690, 302]);
  expect(shotOn(on.store)).toBe(before);
});

describe('in the Timing step', () => {
  /** 600 units from 100 on, evenly in 20 frames: a tick every 30 pixels. */
  const timing = (): Bench => {
    const drawn = threePoints();
    const even = edits.setEasing(drawn, { moveId: 'move1', markId: 'm1', easing: { kind: 'even' } });
    const on = bench(even);
    on.store.dispatch(settingsChanged({ tickReach: 0, takesLater: false }));
    on.store.dispatch(stepChosen('timing'));
    return on;
  };
  const places = ({ store }: Bench) => evaluate(shotOn(store)).travels[0]!.arcDistance;
  const marks = ({ store }: Bench) => moveOn(store).marks;

  test('a tick is dragged along the arc; one drag is one undo step', () => {
    const on = timing();
    on.drag([402, 302], [406, 310], [412, 305], [420, 302]);
    expect(places(on)[10]).toBeCloseTo(318, 6);
    expect(places(on)[9]).toBeCloseTo(270, 6);
    expect(places(on)[11]).toBeCloseTo(330, 6);
    on.store.dispatch(ActionCreators.undo());
    expect(places(on)[10]).toBeCloseTo(300, 6);
  });

  test('a mark is selected by a tap and dragged in place; the arc does not move', () => {
    const on = timing();
    on.store.dispatch(addMark(11));
    const { arcs } = shotOn(on.store);
    on.tap(402, 305);
    expect(on.store.getState().editor.selectedMarkIds).toEqual(['m3']);
    on.drag([402, 305], [430, 305], [462, 305]);
    expect(marks(on).map(({ frame, fraction }) => [frame, Math.round(fraction * 600)])).toEqual([
      [1, 0],
      [11, 360],
      [21, 600],
    ]);
    expect(shotOn(on.store).arcs).toBe(arcs);
  });

  test('a mark that is tied to a point stays with it', () => {
    const on = timing();
    on.store.dispatch(addMark(11));
    on.store.dispatch(doEdit('tieMark', { moveId: 'move1', markId: 'm3', pointId: 'p2' }));
    on.drag([402, 305], [430, 305], [462, 305]);
    expect(marks(on)[1]).toMatchObject({ fraction: 0.5, pointId: 'p2' });
  });

  test('two taps put a mark there, on the frame that is nearest', () => {
    const on = timing();
    on.tap(446, 308);
    on.tap(446, 308);
    const [, added] = marks(on);
    expect(added).toMatchObject({ frame: 13, kind: 'pass' });
    expect(added!.fraction).toBeCloseTo(346 / 600, 6);
    expect(on.store.getState().editor.selectedMarkIds).toEqual([added!.id]);
  });

  test('with Shift a drag over the arc chooses a stretch, and its frames are known', () => {
    const on = timing();
    on.keys.shift = true;
    on.drag([265, 306], [300, 306], [385, 306]);
    expect(on.store.getState().editor.pickedRange).toMatchObject({ by: 'stretch' });
    expect(selectPickedRange(on.store.getState())!.runs).toEqual([{ from: 7, until: 10 }]);
  });

  test('what is put by hand goes where it is dragged, and the others stay', () => {
    const on = timing();
    on.store.dispatch(doEdit('putByHand', { moveId: 'move1', frame: 11, dx: 0, dy: 0 }));
    on.drag([402, 301], [410, 320], [412, 341]);
    expect(moveOn(on.store).overrides).toEqual([{ frame: 11, dx: 10, dy: 40 }]);
    const { x, y } = evaluate(shotOn(on.store)).travels[0]!;
    expect([x[10], y[10], x[9], y[9]]).toEqual([410, 340, 370, 300]);
  });
});
