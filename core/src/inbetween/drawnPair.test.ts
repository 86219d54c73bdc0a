import { PLAIN_FIGURE } from '../model/plainRiding';
import type { DrawingPicture, Figure, Pin } from '../model/schema';
import { drawnPair, hasNoGround, isLineAlone, pinsFault } from './drawnPair';
import { carriedSpot, inBetween, placeOnSecond, spotBetween } from './inBetween';

const drawing = (...rings: readonly (readonly number[])[]): DrawingPicture => ({
  sha256: '0'.repeat(64),
  type: 'image/png',
  name: 'drawing.png',
  width: 200,
  height: 200,
  outline: rings.map((ring) => [...ring]),
  frames: 1,
  planted: null,
});
const pin = (
  id: string,
  first: readonly [number, number],
  second: readonly [number, number],
  some: Partial<Pin> = {},
): Pin => ({
  id,
  first: { x: first[0], y: first[1] },
  second: { x: second[0], y: second[1] },
  followsFrames: 0,
  bow: null,
  ...some,
});
const figureOf = (drawings: readonly DrawingPicture[], pins: readonly Pin[] = []): Figure => ({
  ...PLAIN_FIGURE,
  id: 'figure1',
  name: 'Harbour master',
  artwork: { kind: 'pictures', drawings },
  height: 200,
  pivot: { x: 100, y: 100 },
  drawingPairs: pins.length > 0 ? [{ first: 1, second: 2, pins }] : [],
});
const square = (x: number, y: number, side: number): number[] => [
  x,
  y,
  x + side,
  y,
  x + side,
  y + side,
  x,
  y + side,
];
const reversed = (ring: readonly number[]): number[] =>
  Array.from({ length: ring.length / 2 }, (_, i) =>
    ring.slice(ring.length - 2 * i - 2, ring.length - 2 * i),
  ).flat();

const at = (figure: Figure, plain: number, ofPins: readonly number[] = []) => {
  const pair = drawnPair(figure, 1, 2)!;
  const outline = figure.artwork.kind === 'pictures' ? figure.artwork.drawings[0]!.outline : [];
  return inBetween(pair, outline, { plain, ofPins });
};
const has = (ring: Float64Array, x: number, y: number): boolean => {
  for (let i = 0; i < ring.length; i += 2) if (Math.hypot(ring[i]! - x, ring[i + 1]! - y) < 1e-6) return true;
  return false;
};

describe('outlines without pins', () => {
  const figure = figureOf([drawing(square(60, 60, 80)), drawing(square(40, 40, 120))]);

  test('have all corners of a drawing in both ends, and grow by the ratio between', () => {
    const [start] = at(figure, 0).rings;
    const [end] = at(figure, 1).rings;
    for (const [x, y] of [
      [60, 60],
      [140, 60],
      [140, 140],
      [60, 140],
    ] as const)
      expect(has(start!, x, y)).toBe(true);
    for (const [x, y] of [
      [40, 40],
      [160, 40],
      [160, 160],
      [40, 160],
    ] as const)
      expect(has(end!, x, y)).toBe(true);
    const half = 40 * Math.sqrt(1.5);
    expect(has(at(figure, 0.5).rings[0]!, 100 - half, 100 - half)).toBe(true);
  });

  test('are begun where they are nearest, however the second one is listed', () => {
    const rolled = [160, 160, 40, 160, 40, 40, 160, 40];
    const other = figureOf([drawing(square(60, 60, 80)), drawing(rolled)]);
    const half = 40 * Math.sqrt(1.5);
    expect(has(at(other, 0.5).rings[0]!, 100 - half, 100 - half)).toBe(true);
  });

  test('a ring without a partner shrinks to its middle; a hole is no partner of a ring', () => {
    const hole = reversed(square(90, 90, 20));
    const two = figureOf([
      drawing(square(60, 60, 80), hole),
      drawing(square(60, 60, 80), square(90, 90, 20)),
    ]);
    const [, shrinking, growing] = at(two, 0.5).rings;
    expect(has(shrinking!, 95, 95)).toBe(true);
    expect(has(growing!, 95, 95)).toBe(true);
    for (const value of at(two, 1).rings[1]!) expect(value).toBeCloseTo(100, 6);
  });
});

describe('pins', () => {
  const box = drawing(square(60, 60, 80));

  test('hold the outline: what is pinned goes where its pin goes', () => {
    // The upper left corner becomes the upper right one: a quarter turn.
    const turns = figureOf(
      [box, box],
      [pin('a', [60, 60], [140, 60]), pin('b', [140, 60], [140, 140]), pin('c', [140, 140], [60, 140])],
    );
    expect(drawnPair(turns, 1, 2)!.whole.radians).toBeCloseTo(Math.PI / 2, 9);
    const between = at(turns, 0.5, [0.5, 0.5, 0.5]);
    expect(has(between.rings[0]!, 100, 100 - 40 * Math.SQRT2)).toBe(true);
    expect(between.pins[0]!.y).toBeCloseTo(100 - 40 * Math.SQRT2, 9);
  });

  test('come at their own time, and the outline between two of them is mixed by its length', () => {
    const wide = drawing(
      [60, 60, 140, 60, 140, 140, 60, 140].map((value, i) => (i % 2 === 0 ? value + 20 : value)),
    );
    const late = figureOf(
      [box, wide],
      [
        pin('a', [60, 60], [80, 60]),
        pin('b', [140, 60], [160, 60]),
        pin('c', [140, 140], [160, 140]),
        pin('d', [60, 140], [80, 140]),
      ],
    );
    const pair = drawnPair(late, 1, 2)!;
    const spot = (x: number, y: number, ofPins: readonly number[]) =>
      spotBetween(pair, carriedSpot(pair, { x, y }, 'first'), { plain: 0.5, ofPins });
    const { whole } = pair;
    const straight = (x: number, y: number, share: number) => {
      const to = { x: x + 20 - 100, y: y - 100 };
      const [cos, sin] = [Math.cos(-whole.radians) / whole.ratio, Math.sin(-whole.radians) / whole.ratio];
      const b = { x: cos * to.x - sin * to.y, y: sin * to.x + cos * to.y };
      const m = { x: x - 100 + share * (b.x - (x - 100)), y: y - 100 + share * (b.y - (y - 100)) };
      const size = whole.ratio ** share;
      const [c, s] = [size * Math.cos(whole.radians * share), size * Math.sin(whole.radians * share)];
      return { x: 100 + c * m.x - s * m.y, y: 100 + s * m.x + c * m.y };
    };
    const shares = [0.5, 0.1, 0.1, 0.5];
    expect(spot(60, 60, shares).x).toBeCloseTo(straight(60, 60, 0.5).x, 9);
    expect(spot(140, 60, shares).x).toBeCloseTo(straight(140, 60, 0.1).x, 9);
    // Half-way between both pins it is at the mean of their shares.
    const middle = straight(100, 60, 0.3);
    const ring = at(late, 0.5, shares).rings[0]!;
    expect(has(ring, middle.x, middle.y)).toBe(true);
  });

  test('go by an arc: half-way off their straight way by the whole bow', () => {
    const bent = figureOf([box, box], [pin('a', [60, 60], [60, 60], { bow: { x: -10, y: 4 } })]);
    expect(at(bent, 0.5, [0.5]).pins[0]).toEqual({ x: 50, y: 64 });
    expect(at(bent, 0, [0]).pins[0]).toEqual({ x: 60, y: 60 });
    const at1 = at(bent, 1, [1]).pins[0]!;
    expect(at1.x).toBeCloseTo(60, 9);
  });

  test('are the same the other way round', () => {
    const figure = figureOf([box, drawing(square(40, 40, 120))], [pin('a', [60, 60], [160, 40])]);
    const back = drawnPair(figure, 2, 1)!;
    expect(back.pins[0]).toMatchObject({ first: { x: 160, y: 40 }, second: { x: 60, y: 60 } });
    const there = at(figure, 0.3, [0.3]).pins[0]!;
    const here = inBetween(back, [], { plain: 0.7, ofPins: [0.7] }).pins[0]!;
    expect(here.x).toBeCloseTo(there.x, 9);
    expect(here.y).toBeCloseTo(there.y, 9);
  });

  test('that come in another order on the other drawing are told, and those on one spot', () => {
    const crossed = [
      pin('a', [60, 60], [60, 60]),
      pin('b', [140, 60], [60, 140]),
      pin('c', [140, 140], [140, 60]),
    ];
    const ask = (pins: readonly Pin[]) => pinsFault(figureOf([box, box], pins), { first: 1, second: 2 });
    expect(ask([...crossed, pin('d', [60, 140], [140, 140])])).toContain('outlines would cross');
    expect(ask([pin('a', [60, 60], [60, 60]), pin('b', [60.5, 60], [90, 60])])).toContain(
      'a pin on that spot',
    );
    expect(ask([pin('a', [60, 60], [60, 60]), pin('b', [140, 60], [140, 60])])).toBeNull();
    // One ring cannot become two.
    const pairOfBoxes = drawing(square(20, 60, 60), square(120, 60, 60));
    const split = figureOf(
      [box, pairOfBoxes],
      [pin('a', [60, 60], [20, 60]), pin('b', [140, 60], [180, 60])],
    );
    expect(pinsFault(split, { first: 1, second: 2 })).toContain('outlines would cross');
  });

  test('a spot that nobody pinned goes with those about it, and exactly with a pin that it lies on', () => {
    const figure = figureOf([box, drawing(square(40, 40, 120))], [pin('a', [100, 80], [100, 60])]);
    const pair = drawnPair(figure, 1, 2)!;
    const on = placeOnSecond(pair, carriedSpot(pair, { x: 100, y: 80 }, 'first'));
    expect(on.x).toBeCloseTo(100, 9);
    expect(on.y).toBeCloseTo(60, 9);
    const corner = placeOnSecond(pair, carriedSpot(pair, { x: 60, y: 60 }, 'first'));
    expect(corner.x).toBeCloseTo(40, 6);
    const back = carriedSpot(pair, { x: 40, y: 40 }, 'second').first;
    expect(back.x + 100).toBeCloseTo(60, 6);
  });
});

describe('drawings that have no outline to go by', () => {
  const stroke = drawing([50, 50, 150, 52, 150, 54, 50, 52]);

  test('a line alone goes by its pins only', () => {
    expect(isLineAlone(stroke)).toBe(true);
    expect(isLineAlone(drawing(square(60, 60, 80)))).toBe(false);
    expect(at(figureOf([stroke, stroke]), 0.5).rings).toEqual([]);
    const pinned = figureOf([stroke, stroke], [pin('a', [50, 51], [50, 91]), pin('b', [150, 53], [150, 93])]);
    const [ring] = at(pinned, 0.5, [0.5, 0.5]).rings;
    expect(ring).toHaveLength(8);
    expect(ring![1]).toBeGreaterThan(65);
  });

  test('a picture without clear ground is known by an outline that is the edge of its paper', () => {
    expect(hasNoGround(drawing([0, 0, 200, 0, 200, 200, 0, 200]))).toBe(true);
    expect(hasNoGround(drawing(square(60, 60, 80)))).toBe(false);
  });
});
