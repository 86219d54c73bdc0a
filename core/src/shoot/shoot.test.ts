import { edits } from '../edits/edits';
import { AS_PLANNED } from '../edits/shootEdits';
import { checkShot } from '../checks';
import { freshShot } from '../model/freshShot';
import { openShot } from '../model/openShot';
import { SHOT_VERSION } from '../model/version';
import type { Shot } from '../model/schema';
import { incrementTable } from '../spacing/increments';
import { evaluate } from '../motion/evaluate';
import { smoothThrough } from '../arc/smoothing';
import { deviationsOf } from './deviation';
import { nextPlacement } from './nextPlacement';
import { latestPicture, pictureSeenOn, placementsOf, standingPictures } from './placements';
import type { ReplanWay } from './replan';

const PLAN = [0, 2, 8, 18, 30, 42, 54, 66, 76, 84, 90, 92];

const PICTURE = {
  sha256: 'a'.repeat(64),
  type: 'image/png',
  name: 'picture',
  width: 1920,
  height: 1080,
} as const;

/** The plan of the design: on a straight arc of 100 mm, a unit a millimetre, from frame 1 on. */
function planned(rulerStep: number | null = null): Shot {
  const empty = freshShot({
    name: 'Set',
    rate: 12,
    lengthFrames: 12,
    width: 400,
    height: 225,
    widthMm: 400,
    rulerStep,
  });
  const drawn = edits.drawArc(empty, {
    points: smoothThrough([
      { x: 100, y: 100 },
      { x: 200, y: 100 },
    ]),
  });
  const move = drawn.moves[0]!;
  const [first, last] = [move.marks[0]!, move.marks[1]!];
  const timed: Shot = {
    ...drawn,
    moves: [
      {
        ...move,
        turnsWithArc: false,
        marks: [
          { ...first, easing: { kind: 'ticks', fractions: PLAN.slice(1).map((mm) => mm / 92) } },
          { ...last, fraction: 0.92 },
        ],
      },
    ],
  };
  return openShot(timed);
}

const take = (shot: Shot, count: number): Shot =>
  Array.from({ length: count }).reduce<Shot>((one) => edits.takePicture(one, { picture: PICTURE }), shot);

const placesOf = (shot: Shot): number[] =>
  [...evaluate(shot).travels[0]!.arcDistance].map((mm) => Math.round(mm * 1000) / 1000);

/** Five pictures taken, the fifth stands at 33 mm instead of 30. */
function off(): Shot {
  const shot = take(planned(), 5);
  return edits.setActual(shot, { takenId: latestPicture(shot)!.id, moveId: 'move1', x: 133, y: 100 });
}

const replan = (shot: Shot, way: ReplanWay): Shot =>
  edits.replan(shot, { takenId: latestPicture(shot)!.id, moveId: 'move1', way });

test('the plan leads through its placements, and what is left is counted', () => {
  const shot = planned();
  expect(placementsOf(shot)).toHaveLength(12);
  expect(nextPlacement(shot)).toMatchObject({ frame: 1, left: 12, figures: [{ along: null }] });
  const five = take(shot, 5);
  expect(nextPlacement(five)).toMatchObject({
    frame: 6,
    left: 7,
    figures: [{ along: 12, right: 12, down: 0 }],
  });
  expect(nextPlacement(take(shot, 12))).toBeNull();
  expect(() => take(shot, 13)).toThrow('All pictures of this shot are taken');
});

test('increments on the ruler add up to the plan', () => {
  const shot = planned(0.5);
  const next = Array.from({ length: 11 }, (_, i) => nextPlacement(take(shot, i + 1))!.figures[0]!.along!);
  expect(next.reduce((sum, one) => sum + one, 0)).toBe(92);
  next.forEach((one) => expect(one % 0.5).toBe(0));
});

test('what stands elsewhere is gone on from there: the next increment closes the gap', () => {
  expect(nextPlacement(off())!.figures[0]!.along).toBeCloseTo(9, 9);
  expect(deviationsOf(off(), 'move1')).toEqual([
    { frame: 5, along: expect.closeTo(3, 9), across: expect.closeTo(0, 9) },
  ]);
});

test.each<[string, ReplanWay, number[]]>([
  ['back to the plan at once', { by: 'at-once' }, [42, 54, 66, 76, 84, 90, 92]],
  ['catch up within 3', { by: 'within', pictures: 3 }, [44, 55, 66, 76, 84, 90, 92]],
  ['spread over the rest', { by: 'spread' }, [44.419, 55.839, 67.258, 76.774, 84.387, 90.097, 92]],
  ['shift the rest', { by: 'shift' }, [45, 57, 69, 79, 87, 93, 95]],
])('%s', (_, way, places) => {
  const next = replan(off(), way);
  expect(placesOf(next)).toEqual([0, 2, 8, 18, 33, ...places]);
  expect(nextPlacement(next)!.figures[0]!.along).toBeCloseTo(places[0]! - 33, 3);
  expect(() => openShot(JSON.parse(JSON.stringify(next)))).not.toThrow();
  // What was told stays beside the plan as it was.
  expect(deviationsOf(next, 'move1')[0]!.along).toBeCloseTo(3, 9);
});

test('the plan as it was stays as a take, once', () => {
  const once = replan(off(), { by: 'spread' });
  expect(once.takes.map(({ name }) => name)).toEqual(['Take 1', AS_PLANNED]);
  expect(once.takes[0]!.kept).toBeNull();
  const two = replan(
    edits.setActual(once, { takenId: latestPicture(once)!.id, moveId: 'move1', x: 131, y: 100 }),
    {
      by: 'at-once',
    },
  );
  expect(two.takes).toHaveLength(2);
  const back = edits.chooseTake(two, { takeId: two.takes[1]!.id });
  expect(placesOf(back)).toEqual(PLAN);
});

test('a shift past the end of the arc is refused with what else could be done', () => {
  const shot = take(planned(), 5);
  const far = edits.setActual(shot, { takenId: latestPicture(shot)!.id, moveId: 'move1', x: 139, y: 100 });
  expect(() => replan(far, { by: 'shift' })).toThrow('past the end of its arc');
  expect(() => replan(shot, { by: 'spread' })).toThrow('Say first where the figure really stands');
  expect(() => replan(off(), { by: 'within', pictures: 0 })).toThrow('at least one picture');
});

test('catching up over more pictures than are left ends at the end', () => {
  expect(placesOf(replan(off(), { by: 'within', pictures: 99 })).at(-1)).toBe(92);
});

test('a skipped placement merges two increments, and the shot is a frame shorter', () => {
  const next = edits.skipPlacement(take(planned(), 5), {});
  expect(next.lengthFrames).toBe(11);
  expect(placesOf(next)).toEqual([0, 2, 8, 18, 30, 54, 66, 76, 84, 90, 92]);
  expect(nextPlacement(next)).toMatchObject({
    frame: 6,
    left: 6,
    figures: [{ along: expect.closeTo(24, 9) }],
  });
  expect(() => edits.skipPlacement(planned(), {})).toThrow('first picture');
});

test('a picture taken twice stands for two frames; one put in goes half-way', () => {
  const five = take(planned(), 5);
  const twice = edits.repeatPlacement(five, {});
  expect(placesOf(twice)).toEqual([0, 2, 8, 18, 30, 30, 42, 54, 66, 76, 84, 90, 92]);
  expect(nextPlacement(twice)!.figures[0]!.along).toBeCloseTo(0, 9);
  const more = edits.insertPlacement(five, {});
  expect(placesOf(more).slice(4, 7)).toEqual([30, 36, 42]);
  expect(nextPlacement(more)).toMatchObject({
    frame: 6,
    left: 8,
    figures: [{ along: expect.closeTo(6, 9) }],
  });
});

test('a picture held for three frames pushes later pictures and the plan along, and back', () => {
  const five = take(planned(), 5);
  const held = edits.holdTaken(five, { takenId: 'taken3', frames: 3 });
  expect(standingPictures(held).map(({ frame }) => frame)).toEqual([1, 2, 3, 6, 7]);
  expect(nextPlacement(held)).toMatchObject({
    frame: 8,
    left: 7,
    figures: [{ along: expect.closeTo(12, 9) }],
  });
  const back = edits.holdTaken(held, { takenId: 'taken3', frames: 1 });
  expect(placesOf(back)).toEqual(PLAN);
  expect(standingPictures(back).map(({ frame }) => frame)).toEqual([1, 2, 3, 4, 5]);
});

test('on twos a picture held for a frame more keeps the places of all that follow', () => {
  const shot = edits.setFramesHeld(planned(), { moveId: 'move1', framesHeld: 2 });
  const taken = take(shot, 2);
  const before = incrementTable(shot, shot.moves[0]!).rows.map((row) => row.total);
  const held = edits.holdTaken(taken, { takenId: latestPicture(taken)!.id, frames: 3 });
  const next = nextPlacement(held)!;
  expect(next.frame).toBe(6);
  expect(next.figures[0]!.along).toBeCloseTo(before[2]! - before[1]!, 6);
});

test('shot over from a picture: those after it are set aside, and one can be brought back', () => {
  const over = edits.shootOverFrom(take(planned(), 5), { frame: 3 });
  expect(nextPlacement(over)!.frame).toBe(3);
  expect(over.shoot.pictures).toHaveLength(5);
  const anew = take(over, 1);
  expect(standingPictures(anew).map(({ id }) => id)).toEqual(['taken1', 'taken2', 'taken6']);
  const back = edits.bringTakenBack(anew, { takenId: 'taken3' });
  expect(standingPictures(back).map(({ id }) => id)).toEqual(['taken1', 'taken2', 'taken3']);
});

test('a hidden picture is left out of the loop, and the one before it seen through its frames', () => {
  const hidden = edits.hideTaken(take(planned(), 5), { takenId: 'taken3', isHidden: true });
  const seen = [1, 2, 3, 4, 9].map((frame) => pictureSeenOn(standingPictures(hidden), frame)?.id);
  expect(seen).toEqual(['taken1', 'taken2', 'taken2', 'taken4', 'taken5']);
});

test('where it stands is told by a measured step, or dropped again', () => {
  const five = take(planned(), 5);
  const typed = edits.setActualStep(five, { takenId: 'taken5', moveId: 'move1', along: 13 });
  expect(deviationsOf(typed, 'move1')[0]!.along).toBeCloseTo(1, 9);
  expect(edits.standsAsPlanned(typed, { takenId: 'taken5', moveId: 'move1' }).shoot).toEqual(five.shoot);
  expect(() => edits.setActualStep(five, { takenId: 'taken1', moveId: 'move1', along: 1 })).toThrow(
    'first picture',
  );
  expect(() => edits.setActualStep(five, { takenId: 'taken5', moveId: 'move1', along: 500 })).toThrow(
    'past the end',
  );
});

test('off the arc: how far is told with its side, and the arc can go through it', () => {
  const five = take(planned(), 5);
  const feel = edits.setActual(five, { takenId: 'taken5', moveId: 'move1', x: 130, y: 104 });
  expect(deviationsOf(feel, 'move1')[0]).toMatchObject({
    along: expect.closeTo(0, 6),
    across: expect.closeTo(4, 6),
  });
  const through = edits.arcThroughActual(feel, { takenId: 'taken5', moveId: 'move1' });
  const travel = evaluate(through).travels[0]!;
  expect([travel.x[4], travel.y[4]]).toEqual([expect.closeTo(130, 6), expect.closeTo(104, 6)]);
  expect(deviationsOf(through, 'move1')[0]!.across).toBeCloseTo(0, 6);
});

test('pictures of a take that is removed are set aside, and what is known of a removed figure goes', () => {
  const two = edits.addTake(take(planned(), 2), {});
  const shot = edits.removeTake(two, { takeId: 'take1' });
  expect(shot.shoot.pictures.map(({ isSetAside, takeId }) => [isSetAside, takeId])).toEqual([
    [true, shot.takes[0]!.id],
    [true, shot.takes[0]!.id],
  ]);
  const gone = edits.removeFigure(off(), { figureId: off().figures[0]!.id });
  expect(gone.shoot.pictures[4]!.actuals).toEqual([]);
  expect(() => openShot(JSON.parse(JSON.stringify(gone)))).not.toThrow();
});

test('an older file has nothing taken; a file that points to nothing is refused', () => {
  const { shoot: _, ...old } = { ...planned(), version: 10 };
  expect(openShot(old)).toMatchObject({ version: SHOT_VERSION, shoot: { pictures: [], perspective: null } });
  const broken = take(planned(), 1);
  const [taken] = broken.shoot.pictures;
  const withTaken = (change: object) => ({
    ...broken,
    shoot: { ...broken.shoot, pictures: [{ ...taken, ...change }] },
  });
  expect(() => openShot(withTaken({ takeId: 'nowhere' }))).toThrow('there is no take nowhere');
  const actual = { moveId: 'move9', x: 0, y: 0, planned: { x: 0, y: 0, fraction: 0 } };
  expect(() => openShot(withTaken({ actuals: [actual] }))).toThrow('there is no move move9');
});

test('the checks look at what was taken', () => {
  const put = (shot: Shot, takenId: string, x: number): Shot =>
    edits.setActual(shot, { takenId, moveId: 'move1', x, y: 100 });
  const checks = (shot: Shot) =>
    checkShot(shot).flatMap(({ check, from, until }) => (/^taken/.test(check) ? [[check, from, until]] : []));
  const seven = take(planned(), 7);
  expect(checks(seven)).toEqual([]);
  // Frame 6 was not moved at all: twice the same picture, and then a leap.
  const same = put(put(put(seven, 'taken5', 130), 'taken6', 130.1), 'taken7', 154);
  expect(checks(same)).toEqual([
    ['takenTwice', 5, 6],
    ['takenJump', 6, 7],
  ]);
});
