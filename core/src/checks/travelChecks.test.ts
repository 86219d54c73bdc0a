import { applyEdit, edits } from '../edits/edits';
import { freshShape } from '../arc/readyShapes';
import { freshShot } from '../model/freshShot';
import type { Mark, Shot } from '../model/schema';
import {
  arcOf,
  circle,
  corner,
  cubicArc,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { chartOf } from '../timing/easings/ticks';
import { checkShot, type ShotFinding, type TravelCheckName } from '.';

const moveId = 'move1';
const found = (shot: Shot, check: TravelCheckName): readonly ShotFinding[] =>
  checkShot(shot).filter((one) => one.check === check);

/** A straight move with these increments, field units. */
function withSteps(...steps: readonly number[]): Shot {
  const length = steps.reduce((sum, step) => sum + step);
  let way = 0;
  const shares = steps.map((step) => (way += step) / length);
  return withMarks(
    straightShot(length, steps.length + 1),
    markAt(1, 0, { easing: chartOf(shares) }),
    markAt(steps.length + 1, 1),
  );
}

describe('sudden change of spacing', () => {
  test('of neighbours the worst is told: 10, 10, 10, 25, 10 at the fourth', () => {
    expect(found(withSteps(10, 10, 10, 25, 10), 'suddenSpacing')).toMatchObject([
      {
        from: 4,
        until: 5,
        gravity: 'look',
        sentence: 'The spacing changes suddenly on frame 5: a step of 25.0 units after one of 10.0 units.',
      },
    ]);
  });

  test('10, 10, 20, 20 where it changes; a ramp 1, 3, 5, 7, 8, 8 nowhere', () => {
    expect(found(withSteps(10, 10, 20, 20), 'suddenSpacing')).toMatchObject([{ from: 2, until: 3 }]);
    expect(found(withSteps(1, 3, 5, 7, 8, 8), 'suddenSpacing')).toEqual([]);
  });

  test('going over from twos to ones changes no speed', () => {
    const twos = edits.setRangeHeld(straightShot(400, 41), { moveId, from: 1, until: 20, framesHeld: 2 });
    expect(found(twos, 'suddenSpacing')).toEqual([]);
  });

  test('a swing that turns back slows down and speeds up again: nothing is sudden there', () => {
    expect(found(withSteps(9, 6, 3, 0.5, -2.5, -5.5, -8), 'suddenSpacing')).toEqual([]);
  });

  test('not below what is seen, in millimetres where there is a scale; not beside a mark', () => {
    expect(found(withSteps(1, 1, 3, 1, 1), 'suddenSpacing')).toEqual([]);
    const fine = edits.setScale(withSteps(1, 1, 3, 1, 1), { unitsPerMm: 1 });
    expect(found(fine, 'suddenSpacing')[0]!.sentence).toContain('a step of 3.00 mm after one of 1.00 mm');
    const marks = [markAt(1, 0), markAt(11, 0.2, { kind: 'pass' }), markAt(21, 1)];
    expect(found(withMarks(straightShot(500, 21), ...marks), 'suddenSpacing')).toEqual([]);
  });
});

const three = (some: Partial<Mark> = {}): Shot =>
  withMarks(straightShot(500, 21), markAt(1, 0), markAt(11, 0.2, some), markAt(21, 1));

test('a jump of speed after a mark that is passed; flowing through it mends that', () => {
  const shot = three({ kind: 'pass' });
  const [finding] = found(shot, 'jumpAtMark');
  expect(finding!.sentence).toBe(
    'The speed jumps at the mark on frame 11: 10.0 units before it, 40.0 units after it.',
  );
  expect(found(applyEdit(shot, finding!.fix!.edit), 'jumpAtMark')).toEqual([]);
  expect(found(three(), 'jumpAtMark')).toEqual([]);
});

test('a place by hand further off than a third of a step; back to plan mends it', () => {
  const off = (dy: number): Shot => edits.putByHand(straightShot(400, 21), { moveId, frame: 10, dx: 0, dy });
  expect(found(off(6), 'offTheArc')).toEqual([]);
  const [finding] = found(off(9), 'offTheArc');
  expect(finding!.sentence).toMatch(/^Frame 10 was placed by hand 9\.0 units off the plan/);
  expect(found(applyEdit(off(9), finding!.fix!.edit), 'offTheArc')).toEqual([]);
});

test('two pictures in one place are told, unless they are a hold', () => {
  expect(found(withSteps(10, 10, 0, 0, 10), 'twins')).toMatchObject([{ from: 3, until: 5 }]);
  const holds = edits.insertHold(straightShot(400, 21), { moveId, frame: 9, frames: 8, takesLater: true });
  expect(found(holds, 'twins')).toEqual([]);
  expect(found(holds, 'shortHold')).toEqual([]);
});

test('a hold that is over before its second picture; it is made as long as that', () => {
  const brief = edits.insertHold(straightShot(400, 21), { moveId, frame: 9, frames: 1, takesLater: true });
  const [finding] = found(brief, 'shortHold');
  expect(finding).toMatchObject({ from: 9, until: 10, fix: { label: 'Hold for 2 frames' } });
  expect(found(applyEdit(brief, finding!.fix!.edit), 'shortHold')).toEqual([]);
});

test('steps too small to place by hand are told as a range', () => {
  const eased = straightShot(100, 41, { kind: 'ramped', leaveFrames: 20, arriveFrames: 0, ramp: 'steady' });
  const [finding] = found(eased, 'tooSmall');
  expect(finding).toMatchObject({ from: 1, sentence: expect.stringContaining('below 0.5 units') as string });
  expect(found(straightShot(100, 41), 'tooSmall')).toEqual([]);
});

test('steps longer than the figure strobe', () => {
  const small = (height: number): Shot =>
    edits.setFigure(straightShot(400, 11), { figureId: 'figure1', height });
  expect(found(small(30), 'strobing')).toMatchObject([{ from: 1, until: 11 }]);
  expect(found(small(100), 'strobing')).toEqual([]);
});

test('a loop that does not close, in place or in speed', () => {
  const loop = (...marks: Mark[]): Shot => withMarks(shotAlong(circle(300), 24), ...marks);
  expect(found(loop(markAt(1, 0), markAt(25, 1)), 'openCycle')).toEqual([]);
  expect(found(loop(markAt(1, 0), markAt(25, 0.9)), 'openCycle')[0]!.sentence).toMatch(
    /^The loop ends 188\.\d units away/,
  );
  const slowing = markAt(1, 0, {
    easing: { kind: 'ramped', leaveFrames: 0, arriveFrames: 20, ramp: 'steady' },
  });
  expect(found(loop(slowing, markAt(25, 1)), 'openCycle')[0]!.sentence).toMatch(
    /^The loop changes its speed/,
  );
});

test('a heading that snaps where there is neither a mark nor a corner', () => {
  const bend = shotAlong(cubicArc([0, 0], [100, 0], [100, 4], [0, 4]), 9);
  expect(found(bend, 'snappingHeading').length).toBeGreaterThan(0);
  expect(
    found(shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]), 9), 'snappingHeading'),
  ).toEqual([]);
  expect(found(shotAlong(circle(300), 25), 'snappingHeading')).toEqual([]);
});

test('a heading that follows a smooth bend does not snap; one that is turned over by a key, or round a hairpin, does', () => {
  const field = { width: 1920, height: 1080 };
  for (const widthMm of [null, 480])
    for (const lengthFrames of [24, 48]) {
      const empty = freshShot({ name: 'First', rate: 24, lengthFrames, ...field, widthMm });
      const wave = edits.drawArc(empty, { shape: freshShape('wave', field) });
      expect([lengthFrames, checkShot(wave)]).toEqual([lengthFrames, []]);
    }
  const keyed = (track: Shot): Shot =>
    edits.setKey(edits.setKey(track, { moveId, track: 'turn', frame: 10, value: 0 }), {
      moveId,
      track: 'turn',
      frame: 11,
      value: 70,
    });
  expect(found(keyed(shotAlong(circle(300), 25)), 'snappingHeading')).toMatchObject([
    { from: 10, until: 11 },
  ]);
  const hairpin = cubicArc([100, 500], [900, 500], [900, 510], [100, 510]);
  expect(found(shotAlong(hairpin, 9), 'snappingHeading').length).toBeGreaterThan(0);
});

test('a figure that leaves the picture between marks that lie in it', () => {
  const low = shotAlong(cubicArc([100, 900], [400, 1400], [800, 1400], [1100, 900]), 21);
  expect(found(low, 'outOfPicture')[0]!.sentence).toMatch(
    /^The figure leaves the safe margins between its marks/,
  );
  const out = shotAlong(arcOf([corner(-200, 500), corner(800, 500)]), 21);
  expect(found(out, 'outOfPicture')).toEqual([]);
});

test('thresholds of the shot decide, and what is let be is still told as that', () => {
  const sudden = withSteps(10, 10, 10, 25, 10);
  expect(found(edits.setThresholds(sudden, { changeUnits: 40 }), 'suddenSpacing')).toEqual([]);
  expect(() => edits.setThresholds(sudden, { marginShare: 0.6 })).toThrow('at most 0.4');
  const quiet = edits.letBe(sudden, { moveId, check: 'suddenSpacing', frame: 4 });
  expect(found(quiet, 'suddenSpacing')).toMatchObject([{ from: 4, isLetBe: true }]);
  // It goes along with its frames, and is told again when it is asked for.
  const later = edits.shiftPassage(quiet, { moveId, from: 1, until: 6, by: 3, later: 'follow' });
  expect(found(later, 'suddenSpacing')).toMatchObject([{ from: 7, isLetBe: true }]);
  const again = edits.tellAgain(quiet, { moveId, check: 'suddenSpacing', from: 4, until: 5 });
  expect(found(again, 'suddenSpacing')).toMatchObject([{ isLetBe: false }]);
});

test('a fresh move has nothing to be told, and hidden figures are left out', () => {
  const empty = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const drawn = edits.drawArc(empty, { points: [corner(200, 500), corner(1700, 500)] });
  expect(checkShot(drawn).filter(({ check }) => check !== 'tooSmall')).toEqual([]);
  const hidden = edits.setFigure(withSteps(10, 10, 10, 25, 10), { figureId: 'figure1', hidden: true });
  expect(checkShot(hidden)).toEqual([]);
  expect(onlyMove(hidden).marks).toHaveLength(2);
});
