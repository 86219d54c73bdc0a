import { edits, evaluate, type Shot, smoothThrough } from '@humble/core';
import { goTo, setRange } from '../../playback/playhead';
import { chooseFigure } from '../../commands/figures';
import { arcActivated } from '../../store/editorSlice';
import { groupBroughtForward, settingsChanged } from '../../store/settingsSlice';
import { stepChosen } from '../../store/sessionSlice';
import { shotOn } from '../../testing/bench';
import { bench, threePoints } from '../../testing/fieldBench';
import { arcsOfGroup, travelsOfGroup } from './layers/arcGroups';
import { visibleTravels } from './layers/arcPaths';
import { selectActiveWaiting } from '../../store/selectors/active';

const withWaiting = (): Shot =>
  edits.addFigure(threePoints(), {
    artwork: { kind: 'stand-in', standIn: 'gull' },
    x: 500,
    y: 100,
    name: 'Gull',
  });

const figureBench = (shot: Shot) => {
  setRange({ lengthFrames: 21, rate: 24, loops: false });
  goTo(1);
  const field = bench(shot);
  field.store.dispatch(stepChosen('figure'));
  return field;
};

test('a figure that waits is worked on by a tap, and dragged where it is to wait, in one undo step', () => {
  const { store, tap, drag } = figureBench(withWaiting());
  tap(500, 100);
  expect(selectActiveWaiting(store.getState())?.figureId).toBe('figure2');
  drag([505, 95], [545, 95], [605, 175]);
  expect(shotOn(store).waiting[0]).toMatchObject({ x: 600, y: 180 });
  expect(store.getState().shot.past).toHaveLength(1);
  // A tap on the arc puts it there on this frame.
  goTo(11);
  tap(250, 300);
  expect(shotOn(store).waiting).toEqual([]);
  expect(evaluate(shotOn(store)).travels[1]!.x[10]).toBeCloseTo(250, 6);
});

test('with the offset in front the figure is taken off its arc; its pose and its arc stay', () => {
  const { store, drag } = figureBench(threePoints());
  store.dispatch(groupBroughtForward({ step: 'figure', group: 'keys' }));
  store.dispatch(settingsChanged({ keyLine: 'offset' }));
  const { arcs } = shotOn(store);
  drag([100, 300], [100, 280], [110, 220]);
  const { move, pivotX, pivotY, x } = evaluate(shotOn(store)).travels[0]!;
  expect([move.tracks.offsetX[0]!.value, move.tracks.offsetY[0]!.value]).toEqual([10, -80]);
  expect([pivotX[20], pivotY[20]]).toEqual([710, 220]);
  expect(x[0]).toBe(100);
  expect(shotOn(store).arcs).toBe(arcs);
});

test('a locked figure is not taken hold of, and another one can be', () => {
  const locked = edits.setFigure(withWaiting(), { figureId: 'figure1', locked: true });
  const { store, drag } = figureBench(locked);
  drag([100, 300], [100, 250], [100, 200]);
  expect(shotOn(store)).toBe(locked);
  drag([500, 100], [520, 100], [540, 100]);
  expect(shotOn(store).waiting[0]!.x).toBe(540);
  store.dispatch(chooseFigure('figure1'));
  drag([100, 300], [100, 250], [100, 200]);
  expect(shotOn(store).arcs).toBe(locked.arcs);
});

test('what is hidden is not drawn; alone, even a hidden one is, and nothing else', () => {
  const shot = threePoints();
  const hidden = edits.setFigure(shot, { figureId: 'figure1', hidden: true });
  expect(visibleTravels(shot, null)).toHaveLength(1);
  expect(visibleTravels(hidden, null)).toHaveLength(0);
  expect(visibleTravels(hidden, 'figure1')).toHaveLength(1);
  expect(visibleTravels(shot, 'figure2')).toHaveLength(0);
});

test('while a point of one arc is dragged, what the sheet of the other arcs shows stays the same', () => {
  const two = edits.drawArc(threePoints(), {
    points: smoothThrough([
      { x: 100, y: 500 },
      { x: 700, y: 500 },
    ]),
  });
  const { store, drag } = bench(two);
  store.dispatch(arcActivated('arc1'));
  const [active, others] = [travelsOfGroup('active'), travelsOfGroup('others')];
  const arcs = arcsOfGroup('others');
  const before = [active(store.getState()), others(store.getState()), arcs(store.getState())];
  expect(before.map(([first]) => (first && 'arc' in first ? first.arc.id : first?.id))).toEqual([
    'arc1',
    'arc2',
    'arc2',
  ]);
  drag([400, 300], [420, 260], [440, 220]);
  expect(active(store.getState())).not.toBe(before[0]);
  expect(others(store.getState())).toBe(before[1]);
  expect(arcs(store.getState())).toBe(before[2]);
});
