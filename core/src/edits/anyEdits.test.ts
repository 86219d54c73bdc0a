import { anyTimingEdit } from '../testing/anyTimingEdit';
import { fc } from '../testing/property';
import { anyArc, everyEasing, arcOf, shotAlong } from '../testing/shapes';
import { type ArcSide } from '../arc/fromHere';
import { nextPointId } from '../arc/pointEdits';
import { freshShape, FRESH_SHAPES } from '../arc/readyShapes';
import { mirrorAbout, rotationAbout, scalingAbout } from '../arc/transform';
import { ShotError } from '../model/errors';
import { evaluate } from '../motion/evaluate';
import { incrementTable } from '../spacing/increments';
import { withFrames } from '../timing/retime';
import { applyEdit, type Edit } from './edits';
import { readShotFile, writeShotFile } from '../model/openShot';
import {
  type FramesHeld,
  type Keeps,
  type Move,
  type PointKind,
  type Shot,
  shotSchema,
} from '../model/schema';
import { standInNames } from '../model/names';

const place = fc.record({
  x: fc.integer({ min: -4000, max: 4000 }),
  y: fc.integer({ min: -4000, max: 4000 }),
});
const pointId = fc.integer({ min: 1, max: 9 }).map((n) => `p${n}`);
const pointIds = fc.uniqueArray(pointId, { minLength: 1, maxLength: 4 });
const arcId = fc.constantFrom('arc1', 'arc1', 'arc1', 'arc2');
const segment = fc.integer({ min: -1, max: 6 });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const setting = fc.double({ min: -1, max: 1, noNaN: true });
const rest = fc.constantFrom<ArcSide>('from-here', 'up-to-here');

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
      segment: fc.integer({ min: -1, max: 6 }),
      t: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
  }),
  fc.record({
    name: fc.constant('deletePoints' as const),
    args: fc.record({ arcId, pointIds }),
  }),
  fc.record({ name: fc.constant('movePoints' as const), args: fc.record({ arcId, pointIds, by: place }) }),
  fc.record({
    name: fc.constant('setPointKind' as const),
    args: fc.record({ arcId, pointIds, kind: fc.constantFrom<PointKind>('smooth', 'even', 'corner') }),
  }),
  fc.record({
    name: fc.constant('shapePoints' as const),
    args: fc.record({
      arcId,
      pointIds,
      shaping: fc.record({ tighten: setting, sharpen: setting, lean: setting }),
    }),
  }),
  fc.record({
    name: fc.constant('pullSegment' as const),
    args: fc.record({ arcId, segment, t: share, to: place }),
  }),
  fc.record({ name: fc.constant('straightenSegment' as const), args: fc.record({ arcId, segment }) }),
  fc.record({
    name: fc.constant('transformPoints' as const),
    args: fc.record({
      arcId,
      pointIds,
      transform: fc.oneof(
        fc.tuple(place, setting).map(([centre, k]) => rotationAbout(centre, 200 * k)),
        fc.tuple(place, setting).map(([centre, k]) => scalingAbout(centre, 3 * k)),
        fc.constant(mirrorAbout({ x: 5, y: 5 }, 'left-right')),
      ),
    }),
  }),
  fc.record({ name: fc.constant('closeArc' as const), args: fc.record({ arcId }) }),
  fc.record({ name: fc.constant('openArc' as const), args: fc.record({ arcId, pointId }) }),
  fc.record({
    name: fc.constant('reverseArc' as const),
    args: fc.record({ arcId, move: fc.constantFrom('in-place' as const, 'turned-round' as const) }),
  }),
  fc.record({
    name: fc.constant('turnRest' as const),
    args: fc.record({
      arcId,
      s: fc.integer({ min: 0, max: 4000 }),
      rest,
      deg: fc.integer({ min: -400, max: 400 }),
    }),
  }),
  fc.record({
    name: fc.constant('shiftRest' as const),
    args: fc.record({ arcId, s: fc.integer({ min: 0, max: 4000 }), rest, by: place }),
  }),
  fc.record({
    name: fc.constant('cutArc' as const),
    args: fc.record({ arcId, s: fc.integer({ min: 0, max: 4000 }) }),
  }),
  fc.record({
    name: fc.constant('joinArcs' as const),
    args: fc.record({ arcId, otherId: fc.constantFrom('arc1', 'arc2', 'arc3') }),
  }),
  fc.record({
    name: fc.constant('drawArc' as const),
    args: fc.record({
      shape: fc.constantFrom(...FRESH_SHAPES).map((kind) => freshShape(kind, { width: 1920, height: 1080 })),
    }),
  }),
  fc.record({
    name: fc.constant('drawArcs' as const),
    args: fc.record({
      arcs: fc.array(
        anyArc.map(({ points, closed }) => ({ name: '  ', points, closed })),
        { maxLength: 3 },
      ),
    }),
  }),
  fc.record({
    name: fc.constant('shapeArc' as const),
    args: fc.record({
      arcId,
      shape: fc.constantFrom(...FRESH_SHAPES).map((kind) => freshShape(kind, { width: 300, height: 90 })),
    }),
  }),
  fc.record({
    name: fc.constant('orderArc' as const),
    args: fc.record({ arcId, to: fc.integer({ min: -1, max: 4 }) }),
  }),
  fc.record({
    name: fc.constant('removeArc' as const),
    args: fc.record({ arcId: fc.constantFrom('arc2', 'arc3') }),
  }),
  fc.record({
    name: fc.constant('removeFigure' as const),
    args: fc.record({ figureId: fc.constantFrom('figure2', 'figure7') }),
  }),
  fc.record({
    name: fc.constant('setKeeps' as const),
    args: fc.record({
      moveId: fc.constantFrom('move1', 'move2'),
      keeps: fc.constantFrom<Keeps>('fractions', 'distances', 'spots'),
    }),
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
      easing: everyEasing(50),
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
    fc.property(
      anyArc,
      fc.array(fc.oneof(anyEdit, anyTimingEdit), { minLength: 1, maxLength: 16 }),
      (arc, edits) => {
        const shot = edits.reduce(attempt, shotAlong(arcOf(arc.points, arc.closed), 48));
        const checked = shotSchema.safeParse(shot);
        expect(checked.error?.issues ?? []).toEqual([]);
        for (const { arcDistance: places, x, y, pivotX, pivotY, heading } of evaluate(shot).travels)
          for (const values of [places, x, y, pivotX, pivotY, heading])
            expect(values.every(Number.isFinite)).toBe(true);
        for (const move of shot.moves.slice(0, 1)) {
          const { rows } = incrementTable(shot, move);
          expect(rows[0]!.frame).toBe(1);
          expect(rows.reduce((frames, row) => frames + row.framesHeld, 0)).toBe(shot.lengthFrames);
        }
        const text = writeShotFile(shot);
        expect(JSON.parse(writeShotFile(readShotFile(text)))).toEqual(JSON.parse(text));
      },
    ),
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
