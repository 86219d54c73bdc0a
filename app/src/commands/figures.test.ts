import { edits, type Shot } from '@humble/core';
import { goTo, setRange } from '../playback/playhead';
import { benchWith, shotOn, straightShot } from '../testing/bench';
import { addFigure, attachFigure, chooseFigure, detachFigure, toggleSolo, putWaitingOnArc } from './figures';
import { figureMenu } from './menus/figuresMenu';
import { selectActiveArc, selectActiveMove, selectActiveWaiting } from '../store/selectors/active';

const still = { x: 0, y: 0 };
/** Two straight arcs; a figure rides each. */
const two = (): Shot =>
  edits.drawArc(straightShot(41), {
    name: 'Second',
    points: [0, 120].map((x) => ({ x, y: 50, in: still, out: still, kind: 'corner' as const })),
  });

const bench = (shot = two()) => {
  setRange({ lengthFrames: 41, rate: 24, loops: false });
  goTo(1);
  return benchWith(shot, 'figure');
};

test('a figure that is chosen brings its arc; an arc that is chosen brings its first figure', () => {
  const store = bench();
  expect(selectActiveMove(store.getState())?.figureId).toBe('figure1');
  store.dispatch(chooseFigure('figure2'));
  expect([selectActiveMove(store.getState())?.figureId, selectActiveArc(store.getState())?.id]).toEqual([
    'figure2',
    'arc2',
  ]);
  store.dispatch(attachFigure('figure1', 'arc2', 'start'));
  expect(selectActiveMove(store.getState())?.figureId).toBe('figure1');
  store.dispatch(chooseFigure('figure2'));
  expect(selectActiveMove(store.getState())?.figureId).toBe('figure2');
});

test('a figure that is added waits, is the one worked on, and comes onto the arc that is tapped', () => {
  const store = bench();
  store.dispatch(addFigure({ kind: 'stand-in', standIn: 'gull' }, 'Gull'));
  expect(selectActiveWaiting(store.getState())).toMatchObject({ figureId: 'figure3', x: 960, y: 540 });
  expect(selectActiveMove(store.getState())).toBeNull();
  goTo(11);
  expect(store.dispatch(putWaitingOnArc('arc2', { x: 90, y: 55 }))).toBe(true);
  expect(selectActiveWaiting(store.getState())).toBeNull();
  const { marks } = selectActiveMove(store.getState())!;
  expect(marks.map(({ frame }) => frame)).toEqual([1, 11, 41]);
  expect(marks[1]!.fraction).toBeCloseTo(0.75, 9);
  // With none that waits a tap does nothing.
  expect(store.dispatch(putWaitingOnArc('arc1', { x: 0, y: 0 }))).toBe(false);
});

test('nothing comes onto an arc that is locked', () => {
  const store = bench(edits.setArc(two(), { arcId: 'arc2', locked: true }));
  store.dispatch(detachFigure('figure1'));
  expect(store.dispatch(putWaitingOnArc('arc2', { x: 0, y: 50 }))).toBe(false);
  expect(figureMenu(store, 'figure1')?.items.map(({ label }) => label)).not.toContain(
    'Put on Second, at its start',
  );
});

test('the menu of a figure attaches, detaches, shows alone, hides, locks and removes it', () => {
  const store = bench();
  const press = (label: string): void => {
    const item = figureMenu(store, 'figure1')?.items.find((one) => one.label === label);
    if (!item) throw new Error(`no ${label}`);
    item.onPress();
  };
  press('Put on Second, where it is');
  expect(selectActiveMove(store.getState())).toMatchObject({ figureId: 'figure1', arcId: 'arc2' });
  expect(selectActiveMove(store.getState())!.tracks.offsetY[0]!.value).toBe(-50);
  press('Detach from its arc');
  expect(shotOn(store).waiting).toHaveLength(1);
  press('Show it alone');
  expect(store.getState().editor.soloFigureId).toBe('figure1');
  press('Show all again');
  expect(store.getState().editor.soloFigureId).toBeNull();
  press('Hide');
  press('Lock');
  expect(shotOn(store).figures[0]).toMatchObject({ hidden: true, locked: true });
  expect(
    figureMenu(store, 'figure1')?.items.find(({ label }) => label === 'Remove this figure')?.disabled,
  ).toBe(true);
  press('Unlock');
  press('Remove this figure');
  expect(shotOn(store).figures.map(({ id }) => id)).toEqual(['figure2']);
  expect(figureMenu(store, 'figure1')).toBeNull();
});

test('showing another figure alone takes its place', () => {
  const store = bench();
  store.dispatch(toggleSolo('figure1'));
  store.dispatch(toggleSolo('figure2'));
  expect(store.getState().editor.soloFigureId).toBe('figure2');
});
