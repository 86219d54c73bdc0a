import { readShotFile, writeShotFile } from '../model/openShot';
import type { DrawingPicture, Shot } from '../model/schema';
import { checkShot } from '../checks';
import { writeExposureSheetCsv } from '../formats/exposureSheetCsv';
import { writeIncrementsCsv } from '../formats/incrementsCsv';
import { betweenOn } from '../motion/betweenOn';
import { evaluate } from '../motion/evaluate';
import { sceneOn } from '../motion/scene';
import { lookOf } from '../motion/look';
import { followedSpots, spotTrail } from '../motion/spotTrail';
import { circle, onlyMove, shotAlong, straightShot } from '../testing/shapes';
import { fractionName, numberedDrawings } from '../spacing/drawingNumbers';
import { inbetweenPages, inbetweenTiles } from '../print/inbetweens';
import { PLAIN_REGISTER } from '../print/registerRow';
import { paperOf } from '../print/paper';
import { ladderThrough } from '../spacing/ladder';
import { drawnThroughSpans } from '../exposure/drawnThrough';
import { edits } from './edits';

const moveId = 'move1';
const figureId = 'figure1';
const square = (x: number, y: number, side: number): number[] => [
  x,
  y,
  x + side,
  y,
  x + side,
  y + side,
  x,
  y + side,
];
const picture = (i: number, ring: readonly number[]): DrawingPicture => ({
  sha256: String(i).repeat(64),
  type: 'image/png',
  name: `drawing ${i}.png`,
  width: 200,
  height: 200,
  outline: [[...ring]],
  frames: 1,
  planted: null,
});
const DRAWINGS = [
  picture(1, square(60, 60, 80)),
  picture(2, square(40, 40, 120)),
  picture(3, [0, 0, 200, 0, 200, 200, 0, 200]),
];

const drawn = (shot: Shot): Shot =>
  edits.setFigure(edits.setArtwork(shot, { figureId, artwork: { kind: 'pictures', drawings: DRAWINGS } }), {
    figureId,
    pivot: { x: 100, y: 100 },
    height: 200,
  });
const base = drawn(straightShot(240, 25));
const through = edits.drawThrough(base, {
  moveId,
  from: 1,
  until: 25,
  first: 1,
  second: 2,
  chart: { kind: 'halves', toward: 'end', last: 3 },
});
const shareOn = (shot: Shot, frame: number): number => betweenOn(evaluate(shot).travels[0]!, frame)!.share;

describe('drawn through', () => {
  test('by a chart of its own, or as the figure travels; both keys themselves are shown', () => {
    const travel = evaluate(through).travels[0]!;
    expect(betweenOn(travel, 1)).toBeNull();
    expect(betweenOn(travel, 25)).toBeNull();
    // 23 in-betweens, the last three by halves in the last of 21 even steps.
    expect(shareOn(through, 11)).toBeCloseTo(10 / 21, 12);
    expect([22, 23, 24].map((frame) => 21 * shareOn(through, frame) - 20)).toEqual([
      expect.closeTo(0.5, 9),
      expect.closeTo(0.75, 9),
      expect.closeTo(0.875, 9),
    ]);
    const travels = edits.setChartThrough(through, { moveId, frame: 1, chart: null });
    expect(shareOn(travels, 13)).toBeCloseTo(0.5, 12);
    const eased = edits.setEasing(travels, {
      moveId,
      markId: 'm1',
      easing: { kind: 'ramped', leaveFrames: 12, arriveFrames: 0, ramp: 'steady' },
    });
    const { arcDistance, arcLength } = evaluate(eased).travels[0]!;
    expect(shareOn(eased, 9)).toBeCloseTo(arcDistance[8]! / arcLength, 12);
  });

  test('stands in the file, and is held again', () => {
    expect(readShotFile(writeShotFile(through))).toEqual(through);
    const held = edits.setDrawnThrough(through, { moveId, frame: 1, drawnThrough: null });
    expect(drawnThroughSpans(onlyMove(held))).toEqual([]);
    expect(() => edits.setDrawnThrough(base, { moveId, frame: 3, drawnThrough: { easing: null } })).toThrow(
      'No drawing begins on frame 3.',
    );
  });

  test('a drawing on another frame keeps it; one without clear ground is refused, and nothing changes', () => {
    const other = edits.setDrawing(through, { moveId, frame: 1, drawing: 2 });
    expect(onlyMove(other).drawings[0]).toMatchObject({ drawing: 2, drawnThrough: {} });
    const ask = { moveId, from: 1, until: 25, first: 1, second: 3, chart: null };
    expect(() => edits.drawThrough(base, ask)).toThrow('Drawing 3 has no clear ground');
    expect(() => edits.drawThrough(base, { ...ask, second: 1 })).toThrow('two different drawings');
    expect(() => edits.drawThrough(base, { ...ask, second: 2, until: 2 })).toThrow('at least one frame');
    expect(() => edits.drawThrough(base, { ...ask, second: 4 })).toThrow('has no drawing 4');
  });

  test('shows another in-between on each exposure, also where the figure stays', () => {
    const waits = edits.setMoveFrames(base, { moveId, first: 12, last: 25 });
    const before = edits.drawThrough(waits, { moveId, from: 1, until: 9, first: 1, second: 2, chart: null });
    const { shown } = evaluate(before).travels[0]!;
    expect(Array.from(shown.slice(0, 6))).toEqual([1, 2, 3, 4, 5, 6]);
  });

  test('the scene has its outline in place of the drawing, where that is asked for', () => {
    const kinds = (outlines: boolean, frame: number) =>
      sceneOn(through, frame, true, { outlines }).map(({ kind }) => kind);
    expect(kinds(false, 12)).toEqual(['picture']);
    expect(kinds(true, 12)).toEqual(['outline']);
    expect(kinds(true, 1)).toEqual(['picture']);
  });

  test('goes along with the time of its move, and backwards', () => {
    const longer = edits.setMoveFrames(edits.setLength(through, { lengthFrames: 60 }), {
      moveId,
      first: 1,
      last: 49,
    });
    expect(onlyMove(longer).drawings.map(({ frame }) => frame)).toEqual([1, 49]);
  });
});

describe('pins', () => {
  const at = (x: number, y: number, u: number, v: number) => ({ first: { x, y }, second: { x: u, y: v } });
  const pair = { figureId, first: 1, second: 2 };
  const pinned = edits.addPin(through, { ...pair, at: at(60, 60, 40, 40) });

  test('are put, follow by frames, and are removed', () => {
    const late = edits.setPin(pinned, { ...pair, pinId: 'pin1', set: { followsFrames: 2 } });
    const spot = (shot: Shot, frame: number) => betweenOn(evaluate(shot).travels[0]!, frame)!.pins[0]!;
    // What follows by two frames is where the other was two frames before.
    expect(spot(late, 13).x).toBeCloseTo(spot(pinned, 11).x, 9);
    expect(spot(late, 2)).toEqual({ x: 60, y: 60 });
    expect(edits.removePin(late, { ...pair, pinId: 'pin1' }).figures[0]!.drawingPairs).toEqual([]);
    expect(() => edits.removePin(pinned, { ...pair, pinId: 'pin9' })).toThrow('There is no pin pin9.');
  });

  test('on one spot, or in another order, are refused with a sentence', () => {
    expect(() => edits.addPin(pinned, { ...pair, at: at(60, 60, 100, 40) })).toThrow('a pin on that spot');
    const three = edits.addPin(edits.addPin(pinned, { ...pair, at: at(140, 60, 160, 40) }), {
      ...pair,
      at: at(140, 140, 160, 160),
    });
    expect(() => edits.addPin(three, { ...pair, at: at(60, 140, 160, 100) })).toThrow('outlines would cross');
    let many = through;
    for (let i = 0; i < 24; i++)
      many = edits.addPin(many, {
        ...pair,
        at: at(90 + (i % 5) * 5, 90 + Math.floor(i / 5) * 5, 80 + (i % 5) * 8, 80 + Math.floor(i / 5) * 8),
      });
    expect(() => edits.addPin(many, { ...pair, at: at(118, 118, 130, 130) })).toThrow('at most 24 pins');
  });

  test('stay with drawings that are still there when the artwork changes, and go with those that are not', () => {
    const more = edits.setArtwork(pinned, {
      figureId,
      artwork: { kind: 'pictures', drawings: [...DRAWINGS, picture(4, square(10, 10, 50))] },
    });
    expect(more.figures[0]!.drawingPairs).toHaveLength(1);
    const other = edits.setArtwork(pinned, {
      figureId,
      artwork: { kind: 'pictures', drawings: [DRAWINGS[1]!, DRAWINGS[0]!] },
    });
    expect(other.figures[0]!.drawingPairs).toEqual([]);
  });
});

describe('followed spots', () => {
  const round = edits.setFigure(shotAlong(circle(100), 24), { figureId, height: 100 });
  const look = lookOf(round.figures[0]!);
  // Outside lies to the left of a figure that goes clockwise: up in its artwork, which looks to the right.
  const outside = { drawing: 1, x: look.pivot.x, y: look.pivot.y - (40 * look.height) / 100 };
  const turning = edits.followSpot(round, { figureId, place: outside, name: 'Nose' });

  test('a spot 40 outside a circle of 100 goes 1.4 times as far as the pivot on every frame', () => {
    const travel = evaluate(turning).travels[0]!;
    const trail = spotTrail(travel, followedSpots(travel)[0]!);
    expect(trail).toHaveLength(24);
    trail.slice(1).forEach(({ frame, increment, x, y }) => {
      const [i, j] = [frame - 1, frame - 2];
      const own = Math.hypot(travel.x[i]! - travel.x[j]!, travel.y[i]! - travel.y[j]!);
      expect(increment! / own).toBeCloseTo(1.4, 4);
      expect(Math.hypot(x, y)).toBeCloseTo(140, 3);
    });
  });

  test('through pins while they are drawn through, and on a drawing where nobody said where they are', () => {
    const hat = edits.followSpot(through, { figureId, place: { drawing: 1, x: 60, y: 60 }, name: 'Hat' });
    const travel = evaluate(hat).travels[0]!;
    const places = spotTrail(travel, followedSpots(travel)[0]!);
    // The corner of the square grows away from the pivot by 1.5 on the way.
    const last = places[24]!;
    expect([last.x - travel.pivotX[24]!, last.y - travel.pivotY[24]!]).toEqual([
      expect.closeTo(-60, 6),
      expect.closeTo(-60, 6),
    ]);
    const share = shareOn(hat, 11);
    expect(places[10]!.y - travel.pivotY[10]!).toBeCloseTo(-40 * 1.5 ** share, 6);
    const moved = edits.placeSpot(hat, { figureId, spotId: 'spot1', place: { drawing: 2, x: 100, y: 40 } });
    const after = evaluate(moved).travels[0]!;
    const end = spotTrail(after, followedSpots(after)[0]!)[24]!;
    expect([end.x - after.pivotX[24]!, end.y - after.pivotY[24]!]).toEqual([
      expect.closeTo(0, 9),
      expect.closeTo(-60, 9),
    ]);
    expect(edits.unfollowSpot(moved, { figureId, spotId: 'spot1' }).figures[0]!.followedSpots).toEqual([]);
    expect(
      edits.renameSpot(moved, { figureId, spotId: 'spot1', name: 'Brim' }).figures[0]!.followedSpots[0]!.name,
    ).toBe('Brim');
    expect(() => edits.renameSpot(moved, { figureId, spotId: 'spot7', name: 'Brim' })).toThrow(
      'no followed spot',
    );
  });

  test('of a part go with the part', () => {
    const carrying = edits.addRider(straightShot(240, 25), {
      moveId,
      follows: { by: 'distance', distance: -50 },
    });
    const tail = edits.followSpot(carrying, {
      moveId,
      riderId: 'part1',
      place: { drawing: 1, x: 0, y: 0 },
      name: 'Tip',
    });
    const travel = evaluate(tail).travels[0]!;
    const [followed] = followedSpots(travel);
    expect(followed).toMatchObject({ riderId: 'part1', spot: { name: 'Tip' } });
    const increments = spotTrail(travel, followed!).map(({ increment }) => increment);
    // It stays at the start of the arc until the figure is 50 ahead.
    expect(increments[1]).toBeCloseTo(0, 9);
    expect(increments[24]).toBeCloseTo(10, 6);
    expect(writeIncrementsCsv(tail).split('\n')[0]).toMatch(/,spot: Tip \(Part 2\)$/);
  });

  test('the checks tell of a sudden change and of a corner that the figure does not have', () => {
    const jerky = edits.setKey(
      edits.setKey(edits.setKey(turning, { moveId, track: 'turn', frame: 10, value: 0 }), {
        moveId,
        track: 'turn',
        frame: 11,
        value: 60,
      }),
      { moveId, track: 'turn', frame: 12, value: 60 },
    );
    const told = checkShot(jerky).map(({ check, sentence }) => [check, sentence] as const);
    expect(told.find(([check]) => check === 'spotSudden')?.[1]).toContain(
      'The spacing of “Nose” changes suddenly',
    );
    expect(checkShot(turning).filter(({ check }) => check.startsWith('spot'))).toEqual([]);
  });

  test('and of a corner in what should be an arc', () => {
    const straight = edits.setFigure(straightShot(240, 25), { figureId, height: 100 });
    const ahead = { drawing: 1, x: look.pivot.x + (40 * look.height) / 100, y: look.pivot.y };
    const nose = edits.followSpot(straight, { figureId, place: ahead, name: 'Nose' });
    const keys = [
      [1, 0],
      [13, 0],
      [25, 240],
    ] as const;
    const turned = keys.reduce(
      (shot, [frame, value]) => edits.setKey(shot, { moveId, track: 'turn', frame, value }),
      nose,
    );
    const corners = (shot: Shot) => checkShot(shot).filter(({ check }) => check === 'spotCorner');
    expect(corners(nose)).toEqual([]);
    expect(corners(turned)).toMatchObject([
      {
        from: 12,
        until: 14,
        sentence: expect.stringContaining('The path of “Nose” has a corner of 61°') as string,
      },
    ]);
  });

  test('have a column of increments in the table', () => {
    const csv = writeIncrementsCsv(turning);
    expect(csv.split('\n')[0]).toMatch(/,spot: Nose$/);
  });
});

describe('numbers of drawings', () => {
  test('keys, a breakdown and in-betweens, by frame or in order', () => {
    const five = edits.drawThrough(base, {
      moveId,
      from: 1,
      until: 5,
      first: 1,
      second: 2,
      chart: { kind: 'halves', toward: 'end' },
    });
    const numbered = numberedDrawings(five, onlyMove(five));
    expect(numbered.map(({ frame, order, role }) => [frame, order, role])).toEqual([
      [1, 1, 'key'],
      [2, 2, 'breakdown'],
      [3, 3, 'between'],
      [4, 4, 'between'],
      [5, 5, 'key'],
    ]);
    const column = (shot: Shot) =>
      writeExposureSheetCsv(shot)
        .split('\n')
        .slice(1, 6)
        .map((line) => line.split(',')[3]);
    expect(column(five)).toEqual(['(1)', '_2_', '3', '4', '(5)']);
    const later = edits.drawThrough(base, { moveId, from: 11, until: 15, first: 1, second: 2, chart: null });
    const inOrder = edits.setSheet(later, { numbering: 'order' });
    expect(numberedDrawings(inOrder, onlyMove(inOrder)).map(({ frame, order }) => [frame, order])).toEqual(
      [11, 12, 13, 14, 15].map((frame, i) => [frame, i + 1]),
    );
    expect(
      ladderThrough(five, onlyMove(five), drawnThroughSpans(onlyMove(five))[0]!).rungs.map(({ share }) =>
        fractionName(share),
      ),
    ).toEqual(['1/2', '3/4', '7/8']);
  });
});

describe('sheets for in-betweens', () => {
  const paper = paperOf('a4', false);
  const short = edits.drawThrough(base, { moveId, from: 1, until: 5, first: 1, second: 2, chart: null });

  test('are one page each, in true size, with the outline dotted and register marks', () => {
    const pages = inbetweenPages(short, paper, 1, { heightMm: 100, register: PLAIN_REGISTER });
    expect(pages.count).toBe(3);
    const { ops } = pages.pageAt(1);
    const dotted = ops.filter((op) => op.kind === 'line' && op.isDashed);
    expect(dotted).toHaveLength(1);
    const xs = dotted.flatMap((op) => (op.kind === 'line' ? op.points.map(([x]) => x) : []));
    // 200 units are 100 mm; half-way between 80 and 120 by their ratio.
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(Math.sqrt(80 * 120) / 2, 6);
    const texts = ops.flatMap((op) => (op.kind === 'text' ? [op.text] : []));
    expect(texts).toEqual(expect.arrayContaining(['3', 'frame 3', 'In-between, drawing 100.0 mm high']));
  });

  test('of two figures have the size of each, in whatever units their pictures are', () => {
    const double = (shot: Shot): Shot['figures'][number]['artwork'] => {
      const { artwork } = shot.figures[0]!;
      if (artwork.kind !== 'pictures') return artwork;
      return {
        kind: 'pictures',
        drawings: artwork.drawings.map((drawing) => ({
          ...drawing,
          width: 2 * drawing.width,
          height: 2 * drawing.height,
          outline: drawing.outline.map((flat) => flat.map((value) => 2 * value)),
        })),
      };
    };
    const { pivot } = short.figures[0]!;
    const doublePivot = pivot && { x: 2 * pivot.x, y: 2 * pivot.y };
    const both: Shot = {
      ...short,
      figures: [
        ...short.figures,
        { ...short.figures[0]!, id: 'larger', artwork: double(short), pivot: doublePivot },
      ],
      moves: [...short.moves, { ...short.moves[0]!, id: 'move9', figureId: 'larger' }],
    };
    const pages = inbetweenPages(both, paper, 1, { heightMm: 100, register: PLAIN_REGISTER });
    const widthOf = (index: number): number => {
      const xs = pages
        .pageAt(index)
        .ops.flatMap((op) => (op.kind === 'line' && op.isDashed ? op.points.map(([x]) => x) : []));
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(pages.count).toBe(6);
    expect(widthOf(4)).toBeCloseTo(widthOf(1), 6);
  });

  test('have the followed spots of parts, where they are beside the figure', () => {
    const carrying = edits.addRider(short, { moveId, follows: { by: 'distance', distance: 0 } });
    const place = { drawing: 1, x: 0, y: 0 };
    const tip = edits.followSpot(carrying, { moveId, riderId: 'part1', place, name: 'Tip' });
    const { ops } = inbetweenPages(tip, paper, 1, { heightMm: 100, register: PLAIN_REGISTER }).pageAt(1);
    expect(ops.some((op) => op.kind === 'text' && op.text === 'Tip')).toBe(true);
  });

  test('say what does not fit', () => {
    const ask =
      (heightMm: number | null, register = PLAIN_REGISTER) =>
      () =>
        inbetweenPages(short, paper, 1, { heightMm, register });
    expect(ask(900)).toThrow('larger than the paper');
    expect(ask(100, { ...PLAIN_REGISTER, apartMm: 120 })).toThrow('off the paper');
    expect(() => inbetweenPages(base, paper)).toThrow('Nothing is drawn through');
  });

  test('holes are as far apart and as large as they were typed', () => {
    const register = {
      ...PLAIN_REGISTER,
      kind: 'holes',
      edge: 'top',
      apartMm: 70,
      middleMm: 6,
      outerMm: 14,
      fromEdgeMm: 8,
    } as const;
    const { ops } = inbetweenPages(short, paper, 1, { heightMm: 100, register }).pageAt(0);
    const rows = ops.flatMap((op) =>
      op.kind === 'line' && op.points.length === 33 && op.points.every(([, y]) => y < 12) ? [op.points] : [],
    );
    expect(
      rows.map((points) =>
        Math.round(Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x))),
      ),
    ).toEqual([14, 6, 14]);
  });

  test('as pictures they are as large as the key drawing', () => {
    const tiles = inbetweenTiles(short);
    expect(tiles.map(({ name, width, height }) => [name, width, height])).toEqual([
      ['002', 200, 200],
      ['003', 200, 200],
      ['004', 200, 200],
    ]);
  });
});

test('the checks tell of a line that no pin moves', () => {
  const stroke = picture(5, [50, 50, 150, 52, 150, 54, 50, 52]);
  const lines = edits.setArtwork(through, {
    figureId,
    artwork: { kind: 'pictures', drawings: [stroke, { ...stroke, sha256: '6'.repeat(64) }] },
  });
  const told = (shot: Shot) => checkShot(shot).filter(({ check }) => check === 'foldingBetween');
  expect(told(lines)[0]!.sentence).toContain('a line that encloses nothing');
  expect(told(through)).toEqual([]);
});
