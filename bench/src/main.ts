import {
  type Arc,
  edits,
  evaluate,
  evaluateMove,
  measureArc,
  pathData,
  pointBuffer,
  writePoint,
  type Shot,
  type Travel,
} from '@humble/core';
import { checkShot } from '@humble/core/checks';
import { fitStroke, gestureFrames } from '@humble/core/views';
import { openShot, shotCard } from '@humble/core/files';
import { thinGesture } from '@humble/core/thinGesture';
import { Bezier } from 'bezier-js';
import { svgPathProperties } from 'svg-path-properties';
import { Bench } from 'tinybench';
import { cubicArc, lengthErrors } from './accuracy';
import { DRAWING_BUDGET_MS, drawingTimes } from './drawings';
import { GROWTH_BUDGET, growths } from './growth';
import { figuresOf, ridersOf, shotOf, windingArc } from './arcs';
import { allInBetweens, drawnThroughShot, IN_BETWEENS } from './inbetweens';
import { longGesture } from './longGesture';
import { REFERENCE_MS, referenceLoop } from './reference';
import { javaScript, terminal } from './shipped';
import { missedBudgets, verdict } from './verdict';

/** Budgets of the design, milliseconds or ratios. */
const LENGTH_BUDGET = 1e-9;
const PLACE_RATIO_BUDGET = 50;
const MOVE_BUDGET_MS = 2;
const SHOT_BUDGET_MS = 25;
const FIGURES_BUDGET_MS = { fromNothing: 30, onePointMoved: 3 };
const CHECKS_BUDGET_MS = 150;
const IN_BETWEENS_BUDGET_MS = 60;
/** Several deviations are tried, so that a looser one never gives more marks. */
const THINNING_BUDGET_MS = 5000;

/** Times shorter than this say more of the machine than of the growth, milliseconds. */
const SHORT_MS = 8;

const PLACES = 100;

/** Median time of one call in milliseconds. */
async function medians(tasks: Record<string, () => unknown>): Promise<Record<string, number>> {
  const bench = new Bench({ time: 600, warmupTime: 200 });
  for (const [name, task] of Object.entries(tasks)) bench.add(name, task);
  await bench.run();
  return Object.fromEntries(
    bench.tasks.map(({ name, result }) => [
      name,
      (result && 'latency' in result ? result.latency.p50 : undefined) ?? Number.NaN,
    ]),
  );
}

/** The same arc as new objects, so that nothing is remembered of it. */
const forgotten = (arc: Arc): Arc => ({ ...arc, points: arc.points.map((point) => ({ ...point })) });

function accuracy(): void {
  console.log('\nLength, relative error against chords of 400 000 pieces, extrapolated\n');
  const rows = [
    lengthErrors('12 segments', windingArc(13)),
    lengthErrors('loop', cubicArc([0, 0], [300, 200], [-200, 200], [100, 0])),
    lengthErrors('cusp', cubicArc([0, 0], [100, 100], [0, 100], [100, 0])),
    lengthErrors('handle drawn in', cubicArc([0, 0], [0, 0], [80, 100], [200, 0])),
  ];
  console.table(
    rows.map(({ name, ours, svgPathProperties: properties, bezierJs }) => ({
      arc: name,
      ours: ours.toExponential(1),
      'svg-path-properties': properties.toExponential(1),
      'bezier-js': bezierJs.toExponential(1),
    })),
  );
  // The reference itself is good to a few parts in 1e11.
  verdict(
    `length within ${LENGTH_BUDGET} on every arc`,
    rows.every(({ ours }) => ours <= LENGTH_BUDGET),
  );
}

async function places(): Promise<void> {
  console.log(`\nPoint at a distance, ${PLACES} places on one path of 12 segments\n`);
  const arc = windingArc(13);
  const measure = measureArc(arc);
  const properties = new svgPathProperties(pathData(arc, 12));
  const at = pointBuffer();
  const beziers = arc.points.slice(1).map((to, i) => {
    const from = arc.points[i]!;
    return new Bezier(
      from.x,
      from.y,
      from.x + from.out.x,
      from.y + from.out.y,
      to.x + to.in.x,
      to.y + to.in.y,
      to.x,
      to.y,
    );
  });
  // bezier-js has no point at a distance: its users walk its table of points.
  const tables = beziers.map((bezier) => bezier.getLUT(1000));
  const walk = (s: number): { x: number; y: number } => {
    let rest = s;
    let before = tables[0]![0]!;
    for (const table of tables)
      for (const point of table) {
        rest -= Math.hypot(point.x - before.x, point.y - before.y);
        if (rest <= 0) return point;
        before = point;
      }
    return before;
  };
  const each = (task: (s: number) => unknown) => (): void => {
    for (let i = 0; i < PLACES; i++) task((i / PLACES) * measure.length);
  };
  const times = await medians({
    ours: each((s) => writePoint(measure, s, undefined, at)),
    'svg-path-properties': each((s) => properties.getPointAtLength(s)),
    'bezier-js, walking its table': each(walk),
  });
  const ours = times.ours!;
  console.table(
    Object.entries(times).map(([name, ms]) => ({
      name,
      'µs a place': ((ms * 1000) / PLACES).toFixed(3),
      'times ours': (ms / ours).toFixed(1),
    })),
  );
  verdict(
    `1/${PLACE_RATIO_BUDGET} of the time of svg-path-properties`,
    times['svg-path-properties']! / ours >= PLACE_RATIO_BUDGET,
  );
}

async function evaluation(): Promise<void> {
  console.log('\nEvaluation\n');
  let one = shotOf(1, 50, 1000);
  const twenty = shotOf(20, 12, 1000);
  const through = drawnThroughShot();
  const betweens = `${IN_BETWEENS} in-betweens of 4 rings and 20 pins, from nothing`;
  const ten = figuresOf(10, 500);
  let tenNow = ten;
  evaluate(tenNow);
  const parts = ridersOf(10, 20, 500);
  let partsNow = parts;
  evaluate(partsNow);
  /** The first arc of a shot with one of its points moved a little. */
  const nudged = (shot: Shot): Shot => {
    const [arc] = shot.arcs;
    const { id, x, y } = arc!.points[5]!;
    return edits.movePoint(shot, { arcId: arc!.id, pointId: id, to: { x: x + 0.01, y } });
  };
  /** Riders are worked out when they are asked for: here every one of them on every frame. */
  const placed = (travels: readonly Travel[]): number => {
    let sum = 0;
    for (const { riders, arcDistance } of travels)
      for (const { placeOn } of riders) for (let i = 0; i < arcDistance.length; i++) sum += placeOn(i).pivotX;
    return sum;
  };
  let x = 0;
  const stroke = Array.from({ length: 600 }, (_, i) => ({
    x: i * 3,
    y: 400 + 200 * Math.sin(i / 40) + (i % 3) * 0.4,
  }));
  const large = { ...shotOf(1, 50, 1000) };
  const text = JSON.stringify(large);
  const times = await medians({
    'one move, 1 000 frames on 50 points, one point moved': () => {
      one = edits.movePoint(one, { arcId: 'arc1', pointId: 'p25', to: { x: 1900 + (x++ % 50), y: 300 } });
      return evaluateMove(one, one.moves[0]!);
    },
    'a shot of 20 moves × 1 000 frames, from nothing': () =>
      evaluate({
        ...twenty,
        arcs: twenty.arcs.map(forgotten),
        moves: twenty.moves.map((move) => ({ ...move })),
      }),
    'ten figures with tracks × 500 frames, from nothing': () =>
      evaluate({
        ...ten,
        arcs: ten.arcs.map(forgotten),
        moves: ten.moves.map((move) => ({ ...move, tracks: { ...move.tracks } })),
      }),
    'ten figures with tracks × 500 frames, one point moved': () => evaluate((tenNow = nudged(tenNow))),
    'ten figures × 20 riders × 500 frames, from nothing': () =>
      placed(
        evaluate({
          ...parts,
          arcs: parts.arcs.map(forgotten),
          moves: parts.moves.map((move) => ({ ...move, riders: move.riders.map((rider) => ({ ...rider })) })),
        }).travels,
      ),
    'ten figures × 20 riders × 500 frames, one point moved': () =>
      placed([evaluate((partsNow = nudged(partsNow))).travels[0]!]),
    'checks of twenty figures × 1,000 frames, from nothing': () =>
      checkShot({ ...twenty, moves: twenty.moves.map((move) => ({ ...move })) }),
    'a stroke of 600 samples fitted': () => fitStroke(stroke, { allowedDeviation: 4 }),
    'a shot file opened and its card drawn': () => shotCard(openShot(JSON.parse(text))),
    [betweens]: () => allInBetweens(through),
    'the fixed computation': referenceLoop,
  });
  // A slow machine takes longer for everything: what counts is how a time compares with the fixed computation.
  const pace = times['the fixed computation']! / REFERENCE_MS;
  console.table(
    Object.entries(times).map(([name, ms]) => ({
      name,
      ms: ms.toFixed(3),
      'on the reference, ms': (ms / pace).toFixed(3),
    })),
  );
  const paced = Object.values(times).map((ms) => ms / pace);
  const [move, shot, figures, pointMoved, riders, riderPointMoved, checks] = paced as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  verdict(`one move within ${MOVE_BUDGET_MS} ms`, move <= MOVE_BUDGET_MS);
  verdict(`twenty moves within ${SHOT_BUDGET_MS} ms`, shot <= SHOT_BUDGET_MS);
  const { fromNothing, onePointMoved } = FIGURES_BUDGET_MS;
  verdict(`ten figures with tracks within ${fromNothing} ms from nothing`, figures <= fromNothing);
  verdict(`and within ${onePointMoved} ms after one point moved`, pointMoved <= onePointMoved);
  verdict(`ten figures of twenty riders within ${fromNothing} ms from nothing`, riders <= fromNothing);
  verdict(`and within ${onePointMoved} ms after one point moved`, riderPointMoved <= onePointMoved);
  verdict(`twenty figures of 1,000 frames checked within ${CHECKS_BUDGET_MS} ms`, checks <= CHECKS_BUDGET_MS);
  const inBetweens = times[betweens]! / pace;
  verdict(
    `${IN_BETWEENS} in-betweens within ${IN_BETWEENS_BUDGET_MS} ms`,
    inBetweens <= IN_BETWEENS_BUDGET_MS,
  );
}

/** Thinning is done once, as it is after a gesture; what is told is the time of that. */
function thinning(): void {
  console.log('\nA gesture of five minutes at 120 reports a second, thinned\n');
  const gesture = longGesture();
  const rows = [3, 8.6, 20].map((allowedDeviation) => {
    const began = performance.now();
    const thinned = thinGesture(gesture, { frames: gestureFrames(gesture, 24), allowedDeviation });
    return {
      'allowed, units': allowedDeviation,
      ms: Math.round(performance.now() - began),
      points: thinned.points.length,
      marks: thinned.marks.length,
      'largest deviation': thinned.deviation.toFixed(2),
    };
  });
  console.table(rows);
  verdict(
    `thinned within ${THINNING_BUDGET_MS} ms`,
    rows.every(({ ms }) => ms <= THINNING_BUDGET_MS),
  );
}

function growth(): void {
  console.log('\nGrowth: twice the input, how many times as long\n');
  const all = growths();
  console.table(
    all.map(({ grows, work, ms, twiceMs }) => ({
      grows,
      work,
      ms: ms.toFixed(2),
      'of twice as much, ms': twiceMs.toFixed(2),
      times: (twiceMs / ms).toFixed(2),
    })),
  );
  verdict(
    `twice the input takes at most ${GROWTH_BUDGET} times as long`,
    all.every(({ ms, twiceMs }) => twiceMs / ms <= GROWTH_BUDGET || twiceMs < SHORT_MS),
  );
}

async function drawings(): Promise<void> {
  console.log('\nA flat SVG, checked and measured\n');
  const { ms, twiceMs, times } = await drawingTimes();
  console.table([
    {
      '10,000 paths, ms': ms.toFixed(0),
      '20,000 paths, ms': twiceMs.toFixed(0),
      times: times.toFixed(2),
    },
  ]);
  verdict(`20,000 paths within ${DRAWING_BUDGET_MS} ms`, twiceMs <= DRAWING_BUDGET_MS);
  verdict(`and at most ${GROWTH_BUDGET} times as long as 10,000`, times <= GROWTH_BUDGET);
}

javaScript();
terminal();
accuracy();
await places();
await evaluation();
thinning();
growth();
await drawings();
process.exitCode = missedBudgets() === 0 ? 0 : 1;
