import { arcLength } from '../arc/arcMeasure';
import { ShotError } from '../model/errors';
import { MAX_POINTS } from '../model/limits';
import { fc } from '../testing/property';
import { arcOf } from '../testing/shapes';
import { boxAround, fittingTransform, importedPoints } from './importedArc';
import { readSvgDrawing } from './svgDrawing';
import { readPathData, type SubPath } from './svgPathData';

const IN_PLACE = { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 };
const arcFrom = (path: SubPath) => arcOf(importedPoints(path, IN_PLACE), path.closed);
const lengths = (data: string): number[] => readPathData(data).map((path) => arcLength(arcFrom(path)));
const svg = (inside: string, attributes = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`;

describe('path data', () => {
  test('all commands draw the same, absolute or relative', () => {
    const absolute =
      'M10 10L40 50H100V90C100 120 60 120 60 90S20 60 20 90Q20 120 50 120T80 150A20 20 0 0 1 120 150Z';
    const relative = 'm10 10l30 40h60v40c0 30 -40 30 -40 0s-40 -30 -40 0q0 30 30 30t30 30a20 20 0 0 1 40 0z';
    const [a] = readPathData(absolute);
    const [b] = readPathData(relative);
    expect(a!.closed).toBe(true);
    expect(a!.cubics).toHaveLength(b!.cubics.length);
    a!.cubics.forEach(({ end }, i) => {
      expect(end.x).toBeCloseTo(b!.cubics[i]!.end.x, 9);
      expect(end.y).toBeCloseTo(b!.cubics[i]!.end.y, 9);
    });
  });

  test('elliptical arcs are as long as they should be, flags written without spaces too', () => {
    expect(lengths('M0 0A50 50 0 1 1 100 0')[0]).toBeCloseTo(50 * Math.PI, 4);
    expect(lengths('M0 0a50 50 0 01100 0')[0]).toBeCloseTo(50 * Math.PI, 4);
    // Radii that cannot reach are made larger.
    expect(lengths('M0 0A1 1 0 0 1 100 0')[0]).toBeCloseTo(50 * Math.PI, 4);
    expect(lengths('M0 0A0 10 0 0 1 30 40')[0]).toBeCloseTo(50, 9);
  });

  test('several sub-paths are found, those without extent are not', () => {
    expect(lengths('M0 0h10M50 50z M0 0m5 5h20z')).toEqual([10, 40].map((l) => expect.closeTo(l, 9)));
  });

  test('a single closed segment becomes an arc with two points that goes all round', () => {
    const [loop] = readPathData('M0 0C100 100 -100 100 0 0Z');
    const arc = arcFrom(loop!);
    expect(arc.points.length).toBeGreaterThanOrEqual(2);
    expect(arc.points[0]).not.toMatchObject({ x: arc.points[1]!.x, y: arc.points[1]!.y });
    expect(arcLength(arc)).toBeCloseTo(lengths('M0 0C100 100 -100 100 0 0')[0]!, 6);
  });

  test.each(['', 'hello', 'L10 10', 'M0 0 L10', 'M0 0 C1 2 3 4 5', 'M0 0 A1 1 0 2 0 5 5', 'M0 0L1e999 0'])(
    '“%s” gets one sentence',
    (data) => {
      expect(() => readPathData(data)).toThrow(ShotError);
      expect(() => readPathData(data)).toThrow(/^This isn’t path data: .*\.$/);
    },
  );
});

describe('drawings', () => {
  test('transforms and the view box are worked out', () => {
    const [path] = readSvgDrawing(
      svg(
        '<g transform="translate(10,20) scale(2)"><path transform="rotate(90)" d="M0 0H30"/></g>',
        'viewBox="0 0 100 50" width="300" height="150"',
      ),
    );
    const { start, end } = path!.cubics[0]!;
    expect([start.x, start.y, end.x, end.y]).toEqual([30, 60, 30, 240].map((v) => expect.closeTo(v, 9)));
  });

  test('basic shapes count as paths, what is only defined or hidden does not', () => {
    const paths = readSvgDrawing(
      svg(
        '<defs><path d="M0 0H1"/></defs><rect x="1" y="2" width="30" height="40"/><circle cx="0" cy="0" r="10"/><ellipse cx="0" cy="0" rx="10" ry="5"/><line x1="0" y1="0" x2="3" y2="4"/><polyline points="0,0 3,4 6,8"/><polygon points="0,0 3,0 3,4"/><path d="M0 0H9" display="none"/><path d="M0 0H9" style="display:none"/>',
      ),
    );
    const found = paths.map((path) => Math.round(arcLength(arcFrom(path)) * 100) / 100);
    expect(found).toEqual([140, 62.83, 48.44, 5, 10, 12]);
  });

  test.each([
    ['<svg><path d="M0 0H5"', 'incomplete'],
    ['<html><body/></html>', 'not an SVG'],
    [svg('<text>hi</text>'), 'no path'],
    [svg('<path d="M0 0 zz top"/>'), 'in line 1, it goes wrong at character 10'],
  ])('%s gets one sentence', (text, what) => {
    expect(() => readSvgDrawing(text)).toThrow(what);
    expect(() => readSvgDrawing(text)).toThrow(/^[A-Z].*\.$/);
  });
});

test('fitted to the field a path lies in its middle and fills most of it', () => {
  const paths = readPathData('M0 0C0 -40 100 -40 100 0');
  const transform = fittingTransform(paths, { width: 1000, height: 500 });
  const points = importedPoints(paths[0]!, transform);
  expect(points[0]!.x).toBeCloseTo(100, 6);
  expect(points.at(-1)!.x).toBeCloseTo(900, 6);
  expect((points[0]!.y + (points[0]!.y - 30 * 8)) / 2).toBeCloseTo(250, 6);
  expect(boxAround(paths[0]!.cubics)).toEqual({ left: 0, right: 100, top: -30, bottom: 0 });
});

describe('a path that is brought in', () => {
  const pathOf = (count: number) =>
    readPathData(`M0 0${Array.from({ length: count }, (_, i) => `L${i + 1} ${i % 2}`).join('')}`)[0]!;
  test('has at most as many points as an arc holds', () => {
    expect(importedPoints(pathOf(MAX_POINTS - 1), IN_PLACE)).toHaveLength(MAX_POINTS);
    expect(() => importedPoints(pathOf(MAX_POINTS), IN_PLACE)).toThrow(
      `This path has ${MAX_POINTS} segments; an arc holds at most ${MAX_POINTS}.`,
    );
  });

  test('lies in a box that touches its curves, not their control points', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 8, maxLength: 8 }), (n) => {
        const [start, control1, control2, end] = [0, 2, 4, 6].map((i) => ({ x: n[i]!, y: n[i + 1]! }));
        const cubic = { start: start!, control1: control1!, control2: control2!, end: end! };
        const box = boxAround([cubic]);
        const at = (t: number, axis: 'x' | 'y'): number =>
          (1 - t) ** 3 * cubic.start[axis] +
          3 * (1 - t) ** 2 * t * cubic.control1[axis] +
          3 * (1 - t) * t ** 2 * cubic.control2[axis] +
          t ** 3 * cubic.end[axis];
        const xs = Array.from({ length: 2001 }, (_, i) => at(i / 2000, 'x'));
        const ys = Array.from({ length: 2001 }, (_, i) => at(i / 2000, 'y'));
        expect(box.left).toBeCloseTo(Math.min(...xs), 3);
        expect(box.right).toBeCloseTo(Math.max(...xs), 3);
        expect(box.top).toBeCloseTo(Math.min(...ys), 3);
        expect(box.bottom).toBeCloseTo(Math.max(...ys), 3);
      }),
    );
  });
});

test.each([
  ['', 'there is nothing in it'],
  ['L10 10', 'it must begin with “M”'],
  ['M0 0 L10', 'it goes wrong at character 9'],
])('of path data like “%s” it is said that %s', (data, sentence) => {
  expect(() => readPathData(data)).toThrow(sentence);
});
