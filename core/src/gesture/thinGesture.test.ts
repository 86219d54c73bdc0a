import { measureArc, pointAtDistance } from '../arc/arcMeasure';
import { fractionAt } from '../timing/placeInTime';
import { fc } from '../testing/property';
import { arcOf } from '../testing/shapes';
import {
  gestureFrames,
  gestureFrom,
  gestureSeconds,
  momentsOf,
  type PointerSample,
  type RawGesture,
  withRests,
} from './gesture';
import { standstills } from './standstills';
import { thinGesture, type ThinnedGesture } from './thinGesture';

const HERTZ = 120;

/** A gesture of so many seconds along a way that is given by time. */
const along = (seconds: number, where: (t: number) => readonly [number, number]): RawGesture =>
  gestureFrom(
    Array.from({ length: Math.round(seconds * HERTZ) + 1 }, (_, i): PointerSample => {
      const [x, y] = where(i / HERTZ);
      return { x, y, ms: 1000 + (1000 * i) / HERTZ };
    }),
    1,
  );

const thin = (gesture: RawGesture, allowedDeviation: number, rate = 24) =>
  thinGesture(gesture, { frames: gestureFrames(gesture, rate), allowedDeviation });

/** Where the figure is on each frame of a thinned gesture, by the arc and the marks alone. */
function placesBy({ points, marks }: ThinnedGesture, frames: number) {
  const arc = arcOf(points);
  const { length } = measureArc(arc);
  const timing = {
    marks: marks.map((mark, i) => ({ ...mark, id: `m${i}` })),
    before: 'hold',
    after: 'hold',
  } as const;
  return Array.from({ length: frames + 1 }, (_, k) => pointAtDistance(arc, fractionAt(timing, k) * length));
}

/** How far each frame is from where the hand was. */
function deviations(gesture: RawGesture, thinned: ThinnedGesture, frames: number): number[] {
  const moments = momentsOf(gesture, frames);
  return placesBy(thinned, frames).map(({ x, y }, k) => Math.hypot(x - moments[k]!.x, y - moments[k]!.y));
}

describe('a recorded gesture', () => {
  test('of 3 s at 24 a second has 72 intervals and 73 positions', () => {
    const gesture = along(3, (t) => [100 * t, 0]);
    expect(gestureFrames(gesture, 24)).toBe(72);
    expect(momentsOf(gesture, 72)).toHaveLength(73);
  });

  test('of 6 s recorded at half speed is one of 3 s', () => {
    const slow = { ...along(6, (t) => [100 * t, 0]), speed: 0.5 };
    expect(gestureSeconds(slow)).toBeCloseTo(3, 9);
    expect(gestureFrames(slow, 24)).toBe(72);
  });

  test('begins at no time, keeps its order where the clock goes back, and leaves out what is no number', () => {
    const gesture = gestureFrom(
      [
        { x: 1.234, y: 2, ms: 500 },
        { x: NaN, y: 2, ms: 505 },
        { x: 3, y: 4, ms: 510.04 },
        { x: 5, y: 6, ms: 505 },
        { x: 7, y: 8, ms: 520 },
      ],
      1,
    );
    expect(gesture).toEqual({ speed: 1, x: [1.23, 3, 5, 7], y: [2, 4, 6, 8], ms: [0, 10, 10, 20] });
  });

  test('needs two places', () => {
    expect(() => gestureFrom([{ x: 1, y: 1, ms: 0 }], 1)).toThrow('A gesture needs at least two places.');
  });

  test('stands between its samples where the hand would have gone straight', () => {
    const gesture = gestureFrom(
      [
        { x: 0, y: 0, ms: 0 },
        { x: 10, y: 0, ms: 100 },
        { x: 10, y: 30, ms: 400 },
      ],
      1,
    );
    expect(momentsOf(gesture, 4).map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [10, 0],
      [10, 10],
      [10, 20],
      [10, 30],
    ]);
  });

  test('rests where the pointer said nothing for a while', () => {
    const said = [
      { x: 0, y: 0, ms: 0 },
      { x: 10, y: 0, ms: 10 },
      { x: 20, y: 0, ms: 810 },
      { x: 30, y: 0, ms: 820 },
    ];
    expect(withRests(said)).toEqual([said[0], said[1], { x: 10, y: 0, ms: 800 }, said[2], said[3]]);
    const { marks } = thin(gestureFrom(withRests(said), 1), 1);
    expect(marks.some((mark, i) => mark.fraction === marks[i + 1]?.fraction)).toBe(true);
  });

  test('of a pointer that speaks seldom rests where it is silent for longer than it mostly is', () => {
    const seldom = [0, 60, 115, 180, 239, 839, 900].map((ms, i) => ({ x: 10 * i, y: 0, ms }));
    expect(withRests(seldom)).toEqual([...seldom.slice(0, 5), { x: 40, y: 0, ms: 778 }, ...seldom.slice(5)]);
  });

  test('whose clock never ran follows its samples evenly', () => {
    const still = gestureFrom(
      [0, 10, 20, 30, 40].map((x) => ({ x, y: 0, ms: 7 })),
      1,
    );
    expect(gestureFrames(still, 24)).toBe(1);
    expect(momentsOf(still, 2).map(({ x }) => x)).toEqual([0, 20, 40]);
  });
});

describe('thinning', () => {
  test('an even straight way is two points and two marks, or all but', () => {
    const gesture = along(2, (t) => [100 + 200 * t, 300]);
    const thinned = thin(gesture, 4);
    expect(thinned.points).toHaveLength(2);
    expect(thinned.marks.length).toBeLessThanOrEqual(4);
    expect(thinned.deviation).toBeLessThanOrEqual(4);
  });

  test('a pause survives: the figure holds where the hand rested', () => {
    // Out for 1 s, half a second of rest with a tremble, and on for 1 s.
    const gesture = along(2.5, (t) => {
      const moved = t < 1 ? t : t < 1.5 ? 1 : t - 0.5;
      const tremble = t >= 1 && t < 1.5 ? 0.4 * Math.sin(70 * t) : 0;
      return [300 * moved, 200 + tremble];
    });
    const { marks } = thin(gesture, 6);
    const hold = marks.findIndex((mark, i) => mark.fraction === marks[i + 1]?.fraction);
    expect(hold).toBeGreaterThan(0);
    expect(marks[hold]!.frame).toBeGreaterThanOrEqual(23);
    expect(marks[hold]!.frame).toBeLessThanOrEqual(25);
    expect(marks[hold + 1]!.frame).toBeGreaterThanOrEqual(35);
    expect(marks[hold + 1]!.frame).toBeLessThanOrEqual(37);
    expect(marks[hold]!.fraction).toBeCloseTo(0.5, 1);
  });

  test('a rest too short to be looked for is a hold where marks are put to it', () => {
    const places = [
      [400, 400, 0],
      [369, 413, 40],
      [369, 413, 80],
      [369, 413, 120],
      [346, 434, 180],
      [395, 388, 240],
      [377, 364, 280],
    ] as const;
    const gesture = gestureFrom(
      places.map(([x, y, ms]) => ({ x, y, ms })),
      1,
    );
    const { marks } = thin(gesture, 5);
    expect(marks.filter((mark, i) => mark.fraction === marks[i + 1]?.fraction)).toHaveLength(1);
  });

  test('rests at both ends are holds', () => {
    const gesture = along(3, (t) => [200 * Math.min(1, Math.max(0, t - 1)), 0]);
    const { marks } = thin(gesture, 3);
    expect(marks[0]!.fraction).toBe(marks[1]!.fraction);
    expect(marks.at(-1)!.fraction).toBe(marks.at(-2)!.fraction);
    expect(marks[1]!.frame).toBeGreaterThanOrEqual(23);
    expect(marks.at(-2)!.frame).toBeLessThanOrEqual(49);
  });

  test('a slow and steady way is not taken for rests', () => {
    const creeping = along(4, (t) => [12 * t, 0]);
    expect(standstills(momentsOf(creeping, 96), 8)).toEqual([]);
  });

  test('a corner stays a corner', () => {
    const { points } = thin(
      along(2, (t) => (t < 1 ? [300 * t, 0] : [300, 300 * (t - 1)])),
      4,
    );
    const corner = points.find(({ kind }) => kind === 'corner');
    expect(Math.hypot(corner!.x - 300, corner!.y)).toBeLessThan(4);
  });

  test('a loop is gone round in order, and a line drawn to and fro is gone to and fro', () => {
    const loop = along(2, (t) => [
      300 * t + 150 * Math.sin(Math.PI * t * 2),
      150 * Math.cos(Math.PI * t * 2),
    ]);
    const shake = along(2, (t) => [100 * Math.sin(2 * Math.PI * 2 * t), 0]);
    for (const gesture of [loop, shake]) {
      const thinned = thin(gesture, 5);
      expect(Math.max(...deviations(gesture, thinned, 48))).toBeLessThanOrEqual(5 + 1e-6);
      expect(thinned.marks.length).toBeLessThan(30);
    }
  });

  test('all samples on one spot are a figure that stays there', () => {
    const { points, marks, deviation } = thin(
      along(1, () => [50, 60]),
      2,
    );
    expect(points.map(({ x, y }) => [x, y])).toEqual([
      [50, 60],
      [50, 60],
    ]);
    expect(marks.map(({ frame, fraction }) => [frame, fraction])).toEqual([
      [0, 0],
      [24, 0],
    ]);
    expect(deviation).toBe(0);
  });

  test('two samples only are a straight way', () => {
    const gesture = gestureFrom(
      [
        { x: 0, y: 0, ms: 0 },
        { x: 100, y: 0, ms: 1000 },
      ],
      1,
    );
    const thinned = thin(gesture, 3);
    expect(thinned.points).toHaveLength(2);
    expect(Math.max(...deviations(gesture, thinned, 24))).toBeLessThanOrEqual(3 + 1e-6);
  });

  test('the more is allowed, the fewer points and marks', () => {
    const wave = along(4, (t) => [150 * t, 120 * Math.sin(3 * t) + 20 * Math.sin(17 * t)]);
    const sizes = [2, 8, 30].map((allowed) => thin(wave, allowed));
    expect(sizes[1]!.points.length).toBeLessThan(sizes[0]!.points.length);
    expect(sizes[2]!.points.length).toBeLessThan(sizes[1]!.points.length);
    expect(sizes[1]!.marks.length).toBeLessThanOrEqual(sizes[0]!.marks.length);
    expect(sizes[2]!.marks.length).toBeLessThan(sizes[1]!.marks.length);
  });

  test('tells its largest deviation and on which frame it is', () => {
    const gesture = along(3, (t) => [100 * t * t, 80 * Math.sin(4 * t)]);
    const thinned = thin(gesture, 6);
    const all = deviations(gesture, thinned, 72);
    expect(thinned.deviation).toBeCloseTo(Math.max(...all), 6);
    expect(all[thinned.worstFrame]).toBeCloseTo(thinned.deviation, 6);
  });

  test('what must not deviate at all is refused', () => {
    expect(() =>
      thin(
        along(1, (t) => [t, 0]),
        0,
      ),
    ).toThrow('greater than 0');
  });

  test('on every frame the figure is within the allowed deviation of the hand', () => {
    const moved = fc.oneof(fc.constant(0), fc.integer({ min: -60, max: 60 }));
    const step = fc.record({
      dx: moved,
      dy: moved,
      dms: fc.constantFrom(0, 4, 8, 8, 16, 16, 120, 400),
    });
    const gestures = fc.array(step, { minLength: 1, maxLength: 120 }).map((steps) => {
      let at: PointerSample = { x: 400, y: 400, ms: 0 };
      const samples = [at];
      for (const { dx, dy, dms } of steps) {
        at = { x: at.x + dx, y: at.y + dy, ms: at.ms + dms };
        samples.push(at);
      }
      return gestureFrom(samples, 1);
    });
    fc.assert(
      fc.property(
        gestures,
        fc.constantFrom(1, 5, 25),
        fc.constantFrom(12, 24, 60),
        (gesture, allowed, rate) => {
          const frames = gestureFrames(gesture, rate);
          const thinned = thinGesture(gesture, { frames, allowedDeviation: allowed });
          expect(Math.max(...deviations(gesture, thinned, frames))).toBeLessThanOrEqual(allowed * (1 + 1e-6));
          thinned.marks.slice(1).forEach((mark, i) => {
            const before = thinned.marks[i]!;
            expect(mark.frame).toBeGreaterThan(before.frame);
            // A hold is one, and not a way of a billionth.
            const moved = Math.abs(mark.fraction - before.fraction);
            expect(moved === 0 || moved >= 1e-9).toBe(true);
          });
        },
      ),
    );
  });
});

describe('a looser deviation', () => {
  /** A hand that draws bows of any size, hesitates and trembles, by a seed. */
  function wandering(seed: number): RawGesture {
    let state = seed;
    const random = (): number => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
    const [x, y, ms]: [number[], number[], number[]] = [[], [], []];
    let [px, py, heading, speed] = [400, 500, random() * 6, 8];
    for (let i = 0; i < 180; i++) {
      if (random() < 0.05) speed = 14 * random() ** 2;
      heading += (random() - 0.5) * 0.5;
      px += speed * Math.cos(heading) + (random() - 0.5) * 2;
      py += speed * Math.sin(heading) + (random() - 0.5) * 2;
      x.push(px);
      y.push(py);
      ms.push(i * 12);
    }
    return { x, y, ms, speed: 1 };
  }

  test.each([1, 23, 101])('never gives more marks: hand %i', (seed) => {
    const gesture = wandering(seed);
    const frames = gestureFrames(gesture, 24);
    let before = Infinity;
    for (let allowedDeviation = 2; allowedDeviation < 400; allowedDeviation *= 1.6) {
      const { marks, deviation } = thinGesture(gesture, { frames, allowedDeviation });
      expect(marks.length).toBeLessThanOrEqual(before);
      expect(deviation).toBeLessThanOrEqual(allowedDeviation);
      before = marks.length;
    }
  });

  test.each([1, 101])('and at most so many marks are kept, down to two: hand %i', (seed) => {
    const gesture = wandering(seed);
    const frames = gestureFrames(gesture, 24);
    let before = 0;
    for (const mostMarks of [12, 8, 3, 2]) {
      const found = thinGesture(gesture, { frames, mostMarks });
      expect(found.marks.length).toBeLessThanOrEqual(mostMarks);
      expect(found.marks[0]!.frame).toBe(0);
      expect(found.marks.at(-1)!.frame).toBe(frames);
      expect(Math.max(...deviations(gesture, found, frames))).toBeLessThanOrEqual(
        found.allowedDeviation * (1 + 1e-6),
      );
      // Fewer marks never keep closer to the hand.
      expect(found.allowedDeviation).toBeGreaterThanOrEqual(before);
      before = found.allowedDeviation;
      // The deviation that is told gives the same again, and a smaller one more marks than were asked for.
      const { allowedDeviation } = found;
      expect(thinGesture(gesture, { frames, allowedDeviation }).marks).toEqual(found.marks);
      const closer = thinGesture(gesture, { frames, allowedDeviation: allowedDeviation / 1.3 });
      expect(closer.marks.length).toBeGreaterThan(mostMarks);
    }
    const [start, end] = thinGesture(gesture, { frames, mostMarks: 2 }).marks;
    expect([start!.fraction, end!.fraction]).toEqual([0, 1]);
  });

  test('fewer than two marks are refused; a hand that never moved needs no more', () => {
    expect(() => thinGesture(wandering(1), { frames: 40, mostMarks: 1 })).toThrow('at least 2 marks');
    const still = along(1, () => [300, 300]);
    expect(thinGesture(still, { frames: 24, mostMarks: 2 }).marks).toHaveLength(2);
  });
});
