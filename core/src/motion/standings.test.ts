import { anyTimingEdit } from '../testing/anyTimingEdit';
import {
  anyArc,
  arcOf,
  circle,
  corner,
  everyEasing,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { fc } from '../testing/property';
import { applyEdit, edits } from '../edits/edits';
import { ShotError } from '../model/errors';
import { evaluateMove } from './evaluate';
import { standingsOn } from './standings';

const FRAMES = 30;

test('a figure stands on single frames where the whole evaluation has it', () => {
  fc.assert(
    fc.property(
      anyArc,
      everyEasing(FRAMES - 1),
      fc.array(anyTimingEdit, { maxLength: 6 }),
      (arc, easing, edits) => {
        let shot = shotAlong(arc, FRAMES, easing);
        for (const edit of edits)
          try {
            shot = applyEdit(shot, edit);
          } catch (error) {
            if (!(error instanceof ShotError)) throw error;
          }
        const [move] = shot.moves;
        if (!move) return;
        const travel = evaluateMove(shot, move);
        const frames = Array.from({ length: shot.lengthFrames }, (_, i) => i + 1);
        for (const { frame, x, y, pivotX, pivotY, directionDeg, headingDeg } of standingsOn(
          shot,
          move,
          frames,
        )) {
          expect(x).toBeCloseTo(travel.x[frame - 1]!, 6);
          expect(y).toBeCloseTo(travel.y[frame - 1]!, 6);
          expect(pivotX).toBeCloseTo(travel.pivotX[frame - 1]!, 6);
          expect(pivotY).toBeCloseTo(travel.pivotY[frame - 1]!, 6);
          expect(directionDeg).toBeCloseTo(travel.direction[frame - 1]!, 6);
          expect(headingDeg).toBeCloseTo(travel.heading[frame - 1]!, 6);
        }
      },
    ),
  );
});

test('in the middle of a long hold at a corner it looks as it did when it arrived', () => {
  const angle = arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]);
  const shot = withMarks(
    shotAlong(angle, 20_000),
    markAt(1, 0),
    markAt(100, 0.5),
    markAt(19_900, 0.5),
    markAt(20_000, 1),
  );
  const [held, gone] = standingsOn(shot, onlyMove(shot), [15_000, 19_950]);
  expect(held).toMatchObject({ x: 100, y: 0, headingDeg: 0 });
  expect(gone!.headingDeg).toBeCloseTo(90, 9);
});

test('a frame that was put by hand stands off the arc by as much', () => {
  const shot = straightShot(100, 11);
  const put = edits.putByHand(shot, { moveId: 'move1', frame: 6, dx: 3, dy: -8 });
  expect(standingsOn(put, onlyMove(put), [5, 6])).toMatchObject([
    { x: expect.closeTo(40, 9), y: 0 },
    { x: expect.closeTo(53, 9), y: -8 },
  ]);
});

test('a heading that hangs on the frames about it is the same on a single one', () => {
  const bend = withMarks(shotAlong(circle(300), 30), markAt(1, 0), markAt(12, 0.6), markAt(30, 0.2));
  const { id: moveId } = onlyMove(bend);
  const shot = edits.setTurning(bend, {
    moveId,
    backwards: 'faces',
    smoothFrames: 7,
    lean: { by: 'most', mostDeg: 20, smoothFrames: 5 },
  });
  const sized = edits.setKey(edits.setKey(shot, { moveId, track: 'size', frame: 9, value: 40 }), {
    moveId,
    track: 'opacity',
    frame: 5,
    value: 25,
  });
  const { heading, tracks } = evaluateMove(sized, onlyMove(sized));
  for (const { frame, headingDeg, scale, opacity } of standingsOn(sized, onlyMove(sized), [1, 9, 13, 30])) {
    expect(headingDeg).toBe(heading[frame - 1]);
    expect(opacity).toBe(0.25);
    expect(scale.across).toBe(tracks.size[frame - 1]! / 100);
  }
});
