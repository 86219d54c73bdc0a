import { applyTo } from '../arc/transform';
import { readShotFile, writeShotFile } from '../model/openShot';
import type { Artwork, Shot } from '../model/schema';
import { shotSchema } from '../model/schema';
import { evaluate, evaluateMove } from '../motion/evaluate';
import { figureOn, waitingFigure } from '../motion/figureOn';
import { fc } from '../testing/property';
import { anyArc, arcOf, circle, corner, markAt, onlyMove, shotAlong, withMarks } from '../testing/shapes';
import { edits } from './edits';

const SQUARE = [[0, 0, 40, 0, 40, 80, 0, 80]];
const picture = (n: number, width = 40, height = 80) => ({
  sha256: String(n).repeat(64),
  type: 'image/png' as const,
  name: `drawing ${n}.png`,
  width,
  height,
  outline: SQUARE,
  frames: 1,
  planted: null,
});
const pictures = (...drawings: ReturnType<typeof picture>[]): Artwork => ({
  kind: 'pictures',
  drawings,
});

const line = arcOf([corner(100, 100), corner(500, 100)]);
/** A shot with a figure on a line, and a second, closed arc. */
const twoArcs: Shot = {
  ...shotAlong(line, 41),
  arcs: [line, { ...circle(100), id: 'arc2' }],
};
const withLantern = edits.addFigure(twoArcs, {
  artwork: pictures(picture(1)),
  x: 300,
  y: 250,
  name: 'Lantern',
});
const figureId = 'figure2';
const standsAt = (shot: Shot, id: string, frame: number) => {
  const travel = evaluate(shot).travels.find(({ figure }) => figure.id === id)!;
  const { look, placement } = figureOn(travel, frame - 1);
  return applyTo(placement, look.pivot);
};
const isSound = (shot: Shot): void => {
  expect(shotSchema.safeParse(shot).error?.issues ?? []).toEqual([]);
};

describe('a figure that rides no arc', () => {
  test('stands where it was put, with its pivot there, and is named anew where the name is taken', () => {
    isSound(withLantern);
    const { look, placement } = waitingFigure(withLantern, withLantern.waiting[0]!)!;
    expect(look.pivot).toEqual({ x: 20, y: 40 });
    expect(applyTo(placement, look.pivot)).toEqual({ x: 300, y: 250 });
    const third = edits.addFigure(withLantern, {
      artwork: pictures(picture(2)),
      x: 0,
      y: 0,
      name: 'Lantern',
    });
    expect(third.figures.map(({ name }) => name)).toEqual(['Figure 1', 'Lantern', 'Lantern 2']);
    expect(edits.placeWaiting(third, { figureId, x: 7 }).waiting[0]).toMatchObject({ x: 7, y: 250 });
  });

  test('comes onto an arc at its start, over the whole shot', () => {
    const on = edits.attachFigure(withLantern, { figureId, arcId: 'arc1', frame: 9, how: 'start' });
    isSound(on);
    expect(on.waiting).toEqual([]);
    expect(standsAt(on, figureId, 1)).toEqual({ x: 100, y: 100 });
    expect(standsAt(on, figureId, 41)).toEqual({ x: 500, y: 100 });
  });

  test('comes onto it with a mark on a place, on this frame', () => {
    const on = edits.attachFigure(withLantern, {
      figureId,
      arcId: 'arc1',
      frame: 11,
      how: { fraction: 0.75 },
    });
    isSound(on);
    expect(standsAt(on, figureId, 11).x).toBeCloseTo(400, 9);
    expect(on.moves[1]!.marks.map(({ frame }) => frame)).toEqual([1, 11, 41]);
    const before = edits.attachFigure(withLantern, {
      figureId,
      arcId: 'arc1',
      frame: 1,
      how: { fraction: -3 },
    });
    expect(before.moves[1]!.marks[0]!.fraction).toBe(0);
  });

  test('keeps its timing while it waits, in a shorter shot too, and in the file', () => {
    const away = edits.detachFigure(withLantern, { figureId: 'figure1', frame: 21 });
    isSound(away);
    expect(away.moves).toEqual([]);
    expect(away.waiting[1]).toMatchObject({ figureId: 'figure1', x: 300, y: 100, turnDeg: 0 });
    const shorter = readShotFile(writeShotFile(edits.setLength(away, { lengthFrames: 21 })));
    const back = edits.attachFigure(shorter, { figureId: 'figure1', arcId: 'arc1', frame: 1, how: 'start' });
    isSound(back);
    expect(back.moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 21]);
    expect(edits.detachFigure(withLantern, { figureId, frame: 3 })).toBe(withLantern);
  });
});

describe('a figure that is attached where it is', () => {
  test('does not jump, whatever the arc, the frame and the way it is offset', () => {
    fc.assert(
      fc.property(
        anyArc,
        fc.integer({ min: 1, max: 41 }),
        fc.boolean(),
        fc.constantFrom('field' as const, 'riding' as const),
        (arc, frame, turnsWithArc, offsetIn) => {
          const shot = { ...withLantern, arcs: [line, { ...arc, id: 'arc2' }] };
          const riding = edits.attachFigure(shot, { figureId, arcId: 'arc2', frame, how: 'start' });
          const moveId = riding.moves[1]!.id;
          const set = edits.setOffsetIn(edits.setTurning(riding, { moveId, turnsWithArc }), {
            moveId,
            offsetIn,
          });
          const away = edits.placeWaiting(edits.detachFigure(set, { figureId, frame }), {
            figureId,
            x: 300,
            y: 250,
            turnDeg: 33,
          });
          const on = edits.attachFigure(away, { figureId, arcId: 'arc2', frame, how: 'where-it-is' });
          const { x, y } = standsAt(on, figureId, frame);
          expect(Math.hypot(x - 300, y - 250)).toBeLessThan(1e-9);
          const heading = evaluate(on).travels[1]!.heading[frame - 1]!;
          expect(Math.abs(((heading - 33 + 900) % 360) - 180)).toBeLessThan(1e-9);
        },
      ),
    );
  });

  test('is given to another arc with its timing; ties to points are let go', () => {
    const timed = withMarks(twoArcs, markAt(3, 0.1, { pointId: null }), markAt(31, 0.9, { pointId: 'p2' }));
    const given = edits.attachFigure(timed, {
      figureId: 'figure1',
      arcId: 'arc2',
      frame: 5,
      how: 'where-it-is',
    });
    isSound(given);
    expect(onlyMove(given)).toMatchObject({ arcId: 'arc2', id: onlyMove(timed).id });
    expect(onlyMove(given).marks.map(({ frame, fraction, pointId }) => [frame, fraction, pointId])).toEqual([
      [3, 0.1, null],
      [31, 0.9, null],
    ]);
    const [was, is] = [standsAt(timed, 'figure1', 5), standsAt(given, 'figure1', 5)];
    expect(Math.hypot(was.x - is.x, was.y - is.y)).toBeLessThan(1e-9);
  });

  test('leaves no mark past the shot where a round becomes an open arc', () => {
    const round = edits.attachFigure(withLantern, { figureId, arcId: 'arc2', frame: 1, how: 'start' });
    expect(round.moves[1]!.marks[1]!.frame).toBe(42);
    const open = edits.attachFigure(round, { figureId, arcId: 'arc1', frame: 1, how: 'start' });
    isSound(open);
    expect(open.moves[1]!.marks[1]!.frame).toBe(41);
  });
});

test('other artwork leaves move, size and pivot: the same share of the new picture', () => {
  const pinned = edits.setFigure(withLantern, { figureId, pivot: { x: 10, y: 80 } });
  const swapped = edits.setArtwork(pinned, { figureId, artwork: pictures(picture(2, 400, 200)) });
  expect(swapped.figures[1]).toMatchObject({ pivot: { x: 100, y: 200 }, height: pinned.figures[1]!.height });
  expect(swapped.moves).toBe(pinned.moves);
  expect(edits.setFigure(swapped, { figureId, standIn: 'crab' }).figures[1]).toMatchObject({
    pivot: null,
    frontDeg: 0,
    artwork: { kind: 'stand-in', standIn: 'crab' },
  });
});

test('the order of figures is the order in which they lie, those in front last', () => {
  const both = edits.attachFigure(withLantern, { figureId, arcId: 'arc1', frame: 1, how: 'start' });
  const turned = edits.orderFigure(both, { figureId, to: 0 });
  isSound(turned);
  expect(turned.figures.map(({ id }) => id)).toEqual([figureId, 'figure1']);
  expect(evaluate(turned).travels.map(({ figure }) => figure.id)).toEqual([figureId, 'figure1']);
  expect(edits.orderFigure(turned, { figureId, to: -4 })).toBe(turned);
  expect(edits.removeFigure(turned, { figureId })).toMatchObject({ figures: [{ id: 'figure1' }] });
  expect(edits.removeFigure(turned, { figureId }).moves).toHaveLength(1);
  expect(() => edits.removeFigure(turned, { figureId: 'figure9' })).toThrow('no figure');
});

test('there is an end to the figures', () => {
  const one = withLantern.figures[1]!;
  const many = { ...withLantern, figures: Array.from({ length: 200 }, (_, i) => ({ ...one, id: `f${i}` })) };
  expect(() => edits.addFigure(many, { artwork: pictures(picture(1)), x: 0, y: 0 })).toThrow('at most 200');
});

test('drawings are shown by frames, or as a sequence; the last one stays', () => {
  const three = edits.attachFigure(
    edits.setArtwork(withLantern, { figureId, artwork: pictures(picture(1), picture(2), picture(3)) }),
    { figureId, arcId: 'arc1', frame: 1, how: 'start' },
  );
  const moveId = three.moves[1]!.id;
  const shownOn = (shot: Shot, ...frames: number[]) => {
    const travel = evaluateMove(shot, shot.moves[1]!);
    return frames.map((frame) => figureOn(travel, frame - 1).look.picture!.name.slice(8, 9)).join('');
  };
  expect(shownOn(three, 1, 2, 3, 4, 41)).toBe('12333');
  const said = edits.setDrawing(edits.setDrawing(three, { moveId, frame: 20, drawing: 1 }), {
    moveId,
    frame: 10,
    drawing: 3,
  });
  isSound(said);
  expect(shownOn(said, 1, 9, 10, 19, 20, 41)).toBe('333311');
  expect(shownOn(edits.setDrawing(said, { moveId, frame: 10, drawing: null }), 1, 19, 20)).toBe('111');
  // They are taken along with the time of their move.
  const longer = edits.setMoveFrames(said, { moveId, first: 1, last: 21 });
  expect(longer.moves[1]!.drawings.map(({ frame }) => frame)).toEqual([6, 11]);
});

test('a real height counts where the field has a scale', () => {
  const tall = edits.setFigure(twoArcs, { figureId: 'figure1', heightMm: 120 });
  expect(evaluate(tall).travels[0]!.figureHeight).toBe(tall.figures[0]!.height);
  expect(evaluate(edits.setScale(tall, { unitsPerMm: 2.5 })).travels[0]!.figureHeight).toBe(300);
});

test.each([
  [{ heightMm: -1 }, 'the real height of figure 2'],
  [{ pivot: { x: 1e9, y: 0 } }, 'the place across of the pivot of figure 2'],
  [{ frontDeg: 1e9 }, 'the front of figure 2'],
])('a file with nonsense in a figure says what is wrong: %j', (some, place) => {
  const figures = withLantern.figures.map((figure, i) => (i === 1 ? { ...figure, ...some } : figure));
  expect(() => readShotFile(JSON.stringify({ ...withLantern, figures }))).toThrow(place);
});

test('a file with a cycle that ends before it begins, or a figure that waits twice, is refused', () => {
  const cycled = edits.setCycle(twoArcs, { moveId: 'move1', cycle: { from: 5, until: 9 } });
  const moves = cycled.moves.map((move) => ({ ...move, cycle: { ...move.cycle, until: 2 } }));
  expect(() => readShotFile(JSON.stringify({ ...cycled, moves }))).toThrow('a cycle ends after it begins');
  const waiting = [...withLantern.waiting, ...withLantern.waiting];
  expect(() => readShotFile(JSON.stringify({ ...withLantern, waiting }))).toThrow('rides no arc');
});
