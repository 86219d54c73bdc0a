import { smoothThrough } from '../arc/smoothing';
import { freshShot } from '../model/freshShot';
import type { Shot } from '../model/schema';
import { durationOf, framesTimes } from '../timing/duration';
import { fractionAt } from '../timing/placeInTime';
import { edits } from './edits';

const WIDTH = 1920;

/** A straight move through marks on some frames, each at a place that is a share of the way. */
function marked(lengthFrames: number, marks: readonly (readonly [frame: number, fraction: number])[]) {
  const empty = freshShot({ name: 'Length', rate: 24, lengthFrames, width: WIDTH, height: 1080 });
  const drawn = edits.drawArc(empty, { points: smoothThrough([160, 1760].map((x) => ({ x, y: 540 }))) });
  const moveId = drawn.moves[0]!.id;
  const even = edits.setEasing(drawn, {
    moveId,
    markId: drawn.moves[0]!.marks[0]!.id,
    easing: { kind: 'even' },
  });
  const shot = marks.reduce(
    (now, [frame, fraction]) => edits.addMark(now, { moveId, frame, fraction }),
    even,
  );
  return { shot, moveId };
}

const framesOf = (shot: Shot): number[] => shot.moves[0]!.marks.map(({ frame }) => frame);

describe('how long a move lasts', () => {
  /** In 20 frames, a hold of 15, over in 30, a hold of 15, out in 20. */
  const held = () =>
    marked(101, [
      [21, 0.3],
      [36, 0.3],
      [66, 0.7],
      [81, 0.7],
    ]);

  test('all of it: every span changes by the same factor, and the shot goes along', () => {
    const { shot, moveId } = held();
    const slow = edits.setDuration(shot, { moveId, frames: 150, holds: 'stretch' });
    expect(framesOf(slow)).toEqual([1, 31, 54, 99, 121, 151]);
    expect(slow.lengthFrames).toBe(151);
  });

  test('without its holds: they keep their frames', () => {
    const { shot, moveId } = held();
    const [move] = shot.moves;
    // 70 frames of travelling are half as long again, 30 of holding stay.
    expect(framesTimes(durationOf(move!), 1.5, 'keep')).toBe(135);
    expect(framesTimes(durationOf(move!), 1.5, 'stretch')).toBe(150);
    const slow = edits.setDuration(shot, { moveId, frames: 135, holds: 'keep' });
    expect(framesOf(slow)).toEqual([1, 31, 46, 91, 106, 136]);
    const back = edits.setDuration(slow, { moveId, frames: 100, holds: 'keep' });
    expect(framesOf(back)).toEqual([1, 21, 36, 66, 81, 101]);
  });

  test('what else lies on the frames goes along, notes too', () => {
    const { shot, moveId } = held();
    const { figureId } = shot.moves[0]!;
    const turned = edits.setKey(shot, { moveId, track: 'turn', frame: 51, value: 30 });
    const noted = edits.addNote(turned, { from: 51, until: 51, text: 'Over', figureId });
    const slow = edits.setDuration(noted, { moveId, frames: 200, holds: 'stretch' });
    expect(slow.moves[0]!.tracks.turn.map(({ frame }) => frame)).toEqual([101]);
    expect(slow.notes[0]!.from).toBe(101);
  });

  test('too few frames are refused with the least that works, and a move of nothing but a hold', () => {
    const { shot, moveId } = held();
    expect(() => edits.setDuration(shot, { moveId, frames: 32, holds: 'keep' })).toThrow(
      'at least 33 frames',
    );
    expect(() => edits.setDuration(shot, { moveId, frames: 4, holds: 'stretch' })).toThrow(
      'at least 5 frames',
    );
    const still = marked(21, []).shot;
    const holding: Shot = {
      ...still,
      moves: still.moves.map((move) => ({
        ...move,
        marks: move.marks.map((mark) => ({ ...mark, fraction: 0.5 })),
      })),
    };
    expect(() => edits.setDuration(holding, { moveId, frames: 40, holds: 'keep' })).toThrow(
      'nothing but hold',
    );
    expect(edits.setDuration(shot, { moveId, frames: 100, holds: 'keep' })).toBe(shot);
  });
});

describe('a part of the arc and its frames', () => {
  const places = (shot: Shot, ...frames: number[]): number[] =>
    frames.map((frame) => fractionAt(shot.moves[0]!, frame));

  test('40 to 55 % from frame 140 to 250 of 400, exactly', () => {
    const { shot, moveId } = marked(400, []);
    const set = edits.setPartFrames(shot, { moveId, from: 0.4, to: 0.55, start: 140, end: 250 });
    expect(framesOf(set)).toEqual([1, 140, 250, 400]);
    expect(places(set, 140, 250)).toEqual([0.4, 0.55]);
    expect(places(set, 195)[0]).toBeCloseTo(0.475, 9);
    expect(places(set, 400)).toEqual([1]);
  });

  test('one frame after the other comes to the same', () => {
    const { shot, moveId } = marked(400, []);
    const start = edits.setPartFrames(shot, { moveId, from: 0.4, to: 0.55, start: 140 });
    const both = edits.setPartFrames(start, { moveId, from: 0.4, to: 0.55, end: 250 });
    expect(framesOf(both)).toEqual([1, 140, 250, 400]);
    expect(places(both, 140, 250)).toEqual([0.4, 0.55]);
    // And again: marks that are there already go along, no further ones are put.
    const again = edits.setPartFrames(both, { moveId, from: 0.4, to: 0.55, start: 100, end: 300 });
    expect(framesOf(again)).toEqual([1, 100, 300, 400]);
  });

  test('marks within it are spread over its frames; a hold at its beginning is before it', () => {
    const { shot, moveId } = marked(101, [
      [21, 0.2],
      [31, 0.2],
      [51, 0.5],
      [71, 0.8],
    ]);
    const set = edits.setPartFrames(shot, { moveId, from: 0.2, to: 0.8, start: 41, end: 61 });
    expect(framesOf(set)).toEqual([1, 21, 41, 51, 61, 101]);
    expect(places(set, 30, 41, 51, 61)).toEqual([0.2, 0.2, 0.5, 0.8]);
  });

  test('the whole arc: a part without marks outside it shifts what lies beyond', () => {
    const { shot, moveId } = marked(41, []);
    const set = edits.setPartFrames(shot, { moveId, from: 0, to: 1, start: 11, end: 61 });
    expect(framesOf(set)).toEqual([11, 61]);
    expect(set.lengthFrames).toBe(61);
  });

  test('an eased span keeps its course in its parts', () => {
    const { shot, moveId } = marked(101, []);
    const markId = shot.moves[0]!.marks[0]!.id;
    const easing = { kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1 } as const;
    const eased = edits.setEasing(shot, { moveId, markId, easing });
    const half = edits.setPartFrames(eased, { moveId, from: 0, to: 0.5, end: 101 - 25 });
    // The first half took 50 frames and takes 75 now, slow at first as it was.
    for (const share of [0.2, 0.5, 0.8])
      expect(fractionAt(half.moves[0]!, 1 + 75 * share)).toBeCloseTo(
        fractionAt(eased.moves[0]!, 1 + 50 * share),
        2,
      );
  });

  test('what cannot be is refused: in front of a mark, past the next one, back to front, not travelled', () => {
    const { shot, moveId } = marked(101, [
      [21, 0.2],
      [81, 0.8],
    ]);
    const part = { moveId, from: 0.4, to: 0.6 };
    expect(() => edits.setPartFrames(shot, { ...part, start: 21 })).toThrow('a mark on frame 21, before it');
    expect(() => edits.setPartFrames(shot, { ...part, end: 90 })).toThrow('a mark on frame 81, after it');
    expect(() => edits.setPartFrames(shot, { ...part, start: 60, end: 50 })).toThrow('on a later frame');
    expect(() => edits.setPartFrames(shot, { ...part, start: 40.5 })).toThrow('whole frame');
    const short = edits.moveMarks(shot, {
      moveId,
      markIds: [shot.moves[0]!.marks.at(-1)!.id],
      byFrames: 0,
      byFraction: -0.5,
      takesLater: false,
    });
    expect(() => edits.setPartFrames(short, { moveId, from: 0.9, to: 0.95, start: 50 })).toThrow(
      'doesn’t pass this part',
    );
  });
});
