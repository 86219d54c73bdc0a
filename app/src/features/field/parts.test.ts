import { edits, evaluate } from '@humble/core';
import { addPart, releasePart } from '../../commands/parts';
import { partMenu } from '../../commands/menus/partsMenu';
import { goTo, setRange } from '../../playback/playhead';
import { riderChosen } from '../../store/editorSlice';
import { stepChosen } from '../../store/sessionSlice';
import { groupBroughtForward } from '../../store/settingsSlice';
import type { AppStore } from '../../store/store';
import { moveOn, shotOn } from '../../testing/bench';
import { bench, threePoints } from '../../testing/fieldBench';

const partsBench = () => {
  setRange({ lengthFrames: 21, rate: 24, loops: false });
  goTo(11);
  const shot = threePoints();
  const field = bench(
    edits.addRider(shot, {
      moveId: shot.moves[0]!.id,
      follows: { by: 'frames', frames: 2 },
      name: 'Trailer',
    }),
  );
  field.store.dispatch(stepChosen('figure'));
  field.store.dispatch(groupBroughtForward({ step: 'figure', group: 'parts' }));
  return field;
};

/** Where the part stands at the playhead. */
const placeOf = (store: AppStore) => evaluate(shotOn(store)).travels[0]!.riders[0]!.placeOn(10);

test('a part that is dragged along the arc keeps the distance it is let go at, in one undo step', () => {
  const { store, drag } = partsBench();
  const { pivotX: x, pivotY: y } = placeOf(store);
  // The figure stands in the middle, at 400.
  drag([x, y], [x - 30, y - 10], [200, 310]);
  expect(store.getState().editor.activeRiderId).toBe('part1');
  const [rider] = moveOn(store).riders;
  expect(rider!.follows.by).toBe('distance');
  expect(placeOf(store).pivotX).toBeCloseTo(200, 0);
  expect(store.getState().shot.past).toHaveLength(1);
});

test('in another group the part is let be', () => {
  const { store, drag } = partsBench();
  store.dispatch(groupBroughtForward({ step: 'figure', group: 'figures' }));
  const before = moveOn(store).riders;
  const { pivotX } = placeOf(store);
  drag([pivotX, 300], [pivotX - 60, 300]);
  expect(moveOn(store).riders).toBe(before);
});

test('a part is added behind the last one, let go as a figure, or taken away by its menu', () => {
  const { store } = partsBench();
  store.dispatch(addPart());
  expect(store.getState().editor.activeRiderId).toBe('part2');
  const height = evaluate(shotOn(store)).travels[0]!.figureHeight;
  expect(moveOn(store).riders[1]!.follows).toEqual({ by: 'distance', distance: -Math.round(height) });
  expect(store.dispatch(releasePart('part2'))).toBe(true);
  expect(shotOn(store).waiting).toHaveLength(1);
  expect(store.getState().editor.activeRiderId).toBeNull();
  const menu = partMenu(store, 'part1')!;
  expect(menu.title).toBe('Trailer');
  menu.items.find(({ label }) => label === 'Remove this part')!.onPress!();
  expect(moveOn(store).riders).toEqual([]);
  expect(partMenu(store, 'part1')).toBeNull();
});

test('another figure lets go of the part that was worked on', () => {
  const { store } = partsBench();
  store.dispatch(riderChosen('part1'));
  store.dispatch(stepChosen('arc'));
  expect(store.getState().editor.activeRiderId).toBe('part1');
  store.dispatch(stepChosen('timing'));
  expect(store.getState().editor.activeRiderId).toBeNull();
});
