import { fc } from '../testing/property';
import { anyArc, anyEasing, arcOf, shotAlong } from '../testing/shapes';
import { nextPointId } from '../arc/pointEdits';
import { ShotError } from '../errors';
import { evaluate } from '../travel/evaluate';
import { incrementTable } from '../spacing/increments';
import { withFrames } from '../timing/retime';
import { applyEdit, type Edit } from './edits';
import { readShotFile, writeShotFile } from './openShot';
import { type FramesHeld, type Move, type Shot, shotSchema, standInNames } from './schema';

const place = fc.record({
  x: fc.integer({ min: -4000, max: 4000 }),
  y: fc.integer({ min: -4000, max: 4000 }),
});
const pointId = fc.integer({ min: 1, max: 9 }).map((n) => `p${n}`);

/** Edits as a person makes them, sensible or not; ids that are not there included. */
const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({
    name: fc.constant('movePoint' as const),
    args: fc.record({ arcId: fc.constant('arc1'), pointId, to: place }),
  }),
  fc.record({
    name: fc.constant('moveHandle' as const),
    args: fc.record({
      arcId: fc.constant('arc1'),
      pointId,
      side: fc.constantFrom('in' as const, 'out' as const),
      to: place,
    }),
  }),
  fc.record({
    name: fc.constant('insertPoint' as const),
    args: fc.record({
      arcId: fc.constantFrom('arc1', 'arc7'),
      stretch: fc.integer({ min: -1, max: 6 }),
      t: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
  }),
  fc.record({
    name: fc.constant('deletePoint' as const),
    args: fc.record({ arcId: fc.constant('arc1'), pointId }),
  }),
  fc.record({
    name: fc.constant('setLength' as const),
    args: fc.record({ lengthFrames: fc.integer({ min: 2, max: 90 }) }),
  }),
  fc.record({
    name: fc.constant('setMoveFrames' as const),
    args: fc.record({
      moveId: fc.constant('move1'),
      first: fc.integer({ min: -2, max: 60 }),
      last: fc.integer({ min: 0, max: 95 }),
    }),
  }),
  fc.record({
    name: fc.constant('setEasing' as const),
    args: fc.record({
      moveId: fc.constant('move1'),
      markId: fc.constantFrom('m1', 'm2', 'm9'),
      easing: anyEasing(50),
    }),
  }),
  fc.record({
    name: fc.constant('setFramesHeld' as const),
    args: fc.record({ moveId: fc.constant('move1'), framesHeld: fc.constantFrom<FramesHeld>(1, 2, 3) }),
  }),
  fc.record({
    name: fc.constant('setFigure' as const),
    args: fc.record({ figureId: fc.constant('figure1'), standIn: fc.constantFrom(...standInNames) }),
  }),
  fc.record({
    name: fc.constant('setScale' as const),
    args: fc.record({ unitsPerMm: fc.constantFrom(null, 0.5, 8) }),
  }),
  fc.record({
    name: fc.constant('setSheet' as const),
    args: fc.record({
      units: fc.constantFrom('field' as const, 'mm' as const),
      rulerStep: fc.constantFrom(null, 0.1, 0.5, 2),
    }),
  }),
);

/** The shot after an edit, or the same shot when the core refuses it with a sentence. */
function attempt(shot: Shot, edit: Edit): Shot {
  try {
    return applyEdit(shot, edit);
  } catch (error) {
    expect(error).toBeInstanceOf(ShotError);
    expect((error as ShotError).message).toMatch(/^[A-Z].*\.$/);
    return shot;
  }
}

test('after any edits a shot is still sound, every number in it is one, and its file reads back', () => {
  fc.assert(
    fc.property(anyArc, fc.array(anyEdit, { minLength: 1, maxLength: 12 }), (arc, edits) => {
      const shot = edits.reduce(attempt, shotAlong(arcOf(arc.points, arc.closed), 48));
      const checked = shotSchema.safeParse(shot);
      expect(checked.error?.issues ?? []).toEqual([]);
      for (const { place: places, x, y, heading } of evaluate(shot).travels)
        for (const values of [places, x, y, heading]) expect(values.every(Number.isFinite)).toBe(true);
      const { rows } = incrementTable(shot, shot.moves[0]!);
      expect(rows[0]!.frame).toBe(shot.moves[0]!.marks[0]!.frame);
      expect(rows.at(-1)!.frame).toBeLessThanOrEqual(shot.lengthFrames);
      const text = writeShotFile(shot);
      expect(writeShotFile(readShotFile(text))).toBe(text);
    }),
  );
});

test('the id of the next point is one that no point has', () => {
  fc.assert(
    fc.property(anyArc, (arc) => {
      expect(arc.points.map((point) => point.id)).not.toContain(nextPointId(arc));
    }),
  );
});

test('however a move is stretched, its marks stay in order, on whole frames, from first to last', () => {
  const anyFrames = fc.uniqueArray(fc.integer({ min: 1, max: 400 }), { minLength: 2, maxLength: 12 });
  fc.assert(
    fc.property(
      anyFrames,
      fc.integer({ min: 1, max: 200 }),
      fc.integer({ min: 12, max: 600 }),
      (frames, first, length) => {
        const base = shotAlong(arcOf([]), 400).moves[0]!;
        const marks = [...frames]
          .sort((a, b) => a - b)
          .map((frame, i) => ({ ...base.marks[0]!, id: `m${i}`, frame }));
        const move: Move = { ...base, marks };
        const stretched = withFrames(move, first, first + length).marks.map((mark) => mark.frame);
        expect(stretched[0]).toBe(first);
        expect(stretched.at(-1)).toBe(first + length);
        stretched.slice(1).forEach((frame, i) => expect(frame).toBeGreaterThan(stretched[i]!));
        expect(stretched.every(Number.isInteger)).toBe(true);
      },
    ),
  );
});
