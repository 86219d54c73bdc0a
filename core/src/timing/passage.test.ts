import { edits } from '../edits/edits';
import { shotSchema } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { circle, everyEasing, markAt, onlyMove, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { fc } from '../testing/property';
import type { Easing, Shot } from '../model/schema';
import { atRate, roundedMarks, wholeFrame } from './frameMap';
import { leastFrames } from './passage';
import { reversedEasing } from './reversedEasing';
import { easedDistance } from './easedDistance';

const moveId = 'move1';
const framesOf = (shot: Shot, which = 0): readonly number[] =>
  shot.moves[which]!.marks.map(({ frame }) => frame);
const placesOf = (shot: Shot): readonly number[] =>
  [...evaluate(shot).travels[0]!.arcDistance].map((s) => Math.round(s * 1e6) / 1e6);

const FRAMES = [1, 13, 16, 17, 18, 21, 33, 49];
const marked = (...frames: readonly number[]): Shot =>
  withMarks(
    straightShot(480, frames.at(-1)!),
    ...frames.map((frame, i) => markAt(frame, i / (frames.length - 1), { kind: 'pass' })),
  );
const shot = marked(...FRAMES);
const passage = { moveId, from: 13, until: 33 };

describe('a passage in another number of frames', () => {
  test('f′ = a + ⌊(f − a)·n′/n + ½⌋ inside, and later marks follow', () => {
    expect(framesOf(edits.stretchPassage(shot, { ...passage, frames: 30 }))).toEqual([
      1, 13, 18, 19, 21, 25, 43, 59,
    ]);
    const shorter = edits.stretchPassage(shot, { ...passage, frames: 15 });
    expect(framesOf(shorter)).toEqual([1, 13, 15, 16, 17, 19, 28, 44]);
    expect([shorter.lengthFrames, shotSchema.safeParse(shorter).success]).toEqual([44, true]);
  });

  test('where later marks stay the span up to the next one gives way, and there is an end to it', () => {
    const longer = edits.stretchPassage(shot, { ...passage, frames: 30, later: 'stay' });
    expect(framesOf(longer)).toEqual([1, 13, 18, 19, 21, 25, 43, 49]);
    expect(longer.lengthFrames).toBe(49);
    expect(() => edits.stretchPassage(shot, { ...passage, frames: 36, later: 'stay' })).toThrow(
      'The next mark is on frame 49: where later marks stay the passage can have at most 35 frames.',
    );
  });

  test('with its end held it begins elsewhere, and the span before it gives way', () => {
    const longer = edits.stretchPassage(shot, { ...passage, frames: 25, holds: 'end' });
    expect(framesOf(longer)).toEqual([1, 8, 12, 13, 14, 18, 33, 49]);
    expect(() => edits.stretchPassage(shot, { ...passage, frames: 32, holds: 'end' })).toThrow(
      'The passage can start on frame 2 at the earliest.',
    );
  });

  test('two marks never fall on one frame: it says the least that works', () => {
    expect(() => edits.stretchPassage(shot, { ...passage, frames: 6 })).toThrow(
      'In 6 frames two of its marks would fall on one; 14 is the least that works.',
    );
    // 3, 4 and 5 of 20 frames are 2.55, 3.4 and 4.25 of 17.
    expect(() => edits.stretchPassage(shot, { ...passage, frames: 17 })).toThrow(
      '18 is the least that works',
    );
    expect(leastFrames(onlyMove(shot), passage)).toBe(14);
    for (const frames of [14, 15, 16, 18, 19])
      expect(framesOf(edits.stretchPassage(shot, { ...passage, frames }))).toHaveLength(FRAMES.length);
  });

  test('everything in it goes along: ramps, exposures, skips, places by hand, keys, drawings, the cycle', () => {
    let full = withMarks(
      straightShot(400, 41),
      markAt(1, 0),
      markAt(11, 0.2, { easing: { kind: 'ramped', leaveFrames: 4, arriveFrames: 6, ramp: 'steady' } }),
      markAt(31, 0.8),
      markAt(41, 1),
    );
    full = edits.setRangeHeld(full, { moveId, from: 15, until: 20, framesHeld: 2 });
    full = edits.skipExposure(full, { moveId, frame: 25, closesUp: false });
    full = edits.putByHand(full, { moveId, frame: 28, dx: 1, dy: 2 });
    full = edits.setKey(full, { moveId, track: 'turn', frame: 21, value: 30 });
    full = edits.setKey(full, { moveId, track: 'turn', frame: 36, value: 90 });
    const move = onlyMove(edits.stretchPassage(full, { moveId, from: 11, until: 31, frames: 30 }));
    expect(move.marks.map(({ frame }) => frame)).toEqual([1, 11, 41, 51]);
    expect(move.marks[1]!.easing).toMatchObject({ leaveFrames: 6, arriveFrames: 9 });
    expect(move.exposures).toEqual([{ from: 17, until: 25, framesHeld: 2 }]);
    expect(move.skips.map(({ frame }) => frame)).toEqual([32]);
    expect(move.overrides).toEqual([{ frame: 37, dx: 1, dy: 2 }]);
    expect(move.tracks.turn.map(({ frame }) => frame)).toEqual([26, 46]);
  });

  test('between marks its edges get marks, and outside it every frame stays as it was', () => {
    fc.assert(
      fc.property(everyEasing(40), fc.integer({ min: 5, max: 40 }), (easing, frames) => {
        // How a flowing span goes depends on how long its neighbours last.
        if (easing.kind === 'flow') return;
        const one = straightShot(400, 41, easing);
        const before = placesOf(one);
        const after = placesOf(edits.stretchPassage(one, { moveId, from: 11, until: 21, frames }));
        expect(after.slice(0, 11)).toEqual(before.slice(0, 11));
        expect(after.slice(11 + frames - 1)).toEqual(before.slice(20));
      }),
    );
  });

  test('all increments of a ramp change by one factor', () => {
    const ramp: Easing = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' };
    const slower = edits.stretchPassage(straightShot(120, 25, ramp), {
      moveId,
      from: 1,
      until: 25,
      frames: 48,
    });
    const [before, after] = [placesOf(straightShot(120, 25, ramp)), placesOf(slower)];
    before.forEach((s, i) => expect(after[2 * i]).toBeCloseTo(s, 6));
  });

  test('of all figures at once, those that wait included', () => {
    const two = edits.drawArc(shot, { points: shot.arcs[0]!.points });
    const waits = edits.detachFigure(two, { figureId: 'figure2', frame: 1 });
    const longer = edits.stretchPassage(waits, { moveId: null, from: 13, until: 33, frames: 40 });
    expect(framesOf(longer)).toEqual([1, 13, 19, 21, 23, 29, 53, 69]);
    expect(longer.waiting[0]!.move!.marks.at(-1)!.frame).toBe(69);
    expect(longer.lengthFrames).toBe(69);
    expect(shotSchema.safeParse(longer).success).toBe(true);
  });
});

describe('time shifted, put in and taken out', () => {
  test('a passage is shifted, and the spans beside it give way', () => {
    expect(framesOf(edits.shiftPassage(shot, { ...passage, by: 5 }))).toEqual([
      1, 18, 21, 22, 23, 26, 38, 49,
    ]);
    expect(framesOf(edits.shiftPassage(shot, { ...passage, by: -4, later: 'follow' }))).toEqual([
      1, 9, 12, 13, 14, 17, 29, 45,
    ]);
    expect(() => edits.shiftPassage(shot, { ...passage, by: 16 })).toThrow('The next mark is on frame 49');
    expect(() => edits.shiftPassage(shot, { ...passage, by: -12 })).toThrow('The mark before is on frame 1');
  });

  test('frames are put in, and taken out where no mark stands', () => {
    expect(framesOf(edits.insertTime(shot, { moveId, frame: 25, frames: 8 }))).toEqual([
      1, 13, 16, 17, 18, 21, 41, 57,
    ]);
    expect(framesOf(edits.insertTime(shot, { moveId, frame: 22, frames: -8 }))).toEqual([
      1, 13, 16, 17, 18, 21, 25, 41,
    ]);
    expect(() => edits.insertTime(shot, { moveId, frame: 14, frames: -8 })).toThrow(
      'There is a mark on frame 16',
    );
  });
});

describe('a passage reversed, out and back, and repeated', () => {
  const swing: Shot = withMarks(
    straightShot(400, 41),
    markAt(1, 0),
    markAt(11, 0.25, { easing: { kind: 'ramped', leaveFrames: 8, arriveFrames: 2, ramp: 'steady' } }),
    markAt(31, 0.75),
    markAt(41, 1),
  );
  const within = { moveId, from: 11, until: 31 };

  test('reversed, each frame shows what the other end showed', () => {
    const before = placesOf(swing);
    const after = placesOf(edits.reversePassage(swing, within));
    expect(after.slice(10, 31)).toEqual(before.slice(10, 31).reverse());
    expect([after[0], after[40]]).toEqual([0, 400]);
    expect(edits.reversePassage(edits.reversePassage(swing, within), within)).toEqual(swing);
  });

  test('an easing travelled back is the same increments from the other end', () => {
    fc.assert(
      fc.property(everyEasing(24), (easing) => {
        if (easing.kind === 'flow') return;
        const back = reversedEasing(easing, 24);
        for (let x = 0; x <= 24; x++)
          expect(easedDistance(back, x, 24, 1)).toBeCloseTo(1 - easedDistance(easing, 24 - x, 24, 1), 6);
      }),
    );
  });

  test('out and back it is where it began, and what is later follows', () => {
    const keyed = edits.setKey(swing, { moveId, track: 'turn', frame: 21, value: 30 });
    const after = edits.goOutAndBack(keyed, within);
    const [there, back] = [placesOf(keyed).slice(10, 31), placesOf(after).slice(30, 51)];
    expect(back).toEqual([...there].reverse());
    expect(framesOf(after)).toEqual([1, 11, 31, 51, 61]);
    expect(onlyMove(after).tracks.turn.map(({ frame }) => frame)).toEqual([21, 41]);
    expect(after.lengthFrames).toBe(61);
    expect(shotSchema.safeParse(after).success).toBe(true);
  });

  test('repeated, it begins again on the next frame; one that comes back joins', () => {
    const thrice = edits.repeatPassage(swing, { ...within, times: 3 });
    expect(framesOf(thrice)).toEqual([1, 11, 31, 32, 52, 53, 73, 83]);
    expect(placesOf(thrice).slice(52, 73)).toEqual(placesOf(swing).slice(10, 31));
    expect(shotSchema.safeParse(thrice).success).toBe(true);
    const back = edits.goOutAndBack(swing, within);
    expect(framesOf(edits.repeatPassage(back, { moveId, from: 11, until: 51, times: 2 }))).toEqual([
      1, 11, 31, 51, 71, 91, 101,
    ]);
    const round = withMarks(shotAlong(circle(100), 24), markAt(1, 0), markAt(25, 1));
    const twice = edits.repeatPassage(round, { moveId, from: 1, until: 25, times: 2 });
    expect(onlyMove(twice).marks.map(({ frame, fraction }) => [frame, fraction])).toEqual([
      [1, 0],
      [25, 1],
      [49, 2],
    ]);
    expect(twice.lengthFrames).toBe(48);
  });

  test('exposures, drawings and places by hand are turned round with it', () => {
    let full = edits.setRangeHeld(swing, { moveId, from: 11, until: 14, framesHeld: 2 });
    full = edits.putByHand(full, { moveId, frame: 20, dx: 1, dy: 2 });
    const move = onlyMove(edits.reversePassage(full, within));
    expect(move.exposures).toEqual([{ from: 27, until: 30, framesHeld: 2 }]);
    expect(move.overrides).toEqual([{ frame: 22, dx: 1, dy: 2 }]);
  });

  test('outside the marks there is nothing to turn round', () => {
    const short = { ...swing, lengthFrames: 60 };
    expect(() => edits.reversePassage(short, { moveId, from: 31, until: 55 })).toThrow(
      'The passage has to lie between the first mark of the move and its last.',
    );
  });
});

describe('another rate', () => {
  const four = marked(1, 13, 20, 49);

  test('keeps frames, or seconds: f′ = 1 + ⌊(f − 1)·r′/r + ½⌋', () => {
    expect(framesOf(edits.setRate(four, { rate: 12 }))).toEqual([1, 13, 20, 49]);
    const at = (rate: number): readonly number[] => framesOf(edits.setRate(four, { rate, keeps: 'seconds' }));
    expect(at(12)).toEqual([1, 7, 11, 25]);
    expect(at(25)).toEqual([1, 14, 21, 51]);
    expect(at(30)).toEqual([1, 16, 25, 61]);
  });

  test('says which marks were rounded and by how much', () => {
    expect(roundedMarks(onlyMove(four), atRate(24, 12))).toEqual([{ frame: 11, by: 0.5 }]);
    expect(wholeFrame(10.5)).toBe(11);
  });

  test('one figure keeps its seconds and the others their frames; a loop goes on returning on its seam', () => {
    const two = edits.drawArc(four, { points: four.arcs[0]!.points });
    const one = edits.setRate(two, { rate: 12, keeps: 'seconds', moveId: 'move2' });
    expect([framesOf(one, 0).at(-1), framesOf(one, 1).at(-1), one.lengthFrames]).toEqual([49, 25, 49]);
    const loop = edits.setRate(shotAlong(circle(100), 24), { rate: 12, keeps: 'seconds' });
    expect([framesOf(loop).at(-1), loop.lengthFrames]).toEqual([13, 12]);
    expect(shotSchema.safeParse(loop).success).toBe(true);
  });
});
