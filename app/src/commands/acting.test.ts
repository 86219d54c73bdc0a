import { edits, evaluate } from '@humble/core';
import { ActionCreators } from 'redux-undo';
import { benchWith, shotOn, straightShot } from '../testing/bench';
import { actAgain, changeActing, bringInTracked } from './acting';
import { pause } from '../playback/playhead';
import { selectActiveMove } from '../store/selectors/active';

const TRACKED = ['frame,x,y', ...Array.from({ length: 13 }, (_, i) => `${5 + i},${100 + 40 * i},300`)].join(
  '\n',
);

const empty = edits.removeArc(straightShot(), { arcId: 'arc1' });

afterEach(pause);

async function tracked() {
  const store = benchWith(empty, 'figure');
  await store.dispatch(bringInTracked(TRACKED, 'crab.csv'));
  return store;
}

test('tracked positions are a figure that is there on those frames, in one undo step', async () => {
  const store = await tracked();
  const { gestures, moves } = shotOn(store);
  expect(gestures[0]!.name).toBe('crab.csv');
  expect([moves[0]!.marks[0]!.frame, moves[0]!.marks.at(-1)!.frame]).toEqual([5, 17]);
  const { x } = evaluate(shotOn(store)).travels[0]!;
  expect(Math.abs(x[4]! - 100)).toBeLessThan(9);
  expect(Math.abs(x[16]! - 580)).toBeLessThan(9);
  store.dispatch(ActionCreators.undo());
  expect(shotOn(store)).toMatchObject({ gestures: [], moves: [] });
});

test('tracked positions with a wrong line change nothing, and the line is named', async () => {
  const store = benchWith(empty, 'figure');
  await store.dispatch(bringInTracked('frame,x,y\n1,2,3\n2,here,3\n', 'crab.csv'));
  expect(shotOn(store).gestures).toEqual([]);
  expect(store.getState().session.message?.text).toContain('line 3 is not three numbers');
});

test('thinned with another deviation or to another length it is the same figure on the same arc', async () => {
  const store = await tracked();
  await store.dispatch(changeActing(selectActiveMove(store.getState())!, { frames: 30 }));
  const [move] = shotOn(store).moves;
  expect(move!.marks.at(-1)!.frame).toBe(35);
  await store.dispatch(changeActing(move!, { wish: { allowedDeviation: 50 } }));
  expect(shotOn(store).moves[0]!.acted).toMatchObject({ allowedDeviation: 50, frames: 30 });
  expect(shotOn(store).arcs).toHaveLength(1);
  // Marks are counted too; the deviation that they need is what it was thinned by from then on.
  await store.dispatch(changeActing(move!, { wish: { mostMarks: 2 } }));
  const [fewest] = shotOn(store).moves;
  expect(fewest!.marks).toHaveLength(2);
  expect(fewest!.acted!.frames).toBe(30);
});

test('used again it moves a further figure', async () => {
  const store = await tracked();
  await store.dispatch(actAgain(selectActiveMove(store.getState())!));
  const { arcs, figures, gestures } = shotOn(store);
  expect([arcs.length, figures.length, gestures.length]).toEqual([2, 2, 1]);
  expect(store.getState().editor.activeArcId).toBe(arcs[1]!.id);
});
