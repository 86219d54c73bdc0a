import type { Arc, ArcPoint } from '../model/schema';
import { arcLength, measureArc, pointAtDistance } from './arcMeasure';
import { nearestPoint } from './nearestPoint';
import { reversedPoints } from './readyShapes';
import { isInLine, type PointShape } from './smoothing';
import { distance, type Vector } from './vector';
import { closedArc, openedArc, withPointAtDistance } from './wholeArc';

export type StrokeUse =
  | { readonly kind: 'anew' }
  | { readonly kind: 'on'; readonly end: 'start' | 'end' }
  /** It takes the place of the stretch between two distances from the start, in the stroke's order. */
  | { readonly kind: 'stretch'; readonly from: number; readonly to: number };

/** A stretch shorter than this share of the arc is a slip of the hand, not something to replace. */
const MIN_STRETCH = 0.01;

/**
 * All that a stroke can mean for an arc, the likeliest first. One that begins at an open end draws on
 * from it; one that begins and ends near the arc replaces what lies between.
 * @param reach how near is near, field units
 */
export function strokeUses(arc: Arc, samples: readonly Vector[], reach: number): readonly StrokeUse[] {
  const [first, last] = [samples[0], samples[samples.length - 1]];
  const uses: StrokeUse[] = [];
  if (first && last) {
    const near = (to: Vector): number | null => {
      const found = nearestPoint(arc, to);
      return found && found.away <= reach ? found.s : null;
    };
    const [from, to] = [near(first), near(last)];
    if (from !== null && to !== null && Math.abs(to - from) > MIN_STRETCH * arcLength(arc))
      uses.push({ kind: 'stretch', from, to });
    if (!arc.closed) {
      const [start, end] = [arc.points[0]!, arc.points[arc.points.length - 1]!];
      const [toStart, toEnd] = [distance(start, first), distance(end, first)];
      if (Math.min(toStart, toEnd) <= reach)
        uses.push({ kind: 'on', end: toEnd <= toStart ? 'end' : 'start' });
    }
  }
  return [...uses, { kind: 'anew' }];
}

/** The samples to be fitted for a use: the stroke, tied to the places of the arc where it takes over. */
export function samplesFor(arc: Arc, samples: readonly Vector[], use: StrokeUse): readonly Vector[] {
  switch (use.kind) {
    case 'anew':
      return samples;
    case 'on':
      return [arc.points[use.end === 'start' ? 0 : arc.points.length - 1]!, ...samples];
    case 'stretch':
      return [pointAtDistance(arc, use.from), ...samples, pointAtDistance(arc, use.to)];
  }
}

type Joint = ArcPoint | PointShape;

function joined(point: ArcPoint, into: Joint, out: Joint): ArcPoint {
  const joint: ArcPoint = { ...point, in: into.in, out: out.out, kind: 'smooth', shaping: null };
  return isInLine(joint) ? joint : { ...joint, kind: 'corner' };
}

function withBetween(arc: Arc, from: number, to: number, fitted: readonly PointShape[]): readonly Joint[] {
  const late = withPointAtDistance(arc, to);
  const early = withPointAtDistance(late.arc, from);
  const shift = early.arc.points.length - late.arc.points.length;
  const { points } = early.arc;
  const [a, b] = [points[early.index]!, points[late.index + shift]!];
  return [
    ...points.slice(0, early.index),
    joined(a, a, fitted[0]!),
    ...fitted.slice(1, -1),
    joined(b, fitted[fitted.length - 1]!, b),
    ...points.slice(late.index + shift + 1),
  ];
}

function withStretchReplaced(
  arc: Arc,
  from: number,
  to: number,
  fitted: readonly PointShape[],
): readonly Joint[] {
  return from <= to
    ? withBetween(arc, from, to, fitted)
    : withBetween(arc, to, from, reversedPoints(fitted, false));
}

/** On a closed arc the shorter way round is replaced; it still starts where it started, if that is left. */
function withClosedReplaced(
  arc: Arc,
  from: number,
  to: number,
  fitted: readonly PointShape[],
): readonly Joint[] {
  const pointed = withPointAtDistance(arc, from);
  const open = openedArc(pointed.arc, pointed.arc.points[pointed.index]!.id);
  const { length } = measureArc(open);
  const ahead = (((to - from) % length) + length) % length;
  const replaced =
    ahead <= length / 2
      ? withBetween(open, 0, ahead, fitted)
      : withBetween(open, ahead, length, reversedPoints(fitted, false));
  const closed = closedArc({ ...open, points: replaced as ArcPoint[] }).points;
  const seam = closed[0]!;
  const points = [joined(seam, seam, seam), ...closed.slice(1)];
  const start = Math.max(
    0,
    points.findIndex(({ id }) => id === arc.points[0]!.id),
  );
  return [...points.slice(start), ...points.slice(0, start)];
}

/**
 * The points of an arc with a stroke in it. Points that stay keep their ids; new ones have none yet.
 * @param fitted the points fitted to `samplesFor` the same use
 */
export function pointsWithStroke(arc: Arc, use: StrokeUse, fitted: readonly PointShape[]): readonly Joint[] {
  switch (use.kind) {
    case 'anew':
      return fitted;
    case 'on': {
      const end = arc.points[use.end === 'start' ? 0 : arc.points.length - 1]!;
      if (use.end === 'end')
        return [...arc.points.slice(0, -1), joined(end, end, fitted[0]!), ...fitted.slice(1)];
      const before = reversedPoints(fitted, false);
      return [...before.slice(0, -1), joined(end, before[before.length - 1]!, end), ...arc.points.slice(1)];
    }
    case 'stretch':
      return arc.closed
        ? withClosedReplaced(arc, use.from, use.to, fitted)
        : withStretchReplaced(arc, use.from, use.to, fitted);
  }
}
