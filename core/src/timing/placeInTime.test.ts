import { exposuresOf } from '../exposure/exposures';
import { applyEdit, edits } from '../edits/edits';
import { type Move, type Shot, shotSchema } from '../model/schema';
import { fc } from '../testing/property';
import { circle, everyEasing, markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { betweenPoses } from '../pose/betweenPoses';
import { fractionAt, fractionsOnFrames, spansOf } from './placeInTime';
import { spanKnots } from '../exposure/spanKnots';

const moveId = 'move1';
const frames = (shot: Shot): number[] => onlyMove(shot).marks.map(({ frame }) => frame);
const places = (shot: Shot, ...at: number[]): number[] => {
  const { arcDistance } = evaluate(shot).travels[0]!;
  return at.map((f) => arcDistance[f - 1]!);
};

describe('outside its marks a move', () => {
  const short = (before: Move['before'], after: Move['after']): Shot =>
    edits.setOutside(withMarks(straightShot(100, 30), markAt(11, 0.2), markAt(15, 0.6)), {
      moveId,
      before,
      after,
    });

  test('holds', () => {
    expect(places(short('hold', 'hold'), 1, 10, 16, 30)).toEqual([20, 20, 60, 60]);
  });

  test('starts over: what arrives at the end of a round is seen', () => {
    const s = places(short('repeat', 'repeat'), 9, 10, 11, 15, 16, 18, 19, 20);
    expect(s.map((value) => Math.round(value))).toEqual([40, 50, 20, 60, 30, 50, 60, 30]);
  });

  test('swings back and forth', () => {
    const s = places(short('swing', 'swing'), 10, 9, 15, 16, 19, 20);
    expect(s.map((value) => Math.round(value))).toEqual([30, 40, 60, 50, 20, 30]);
  });

  test('goes on with the same advance, on an open arc up to its ends', () => {
    const s = places(short('continue', 'continue'), 10, 9, 1, 16, 17, 23);
    expect(s.map((value) => Math.round(value))).toEqual([10, 0, 0, 70, 80, 100]);
  });

  test('is exposed through the whole shot, counted from its first frame', () => {
    const twos = edits.setFramesHeld(short('hold', 'repeat'), { moveId, framesHeld: 2 });
    const exposed = exposuresOf(onlyMove(twos), twos).map(({ frame }) => frame);
    expect(exposed).toEqual([11, 13, 15, 17, 19, 21, 23, 25, 27, 29]);
    const both = edits.setOutside(twos, { moveId, before: 'swing' });
    expect(exposuresOf(onlyMove(both), both).map(({ frame }) => frame)).toEqual([
      1, 3, 5, 7, 9, 11, 13, 15, 17, 19, 21, 23, 25, 27, 29,
    ]);
  });
});

test('marks that differ by less than numbers can say are a hold for all that asks', () => {
  const shot = withMarks(
    straightShot(100, 30),
    markAt(1, 0),
    markAt(11, 0.3),
    markAt(21, 0.1 + 0.2),
    markAt(30, 1),
  );
  expect(spansOf(onlyMove(shot)).map(({ isHold }) => isHold)).toEqual([false, true, false]);
  expect(() => spanKnots(onlyMove(shot), shot, 1)).toThrow('The figure holds here');
  expect(betweenPoses(shot, moveId, 'm11')).toBeNull();
});

test('a fresh closed arc goes round evenly, also from the last frame to the first', () => {
  const empty = { ...straightShot(100, 24), arcs: [], moves: [], figures: [] };
  const shot = applyEdit(empty, {
    name: 'drawArc',
    args: { points: circle(100).points, closed: true },
  });
  const { arcDistance, arcLength } = evaluate(shot).travels[0]!;
  const steps = Array.from(arcDistance, (s, i) => (i === 23 ? arcLength : arcDistance[i + 1]!) - s);
  steps.forEach((step) => expect(step).toBeCloseTo(arcLength / 24, 6));
  expect(shotSchema.safeParse(shot).success).toBe(true);
  const longer = edits.setLength(shot, { lengthFrames: 48 });
  expect(frames(longer)).toEqual([1, 49]);
  const opened = edits.openArc(shot, { arcId: 'arc1' });
  expect(frames(opened)).toEqual([1, 24]);
});

test('a place between two frames is told by the easing, in real frames too', () => {
  expect(fractionAt(onlyMove(straightShot(120, 21)), 3.5)).toBeCloseTo(0.125, 12);
});

test('all frames at once are the same as each by itself, after any change of a mark too', () => {
  fc.assert(
    fc.property(
      fc.array(everyEasing(8), { minLength: 3, maxLength: 3 }),
      fc.constantFrom<Move['after']>('hold', 'repeat', 'swing', 'continue'),
      fc.integer({ min: -3, max: 3 }),
      (easings, outside, byFrames) => {
        const marks = [3, 9, 17, 25].map((f, i) =>
          markAt(f, [0.1, 0.7, 0.4, 1][i]!, { easing: easings[i % 3] }),
        );
        const shot = edits.setOutside(withMarks(straightShot(100, 40), ...marks), {
          moveId,
          before: outside,
          after: outside,
        });
        const changed = edits.moveMarks(shot, { moveId, markIds: ['m9'], byFrames, takesLater: false });
        for (const one of [shot, changed, shot]) {
          const all = fractionsOnFrames(onlyMove(one), 40);
          all.forEach((fraction, i) => expect(fraction).toBe(fractionAt(onlyMove(one), i + 1)));
        }
      },
    ),
  );
});
