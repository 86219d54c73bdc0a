import { edits } from '../edits/edits';
import type { DrawingPicture, Shot } from '../model/schema';
import { circle, shotAlong, straightShot } from '../testing/shapes';
import { evaluate } from './evaluate';
import { bestTravel, contactSteps, measuredAdvance, slips, slipsAt, solveStride } from './stride';

const PIVOT = 50;

/** Drawings of 100 × 100 units whose planted spot lies so far ahead of the pivot; null off the ground. */
const drawings = (...places: (number | null)[]): DrawingPicture[] =>
  places.map((place, i) => ({
    sha256: String(i % 10).repeat(64),
    type: 'image/png',
    name: `step ${i + 1}.png`,
    width: 100,
    height: 100,
    outline: [[0, 0, 100, 0, 100, 100]],
    frames: 1,
    planted: place === null ? null : { x: PIVOT + place, y: 100, contact: 1 },
  }));

/** A figure as high as its drawings, on an arc. */
function walking(shot: Shot, places: (number | null)[]): Shot {
  const drawn = edits.setArtwork(shot, {
    figureId: 'figure1',
    artwork: { kind: 'pictures', drawings: drawings(...places) },
  });
  const sized = edits.setFigure(drawn, { figureId: 'figure1', height: 100, pivot: { x: PIVOT, y: 100 } });
  return edits.setCycle(sized, { moveId: 'move1', cycle: {} });
}

const figureOf = (shot: Shot) => shot.figures[0]!;

describe('the best travel', () => {
  const steps = contactSteps(figureOf(walking(straightShot(600, 25), [40, 22, 3, -18, -40])), 100);

  test('is 20 a frame for places 40, 22, 3, −18, −40; slips 2, 1, −1, −2', () => {
    expect(bestTravel(steps)).toBeCloseTo(20, 12);
    const at20 = slipsAt(steps, 20);
    expect(at20.map((slip) => Math.round(slip * 1e9) / 1e9)).toEqual([2, 1, -1, -2]);
    expect(Math.sqrt(at20.reduce((sum, slip) => sum + slip * slip, 0) / 4)).toBeCloseTo(1.581, 3);
  });

  test('at 18 a frame they are 0, −1, −3, −4', () => {
    expect(slipsAt(steps, 18).map((slip) => Math.round(slip * 1e9) / 1e9 + 0)).toEqual([0, -1, -3, -4]);
  });

  test('counts a drawing for as long as it is held', () => {
    expect(bestTravel([{ frames: 2, change: -40 }])).toBe(20);
    expect(bestTravel([])).toBeNull();
  });

  test('steps end where the spot leaves the ground, or another part comes down', () => {
    const lifted = walking(straightShot(600, 25), [40, 20, null, 40, 20]);
    expect(contactSteps(figureOf(lifted), 100).map(({ from }) => from)).toEqual([1, 4]);
    expect(measuredAdvance(figureOf(lifted), 100, false)).toBeCloseTo(100, 9);
    const [first, second, ...rest] = drawings(40, 20, 40, 20);
    const twoFeet = [
      first!,
      second!,
      ...rest.map((one) => ({ ...one, planted: { ...one.planted!, contact: 2 } })),
    ];
    const figure = { ...figureOf(lifted), artwork: { kind: 'pictures' as const, drawings: twoFeet } };
    expect(contactSteps(figure, 100).map(({ from }) => from)).toEqual([1, 3]);
  });
});

describe('a stride', () => {
  test('40 units in 133 frames: 200 units are 5 cycles, 665 frames', () => {
    const stride = { advance: 40, cycleFrames: 133, travel: 200, frames: 0 };
    expect(stride.advance / stride.cycleFrames).toBeCloseTo(0.3008, 4);
    expect(solveStride(stride, 'frames')).toBe(665);
  });

  test('1,200 units by 150 in 12 frames are 96 intervals; in 80 it takes an advance of 180, or 10 frames', () => {
    const stride = { advance: 150, cycleFrames: 12, travel: 1200, frames: 96 };
    expect(solveStride(stride, 'frames')).toBe(96);
    expect(solveStride({ ...stride, frames: 80 }, 'advance')).toBe(180);
    expect(solveStride({ ...stride, frames: 80 }, 'cycleFrames')).toBe(10);
    expect(solveStride(stride, 'travel')).toBe(1200);
  });
});

describe('slip in the field', () => {
  test('is none on an even travel that matches the stride, and what is over when it does not', () => {
    const even = walking(straightShot(400, 21, { kind: 'even' }), [40, 20, 0, -20, -40]);
    const matched = slips(evaluate(even).travels[0]!);
    expect(matched.largest).toBeLessThan(1e-9);
    // The same drawings on 19 intervals of 400: 400/19 a frame where they ask for 20.
    const quick = slips(evaluate(edits.setLength(even, { lengthFrames: 20 })).travels[0]!);
    expect(quick.largest).toBeCloseTo(400 / 19 - 20, 9);
    expect(quick.mean).toBeCloseTo(400 / 19 - 20, 9);
    // A new step of the foot is no slip: drawing 1 after drawing 5.
    expect(quick.rows.filter(({ slip }) => slip === null)).toHaveLength(4);
  });

  test('off the ground there is none, and no spot', () => {
    const shot = walking(straightShot(400, 21, { kind: 'even' }), [40, null, 40, 20]);
    const { rows } = slips(evaluate(shot).travels[0]!);
    expect(rows.slice(0, 5).map(({ slip }) => slip)).toEqual([null, null, null, expect.closeTo(0, 9), null]);
    expect(rows[1]!.spot).toBeNull();
  });

  test('by way it is never more than the advance of one drawing, however the travel is eased', () => {
    const places = [35, 25, 15, 5, -5, -15, -25, -35];
    const eased = walking(
      straightShot(600, 25, { kind: 'ramped', leaveFrames: 8, arriveFrames: 8, ramp: 'steady' }),
      places,
    );
    const byWay = edits.setCycle(eased, { moveId: 'move1', cycle: { by: 'way', advance: 80 } });
    expect(slips(evaluate(byWay).travels[0]!).largest).toBeLessThan(10 + 1e-9);
    expect(Math.abs(slips(evaluate(byWay).travels[0]!).mean)).toBeLessThan(10);
  });

  test('on a bend it is the length that the spot moves: none in the middle of the circle, a chord on it', () => {
    const round = walking(shotAlong(circle(100), 41), [0]);
    const largest = (pivotY: number): number =>
      slips(
        evaluate(edits.setFigure(round, { figureId: 'figure1', pivot: { x: PIVOT, y: pivotY } })).travels[0]!,
      ).largest;
    // The spot lies at 100 down in the picture, and the circle turns to the right.
    expect(largest(0)).toBeLessThan(0.05);
    expect(largest(100)).toBeCloseTo(200 * Math.sin(Math.PI / 40), 1);
  });
});
