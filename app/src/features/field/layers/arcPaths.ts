import { type Arc, evaluate, type Figure, pathData, type Shot, type Travel } from '@humble/core';
import { curvatureComb, directionArrows, type Tick, ticksOf, ticksPath } from '@humble/core/views';
import { longWithRoom, standsAlone } from '../../../ui/detail';
import { createChunkedPath, type Chunk } from '../../../render/chunkedPath';
import { lruMemoize } from '@reduxjs/toolkit';

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

/**
 * What travels on arcs that are to be seen, without figures that are hidden.
 * @param soloFigureId the only figure to be seen; null for all
 */
export function visibleTravels(shot: Shot, soloFigureId: string | null): readonly Travel[] {
  const { travels } = evaluate(shot);
  const isSeen = ({ arc, figure }: Travel): boolean => !arc.hidden && isFigureSeen(figure, soloFigureId);
  return travels.every(isSeen) ? travels : travels.filter(isSeen);
}

export const isFigureSeen = ({ id, hidden }: Figure, soloFigureId: string | null): boolean =>
  soloFigureId === null ? !hidden : id === soloFigureId;

const SHORT_TICK_PX = 5;
const LONG_TICK_PX = 9;

const apart = (a: Tick, b: Tick, pixel: number): number =>
  (Math.abs(a.x - b.x) + Math.abs(a.y - b.y)) / pixel;

function hairlines(ticks: ArrayLike<Tick>, { from, until }: Chunk, pixel: number): string {
  const drawn: { readonly short: Tick[]; readonly long: Tick[] } = { short: [], long: [] };
  const gap = (i: number, other: number): number =>
    other < from || other >= until ? Infinity : apart(ticks[i]!, ticks[other]!, pixel);
  for (let i = from; i < until; i++) {
    const tick = ticks[i]!;
    if (tick.isFifth) drawn.long.push(tick);
    else if (standsAlone(gap(i, i - 1), gap(i, i + 1))) drawn.short.push(tick);
  }
  const long = longWithRoom(drawn.long, (a, b) => apart(a, b, pixel));
  return ticksPath(drawn.short, SHORT_TICK_PX * pixel) + ticksPath(long, LONG_TICK_PX * pixel);
}

function trailBands(ticks: ArrayLike<Tick>, { from, until }: Chunk, pixel: number): string {
  let d = '';
  let isInBand = false;
  for (let i = from + 1; i < until; i++) {
    const [a, b] = [ticks[i - 1]!, ticks[i]!];
    const gap = apart(a, b, pixel);
    const isClose = gap > 0 && !standsAlone(gap);
    if (isClose)
      d += `${isInBand ? '' : `M${a.x.toFixed(1)} ${a.y.toFixed(1)}`}L${b.x.toFixed(1)} ${b.y.toFixed(1)}`;
    isInBand = isClose;
  }
  return d;
}

/** Half of the width of such a band, pixels. */
export const TRAIL_BAND_PX = SHORT_TICK_PX;

const isSameTick = (a: Tick, b: Tick): boolean =>
  a.x === b.x && a.y === b.y && a.acrossX === b.acrossX && a.acrossY === b.acrossY && a.isFifth === b.isFifth;

type TrailPath = (travels: readonly Travel[], shot: Shot, pixel: number) => readonly string[];

export function trails(): { readonly ticks: TrailPath; readonly bands: TrailPath } {
  const ticks = lruMemoize((travels: readonly Travel[], lengthFrames: number) =>
    travels.flatMap((travel) => ticksOf(travel, { lengthFrames })),
  );
  const path = (write: typeof hairlines): TrailPath => {
    const pieces = createChunkedPath<Tick, number>({ write, isSame: isSameTick });
    return (travels, { lengthFrames }, pixel) => pieces(ticks(travels, lengthFrames), pixel);
  };
  return { ticks: path(hairlines), bands: path(trailBands) };
}

/** Half of the length of a post, pixels. */
export const POST_PX = 13;
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

export function acrossPath(
  { x, y, acrossX, acrossY }: Pick<Tick, 'x' | 'y' | 'acrossX' | 'acrossY'>,
  pixel: number,
) {
  const [dx, dy] = [acrossX * POST_PX * pixel, acrossY * POST_PX * pixel];
  return `M${x - dx} ${y - dy}L${x + dx} ${y + dy}`;
}

const ARROW_GAP_PX = 90;
const ARROW_PX = 6;

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
const MIN_PX = 12;

export const combPath = perPart<Arc>((arc, pixel) => {
  const teeth = curvatureComb(arc, COMB_TEETH, COMB_PX * pixel, 1 / (MIN_PX * pixel));
  const tips = teeth.map(({ tipX, tipY }, i) => `${i === 0 ? 'M' : 'L'}${tipX} ${tipY}`).join('');
  return teeth.map(({ x, y, tipX, tipY }) => `M${x} ${y}L${tipX} ${tipY}`).join('') + tips;
});
