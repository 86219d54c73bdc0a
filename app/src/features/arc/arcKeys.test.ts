import { ActionCreators } from 'redux-undo';
import { pointsSelected, toolChosen } from '../../store/editorSlice';
import { doEdit } from '../../store/doEdit';
import { benchWith, shotOn } from '../../testing/bench';
import { threePoints } from '../../testing/fieldBench';
import { arcKeys } from './arcKeys';

function bench() {
  const store = benchWith(threePoints(), 'arc');
  const handle = arcKeys(store);
  const press = (key: string, modifiers: readonly string[] = []): boolean =>
    handle({
      key,
      code: key,
      shiftKey: modifiers.includes('Shift'),
      getModifierState: (name: string) => modifiers.includes(name),
      target: {} as EventTarget,
    } as KeyboardEvent);
  return {
    store,
    press,
    selected: () => store.getState().editor.selectedPointIds,
    xs: () => shotOn(store).arcs[0]!.points.map(({ x }) => x),
    ids: shotOn(store).arcs[0]!.points.map(({ id }) => id),
  };
}

test('the page keys go round the points, and Escape lets go of them', () => {
  const { press, selected, ids } = bench();
  press('PageUp');
  expect(selected()).toEqual([ids[0]]);
  press('PageUp');
  expect(selected()).toEqual([ids[2]]);
  press('PageDown');
  expect(selected()).toEqual([ids[0]]);
  press('Escape');
  expect(selected()).toEqual([]);
});

test('arrows nudge what is selected, ten times as far with Shift; a run of them is one step back', () => {
  const { store, press, xs, ids } = bench();
  expect(press('ArrowRight')).toBe(false);
  store.dispatch(pointsSelected([ids[1]!]));
  press('ArrowRight');
  press('ArrowRight', ['Shift']);
  expect(xs()).toEqual([100, 411, 700]);
  store.dispatch(ActionCreators.undo());
  expect(xs()).toEqual([100, 400, 700]);
});

test('Delete takes out what is selected, and says why where it cannot', () => {
  const { store, press, selected, xs, ids } = bench();
  store.dispatch(pointsSelected([ids[1]!]));
  expect(press('Delete')).toBe(true);
  expect([xs(), selected()]).toEqual([[100, 700], []]);
  press('a', ['Control']);
  press('Delete');
  expect(xs()).toEqual([100, 700]);
  expect(store.getState().session.message?.text).toMatch('at least two points');
});

test('a locked arc, and another tool, leave the keys alone', () => {
  const { store, press, ids } = bench();
  store.dispatch(pointsSelected([ids[1]!]));
  store.dispatch(doEdit('setArc', { arcId: 'arc1', locked: true }));
  expect([press('ArrowRight'), press('Delete'), press('PageDown')]).toEqual([false, false, false]);
  store.dispatch(doEdit('setArc', { arcId: 'arc1', locked: false }));
  store.dispatch(toolChosen('stroke'));
  expect(press('PageDown')).toBe(false);
  expect(press('Escape')).toBe(true);
  expect(store.getState().editor.tool).toBe('shape');
});
