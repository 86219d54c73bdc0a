import { measureArc, pointAtDistance } from '../arc/arcMeasure';
import { checkShot } from '../checks';
import { arcOf, circle, corner, onlyMove, shotAlong, straightShot } from '../testing/shapes';
import type { Rider, Shot } from '../model/schema';
import { shotSchema } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { partsOn } from '../motion/figureOn';
import { taperedSize } from '../motion/chain';
import { distanceAhead } from '../motion/riders';
import { edits } from './edits';

const moveId = 'move1';
const even = { kind: 'even' } as const;

/** A move along 400 units in 21 frames, 20 a frame, with one part. */
const withPart = (some: Partial<Omit<Rider, 'id'>>, shot: Shot = straightShot(400, 21, even)): Shot =>
  edits.addRider(shot, { moveId, ...some });

/** A part on all frames. */
function ridden(shot: Shot, which = 0) {
  const { riders } = evaluate(shot).travels[0]!;
  const places = Array.from({ length: shot.lengthFrames }, (_, i) => riders[which]!.placeOn(i));
  return {
    pivotX: places.map(({ pivotX }) => pivotX),
    pivotY: places.map(({ pivotY }) => pivotY),
    direction: places.map(({ directionDeg }) => directionDeg),
    heading: places.map(({ headingDeg }) => headingDeg),
  };
}
const rounded = (values: ArrayLike<number>): number[] =>
  Array.from(values, (value) => Math.round(value * 1e9) / 1e9 + 0);

describe('where a part is', () => {
  test('so far behind the figure: the arc begins with it waiting there, s(f) + d', () => {
    const { pivotX } = ridden(withPart({ follows: { by: 'distance', distance: -50 } }));
    expect(rounded(pivotX.slice(0, 5))).toEqual([0, 0, 0, 10, 30]);
    expect(pivotX[20]).toBeCloseTo(350, 9);
  });

  test('past an open end it stays, or carries straight on along the last direction', () => {
    const bent = shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]), 11, even);
    const follows = { by: 'distance', distance: 50 } as const;
    const stays = ridden(withPart({ follows }, bent));
    expect([stays.pivotX[10], stays.pivotY[10]]).toEqual([100, 100]);
    const on = ridden(withPart({ follows, pastEnds: 'straight' }, bent));
    expect(on.pivotX[10]).toBeCloseTo(100, 9);
    expect(on.pivotY[10]).toBeCloseTo(150, 9);
    const before = ridden(
      withPart({ follows: { by: 'distance', distance: -30 }, pastEnds: 'straight' }, bent),
    );
    expect([before.pivotX[0], before.pivotY[0]]).toEqual([-30, 0]);
  });

  test('round a closed arc it goes over the seam, and its direction goes on turning', () => {
    const { pivotX, pivotY, direction } = ridden(
      withPart({ follows: { by: 'distance', distance: -25 } }, shotAlong(circle(100), 41)),
    );
    const level = withPart({ follows: { by: 'distance', distance: 0 } }, shotAlong(circle(100), 41));
    const { arcLength, x, y } = evaluate(level).travels[0]!;
    expect(ridden(level)).toMatchObject({ pivotX: [...x], pivotY: [...y] });
    expect(arcLength).toBeGreaterThan(600);
    expect(Math.hypot(pivotX[0]! - x[0]!, pivotY[0]! - y[0]!)).toBeCloseTo(200 * Math.sin(25 / 200), 1);
    for (let i = 1; i < 41; i++) expect(direction[i]! - direction[i - 1]!).toBeCloseTo(9, 0);
  });

  test('so many frames later it is where the figure was; before the first frame it waits at the start', () => {
    const { pivotX } = ridden(withPart({ follows: { by: 'frames', frames: 3 } }));
    expect(rounded(pivotX.slice(0, 6))).toEqual([0, 0, 0, 0, 20, 40]);
    const ahead = ridden(withPart({ follows: { by: 'frames', frames: -2 } }));
    expect(rounded(ahead.pivotX.slice(18))).toEqual([400, 400, 400]);
  });

  test('its offset rides with it, or lies in the field', () => {
    const down = shotAlong(arcOf([corner(100, 0), corner(100, 400)]), 21, even);
    const riding = ridden(withPart({ offset: { x: 5, y: 10 } }, down));
    expect([riding.pivotX[0], riding.pivotY[0]]).toEqual([expect.closeTo(90, 9), expect.closeTo(5, 9)]);
    const inField = ridden(withPart({ offset: { x: 5, y: 10 }, offsetIn: 'field' }, down));
    expect([inField.pivotX[0], inField.pivotY[0]]).toEqual([105, 10]);
  });

  test('one that only looks sits on the figure, and is turned by the arc at its own distance', () => {
    const bent = shotAlong(arcOf([corner(0, 0), corner(100, 0), corner(100, 100)]), 11, even);
    const { pivotX, pivotY, heading } = ridden(
      withPart({ rides: 'looks', follows: { by: 'distance', distance: 50 }, offset: { x: 0, y: 0 } }, bent),
    );
    expect([pivotX[4], pivotY[4]]).toEqual([expect.closeTo(80, 9), 0]);
    expect(heading[4]).toBe(90);
    expect(heading[1]).toBe(0);
  });

  test('on a second arc it is at the same share of the length, or nearest to its place on the first', () => {
    const first = straightShot(400, 21, even);
    const second = { ...arcOf([corner(100, 50), corner(200, 50)]), id: 'arc2', name: 'Ground' };
    const two = { ...first, arcs: [...first.arcs, second] };
    const shared = ridden(withPart({ arcId: 'arc2', follows: { by: 'distance', distance: 0 } }, two));
    expect([shared.pivotX[5], shared.pivotY[5]]).toEqual([expect.closeTo(125, 9), 50]);
    const near = ridden(withPart({ arcId: 'arc2', onSecond: 'nearest' }, two));
    expect(rounded([near.pivotX[0]!, near.pivotX[7]!, near.pivotX[20]!])).toEqual([100, 140, 200]);
    const removed = edits.removeArc(withPart({ arcId: 'arc2' }, two), { arcId: 'arc2' });
    expect(onlyMove(removed).riders[0]!.arcId).toBeNull();
    expect(shotSchema.safeParse(removed).success).toBe(true);
  });

  test('the nearest spot of a second arc is the nearest on every frame, also where it goes over to another leg', () => {
    const hairpin = {
      ...arcOf([corner(0, 0), corner(400, 0), corner(400, 100), corner(0, 100)]),
      id: 'arc2',
      name: 'Hairpin',
    };
    const across = shotAlong(arcOf([corner(60, 10), corner(340, 95), corner(80, 40)]), 41, even);
    const shot = withPart(
      { arcId: 'arc2', onSecond: 'nearest', name: 'Shadow' },
      { ...across, arcs: [...across.arcs, hairpin] },
    );
    const { pivotX, pivotY } = ridden(shot);
    const { x, y } = evaluate(shot).travels[0]!;
    const { length } = measureArc(hairpin);
    const spots = Array.from({ length: 9001 }, (_, i) => pointAtDistance(hairpin, (length * i) / 9000));
    for (let i = 0; i < 41; i++) {
      const least = Math.min(...spots.map((spot) => Math.hypot(spot.x - x[i]!, spot.y - y[i]!)));
      expect(Math.hypot(pivotX[i]! - x[i]!, pivotY[i]! - y[i]!)).toBeLessThan(least + 1e-6);
    }
    // It goes over to the other leg once on the way there, and once on the way back.
    const jumps = checkShot(shot).filter(({ check }) => check === 'jumpingPart');
    expect(jumps.map(({ until }) => [pivotY[until - 2], pivotY[until - 1]])).toEqual([
      [0, 100],
      [100, 0],
    ]);
    expect(jumps[0]!.sentence).toContain('“Shadow” jumps on frame');
    const near = ridden(
      withPart({ arcId: 'arc2', onSecond: 'share' }, { ...across, arcs: [...across.arcs, hairpin] }),
    );
    expect(near.pivotX[0]).toBe(0);
  });

  test('a part that is nearest round a closed arc goes on over the seam, and no jump is told', () => {
    const round = shotAlong(circle(100), 41, even);
    const outer = { ...circle(150), id: 'arc2', name: 'Outer' };
    const shot = withPart({ arcId: 'arc2', onSecond: 'nearest' }, { ...round, arcs: [...round.arcs, outer] });
    const { heading } = ridden(shot);
    for (let i = 1; i < 41; i++) expect(heading[i]! - heading[i - 1]!).toBeCloseTo(9, 0);
    expect(checkShot(shot).filter(({ check }) => check === 'jumpingPart')).toEqual([]);
  });

  test('a chain follows the height of its head: sizes, gaps and offsets keep their proportions', () => {
    const chain = edits.makeChain(straightShot(400, 21, even), {
      moveId,
      count: 4,
      gap: 'nose-to-tail',
      toPercent: 40,
      taper: 'even',
    });
    const { height } = chain.figures[0]!;
    const tall = edits.setFigure(chain, { figureId: 'figure1', height: height * 1.5 });
    // Unless it is told not to.
    const alone = edits.setFigure(chain, { figureId: 'figure1', height: height * 1.5, keepsParts: true });
    expect(alone.moves[0]!.riders).toEqual(chain.moves[0]!.riders);
    expect(alone.figures[0]!.height).toBe(height * 1.5);
    onlyMove(tall).riders.forEach((rider, i) => {
      const was = onlyMove(chain).riders[i]!;
      expect([rider.height / was.height, rider.sizePercent]).toEqual([
        expect.closeTo(1.5, 9),
        was.sizePercent,
      ]);
      const [now, then] = [rider.follows, was.follows];
      if (now.by === 'distance' && then.by === 'distance')
        expect(now.distance / then.distance).toBeCloseTo(1.5, 9);
    });
    expect(onlyMove(edits.setFigure(chain, { figureId: 'figure1', name: 'Eel' })).riders).toBe(
      onlyMove(chain).riders,
    );
  });

  test('a figure that waits forgets a second arc that is removed, and comes back onto its own', () => {
    const first = straightShot(400, 21, even);
    const second = { ...arcOf([corner(0, 50), corner(400, 50)]), id: 'arc2', name: 'Ground' };
    const two = withPart({ arcId: 'arc2' }, { ...first, arcs: [...first.arcs, second] });
    const waits = edits.detachFigure(two, { figureId: 'figure1', frame: 1 });
    const removed = edits.removeArc(waits, { arcId: 'arc2' });
    const { id: arcId } = first.arcs[0]!;
    const back = edits.attachFigure(removed, { figureId: 'figure1', arcId, frame: 1, how: 'start' });
    expect(onlyMove(back).riders[0]!.arcId).toBeNull();
    expect(shotSchema.safeParse(back).success).toBe(true);
  });

  test('moving a point of the second arc moves it, and not the figure', () => {
    const first = straightShot(400, 21, even);
    const second = { ...arcOf([corner(0, 50), corner(400, 50)]), id: 'arc2', name: 'Ground' };
    const two = withPart({ arcId: 'arc2' }, withPart({}, { ...first, arcs: [...first.arcs, second] }));
    const before = evaluate(two).travels[0]!;
    const lower = { ...arcOf([corner(0, 90), corner(400, 90)]), id: 'arc2', name: 'Ground' };
    const moved = { ...two, arcs: [first.arcs[0]!, lower] };
    expect(ridden(moved, 1).pivotY[3]).toBe(90);
    expect(ridden(moved, 0).pivotY[3]).toBe(0);
    expect(evaluate(moved).travels[0]!.x).toBe(before.x);
  });

  test('a drag along the arc sets its distance, the short way round a closed one', () => {
    const round = evaluate(shotAlong(circle(100), 41)).travels[0]!;
    expect(distanceAhead(round, 1, 30)).toBeCloseTo(30, 9);
    expect(distanceAhead(round, 1, round.arcLength - 30)).toBeCloseTo(-30, 9);
  });
});

describe('how parts look', () => {
  test('sizes and opacity go with those of the figure; hidden parts are left out; depth is kept', () => {
    const sized = edits.setKey(withPart({ sizePercent: 50, opacityPercent: 40, name: 'Tail' }), {
      moveId,
      track: 'opacity',
      frame: 1,
      value: 50,
    });
    const front = edits.addRider(sized, { moveId, name: 'Head', inFront: true });
    const parts = partsOn(evaluate(front).travels[0]!, 0);
    expect(parts.map(({ rider }) => rider?.name ?? null)).toEqual(['Tail', null, 'Head']);
    expect(parts[0]!.opacity).toBeCloseTo(0.2, 12);
    expect(Math.hypot(parts[0]!.placement.a, parts[0]!.placement.b)).toBeCloseTo(
      Math.hypot(parts[1]!.placement.a, parts[1]!.placement.b) / 2,
      12,
    );
    const hidden = edits.setRider(front, { moveId, riderId: 'part1', hidden: true });
    expect(partsOn(evaluate(hidden).travels[0]!, 0)).toHaveLength(2);
  });

  test('a picture that is bent keeps the length of what it is made of, and lies straight on a straight arc', () => {
    const strip = withPart({ bends: true, follows: { by: 'distance', distance: 0 } });
    const [{ slices, look }] = partsOn(evaluate(strip).travels[0]!, 10) as [
      ReturnType<typeof partsOn>[number],
    ];
    expect(slices!.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(look.width, 9);
    for (const { placement } of slices!) {
      expect(placement.b).toBeCloseTo(0, 12);
      expect(placement.f).toBeCloseTo(slices![0]!.placement.f, 9);
    }
    const round = withPart({ bends: true }, shotAlong(circle(100), 41));
    const bent = partsOn(evaluate(round).travels[0]!, 10)[0]!;
    const turn = (k: number): number =>
      Math.atan2(bent.slices![k]!.placement.b, bent.slices![k]!.placement.a);
    const k = Math.hypot(bent.slices![0]!.placement.a, bent.slices![0]!.placement.b);
    // A slice further is its width along the circle, in radians of it.
    expect(turn(5) - turn(4)).toBeCloseTo((bent.slices![0]!.width * k) / 100, 3);
  });
});

describe('a chain', () => {
  const count = 12;
  test('of twelve from 100 % to 40 %: part 7 is 67.27 % by equal steps', () => {
    expect(taperedSize({ count, toPercent: 40, taper: 'even' }, 7)).toBeCloseTo(67.27, 2);
    expect(taperedSize({ count, toPercent: 40, taper: 'ratio' }, 12)).toBeCloseTo(40, 12);
    const ratio = (part: number) => taperedSize({ count, toPercent: 40, taper: 'ratio' }, part);
    expect(ratio(5) / ratio(4)).toBeCloseTo(ratio(9) / ratio(8), 12);
  });

  test('is made in one step, by distance, by frames, or nose to tail', () => {
    const chain = (gap: Parameters<typeof edits.makeChain>[1]['gap'], toPercent = 100): Shot =>
      edits.makeChain(straightShot(400, 21, even), { moveId, count: 3, gap, toPercent, taper: 'even' });
    const follows = (shot: Shot) =>
      onlyMove(shot)
        .riders.map((rider) => rider.follows)
        .reverse();
    expect(follows(chain({ distance: 30 }))).toEqual([
      { by: 'distance', distance: -30 },
      { by: 'distance', distance: -60 },
    ]);
    expect(follows(chain({ frames: 2 }))).toEqual([
      { by: 'frames', frames: 2 },
      { by: 'frames', frames: 4 },
    ]);
    // Parts of one size stand as far apart as one is long; tapered ones come closer.
    const [near, far] = follows(chain('nose-to-tail')) as { distance: number }[];
    expect(far!.distance).toBeCloseTo(2 * near!.distance, 9);
    const [smaller] = follows(chain('nose-to-tail', 50)) as { distance: number }[];
    expect(smaller!.distance).toBeGreaterThan(near!.distance);
    expect(shotSchema.safeParse(chain('nose-to-tail', 50)).success).toBe(true);
  });

  test('one that would reach further than a shot can say is refused', () => {
    const chain = (gap: Parameters<typeof edits.makeChain>[1]['gap']) => () =>
      edits.makeChain(straightShot(400, 21), { moveId, count: 40, gap, toPercent: 100, taper: 'even' });
    expect(chain({ distance: 1e6 })).toThrow('This chain is too long.');
    expect(chain({ frames: 1000 })).toThrow('This chain is too long.');
  });

  test('too few parts, or too many, are said', () => {
    const make = (parts: number) => () =>
      edits.makeChain(straightShot(400, 21), {
        moveId,
        count: parts,
        gap: { distance: 10 },
        toPercent: 100,
        taper: 'even',
      });
    expect(make(1)).toThrow('A chain has at least two parts, counting the figure.');
    expect(make(80)).toThrow('A figure has at most 60 parts besides itself.');
  });
});

describe('a pair, an order, a part of its own', () => {
  const two = edits.addRider(withPart({ offset: { x: 0, y: -12 } }), { moveId, offset: { x: 3, y: 18 } });

  test('left and right share the mean of their offsets: 12 and 18 become 15 and 15', () => {
    const paired = edits.pairRiders(two, { moveId, riderIds: ['part2', 'part1'] });
    expect(onlyMove(paired).riders.map(({ offset }) => offset)).toEqual([
      { x: 0, y: -15 },
      { x: 3, y: 15 },
    ]);
  });

  test('the order in depth, and taking parts away', () => {
    const ordered = edits.orderRider(two, { moveId, riderId: 'part2', to: 0 });
    expect(onlyMove(ordered).riders.map(({ id }) => id)).toEqual(['part2', 'part1']);
    expect(onlyMove(edits.removeRider(two, { moveId, riderId: 'part1' })).riders).toHaveLength(1);
    expect(onlyMove(edits.clearRiders(two, { moveId })).riders).toEqual([]);
    expect(() => edits.setRider(two, { moveId, riderId: 'part9', hidden: true })).toThrow('no part part9');
  });

  test('a part that is next to nothing becomes a figure of the least size', () => {
    const tiny = edits.setRider(two, { moveId, riderId: 'part2', sizePercent: 0.1 });
    const released = edits.releaseRider(tiny, { moveId, riderId: 'part2', frame: 1 });
    expect(shotSchema.safeParse(released).success).toBe(true);
  });

  test('let go, it waits where it stood, as large and turned as it was', () => {
    const before = ridden(two, 1);
    const released = edits.releaseRider(two, { moveId, riderId: 'part2', frame: 6 });
    expect(shotSchema.safeParse(released).success).toBe(true);
    expect(onlyMove(released).riders).toHaveLength(1);
    expect(released.waiting[0]).toMatchObject({
      figureId: 'figure2',
      x: before.pivotX[5],
      y: before.pivotY[5],
      turnDeg: before.heading[5],
    });
    expect(released.waiting[0]!.move!.marks).toHaveLength(2);
    const back = edits.attachFigure(released, {
      figureId: 'figure2',
      arcId: onlyMove(two).arcId,
      frame: 6,
      how: 'where-it-is',
    });
    const { pivotX, pivotY } = evaluate(back).travels[1]!;
    expect([pivotX[5], pivotY[5]]).toEqual([
      expect.closeTo(before.pivotX[5]!, 9),
      expect.closeTo(before.pivotY[5]!, 9),
    ]);
  });
});
