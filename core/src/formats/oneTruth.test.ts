import { beginsExposure, exposuresOf } from '../exposure/exposures';
import { edits } from '../edits/edits';
import { PLAIN_RIDER } from '../model/plainRiding';
import type { Artwork, Cycle, FramesHeld, Key, Move, Outside, Rider, Shot } from '../model/schema';
import { evaluate, type Travel } from '../motion/evaluate';
import { type PartOn, partsOn } from '../motion/figureOn';
import { ghostFrames } from '../motion/ghosts';
import { partTracks } from '../motion/partTracks';
import { sceneOn } from '../motion/scene';
import { exposureSheet } from '../spacing/exposureSheet';
import { incrementTable, seenRow } from '../spacing/increments';
import { fc } from '../testing/property';
import {
  anyEasing,
  arcOf,
  corner,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { lottieJson } from './lottieJson';
import { movingSvg } from './movingSvg';
import { partRows } from './partsCsv';

const moveId = 'move1';

const key = (frame: number, value: number): Key => ({
  id: `k${frame}`,
  frame,
  value,
  easing: { kind: 'even' },
  growth: 'even',
});

const withTracks = (shot: Shot, tracks: Partial<Move['tracks']>): Shot => ({
  ...shot,
  moves: shot.moves.map((move) => ({ ...move, tracks: { ...move.tracks, ...tracks } })),
});

/** The opacity of the only figure as a scene has it on a frame, percent. */
const opacityOn = (shot: Shot, frame: number): number => {
  const scene = sceneOn(shot, frame);
  return scene.length === 0 ? 0 : Math.round(100 * scene[0]!.opacity);
};

describe('before the first mark and after the last time goes on', () => {
  const between = (length: number, first: number, last: number): Shot =>
    edits.setLength(withMarks(straightShot(600, 60), markAt(first, 0), markAt(last, 1)), {
      lengthFrames: length,
      moves: 'keep',
    });

  test('a fade that goes on after the last mark, and one before the first', () => {
    const out = withTracks(between(60, 1, 40), { opacity: [key(40, 100), key(50, 0)] });
    expect([40, 45, 48, 60].map((f) => opacityOn(out, f))).toEqual([100, 50, 20, 0]);
    const into = withTracks(between(60, 21, 40), { opacity: [key(11, 0), key(21, 100)] });
    expect([5, 11, 16, 21, 30].map((f) => opacityOn(into, f))).toEqual([0, 0, 50, 100, 100]);
  });

  test('a turn before the first mark is in the table, the moving SVG and Lottie', () => {
    const shot = withTracks(between(60, 21, 40), { turn: [key(11, 0), key(21, 90)] });
    expect(seenRow(incrementTable(shot, onlyMove(shot)), 16).headingDeg).toBeCloseTo(45, 9);
    expect(svgPart(movingSvg(shot, NO_PICTURES), 0).turnOn(16, shot)).toBeCloseTo(45, 4);
    expect(lottiePart(shot, 0).turnOn(16)).toBeCloseTo(45, 4);
  });

  test('a part six frames behind arrives six frames after its figure', () => {
    const part: Partial<Omit<Rider, 'id'>> = { follows: { by: 'frames', frames: 6 } };
    const shot = edits.addRider(between(60, 1, 31), { moveId, ...part });
    const { riders, shown } = evaluate(shot).travels[0]!;
    const seen = (f: number): number => riders[0]!.placeOn(shown[f - 1]! - 1).pivotX;
    expect([31, 34, 37, 60].map(seen).map(Math.round)).toEqual([480, 540, 600, 600]);
  });

  test('so many frames behind is s(f − n), where a move that is repeated was before the shot', () => {
    const shot = edits.addRider(
      edits.setOutside(withMarks(straightShot(400, 20), markAt(1, 0), markAt(5, 1)), {
        moveId,
        before: 'repeat',
      }),
      { moveId, follows: { by: 'frames', frames: 1 } },
    );
    // Frame 0 is that of the round before on its way from 0 to 400 in four frames.
    expect(evaluate(shot).travels[0]!.riders[0]!.placeOn(0).pivotX).toBeCloseTo(300, 9);
  });

  test('where nothing changes there is one picture before the first mark, and the last one stays', () => {
    const shot = edits.setFramesHeld(between(60, 21, 40), { moveId, framesHeld: 2 });
    const frames = incrementTable(shot, onlyMove(shot)).rows.map(({ frame }) => frame);
    expect([frames[0], frames[1], frames.at(-1)]).toEqual([1, 21, 41]);
    expect(exposureSheet(shot).columns[0]!.cells[9]).toMatchObject({ shows: 'held', begins: 1 });
  });

  test('on twos they are counted from the first mark on, to both sides', () => {
    const shot = edits.setFramesHeld(withTracks(between(30, 10, 14), { turn: [key(4, 0), key(20, 160)] }), {
      moveId,
      framesHeld: 2,
    });
    const { rows } = incrementTable(shot, onlyMove(shot));
    expect(rows.map(({ frame }) => frame)).toEqual([1, 6, 8, 10, 12, 14, 16, 18, 20]);
    expect(rows.map(({ headingDeg }) => headingDeg)).toEqual([0, 20, 40, 60, 80, 100, 120, 140, 160]);
  });

  test('a heading that is smoothed settles after the figure has stopped', () => {
    const bent = arcOf([corner(0, 0), corner(100, 0), corner(100, 20)]);
    const stopped = withMarks(shotAlong(bent, 30), markAt(1, 0), markAt(13, 1));
    const shot: Shot = {
      ...stopped,
      moves: stopped.moves.map((move) => ({ ...move, turnsWithArc: true, smoothFrames: 9 })),
    };
    const { heading, shown } = evaluate(shot).travels[0]!;
    expect(heading[shown[12]! - 1]!).toBeLessThan(85);
    expect(heading[shown[29]! - 1]!).toBeCloseTo(90, 9);
  });
});

const NO_PICTURES = { source: () => null };

/** A stepped value of an animated SVG on a frame. */
function steppedOn(part: string, animation: RegExp, still: RegExp, frame: number, shot: Shot): string {
  const found = animation.exec(part);
  if (!found) return still.exec(part)?.[1] ?? '';
  const times = /keyTimes="([^"]*)"/.exec(found[0])![1]!.split(';').map(Number);
  const values = /values="([^"]*)"/.exec(found[0])![1]!.split(';');
  const at = (frame - 1) / shot.lengthFrames + 1e-6;
  return values[times.findLastIndex((time) => time <= at)]!;
}

/** A part of a moving SVG, read as a browser would. */
function svgPart(svg: string, index: number) {
  const part = svg.split('\n').filter((line) => line.startsWith('<g class="part"'))[index]!;
  const numbers = (text: string): number[] => text.split(' ').map(Number);
  return {
    opacityOn: (frame: number, shot: Shot): number =>
      Number(
        steppedOn(part, /<animate attributeName="opacity"[^>]*>/, /^<g[^>]* opacity="([^"]*)"/, frame, shot),
      ),
    turnOn: (frame: number, shot: Shot): number =>
      Number(
        steppedOn(
          part,
          /<animateTransform[^>]*type="rotate"[^>]*>/,
          /<g transform="rotate\(([^)]*)\)"/,
          frame,
          shot,
        ),
      ),
    scaleOn: (frame: number, shot: Shot): number[] =>
      numbers(
        steppedOn(
          part,
          /<animateTransform[^>]*type="scale"[^>]*>/,
          /rotate\([^)]*\)"><g transform="scale\(([^)]*)\)"/,
          frame,
          shot,
        ),
      ),
    placeOn: (frame: number, shot: Shot): number[] => {
      const motion = /<animateMotion[^>]*>/.exec(part)?.[0];
      if (!motion) return numbers(/translate\(([^)]*)\)/.exec(part)![1]!);
      const places = /path="([^"]*)"/.exec(motion)![1]!.split(/[ML]/).slice(1).map(numbers);
      const times = /keyTimes="([^"]*)"/.exec(motion)![1]!.split(';').map(Number);
      return places[times.findLastIndex((time) => time <= (frame - 1) / shot.lengthFrames + 1e-6)]!;
    },
    drawingOn: (frame: number, shot: Shot): number =>
      part
        .split('<g visibility=')
        .slice(1)
        .findIndex(
          (group) =>
            steppedOn(group, /<animate attributeName="visibility"[^>]*>/, /^"([^"]*)"/, frame, shot) ===
            'visible',
        ),
  };
}

interface LottieValue {
  readonly a: 0 | 1;
  readonly k: number | number[] | { readonly t: number; readonly s: number[] }[];
}

/** A part of a Lottie file, read as a player would. */
function lottiePart(shot: Shot, index: number) {
  const { layers } = JSON.parse(lottieJson(shot, () => null)) as {
    layers: { ind: number; parent?: number; nm: string; ty: number; ks: Record<string, LottieValue> }[];
  };
  const upwards = [...layers].reverse();
  const rides = upwards.filter(({ ty, parent }) => ty === 3 && parent === undefined)[index]!;
  const faces = upwards.find(({ parent }) => parent === rides.ind)!;
  const drawings = upwards.filter(({ parent }) => parent === faces.ind);
  const on = (value: LottieValue, frame: number): number[] =>
    value.a === 0
      ? ([value.k].flat() as number[])
      : (value.k as { t: number; s: number[] }[]).findLast(({ t }) => t <= frame - 1)!.s;
  return {
    turnOn: (frame: number): number => on(rides.ks.r!, frame)[0]!,
    placeOn: (frame: number): number[] => on(rides.ks.p!, frame).slice(0, 2),
    /** The opacities of its drawings, 0 to 1. */
    opacitiesOn: (frame: number): number[] => drawings.map(({ ks }) => on(ks.o!, frame)[0]! / 100),
    scaleOn: (frame: number): number[] =>
      on(drawings[0]!.ks.s!, frame)
        .slice(0, 2)
        .map((value) => value / 100),
  };
}

const artworkOf = (frames: readonly number[]): Artwork => ({
  kind: 'pictures',
  drawings: frames.map((held, i) => ({
    sha256: String(i).repeat(64),
    type: 'image/png',
    name: `${i}.png`,
    width: 40,
    height: 80,
    outline: [[0, 0, 40, 0, 40, 80]],
    frames: held,
    planted: null,
  })),
});

const LENGTH = 40;
const frameIn = fc.integer({ min: 1, max: LENGTH });
const anyKeys = (least: number, most: number): fc.Arbitrary<Key[]> =>
  fc
    .uniqueArray(frameIn, { maxLength: 3 })
    .chain((frames) =>
      fc.tuple(
        ...frames
          .sort((a, b) => a - b)
          .map((frame) => fc.integer({ min: least, max: most }).map((value) => key(frame, value))),
      ),
    );
const anyCycle: fc.Arbitrary<Cycle | null> = fc.option(
  fc
    .record({
      by: fc.constantFrom('time' as const, 'way' as const),
      from: frameIn,
      length: fc.option(fc.integer({ min: 0, max: 20 })),
      startDrawing: fc.integer({ min: 1, max: 3 }),
      swings: fc.boolean(),
      advance: fc.integer({ min: 20, max: 200 }),
      before: fc.constantFrom('hold' as const, 'repeat' as const, 'hide' as const),
      after: fc.constantFrom('hold' as const, 'swing' as const, 'hide' as const),
    })
    .map(({ length, ...cycle }) => ({ ...cycle, until: length === null ? null : cycle.from + length })),
);
const anyOutside = fc.constantFrom<Outside>('hold', 'hold', 'hold', 'repeat', 'swing');
const anyRider = fc.record({
  follows: fc.oneof(
    fc.record({ by: fc.constant('frames' as const), frames: fc.integer({ min: -12, max: 12 }) }),
    fc.record({ by: fc.constant('distance' as const), distance: fc.integer({ min: -80, max: 80 }) }),
  ),
  rides: fc.constantFrom('travels' as const, 'looks' as const),
  inFront: fc.boolean(),
  opacityPercent: fc.integer({ min: 0, max: 100 }),
});

/** Shots of forty frames with all that can change outside the marks. */
const anyShot: fc.Arbitrary<Shot> = fc
  .record({
    marks: fc.tuple(fc.integer({ min: 1, max: 25 }), fc.integer({ min: 1, max: 14 }), anyEasing(12)),
    framesHeld: fc.constantFrom<FramesHeld>(1, 2, 3),
    before: anyOutside,
    after: anyOutside,
    tracks: fc.record({
      turn: anyKeys(-90, 90),
      opacity: anyKeys(0, 100),
      size: anyKeys(50, 150),
      offsetX: anyKeys(-9, 9),
    }),
    drawings: fc.option(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 4 })),
    said: fc.option(fc.uniqueArray(frameIn, { minLength: 1, maxLength: 3 })),
    cycle: anyCycle,
    riders: fc.array(anyRider, { maxLength: 2 }),
    smoothFrames: fc.constantFrom(0, 0, 5),
    cornerFrames: fc.constantFrom(0, 0, 6),
    range: fc.option(fc.tuple(frameIn, fc.integer({ min: 0, max: 9 }), fc.constantFrom<FramesHeld>(1, 2, 3))),
  })
  .map(
    ({
      marks: [first, frames, easing],
      before,
      after,
      tracks,
      drawings,
      said,
      cycle,
      riders,
      range,
      ...rest
    }) => {
      const bent = arcOf([corner(0, 0), corner(200, 0), corner(260, 120)]);
      const shot = withMarks(
        shotAlong(bent, LENGTH),
        markAt(first, 0, { easing }),
        markAt(first + frames, 1),
      );
      const move: Move = {
        ...onlyMove(shot),
        ...rest,
        before,
        after,
        turnsWithArc: true,
        tracks: { ...onlyMove(shot).tracks, ...tracks },
        drawings: (said ?? [])
          .sort((a, b) => a - b)
          .map((frame, i) => ({ frame, drawing: 1 + (i % 3), drawnThrough: null })),
        cycle: drawings && cycle,
        exposures: range ? [{ from: range[0], until: range[0] + range[1], framesHeld: range[2] }] : [],
        riders: riders.map((rider, i): Rider => ({
          ...shot.figures[0]!,
          ...PLAIN_RIDER,
          ...rider,
          id: `r${i}`,
          name: `Part ${i}`,
        })),
      };
      const figures = shot.figures.map((figure) =>
        drawings ? { ...figure, artwork: artworkOf(drawings) } : figure,
      );
      return { ...shot, figures, moves: [move] };
    },
  );

/** The last frame on which an exposure may begin by the plan, up to a frame: counted to both sides of the marks. */
function countedUpTo(shot: Shot, frame: number): number {
  const move = onlyMove(shot);
  const own = exposuresOf(move, shot).map((exposure) => exposure.frame);
  const [first, last] = [own[0]!, own.at(-1)!];
  for (let f = frame; f > 1; f--) {
    if (
      f < first
        ? move.before === 'hold' && beginsExposure(move, f)
        : f > last
          ? move.after === 'hold' && beginsExposure(move, f)
          : own.includes(f)
    )
      return f;
  }
  return 1;
}

const near = (a: number, b: number): void => {
  if (Math.abs(a - b) > 1e-3) expect(a).toBe(b);
};

/** That a part is the same in every output on a frame. */
function compare(shot: Shot, travel: Travel, frame: number, outputs: ReturnType<typeof outputsOf>): void {
  const expected = partsOn(travel, countedUpTo(shot, frame) - 1);
  const seen = partsOn(travel, travel.shown[frame - 1]! - 1);
  const scene = sceneOn(shot, frame);
  expect(scene).toHaveLength(expected.filter(({ opacity }) => opacity > 0).length);
  let item = 0;
  expected.forEach((part: PartOn, index) => {
    const { pivotX, pivotY, headingDeg, opacity, drawing } = part;
    const on = seen[index]!;
    near(on.pivotX, pivotX);
    near(on.pivotY, pivotY);
    near(on.headingDeg, headingDeg);
    near(on.opacity, opacity);
    expect(on.drawing).toBe(drawing);
    if (opacity > 0) {
      const { placement, opacity: strength } = scene[item++]!;
      near(strength, opacity);
      (['a', 'b', 'c', 'd', 'e', 'f'] as const).forEach((entry) =>
        near(placement[entry], part.placement[entry]),
      );
    }
    const { svg, lottie, tracks } = outputs;
    const state = tracks[index]!.states.findLast((one) => one.frame <= frame)!;
    [state.x, ...svg[index]!.placeOn(frame, shot).slice(0, 1), lottie[index]!.placeOn(frame)[0]!].forEach(
      (x) => near(x, pivotX),
    );
    [state.y, svg[index]!.placeOn(frame, shot)[1]!, lottie[index]!.placeOn(frame)[1]!].forEach((y) =>
      near(y, pivotY),
    );
    [state.headingDeg, svg[index]!.turnOn(frame, shot), lottie[index]!.turnOn(frame)].forEach((turn) =>
      near(turn, headingDeg),
    );
    [
      state.opacity,
      svg[index]!.opacityOn(frame, shot),
      Math.max(...lottie[index]!.opacitiesOn(frame)),
    ].forEach((strength) => near(strength, opacity));
    [svg[index]!.scaleOn(frame, shot), lottie[index]!.scaleOn(frame)].forEach(([across, down]) => {
      near(across!, state.scale.across);
      near(down!, state.scale.down);
    });
    if (drawing > 0) expect(state.drawing).toBe(drawing);
    const row = outputs.rows.findLast((one) => one.part === tracks[index]!.name && one.frame <= frame);
    if (row) {
      near(row.x, pivotX);
      near(row.headingDeg, headingDeg);
      near(row.opacityPercent, 100 * opacity);
      expect(row.drawing).toBe(drawing);
    }
  });
  const figure = expected.find(({ rider }) => rider === null)!;
  const row = seenRow(outputs.table, frame);
  near(row.pivotX, figure.pivotX);
  near(row.headingDeg, figure.headingDeg);
  expect(row.drawing).toBe(figure.drawing);
  if (figure.drawing > 0) near(row.tracks.opacity, 100 * figure.opacity);
  const cell = outputs.sheet.cells[frame - 1]!;
  expect(cell.shows === 'nothing').toBe(figure.drawing === 0);
  expect(cell.begins).toBe(figure.drawing === 0 ? frame : travel.shown[frame - 1]);
}

function outputsOf(shot: Shot) {
  const tracks = partTracks(shot);
  const moving = movingSvg(shot, NO_PICTURES);
  return {
    tracks,
    svg: tracks.map((_, index) => svgPart(moving, index)),
    lottie: tracks.map((_, index) => lottiePart(shot, index)),
    table: incrementTable(shot, onlyMove(shot)),
    rows: partRows(shot),
    sheet: exposureSheet(shot).columns[0]!,
  };
}

test('screen, ghosts, preview, moving SVG, Lottie, parts, increments and sheet agree on every frame of any shot', () => {
  fc.assert(
    fc.property(anyShot, (shot) => {
      const travel = evaluate(shot).travels[0]!;
      const outputs = outputsOf(shot);
      for (let frame = 1; frame <= LENGTH; frame++) compare(shot, travel, frame, outputs);
      // Ghosts are the pictures that are seen, in order.
      const { before, after } = ghostFrames(onlyMove(shot), shot, 20, {
        before: LENGTH,
        after: LENGTH,
        every: 1,
      });
      const pictures = [...[...before].reverse(), travel.shown[19]!, ...after];
      expect(pictures).toEqual([...new Set(travel.shown)]);
    }),
    { numRuns: 60 },
  );
});
