import type { Vector } from '../arc/vector';
import { traceOutline } from '../motion/traceOutline';
import { clearPaper, enclosedMask, findLevels } from './clearPaper';
import { evenLight } from './evenLight';
import { laidOn, lineUpMap, straightened } from './lineUp';
import { blankPixels, brightness, type Pixels } from './pixels';
import { findRegisterMarks } from './registerMarks';

const [WIDTH, HEIGHT] = [480, 360];
const MARKS: readonly Vector[] = [
  { x: 60, y: 330 },
  { x: 240, y: 330 },
  { x: 420, y: 330 },
];
const RING = { x: 250, y: 150, radius: 80 };
const ARM = 9;

/** How far a place of the sheet is from ink, less than 0 on it: a circle drawn in line, and a row of crosses or holes. */
const inked =
  (marks: readonly Vector[], kind: 'cross' | 'hole') =>
  (x: number, y: number): number => {
    let away = Math.abs(Math.hypot(x - RING.x, y - RING.y) - RING.radius) - 1.6;
    for (const mark of marks) {
      const dx = Math.abs(x - mark.x);
      const dy = Math.abs(y - mark.y);
      away = Math.min(
        away,
        kind === 'hole'
          ? Math.hypot(dx, dy) - ARM
          : Math.min(Math.max(dx - 1.3, dy - ARM), Math.max(dy - 1.3, dx - ARM)),
      );
    }
    return away;
  };

/** A photograph of a sheet: lit from the upper left, seen turned and shifted, with soft edges. */
function sheet(
  away: (x: number, y: number) => number,
  {
    turnDeg = 0,
    dx = 0,
    dy = 0,
  }: { readonly turnDeg?: number; readonly dx?: number; readonly dy?: number } = {},
): Pixels {
  const pixels = blankPixels(WIDTH, HEIGHT);
  const angle = (turnDeg * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const px = x + 0.5 - 240 - dx;
      const py = y + 0.5 - 180 - dy;
      const dark = Math.min(1, Math.max(0, 0.5 - away(240 + cos * px + sin * py, 180 - sin * px + cos * py)));
      const level = (235 - 0.2 * x - 0.15 * y) * (1 - 0.85 * dark);
      const at = 4 * (y * WIDTH + x);
      pixels.data.fill(level, at, at + 3);
      pixels.data[at + 3] = 255;
    }
  return pixels;
}

/** Where a point of the sheet is on a picture that was turned and shifted. */
const seenAt = ({ x, y }: Vector, turnDeg: number, dx: number, dy: number): Vector => {
  const angle = (turnDeg * Math.PI) / 180;
  const [px, py] = [x - 240, y - 180];
  return {
    x: 240 + dx + Math.cos(angle) * px - Math.sin(angle) * py,
    y: 180 + dy + Math.sin(angle) * px + Math.cos(angle) * py,
  };
};
const at = ({ data, width }: Pixels, x: number, y: number): readonly number[] =>
  Array.from(data.slice(4 * (y * width + x), 4 * (y * width + x) + 4));

test('uneven light is evened: paper is white in all corners, however it was lit', () => {
  const even = evenLight(sheet(inked(MARKS, 'cross')));
  for (const [x, y] of [
    [5, 5],
    [474, 5],
    [5, 354],
    [474, 354],
    [250, 150],
  ] as const) {
    const [red, green, blue] = at(even, x, y);
    expect(brightness(red!, green!, blue!)).toBeGreaterThan(x === 250 ? 250 : 238);
  }
});

describe('paper to clear ground', () => {
  const even = evenLight(sheet(inked([], 'cross')));
  const levels = findLevels(even);

  test('white and black are found: paper above the one, line at the other', () => {
    expect(levels.white).toBeGreaterThan(200);
    expect(levels.white).toBeLessThanOrEqual(250);
    expect(levels.black).toBeGreaterThan(20);
    expect(levels.black).toBeLessThan(110);
  });

  test('paper is clear, the line is whole in its middle and soft at its edge', () => {
    const clear = clearPaper(even, levels);
    expect(at(clear, 20, 20)[3]).toBe(0);
    expect(at(clear, 250, 150)[3]).toBe(0);
    const across = Array.from({ length: 9 }, (_, i) => at(clear, 326 + i, 150)[3]!);
    expect(Math.max(...across)).toBeGreaterThan(230);
    expect(across.some((alpha) => alpha > 20 && alpha < 220)).toBe(true);
    const [red] = at(clear, 330, 150);
    expect(red).toBeLessThan(90);
  });

  test('a coloured pencil keeps its colour', () => {
    const blue = blankPixels(64, 64);
    for (let i = 0; i < 64 * 64; i++)
      blue.data.set(i % 64 === 32 ? [90, 120, 210, 255] : [240, 240, 240, 255], 4 * i);
    const clear = clearPaper(evenLight(blue), { white: 245, black: 120 });
    const [r, , b, alpha] = at(clear, 32, 30);
    expect(alpha).toBeGreaterThan(200);
    expect(b! - r!).toBeGreaterThan(80);
  });

  test('what a line encloses belongs to the figure, and its outline is one ring', () => {
    const mask = enclosedMask(clearPaper(even, levels), 128);
    const outline = traceOutline(mask, WIDTH / mask.width)!;
    expect(outline).toHaveLength(1);
    const [ring] = outline;
    let double = 0;
    for (let i = 0; i < ring!.length; i += 2) {
      const j = (i + 2) % ring!.length;
      double += ring![i]! * ring![j + 1]! - ring![j]! * ring![i + 1]!;
    }
    const circle = Math.PI * (RING.radius + 1.6) ** 2;
    expect(Math.abs(double / 2) / circle).toBeGreaterThan(0.9);
    expect(Math.abs(double / 2) / circle).toBeLessThan(1.12);
  });
});

describe.each(['cross', 'hole'] as const)('register marks: %s', (kind) => {
  const [turnDeg, dx, dy] = [2.3, 6.4, -7.7];
  const first = evenLight(sheet(inked(MARKS, kind)));
  const second = evenLight(sheet(inked(MARKS, kind), { turnDeg, dx, dy }));

  test('are found to a part of a pixel', () => {
    const found = findRegisterMarks(first);
    expect(found.isComplete).toBe(true);
    found.marks.forEach((mark, i) => {
      expect(Math.hypot(mark.x - MARKS[i]!.x, mark.y - MARKS[i]!.y)).toBeLessThan(0.15);
    });
  });

  test('line sheets up: the same spot is within 0.5 px on both', () => {
    const map = lineUpMap(findRegisterMarks(second).marks, findRegisterMarks(first).marks);
    for (const spot of [RING, { x: 100, y: 60 }, { x: 430, y: 40 }]) {
      const on = seenAt(spot, turnDeg, dx, dy);
      const back = { x: map.a * on.x + map.c * on.y + map.e, y: map.b * on.x + map.d * on.y + map.f };
      expect(Math.hypot(back.x - spot.x, back.y - spot.y)).toBeLessThan(0.5);
    }
    // In the picture, too: the middle of the drawn circle has not moved.
    const laid = laidOn(second, map, first);
    const middle = (pixels: Pixels): Vector => {
      let [sum, x, y] = [0, 0, 0];
      for (let row = 60; row < 240; row++)
        for (let column = 160; column < 340; column++) {
          const [r, g, b] = at(pixels, column, row);
          const weight = Math.max(0, 200 - brightness(r!, g!, b!));
          sum += weight;
          x += weight * column;
          y += weight * row;
        }
      return { x: x / sum, y: y / sum };
    };
    const [a, b] = [middle(first), middle(laid)];
    expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(0.5);
  });

  test('one that is hidden is told', () => {
    const hidden = findRegisterMarks(evenLight(sheet(inked(MARKS.slice(0, 2), kind))));
    expect(hidden.isComplete).toBe(false);
    expect(hidden.marks).toHaveLength(2);
  });
});

test('marks that are laid out otherwise belong to no sheet of this kind', () => {
  const other = [
    { x: 60, y: 60 },
    { x: 60, y: 300 },
    { x: 420, y: 60 },
  ];
  expect(() => lineUpMap(other, MARKS)).toThrow('laid out alike');
});

test('a photograph is straightened by four corners', () => {
  const photograph = sheet(inked([], 'cross'), { turnDeg: 10 });
  const corners = [
    { x: 150, y: 50 },
    { x: 350, y: 50 },
    { x: 350, y: 250 },
    { x: 150, y: 250 },
  ].map((spot) => seenAt(spot, 10, 0, 0));
  const [a, b, c, d] = corners;
  const straight = straightened(photograph, [a!, b!, c!, d!]);
  expect([straight.width, straight.height]).toEqual([200, 200]);
  // The circle stands in the middle of the square that was cut out.
  const [red] = at(straight, 100 + RING.radius, 100);
  expect(red).toBeLessThan(120);
  expect(() => straightened(photograph, [a!, c!, b!, d!])).toThrow();
});
