import { edits } from '../../edits/edits';
import type { Key, Shot } from '../../model/schema';
import { evaluate } from '../../motion/evaluate';
import { fc } from '../../testing/property';
import { arcOf, circle, corner, onlyMove, shotAlong } from '../../testing/shapes';
import { copiedKeys } from './keyEdits';
import { keysThrough } from './keysThrough';

const moveId = 'move1';
const line = arcOf([corner(0, 0), corner(400, 0)]);

type Name = 'turn' | 'size';
const withKeys = (track: Name, ...keys: [frame: number, value: number][]): Shot =>
  keys.reduce(
    (now, [frame, value]) => edits.setKey(now, { moveId, track, frame, value }),
    shotAlong(line, 41),
  );
const keysOf = (shot: Shot, track: Name = 'turn'): readonly Key[] => onlyMove(shot).tracks[track];
const pairs = (shot: Shot, track: Name = 'turn') =>
  keysOf(shot, track).map(({ frame, value }) => [frame, value]);

describe('a value that reaches further', () => {
  const turning = withKeys('turn', [1, 0], [11, 30], [31, 90]);

  test('from here on moves the keys after it by the same, up to here those before it', () => {
    const set = (reach: 'here' | 'after' | 'before') =>
      pairs(edits.setKey(turning, { moveId, track: 'turn', frame: 11, value: 40, reach }));
    expect(set('here')).toEqual([
      [1, 0],
      [11, 40],
      [31, 90],
    ]);
    expect(set('after')).toEqual([
      [1, 0],
      [11, 40],
      [31, 100],
    ]);
    expect(set('before')).toEqual([
      [1, 10],
      [11, 40],
      [31, 90],
    ]);
  });

  test('where there is no key one is made of what is there, and the side beyond stays as it was', () => {
    const moved = edits.setKey(turning, { moveId, track: 'turn', frame: 21, value: 70, reach: 'after' });
    expect(pairs(moved)).toEqual([
      [1, 0],
      [11, 30],
      [21, 70],
      [31, 100],
    ]);
    const [before, after] = [turning, moved].map((shot) => evaluate(shot).travels[0]!.tracks.turn);
    expect([...after!.slice(0, 11)]).toEqual([...before!.slice(0, 11)]);
  });

  test('sizes change by the same factor', () => {
    const sized = withKeys('size', [1, 100], [11, 50], [31, 200]);
    expect(
      pairs(edits.setKey(sized, { moveId, track: 'size', frame: 11, value: 75, reach: 'after' }), 'size'),
    ).toEqual([
      [1, 100],
      [11, 75],
      [31, 300],
    ]);
  });
});

test('a track is cleared, and the others stay', () => {
  const both = edits.setKey(withKeys('turn', [1, 0], [9, 30]), {
    moveId,
    track: 'size',
    frame: 5,
    value: 80,
  });
  const cleared = edits.clearTrack(both, { moveId, track: 'turn' });
  expect([pairs(cleared), pairs(cleared, 'size')]).toEqual([[], [[5, 80]]]);
});

describe('keys that are stretched', () => {
  const turning = edits.setKeyEasing(withKeys('turn', [1, 0], [6, 30], [11, 90]), {
    moveId,
    track: 'turn',
    keyIds: ['k1'],
    easing: { kind: 'ramped', leaveFrames: 2, arriveFrames: 1, ramp: 'steady' },
  });

  test('keep their values, their share of the time, and their easings with it', () => {
    const stretched = edits.stretchKeys(turning, { moveId, track: 'turn', first: 5, last: 25 });
    expect(pairs(stretched)).toEqual([
      [5, 0],
      [15, 30],
      [25, 90],
    ]);
    expect(keysOf(stretched)[0]!.easing).toMatchObject({ leaveFrames: 4, arriveFrames: 2 });
  });

  test('lie a frame apart at least, and say when there is no room', () => {
    expect(
      pairs(edits.stretchKeys(turning, { moveId, track: 'turn', first: 3, last: 5 })).map(([f]) => f),
    ).toEqual([3, 4, 5]);
    for (const [first, last] of [
      [3, 4],
      [0, 9],
      [1.5, 9],
    ] as const)
      expect(() => edits.stretchKeys(turning, { moveId, track: 'turn', first, last })).toThrow(
        'need at least 3',
      );
    const none = shotAlong(line, 9);
    expect(onlyMove(edits.stretchKeys(none, { moveId, track: 'turn', first: 1, last: 5 }))).toBe(
      onlyMove(none),
    );
  });
});

test.each([
  [
    [0, 350, 700],
    [0, 360, 720],
  ],
  [
    [10, 200],
    [10, 370],
  ],
  [
    [0, -100],
    [0, -360],
  ],
  [
    [5, 5],
    [5, 5],
  ],
])('a turn over %j is straightened to %j', (before, after) => {
  const shot = withKeys('turn', ...before.map((value, i): [number, number] => [1 + 10 * i, value]));
  const straight = keysOf(edits.straightenSpins(shot, { moveId }));
  straight.forEach(({ value }, i) => expect(value).toBeCloseTo(after[i]!, 9));
});

test('a lean becomes keys, and the figure looks the same within a tenth of a degree', () => {
  const leaning = edits.setTurning(
    shotAlong(circle(200), 61, { kind: 'ramped', leaveFrames: 20, arriveFrames: 25, ramp: 'soft' }),
    {
      moveId,
      lean: { by: 'most', mostDeg: 25, smoothFrames: 5 },
    },
  );
  const keyed = edits.leanToKeys(edits.setKey(leaning, { moveId, track: 'turn', frame: 30, value: 12 }), {
    moveId,
  });
  const before = evaluate(edits.setKey(leaning, { moveId, track: 'turn', frame: 30, value: 12 })).travels[0]!
    .heading;
  const after = evaluate(keyed).travels[0]!.heading;
  expect(onlyMove(keyed).lean.by).toBe('none');
  expect(keysOf(keyed).length).toBeGreaterThan(3);
  expect(keysOf(keyed).length).toBeLessThan(40);
  before.forEach((degrees, i) => expect(Math.abs(after[i]! - degrees)).toBeLessThanOrEqual(0.1));
  expect(edits.leanToKeys(keyed, { moveId })).toBe(keyed);
});

test('keys through values stay within the tolerance with every value, and are no more than they may be', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -500, max: 500, noNaN: true }), { minLength: 1, maxLength: 60 }),
      fc.double({ min: 0.01, max: 50, noNaN: true }),
      (list, tolerance) => {
        const values = Float64Array.from(list);
        const keys = keysThrough(values, tolerance, 1000);
        values.forEach((value, i) => {
          const k = keys.findLastIndex(({ frame }) => frame <= i + 1);
          const [from, to] = [keys[k]!, keys[k + 1] ?? keys[k]!];
          const share = to.frame > from.frame ? (i + 1 - from.frame) / (to.frame - from.frame) : 0;
          expect(Math.abs(from.value + share * (to.value - from.value) - value)).toBeLessThanOrEqual(
            tolerance + 1e-9,
          );
        });
        expect(keysThrough(values, 0, 5).length).toBeLessThanOrEqual(5);
      },
    ),
  );
  expect(keysThrough(new Float64Array(0), 1, 9)).toEqual([]);
});

describe('a closed arc that starts elsewhere', () => {
  const round = shotAlong(circle(100), 21);
  const [, , third] = round.arcs[0]!.points;
  const places = (shot: Shot) => {
    const { x, y } = evaluate(shot).travels[0]!;
    return Array.from(x, (value, i) => [
      Math.round(value * 1e6) / 1e6 + 0,
      Math.round(y[i]! * 1e6) / 1e6 + 0,
    ]);
  };

  test('leaves what travels on it where it is, or has it begin there', () => {
    const still = edits.startArcAt(round, { arcId: 'arc1', pointId: third!.id, move: 'in-place' });
    expect(still.arcs[0]!.points[0]!.id).toBe(third!.id);
    expect(places(still)).toEqual(places(round));
    const along = edits.startArcAt(round, { arcId: 'arc1', pointId: third!.id, move: 'goes-along' });
    expect(places(along)[0]).toEqual([third!.x, third!.y].map((v) => Math.round(v * 1e6) / 1e6 + 0));
    expect(onlyMove(along).marks.map(({ fraction }) => fraction)).toEqual(
      onlyMove(round).marks.map(({ fraction }) => fraction),
    );
  });

  test('keeps marks that are tied on their points, and the first mark on the first lap', () => {
    const tied = edits.tieMark(round, { moveId, markId: 'm2', pointId: third!.id });
    const still = edits.startArcAt(tied, { arcId: 'arc1', pointId: third!.id, move: 'in-place' });
    expect(places(still)).toEqual(places(tied));
    const { marks } = onlyMove(still);
    expect(marks[0]!.fraction).toBeGreaterThanOrEqual(0);
    expect(marks[0]!.fraction).toBeLessThan(1);
  });

  test('stays as it is when it starts there, or is open', () => {
    const [first] = round.arcs[0]!.points;
    expect(edits.startArcAt(round, { arcId: 'arc1', pointId: first!.id, move: 'in-place' })).toBe(round);
    const open = shotAlong(line, 9);
    expect(edits.startArcAt(open, { arcId: 'arc1', pointId: 'p2', move: 'in-place' })).toBe(open);
    expect(() => edits.startArcAt(round, { arcId: 'arc1', pointId: 'p99', move: 'in-place' })).toThrow(
      'no point',
    );
  });
});

describe('some keys of a track', () => {
  const turning = withKeys('turn', [1, 0], [6, 30], [11, 90], [21, 10]);

  test('are stretched while the others stay, and may go past them but not onto them', () => {
    const args = { moveId, track: 'turn', keyIds: ['k2', 'k3'] } as const;
    expect(pairs(edits.stretchKeys(turning, { ...args, first: 8, last: 18 }))).toEqual([
      [1, 0],
      [8, 30],
      [18, 90],
      [21, 10],
    ]);
    expect(pairs(edits.stretchKeys(turning, { ...args, first: 8, last: 30 })).map(([f]) => f)).toEqual([
      1, 8, 21, 30,
    ]);
    expect(() => edits.stretchKeys(turning, { ...args, first: 8, last: 21 })).toThrow('a key already');
  });

  test('are copied and pasted with their easings; one that is there takes the value', () => {
    const eased = edits.setKeyEasing(turning, {
      moveId,
      track: 'turn',
      keyIds: ['k2'],
      easing: { kind: 'snap' },
    });
    const copied = copiedKeys(onlyMove(eased), 'turn', ['k2', 'k3']);
    expect(copied.map(({ frame, value }) => [frame, value])).toEqual([
      [0, 30],
      [5, 90],
    ]);
    const pasted = edits.pasteKeys(eased, { moveId, track: 'turn', copied, at: 16 });
    expect(pairs(pasted)).toEqual([
      [1, 0],
      [6, 30],
      [11, 90],
      [16, 30],
      [21, 90],
    ]);
    expect(keysOf(pasted)[3]!.easing).toEqual({ kind: 'snap' });
    expect(() => edits.pasteKeys(eased, { moveId, track: 'turn', copied, at: 0 })).toThrow('frames 1 to');
    // Sizes of one track grow as they did; a turn never does.
    const sized = edits.setKeyGrowth(withKeys('size', [1, 100], [9, 50]), {
      moveId,
      track: 'size',
      keyIds: ['k1'],
      growth: 'depth',
    });
    const grown = copiedKeys(onlyMove(sized), 'size', ['k1']);
    expect(keysOf(edits.pasteKeys(sized, { moveId, track: 'turn', copied: grown, at: 2 }))[0]!.growth).toBe(
      'even',
    );
  });
});
