import { edits } from '../edits/edits';
import { fc } from '../testing/property';
import { freshShot } from '../model/freshShot';
import { openShot } from '../model/openShot';
import type { Perspective, Shot } from '../model/schema';
import { smoothThrough } from '../arc/smoothing';
import { applyHomography, inverseHomography } from '../arc/homography';
import { handError, MAX_HAND_ERROR_MM, placedByHand, seededShare } from './cardboardStage';
import { plannedOn } from './deviation';
import { nextPlacement } from './nextPlacement';
import { setReading, tableGrid, tableOf } from './setReading';
import { spokenIncrement } from './spokenIncrement';

const A4: Perspective = {
  upperLeft: { x: 312, y: 210 },
  upperRight: { x: 1610, y: 236 },
  lowerRight: { x: 1784, y: 905 },
  lowerLeft: { x: 180, y: 870 },
  widthMm: 297,
  heightMm: 210,
};

const PICTURE = { sha256: 'b'.repeat(64), type: 'image/png', name: 'p', width: 1920, height: 1080 } as const;

/** A move over places of the table, drawn where a camera sees them. @param places millimetres from the sheet's corner */
function onTable(places: readonly { x: number; y: number }[]): Shot {
  const seen = inverseHomography(tableOf(A4));
  const empty = freshShot({ name: 'Set', rate: 12, lengthFrames: 21, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, {
    points: smoothThrough(places.map((place) => applyHomography(seen, place))),
  });
  return edits.setPerspective(drawn, { perspective: A4 });
}

test('on the table a straight way of 150 mm is 150 mm, and its increments add up to it', () => {
  let shot = onTable([
    { x: 40, y: 60 },
    { x: 160, y: 150 },
  ]);
  const { arcs } = shot;
  const { alongOf, units } = setReading(shot);
  expect(units).toBe('mm');
  const all = alongOf(arcs[0]!, Infinity);
  expect(all).toBeCloseTo(150, 6);
  let [along, right, down] = [0, 0, 0];
  for (;;) {
    const next = nextPlacement(shot);
    if (!next) break;
    along += next.figures[0]!.along ?? 0;
    right += next.figures[0]!.right ?? 0;
    down += next.figures[0]!.down ?? 0;
    shot = edits.takePicture(shot, { picture: PICTURE });
  }
  expect(along).toBeCloseTo(150, 6);
  expect([right, down]).toEqual([expect.closeTo(120, 6), expect.closeTo(90, 6)]);
});

test('corners that are none are refused, and the shot stays as it was', () => {
  const shot = onTable([
    { x: 40, y: 60 },
    { x: 160, y: 150 },
  ]);
  expect(() => edits.setPerspective(shot, { perspective: { ...A4, upperRight: A4.upperLeft } })).toThrow(
    'on one line',
  );
  expect(edits.setPerspective(shot, { perspective: null }).shoot.perspective).toBeNull();
  expect(shot.field.unitsPerMm).toBeCloseTo(Math.hypot(1298, 26) / 297, 9);
  expect(openShot(JSON.parse(JSON.stringify(shot)))).toEqual(shot);
});

test('the hand of the stage misses by 0.8 mm at most, the same way each time', () => {
  fc.assert(
    fc.property(fc.integer(), fc.integer({ min: 1, max: 20_000 }), (seed, frame) => {
      const { x, y } = handError(seed, frame, 'move1');
      expect(Math.hypot(x, y)).toBeLessThanOrEqual(MAX_HAND_ERROR_MM);
      expect(handError(seed, frame, 'move1')).toEqual({ x, y });
    }),
  );
  const shares = Array.from({ length: 2000 }, (_, i) => seededShare(7, 'far', i));
  expect(shares.reduce((sum, one) => sum + one, 0) / shares.length).toBeCloseTo(0.5, 1);
  expect(Math.min(...shares)).toBeLessThan(0.01);
  expect(Math.max(...shares)).toBeGreaterThan(0.99);
});

test('on the stage figures stand within 0.8 mm of their plan, by the scale of the field', () => {
  const empty = freshShot({ name: 'Set', rate: 12, lengthFrames: 12, width: 800, height: 450, widthMm: 400 });
  const shot = edits.drawArc(empty, {
    points: smoothThrough([
      { x: 100, y: 100 },
      { x: 500, y: 200 },
    ]),
  });
  const move = shot.moves[0]!;
  const offs = Array.from({ length: 12 }, (_, i) => {
    const stands = placedByHand(shot, i + 1, 3)[move.id]!;
    const plan = plannedOn(shot, move, i + 1);
    return Math.hypot(stands.x - plan.x, stands.y - plan.y) / 2;
  });
  expect(Math.max(...offs)).toBeLessThanOrEqual(0.8);
  expect(Math.max(...offs)).toBeGreaterThan(0.4);
});

const figure = {
  moveId: 'move1',
  name: 'Harbour master',
  along: null,
  right: null,
  down: null,
  turnDeg: null,
  drawing: null,
  to: { x: 0, y: 0 },
};
const next = { frame: 2, framesHeld: 1, left: 3, units: 'mm' } as const;

test.each([
  [
    { along: 4.5, right: 4.4, down: 0.8, turnDeg: 2 },
    '4.5 millimetres along, 4.4 right, 0.8 down, turn 2 degrees clockwise.',
  ],
  [
    { along: -1, right: -1, down: 0, turnDeg: -1 },
    'Back 1 millimetre along, 1 left, turn 1 degree anticlockwise.',
  ],
  [{ along: 0.3000000004, right: 0, down: -0.3, turnDeg: 0 }, '0.3 millimetres along, 0.3 up.'],
  [{ along: 0, right: 0, down: 0, turnDeg: 0 }, 'Stays.'],
  [{ along: 0, right: 0, down: 0, turnDeg: 0, drawing: 3 }, 'Drawing 3.'],
  [{}, 'Put it at the start.'],
])('%j is spoken as “%s”', (change, words) => {
  expect(spokenIncrement({ ...next, figures: [{ ...figure, ...change }] })).toBe(words);
});

test('with several figures each is named', () => {
  const words = spokenIncrement({
    ...next,
    units: 'field',
    figures: [
      { ...figure, along: 12 },
      { ...figure, name: 'Dog', along: 1 },
    ],
  });
  expect(words).toBe('Harbour master: 12 units along. Dog: 1 unit along.');
});

test('the grid of the table is straight lines of 50 mm in the picture, within the field', () => {
  const field = { width: 1920, height: 1080, unitsPerMm: null };
  const lines = tableGrid(A4, field);
  expect(lines.length).toBeGreaterThan(10);
  const table = tableOf(A4);
  for (const line of lines) {
    const places = line.map((at) => applyHomography(table, at));
    const isUpright = Math.abs(places[0]!.x - places.at(-1)!.x) < 1e-6;
    for (const { x, y } of places) {
      const lines50 = (isUpright ? x : y) / 50;
      expect(lines50 - Math.round(lines50)).toBeCloseTo(0, 6);
    }
    for (const { x, y } of line) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(1920);
      expect(y).toBeLessThanOrEqual(1080);
    }
  }
});
