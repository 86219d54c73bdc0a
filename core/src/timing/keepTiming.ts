import { arcLength, measureArc, pointAtDistance } from '../arc/arcMeasure';
import { nearestPoint } from '../arc/nearestPoint';
import { ShotError } from '../model/errors';
import type { Arc, Mark, Move } from '../model/schema';

const withFractions = (move: Move, fractionOf: (mark: Mark) => number): Move => ({
  ...move,
  marks: move.marks.map((mark) => {
    const fraction = fractionOf(mark);
    return fraction === mark.fraction ? mark : { ...mark, fraction };
  }),
});

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

const MAX_LAPS = 1_000;

/** On an open arc no place lies past its ends, and on a closed one there is an end to the laps. */
const onArc = (arc: Arc, fraction: number): number =>
  arc.closed ? within(fraction, -MAX_LAPS, MAX_LAPS) : within(fraction, 0, 1);

/** A spot is looked for this share of the new length about where its distance would put it, first. */
const NEAR = 0.25;

function nearestFraction(before: Arc, after: Arc, fraction: number): number {
  const lap = before.closed && after.closed ? Math.floor(fraction) : 0;
  const was = pointAtDistance(before, (fraction - lap) * arcLength(before));
  const length = arcLength(after);
  if (length === 0) return fraction;
  const about = within((fraction - lap) * arcLength(before), 0, length);
  const window = [about - NEAR * length, about + NEAR * length] as const;
  const nearby = nearestPoint(after, was, window);
  const anywhere = nearestPoint(after, was);
  // At a crossing the branch near the old distance is meant; elsewhere the nearest is.
  const isGood = nearby && anywhere && nearby.away <= anywhere.away + 1e-6 * length;
  const found = isGood ? nearby : anywhere;
  return found ? lap + found.s / length : fraction;
}

const pointIndices = new WeakMap<Arc, ReadonlyMap<string, number>>();

function indexOfPoint(arc: Arc, pointId: string): number | undefined {
  let indices = pointIndices.get(arc);
  if (!indices) pointIndices.set(arc, (indices = new Map(arc.points.map(({ id }, i) => [id, i]))));
  return indices.get(pointId);
}

/**
 * Where a point of an arc lies, as a share of its length.
 * @param about which lap of a closed arc is meant: the one that lies nearest to this
 * @throws ShotError `unknown-id`
 */
export function fractionOfPoint(arc: Arc, pointId: string, about: number): number {
  const index = indexOfPoint(arc, pointId);
  if (index === undefined) throw new ShotError('unknown-id', `The arc has no point ${pointId}.`);
  const { startDistance, length } = measureArc(arc);
  if (length === 0) return 0;
  if (!arc.closed) return index === arc.points.length - 1 ? 1 : startDistance[index]! / length;
  const onFirstLap = startDistance[index]! / length;
  return onFirstLap + Math.round(about - onFirstLap);
}

/** The move with its tied marks where their points are; marks of points that are gone are untied. */
export function syncTiedMarks(move: Move, arc: Arc): Move {
  if (move.marks.every(({ pointId }) => pointId === null)) return move;
  const ids = new Set(arc.points.map(({ id }) => id));
  return {
    ...move,
    marks: move.marks.map((mark) => {
      if (mark.pointId === null) return mark;
      if (!ids.has(mark.pointId)) return { ...mark, pointId: null };
      return { ...mark, fraction: fractionOfPoint(arc, mark.pointId, mark.fraction) };
    }),
  };
}

/** The move on its arc's new shape, keeping what it was set to keep; tied marks go with their points. */
export function keptOnArc(move: Move, before: Arc, after: Arc): Move {
  if (before === after || move.arcId !== after.id) return move;
  return syncTiedMarks(keptAsAsked(move, before, after), after);
}

function keptAsAsked(move: Move, before: Arc, after: Arc): Move {
  const [was, is] = [arcLength(before), arcLength(after)];
  switch (move.keeps) {
    case 'fractions':
      return before.closed && !after.closed
        ? withFractions(move, (mark) => onArc(after, mark.fraction))
        : move;
    case 'distances':
      return is === 0 || was === 0
        ? move
        : withFractions(move, ({ fraction }) => onArc(after, (fraction * was) / is));
    case 'spots':
      return withFractions(move, ({ fraction }) => nearestFraction(before, after, fraction));
  }
}

/**
 * The move of a closed arc that starts elsewhere, where it was before: the first mark lies on the first lap.
 * @param start the new start, as a share of the arc from the old one
 */
export function withStartShifted(move: Move, start: number): Move {
  const laps = Math.floor(move.marks[0]!.fraction - start);
  return withFractions(move, ({ fraction }) => fraction - start - laps);
}

/** The move along the reversed arc through the same places on the same frames. */
export const keptInPlace = (move: Move): Move => withFractions(move, ({ fraction }) => 1 - fraction);

/** The move with none of its marks tied to a point of its arc. */
export const untied = (move: Move): Move => ({
  ...move,
  marks: move.marks.map((mark) => (mark.pointId === null ? mark : { ...mark, pointId: null })),
});
