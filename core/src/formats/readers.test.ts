import { fc } from '../testing/property';
import { onlyMove, straightShot } from '../testing/shapes';
import { ShotError } from '../model/errors';
import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import { openShot, readShotFile, writeShotFile } from '../model/openShot';
import type { Shot } from '../model/schema';
import { incrementTable } from '../spacing/increments';
import { evaluate } from '../motion/evaluate';
import { fittingTransform, importedPoints } from './importedArc';
import { writeIncrementsCsv } from './incrementsCsv';
import { readIncrementsCsv, readIncrementsTable } from './readIncrementsCsv';
import { shotCard } from './shotCard';
import { shotFromIncrements } from './shotFromIncrements';
import { readSvgDrawing } from './svgDrawing';
import { readPathData, type SubPath } from './svgPathData';
import { withTimingFrom } from './timingFromIncrements';
import { readTrackedCsv } from './trackedCsv';

// Whatever is read: either it is refused with a sentence, or nothing that follows from it is not a number.

const field = { width: 1920, height: 1080 };
const empty = freshShot({ name: 'Test', rate: 24, lengthFrames: 24, ...field });

/** What a reader makes of something; null when it refuses it with a sentence. */
function outcome<Result>(read: () => Result): Result | null {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof ShotError)) throw error;
    expect(error.message).toMatch(/^[A-Z“].*\.$/s);
    return null;
  }
}

function expectNumbers(shot: Shot): void {
  expect(outcome(() => openShot(JSON.parse(JSON.stringify(shot))))).not.toBeNull();
  for (const { arcDistance, x, y, direction, heading, arcLength } of evaluate(shot).travels) {
    expect(Number.isFinite(arcLength)).toBe(true);
    for (const values of [arcDistance, x, y, direction, heading])
      expect(values.every((value) => Number.isFinite(value))).toBe(true);
  }
  for (const move of shot.moves)
    for (const row of incrementTable(shot, move).rows)
      for (const value of Object.values(row))
        expect(typeof value !== 'number' || Number.isFinite(value)).toBe(true);
  // A shot from outside has no backdrop; everything else on its card is a number or a path.
  expect(JSON.stringify({ ...shotCard(shot), backdrop: [] })).not.toMatch(/NaN|null|Infinity/);
}

function expectArcs(paths: readonly SubPath[]): void {
  const transform = fittingTransform(paths, field);
  for (const path of paths.slice(0, 3))
    for (const how of [transform, { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 }]) {
      const points = outcome(() => importedPoints(path, how));
      if (points && points.length > 1) expectNumbers(edits.drawArc(empty, { points }));
    }
}

/** Numbers as a file may hold them, ordinary or not. */
const number = fc.oneof(
  fc.integer({ min: -2000, max: 2000 }).map(String),
  fc.double({ min: -100, max: 100, noNaN: true }).map(String),
  fc.constantFrom(
    '1e308',
    '-1e308',
    '1e999',
    '1e-320',
    '1e7',
    '10000001',
    '0',
    '-0',
    '.5',
    '5e-324',
    'NaN',
    '1e16',
  ),
);
const numbers = (count: number) =>
  fc.array(number, { minLength: count, maxLength: count }).map((all) => all.join(' '));
const command = fc.oneof(
  numbers(2).map((n) => `M${n}`),
  numbers(2).map((n) => `l${n}`),
  number.map((n) => `h${n}`),
  numbers(6).map((n) => `C${n}`),
  numbers(4).map((n) => `s${n}`),
  numbers(2).map((n) => `t${n}`),
  fc.tuple(numbers(3), numbers(2)).map(([r, to]) => `a${r} 1 0 ${to}`),
  fc.constant('z'),
);
const path = fc
  .tuple(numbers(2), fc.array(command, { maxLength: 6 }))
  .map(([at, rest]) => `M${at}${rest.join('')}`);

test('path data', () => {
  fc.assert(
    fc.property(path, (data) => {
      const paths = outcome(() => readPathData(data));
      if (paths) expectArcs(paths);
    }),
  );
});

test('a number that no coordinate can be is refused with its place', () => {
  expect(() => readPathData('M0 0C10 10 1e308 5 20 20')).toThrow(
    'This isn’t path data: 1e308 at character 12 is too large.',
  );
  expect(() => readPathData(`M0 0${'l9000000 0'.repeat(3)}`)).toThrow('leads too far outside the field');
});

test('drawings', () => {
  fc.assert(
    fc.property(
      path,
      number,
      number,
      numbers(4),
      fc.constantFrom('scale', 'translate', 'rotate', 'skewX'),
      number,
      (d, w, h, box, kind, k) => {
        const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" viewBox="${box}">
        <g transform="${kind}(${k})"><path d="${d}"/><rect width="${w}" height="${k}" rx="${h}"/><circle r="${k}"/></g></svg>`;
        const paths = outcome(() => readSvgDrawing(text));
        if (paths) expectArcs(paths);
      },
    ),
  );
});

test('a size that is none is refused with its line', () => {
  const text =
    '<svg xmlns="http://www.w3.org/2000/svg"\nwidth="1e999" height="3" viewBox="0 0 4 4"><path d="M0 0h3"/></svg>';
  expect(() => readSvgDrawing(text)).toThrow(
    'This SVG cannot be read: in line 2, 1e999 is too large a number.',
  );
});

test('tracked positions', () => {
  const line = fc.tuple(number, number, number).map((cells) => cells.join(','));
  fc.assert(
    fc.property(fc.array(line, { maxLength: 6 }), fc.constantFrom('frame', 'seconds'), (lines, time) => {
      const tracked = outcome(() => readTrackedCsv([`${time},x,y`, ...lines].join('\n'), 24));
      if (!tracked) return;
      expect(Number.isFinite(tracked.frames) && Number.isFinite(tracked.firstFrame)).toBe(true);
      for (const values of [tracked.gesture.x, tracked.gesture.y, tracked.gesture.ms])
        expect(values.every(Number.isFinite)).toBe(true);
    }),
  );
});

test('increments', () => {
  const shot = straightShot(200, 6);
  const columns = ['place', 'percent', 'along', 'total', 'ruler', 'ruler_total', 'x', 'y'];
  const cell = fc.oneof({ arbitrary: number, weight: 3 }, fc.constant(''));
  const lines = fc.array(fc.array(cell, { minLength: 8, maxLength: 8 }), { minLength: 2, maxLength: 6 });
  fc.assert(
    fc.property(
      lines,
      fc.subarray(columns, { minLength: 1 }),
      fc.constantFrom(...(columns.slice(0, 6) as ['place'])),
      (rows, some, chosen) => {
        const text = [
          `frame,${some.join(',')}`,
          ...rows.map((cells, i) => `${i + 1},${cells.slice(0, some.length).join(',')}`),
        ].join('\n');
        const table = outcome(() => readIncrementsCsv(text));
        if (!table) return;
        const made = outcome(() => shotFromIncrements(readIncrementsTable(text), 'Read', 24));
        if (made) expectNumbers(made.shot);
        if (!some.includes(chosen)) return;
        const timed = outcome(() => withTimingFrom(shot, onlyMove(shot).id, table, chosen));
        if (timed?.outcome === 'read') expectNumbers(timed.shot);
      },
    ),
  );
});

test('a table of increments with one number changed', () => {
  const shot = straightShot(200, 6, { kind: 'ramped', leaveFrames: 2, arriveFrames: 2, ramp: 'soft' });
  const text = writeIncrementsCsv(shot);
  const numbersIn = [...text.matchAll(/-?[\d.]+/g)];
  fc.assert(
    fc.property(fc.nat({ max: numbersIn.length - 1 }), number, (at, to) => {
      const { index, 0: was } = numbersIn[at]!;
      const changed = text.slice(0, index) + to + text.slice(index + was.length);
      const timed = outcome(() => withTimingFrom(shot, 'move1', readIncrementsCsv(changed)));
      if (timed?.outcome === 'read') expectNumbers(timed.shot);
    }),
  );
});

test('shot files', () => {
  const text = writeShotFile(edits.drawArc(empty, { points: straightShot(300, 24).arcs[0]!.points }));
  const numbersIn = [...text.matchAll(/-?[\d.]+/g)];
  fc.assert(
    fc.property(fc.nat({ max: numbersIn.length - 1 }), number, (at, to) => {
      const { index, 0: was } = numbersIn[at]!;
      const shot = outcome(() => readShotFile(text.slice(0, index) + to + text.slice(index + was.length)));
      if (shot && shot.lengthFrames < 3000) expectNumbers(shot);
    }),
  );
});
