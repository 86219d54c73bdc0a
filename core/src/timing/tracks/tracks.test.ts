import { edits } from '../../edits/edits';
import { writeIncrementsCsv } from '../../formats/incrementsCsv';
import { readShotFile, writeShotFile } from '../../model/openShot';
import { type Easing, type Key, type Shot, shotSchema } from '../../model/schema';
import { evaluate } from '../../motion/evaluate';
import { standingsOn } from '../../motion/standings';
import { incrementTable } from '../../spacing/increments';
import { fc } from '../../testing/property';
import { arcOf, corner, everyEasing, onlyMove, shotAlong } from '../../testing/shapes';
import { NO_KEYS } from '.';
import { remapKeys } from './remapKeys';
import { trackValueAt, valuesOnFrames } from './trackValues';

const MOVE = 'move1';
const line = arcOf([corner(0, 0), corner(400, 0)]);

const withTurn = (shot: Shot, ...keys: [frame: number, value: number][]): Shot =>
  keys.reduce(
    (now, [frame, value]) => edits.setKey(now, { moveId: MOVE, track: 'turn', frame, value }),
    shot,
  );

const turning = withTurn(shotAlong(line, 401), [120, 30], [1, -10], [200, 75], [320, 40], [400, -20]);
const keysOf = (shot: Shot): readonly Key[] => onlyMove(shot).tracks.turn;
const framesAndValues = (shot: Shot) => keysOf(shot).map(({ frame, value }) => [frame, value]);

describe('the turn of a figure', () => {
  test('runs evenly from key to key and is added to the heading', () => {
    const { heading } = evaluate(turning).travels[0]!;
    expect(heading[259]).toBeCloseTo(57.5, 12);
    expect(heading[119]).toBe(30);
    expect(heading[0]).toBe(-10);
    // After the last key the value stays.
    expect(heading[400]).toBe(-20);
    const corrected = edits.setTurning(turning, { moveId: MOVE, correctionDeg: 5 });
    expect(evaluate(corrected).travels[0]!.heading[259]).toBeCloseTo(62.5, 12);
  });

  test('knows turns without end: three full ones are 1080 degrees', () => {
    const spun = withTurn(shotAlong(line, 25), [1, 0], [25, 1080]);
    expect(evaluate(spun).travels[0]!.heading[24]).toBe(1080);
    expect(evaluate(spun).travels[0]!.heading[12]).toBe(540);
  });

  test('is the same for one frame as for all, with every easing', () => {
    const anyKeys = fc
      .uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 0, maxLength: 5 })
      .chain((frames) =>
        fc.tuple(
          ...frames
            .sort((a, b) => a - b)
            .map((frame, i) =>
              fc.record({
                id: fc.constant(`k${i}`),
                frame: fc.constant(frame),
                value: fc.double({ min: -900, max: 900, noNaN: true }),
                easing: everyEasing(20),
                growth: fc.constant('even' as const),
              }),
            ),
        ),
      );
    fc.assert(
      fc.property(anyKeys, (keys) => {
        const all = valuesOnFrames({ ...NO_KEYS, turn: keys }, 60).turn;
        for (let f = 1; f <= 60; f++) expect(all[f - 1]).toBe(trackValueAt('turn', keys, f));
      }),
    );
  });

  test('is seen by cards, by the table of increments and in its file', () => {
    const [standing] = standingsOn(turning, onlyMove(turning), [260]);
    expect(standing!.headingDeg).toBeCloseTo(57.5, 12);
    const row = incrementTable(turning, onlyMove(turning)).rows[259]!;
    expect(row.tracks.turn).toBeCloseTo(57.5, 12);
    expect(row.headingDeg).toBeCloseTo(57.5, 12);
    const [header, ...lines] = writeIncrementsCsv(turning).split('\n');
    expect(lines[259]!.split(',')[header!.split(',').indexOf('turn_deg')]).toBe('57.5');
  });

  test('is kept in the file', () => {
    expect(readShotFile(writeShotFile(turning))).toEqual(turning);
  });

  test('keys out of order, twice on a frame or with one id are no sound shot', () => {
    const [first, ...rest] = keysOf(turning);
    const shotWith = (keys: readonly Key[]): Shot => ({
      ...turning,
      moves: [{ ...onlyMove(turning), tracks: { ...NO_KEYS, turn: keys } }],
    });
    expect(shotSchema.safeParse(shotWith([first!, ...rest])).success).toBe(true);
    expect(shotSchema.safeParse(shotWith([...rest, first!])).success).toBe(false);
    expect(shotSchema.safeParse(shotWith([first!, { ...first!, id: 'k99' }])).success).toBe(false);
    expect(shotSchema.safeParse(shotWith([first!, { ...rest[0]!, id: first!.id }])).success).toBe(false);
    expect(shotSchema.safeParse(shotWith([{ ...first!, value: 36_001 }])).success).toBe(false);
  });
});

describe('edits of keys', () => {
  test('a key without a value changes nothing that is seen', () => {
    const ramped: Easing = { kind: 'ramped', leaveFrames: 30, arriveFrames: 20, ramp: 'steady' };
    const eased = edits.setKeyEasing(turning, {
      moveId: MOVE,
      track: 'turn',
      keyIds: [keysOf(turning)[1]!.id],
      easing: ramped,
    });
    const divided = edits.setKey(eased, { moveId: MOVE, track: 'turn', frame: 150 });
    expect(keysOf(divided)).toHaveLength(6);
    const [before, after] = [eased, divided].map((shot) => evaluate(shot).travels[0]!.tracks.turn);
    before!.forEach((value, i) => expect(after![i]).toBeCloseTo(value, 9));
  });

  test('a key on a frame that has one sets its value', () => {
    expect(framesAndValues(withTurn(turning, [120, 31]))).toEqual([
      [1, -10],
      [120, 31],
      [200, 75],
      [320, 40],
      [400, -20],
    ]);
  });

  test('moved keys keep a frame to those that stay, and their values within the range', () => {
    const [, second, third] = keysOf(turning);
    const moved = (byFrames: number, byValue = 0, keyIds = [second!.id, third!.id]) =>
      framesAndValues(edits.moveKeys(turning, { moveId: MOVE, track: 'turn', keyIds, byFrames, byValue }));
    expect(moved(10, 5).slice(1, 3)).toEqual([
      [130, 35],
      [210, 80],
    ]);
    expect(moved(-500).slice(1, 3)).toEqual([
      [2, 30],
      [82, 75],
    ]);
    expect(moved(500).slice(1, 3)).toEqual([
      [239, 30],
      [319, 75],
    ]);
    expect(moved(0, 1e9)[1]).toEqual([120, 36_000]);
    expect(moved(0, -1e9)[1]).toEqual([120, -36_000]);
    expect(moved(-5, 0, [keysOf(turning)[0]!.id])[0]).toEqual([1, -10]);
    expect(moved(5, 5, ['none'])).toEqual(framesAndValues(turning));
  });

  test('deleted keys are gone; without any the figure turns no further', () => {
    const keyIds = keysOf(turning).map(({ id }) => id);
    const some = edits.deleteKeys(turning, { moveId: MOVE, track: 'turn', keyIds: keyIds.slice(1) });
    expect(framesAndValues(some)).toEqual([[1, -10]]);
    expect(evaluate(some).travels[0]!.heading[300]).toBe(-10);
    const none = edits.deleteKeys(turning, { moveId: MOVE, track: 'turn', keyIds });
    expect(evaluate(none).travels[0]!.heading[300]).toBe(0);
  });

  test.each([0, -3, 20_001, 1.5, NaN])('no key on frame %s', (frame) => {
    expect(() => edits.setKey(turning, { moveId: MOVE, track: 'turn', frame, value: 1 })).toThrow(
      'A key lies within frames 1 to 20000.',
    );
  });
});

describe('keys go along when the frames of their move change', () => {
  const marked = withTurn(shotAlong(line, 41), [1, 0], [11, 90], [21, 180], [41, 0]);

  test('a hold makes those after it later', () => {
    const held = edits.insertHold(marked, { moveId: MOVE, frame: 11, frames: 5, takesLater: true });
    expect(framesAndValues(held)).toEqual([
      [1, 0],
      [11, 90],
      [26, 180],
      [46, 0],
    ]);
  });

  test('stretched with their move they keep their share of the time, and so do ramps', () => {
    const easing: Easing = { kind: 'ramped', leaveFrames: 4, arriveFrames: 2, ramp: 'soft' };
    const ramped = edits.setKeyEasing(marked, {
      moveId: MOVE,
      track: 'turn',
      keyIds: [keysOf(marked)[2]!.id],
      easing,
    });
    const longer = edits.setLength(ramped, { lengthFrames: 81 });
    expect(framesAndValues(longer).map(([frame]) => frame)).toEqual([1, 21, 41, 81]);
    expect(keysOf(longer)[2]!.easing).toEqual({ ...easing, leaveFrames: 8, arriveFrames: 4 });
  });

  test('frames that are taken out take none of them away', () => {
    const cut = edits.skipExposure(marked, { moveId: MOVE, frame: 11, closesUp: true });
    expect(framesAndValues(cut)).toEqual([
      [1, 0],
      [11, 90],
      [20, 180],
      [40, 0],
    ]);
  });

  test('none is lost where many come to lie on one frame', () => {
    const { turn } = remapKeys(onlyMove(marked).tracks, () => 3);
    expect(turn.map(({ frame }) => frame)).toEqual([3, 4, 5, 6]);
    const late = remapKeys(onlyMove(marked).tracks, () => 20_001);
    expect(late.turn.map(({ frame }) => frame)).toEqual([19_998, 19_999, 20_000, 20_001]);
  });

  test('so many pictures spread them over as many frames', () => {
    const spread = edits.spreadPictures(marked, { moveId: MOVE, count: 21, manner: 'eased' });
    expect(framesAndValues(spread).map(([frame]) => frame)).toEqual([1, 6, 11, 21]);
  });
});
