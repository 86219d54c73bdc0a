import { smoothThrough } from '../arc/smoothing';
import { freshShot } from '../model/freshShot';
import type { Shot } from '../model/schema';
import { fractionAt } from '../timing/placeInTime';
import { edits } from './edits';

/** A straight move of 73 frames at 24 a second with marks and cues on some frames. */
function heard(marks: readonly number[], cues: readonly number[]) {
  const empty = freshShot({ name: 'Beeps', rate: 24, lengthFrames: 73, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const moveId = drawn.moves[0]!.id;
  const marked = marks.reduce((shot, frame) => edits.addMark(shot, { moveId, frame }), drawn);
  const shot = edits.addCues(marked, {
    cues: cues.map((frame) => ({ seconds: (frame - 1) / 24, word: 'beep' })),
  });
  return { shot, moveId };
}

const marksOf = ({ moves }: Shot) => moves[0]!.marks.map(({ frame }) => frame);

test('a stop is put on each cue where there is no mark; nothing changes its place', () => {
  const { shot, moveId } = heard([], [13, 37, 61]);
  const put = edits.putMarksOnCues(shot, { moveId });
  expect(marksOf(put)).toEqual([1, 13, 37, 61, 73]);
  expect(put.moves[0]!.marks.slice(1, 4).map(({ kind }) => kind)).toEqual(['stop', 'stop', 'stop']);
  for (const frame of [13, 37, 61])
    expect(fractionAt(put.moves[0]!, frame)).toBeCloseTo(fractionAt(shot.moves[0]!, frame), 9);
});

test('marks nearby go onto their cue and keep their place on the arc, what lies between goes along', () => {
  const { shot, moveId } = heard([15, 36, 70], [13, 37, 61]);
  const keyed = edits.setKey(shot, { moveId, track: 'turn', frame: 15, value: 30 });
  const put = edits.putMarksOnCues(keyed, { moveId });
  // The one on 70 is too far from 61.
  expect(marksOf(put)).toEqual([1, 13, 37, 61, 70, 73]);
  const [, second] = shot.moves[0]!.marks;
  expect(put.moves[0]!.marks[1]).toMatchObject({ id: second!.id, fraction: second!.fraction });
  expect(put.moves[0]!.tracks.turn.map(({ frame }) => frame)).toEqual([13]);
});

test('one mark serves one cue, and the move’s beginning stays', () => {
  const { shot, moveId } = heard([30], [2, 28, 32]);
  expect(marksOf(edits.putMarksOnCues(shot, { moveId }))).toEqual([1, 2, 28, 32, 73]);
});

test('where every cue has its mark, or none lies within the move, it says so', () => {
  const { shot, moveId } = heard([13], [13]);
  expect(() => edits.putMarksOnCues(shot, { moveId })).toThrow('has a mark on it already');
  const later = heard([], [100]);
  expect(() => edits.putMarksOnCues(later.shot, { moveId: later.moveId })).toThrow(
    'has a mark on it already',
  );
});
