import { onlyMove, straightShot } from '../testing/shapes';
import { edits } from './edits';

const moveId = 'move1';
const tracks = ['offsetX', 'offsetY'] as const;
const framesOf = (shot: ReturnType<typeof straightShot>) =>
  tracks.map((track) => onlyMove(shot).tracks[track].map(({ frame }) => frame));

test('keys of several tracks are set on one frame in one edit, and taken away there alone', () => {
  const elsewhere = edits.setKey(straightShot(100, 21), { moveId, track: 'offsetX', frame: 5, value: 7 });
  const set = edits.setKeysHere(elsewhere, { moveId, tracks, frame: 11, isSet: true });
  expect(framesOf(set)).toEqual([[5, 11], [11]]);
  // They change nothing: the value there is what it was.
  expect(onlyMove(set).tracks.offsetX.map(({ value }) => value)).toEqual([7, 7]);
  const cleared = edits.setKeysHere(set, { moveId, tracks, frame: 11, isSet: false });
  expect(framesOf(cleared)).toEqual([[5], []]);
  expect(onlyMove(cleared).tracks).toEqual(onlyMove(elsewhere).tracks);
});
