import type { DrawingPicture, Shot } from '../model/schema';
import { shotSchema } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { drawingFramesFor, slips, strideOf } from '../motion/stride';
import { onlyMove, straightShot } from '../testing/shapes';
import { edits } from './edits';

const moveId = 'move1';

/** A figure of eight drawings, 80 units an advance at its own height, over 600 units in 25 frames. */
function rowing(easing: Parameters<typeof straightShot>[2] = { kind: 'even' }): Shot {
  const drawings = Array.from({ length: 8 }, (_, i): DrawingPicture => ({
    sha256: String(i).repeat(64),
    type: 'image/svg+xml',
    name: `stroke ${i + 1}.svg`,
    width: 100,
    height: 50,
    outline: [[0, 0, 100, 0, 100, 50]],
    frames: 1,
    planted: null,
  }));
  const drawn = edits.setArtwork(straightShot(600, 25, easing), {
    figureId: 'figure1',
    artwork: { kind: 'pictures', drawings },
  });
  let shot = edits.setFigure(drawn, { figureId: 'figure1', height: 50, pivot: { x: 50, y: 50 } });
  for (let i = 0; i < 5; i++)
    shot = edits.setPlanted(shot, { figureId: 'figure1', drawing: i + 1, spot: { x: 90 - 10 * i, y: 45 } });
  return edits.setCycle(shot, { moveId, cycle: {} });
}

const travelOf = (shot: Shot) => evaluate(shot).travels[0]!;

test('the stride of a move: its drawings ask for 10 a frame, 80 a cycle', () => {
  expect(strideOf(travelOf(rowing()))).toEqual({
    advance: expect.closeTo(80, 9),
    cycleFrames: 8,
    travel: 600,
    frames: 24,
  });
  expect(strideOf(travelOf(straightShot(600, 25)))).toBeNull();
});

test('the frames of the move give way: 60 intervals, the shot grows, and nothing slips', () => {
  const matched = edits.matchStride(rowing(), { moveId, match: 'frames' });
  expect(matched.lengthFrames).toBe(61);
  expect(onlyMove(matched).marks[1]!.frame).toBe(61);
  expect(slips(travelOf(matched)).largest).toBeLessThan(1e-9);
  expect(shotSchema.safeParse(matched).success).toBe(true);
});

test('how far it goes gives way: 240 units, and nothing slips', () => {
  const matched = edits.matchStride(rowing(), { moveId, match: 'travel' });
  expect(onlyMove(matched).marks[1]!.fraction).toBeCloseTo(0.4, 12);
  expect(slips(travelOf(matched)).largest).toBeLessThan(1e-9);
});

test('the drawings give way where they can: held longer for a slow travel, and refused for one too quick', () => {
  // 600 units in 24 intervals ask for a cycle of 3.2 frames, and there are eight drawings.
  expect(() => edits.matchStride(rowing(), { moveId, match: 'cycleFrames' })).toThrow(
    'The drawings cannot be held for so few frames, or so many.',
  );
  const slow = edits.setMoveFrames(edits.setLength(rowing(), { lengthFrames: 121 }), {
    moveId,
    first: 1,
    last: 121,
  });
  const matched = edits.matchStride(slow, { moveId, match: 'cycleFrames' });
  const { artwork } = matched.figures[0]!;
  expect(artwork.kind === 'pictures' && artwork.drawings.map(({ frames }) => frames)).toEqual(
    Array.from({ length: 8 }, () => 2),
  );
  // A drawing that is held for two frames moves on with its figure on the second one.
  expect(strideOf(travelOf(matched))!.advance).toBeCloseTo(80, 9);
});

test('on an eased travel the cycle follows the distance, and slips no more than a drawing’s advance', () => {
  const eased = rowing({ kind: 'ramped', leaveFrames: 8, arriveFrames: 8, ramp: 'steady' });
  const before = slips(travelOf(eased));
  const matched = edits.matchStride(eased, { moveId, match: 'by-way' });
  expect(onlyMove(matched).cycle).toMatchObject({ by: 'way', advance: expect.closeTo(80, 9) });
  const after = slips(travelOf(matched));
  expect(after.largest).toBeLessThanOrEqual(10 + 1e-9);
  expect(after.largest).toBeLessThan(before.largest);
});

test('the advance follows from the frames there are: 600 units in 24 intervals, eight frames a cycle', () => {
  const matched = edits.matchStride(rowing(), { moveId, match: 'advance' });
  expect(onlyMove(matched).cycle).toMatchObject({ by: 'way', advance: expect.closeTo(200, 9) });
  // One drawing a frame then, as by time.
  const drawings = slips(travelOf(matched)).rows.map(({ spot }) => spot !== null);
  expect(drawings.slice(0, 8)).toEqual([true, true, true, true, true, false, false, false]);
});

test('an advance that is typed stands in where nothing is planted', () => {
  const lifted = [1, 2, 3, 4, 5].reduce(
    (shot, drawing) => edits.setPlanted(shot, { figureId: 'figure1', drawing, spot: null }),
    edits.setCycle(rowing(), { moveId, cycle: { advance: 150 } }),
  );
  expect(strideOf(travelOf(lifted))!.advance).toBe(150);
  expect(onlyMove(edits.matchStride(lifted, { moveId, match: 'frames' })).marks[1]!.frame).toBe(33);
});

test('a spot that is dragged off its picture stays on its edge, so that the shot can be kept', () => {
  const off = edits.setPlanted(rowing(), { figureId: 'figure1', drawing: 1, spot: { x: -40, y: 900 } });
  const { artwork } = off.figures[0]!;
  expect(artwork.kind === 'pictures' && artwork.drawings[0]!.planted).toEqual({ x: 0, y: 50, contact: 1 });
  expect(shotSchema.safeParse(off).success).toBe(true);
});

test('what has no stride is said, and so is a drawing that there is not', () => {
  expect(() => edits.matchStride(straightShot(100, 10), { moveId, match: 'frames' })).toThrow(
    'A stride needs drawings with a planted spot',
  );
  expect(() => edits.setPlanted(rowing(), { figureId: 'figure1', drawing: 9, spot: null })).toThrow(
    'The figure has no drawing 9.',
  );
  const lifted = edits.setPlanted(rowing(), { figureId: 'figure1', drawing: 2, spot: null });
  expect(strideOf(travelOf(lifted))!.advance).toBeCloseTo(80, 9);
});

test('whole frames are shared out as they were held: 1, 1, 2 in eight frames are 2, 2, 4', () => {
  expect(drawingFramesFor([1, 1, 2], 8)).toEqual([2, 2, 4]);
  expect(drawingFramesFor([1, 1, 1], 10)).toEqual([4, 3, 3]);
  expect(drawingFramesFor([1, 1, 8], 4)).toEqual([1, 1, 2]);
  expect(drawingFramesFor([1, 1, 1], 2)).toBeNull();
});
