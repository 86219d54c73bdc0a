import {
  type Arc,
  curvatureComb,
  directionArrows,
  evaluate,
  pathData,
  type Shot,
  type Tick,
  ticksOf,
  ticksPath,
  type Travel,
} from '@humble/core';

/** Path data of all that is drawn along arcs. Worked out once for each arc and size of pixel. */

function perPart<Part extends object>(work: (part: Part, pixel: number) => string) {
  const known = new WeakMap<Part, { pixel: number; d: string }>();
  return (part: Part, pixel: number): string => {
    const before = known.get(part);
    if (before?.pixel === pixel) return before.d;
    const d = work(part, pixel);
    known.set(part, { pixel, d });
    return d;
  };
}

const lines = perPart<Arc>((arc) => pathData(arc));
export const linePath = (arc: Arc): string => lines(arc, 1);

export const visibleArcs = (shot: Shot): readonly Arc[] => shot.arcs.filter((arc) => !arc.hidden);

/** What travels on arcs that are to be seen. */
export function visibleTravels(shot: Shot): readonly Travel[] {
  const hidden = new Set(shot.arcs.filter((arc) => arc.hidden).map(({ id }) => id));
  const { travels } = evaluate(shot);
  return hidden.size === 0 ? travels : travels.filter(({ move }) => !hidden.has(move.arcId));
}

const SHORT_TICK_PX = 5;
const LONG_TICK_PX = 9;

interface TrailLines {
  readonly lengthFrames: number;
  readonly pixel: number;
  readonly d: string;
}

const trails = new WeakMap<Travel, TrailLines>();

/** Ticks nearer than this would be one band, pixels. */
const LEAST_APART_PX = 2;

/** Ticks without those that lie so near to the one drawn before. */
function apart(ticks: readonly Tick[], pixel: number): readonly Tick[] {
  let last: Tick | null = null;
  return ticks.filter((tick) => {
    const isClose =
      last !== null &&
      Math.abs(tick.x - last.x) + Math.abs(tick.y - last.y) < LEAST_APART_PX * pixel &&
      !tick.isFifth;
    if (!isClose) last = tick;
    return !isClose;
  });
}

/** The trail of a move: a hairline across the arc for each exposure, some of them longer. */
export function trailLines(travel: Travel, shot: Shot, pixel: number): string {
  const known = trails.get(travel);
  if (known?.pixel === pixel && known.lengthFrames === shot.lengthFrames) return known.d;
  const ticks = apart(ticksOf(travel, shot), pixel);
  const some = (isLong: boolean): Tick[] => ticks.filter(({ isFifth }) => isFifth === isLong);
  const d = ticksPath(some(false), SHORT_TICK_PX * pixel) + ticksPath(some(true), LONG_TICK_PX * pixel);
  trails.set(travel, { lengthFrames: shot.lengthFrames, pixel, d });
  return d;
}

const POST_PX = 13;
const FOOT_PX = 6;

/** A stop is a short post across the arc with a foot; a pass has no foot and is open at the centre. */
export function postPath(
  tick: Pick<Tick, 'x' | 'y' | 'acrossX' | 'acrossY'>,
  kind: 'stop' | 'pass',
  pixel: number,
) {
  const { x, y, acrossX: ax, acrossY: ay } = tick;
  const at = (across: number, along: number): string =>
    `${x + (ax * across + ay * along) * pixel} ${y + (ay * across - ax * along) * pixel}`;
  if (kind === 'pass') return `M${at(-POST_PX, 0)}L${at(-4, 0)}M${at(4, 0)}L${at(POST_PX, 0)}`;
  return `M${at(-POST_PX, 0)}L${at(POST_PX, 0)}M${at(POST_PX, -FOOT_PX)}L${at(POST_PX, FOOT_PX)}`;
}

const ARROW_GAP_PX = 90;
const ARROW_PX = 6;

/** Arrowheads beside each other along an arc, open and pointing the way it runs. */
export const arrowsPath = perPart<Arc>((arc, pixel) =>
  directionArrows(arc, ARROW_GAP_PX * pixel)
    .map(({ x, y, headingDeg }) => {
      const turn = (headingDeg * Math.PI) / 180;
      const [ux, uy] = [Math.cos(turn) * ARROW_PX * pixel, Math.sin(turn) * ARROW_PX * pixel];
      const wing = (side: number): string => `${x - ux - side * uy * 0.8} ${y - uy + side * ux * 0.8}`;
      return `M${wing(1)}L${x + ux * 0.4} ${y + uy * 0.4}L${wing(-1)}`;
    })
    .join(''),
);

const COMB_TEETH = 120;
const COMB_PX = 46;
/** A bend of a smaller radius counts as this one, pixels: a corner would dwarf all else. */
const TIGHTEST_PX = 12;

/** Teeth as long as the arc is bent, and the line through their tips. */
export const combPath = perPart<Arc>((arc, pixel) => {
  const teeth = curvatureComb(arc, COMB_TEETH, COMB_PX * pixel, 1 / (TIGHTEST_PX * pixel));
  const tips = teeth.map(({ tipX, tipY }, i) => `${i === 0 ? 'M' : 'L'}${tipX} ${tipY}`).join('');
  return teeth.map(({ x, y, tipX, tipY }) => `M${x} ${y}L${tipX} ${tipY}`).join('') + tips;
});
