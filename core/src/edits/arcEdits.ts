import { arcLength } from '../arc/arcMeasure';
import { type ArcSide, withRestShifted, withRestTurned } from '../arc/fromHere';
import { shapePoints } from '../arc/readyShapes';
import type { PointShape } from '../arc/smoothing';
import type { Vector } from '../arc/vector';
import {
  closedArc,
  cutArc,
  joinedArcs,
  openedArc,
  reversedArc,
  startedAt,
  withId,
  withIds,
  withShape,
} from '../arc/wholeArc';
import { outOfRange } from '../model/errors';
import { fractionOfPoint, keptInPlace, syncTiedMarks, untied, withStartShifted } from '../timing/keepTiming';
import { freshId } from '../model/ids';
import { changeArc } from '../timing/changeArc';
import { changeArcOnly, findArc } from '../model/parts';
import { type Arc, type ReadyShape, type Shot, Move } from '../model/schema';
import { arcColours } from '../model/names';
import { MAX_NAME_LENGTH, MAX_PARTS } from '../model/limits';
import { pointEdits } from './pointEdits';
import { withFigureOn } from './withFigure';

type OfArc = { readonly arcId: string };

/** What a fresh arc is made of: points, or the ready shape that gives them. */
export type FreshArc = {
  readonly name?: string;
} & ({ readonly points: readonly PointShape[]; readonly closed?: boolean } | { readonly shape: ReadyShape });

function freshNumber(shot: Shot): number {
  const taken = shot.arcs.map(({ name }) => Number(/(\d+)$/.exec(name)?.[1] ?? 0));
  return Math.max(0, ...taken) + 1;
}

function withArcAdded(shot: Shot, fresh: FreshArc): Shot {
  if (shot.arcs.length >= MAX_PARTS) throw outOfRange(`A shot holds at most ${MAX_PARTS} arcs.`);
  const { points, closed } =
    'shape' in fresh ? shapePoints(fresh.shape) : { points: fresh.points, closed: fresh.closed ?? false };
  const arc: Arc = {
    id: freshId('arc', shot.arcs),
    name: fresh.name?.trim().slice(0, MAX_NAME_LENGTH) || `Arc ${freshNumber(shot)}`,
    closed,
    points: withIds(points),
    shape: 'shape' in fresh ? fresh.shape : null,
    colour: arcColours[shot.arcs.length % arcColours.length]!,
    hidden: false,
    locked: false,
  };
  return { ...shot, arcs: [...shot.arcs, arc] };
}

const lastArc = (shot: Shot): Arc => shot.arcs[shot.arcs.length - 1]!;

function withMissingIds(points: readonly (PointShape & { readonly id?: string })[]): Arc['points'] {
  const used = points.filter((point) => point.id !== undefined) as { id: string }[];
  let next = Number(freshId('p', used).slice(1));
  return points.map((point) => withId(point, point.id ?? `p${next++}`));
}

function withoutSecondArc<Riding extends Pick<Move, 'riders'>>(move: Riding, arcId: string): Riding {
  if (!move.riders.some((rider) => rider.arcId === arcId)) return move;
  const riders = move.riders.map((rider) => (rider.arcId === arcId ? { ...rider, arcId: null } : rider));
  return { ...move, riders };
}

function withoutArc(shot: Shot, arcId: string): Shot {
  const moves = shot.moves
    .filter((move) => move.arcId !== arcId)
    .map((move) => withoutSecondArc(move, arcId));
  const stillUsed = new Set(moves.map((move) => move.figureId));
  const left = new Set(shot.moves.filter((move) => move.arcId === arcId).map((move) => move.figureId));
  return {
    ...shot,
    arcs: shot.arcs.filter((arc) => arc.id !== arcId),
    moves,
    waiting: shot.waiting.map((one) =>
      one.move ? { ...one, move: withoutSecondArc(one.move, arcId) } : one,
    ),
    figures: shot.figures.filter(({ id }) => stillUsed.has(id) || !left.has(id)),
  };
}

/**
 * Everything that can be done to arcs. A locked arc is guarded by the interface, not here. Each throws a ShotError:
 * `unknown-id` for an arc or a point that there is not, `out-of-range` where a point or a handle would lie further than
 * `FURTHEST` units outside, and what stands at the edit. Moves on the arc hold on to what they keep.
 */
export const arcEdits = {
  /**
   * A further arc, a stand-in on its start, and a move over the whole shot: it leaves and arrives slowly
   * on an open arc and goes round evenly on a closed one.
   * @throws ShotError `out-of-range` when there are as many arcs as a shot may have
   */
  drawArc: (shot: Shot, fresh: FreshArc): Shot => {
    const drawn = withArcAdded(shot, fresh);
    return withFigureOn(drawn, lastArc(drawn));
  },

  /** A further arc that carries nothing yet. @throws ShotError as `drawArc` */
  addArc: (shot: Shot, fresh: FreshArc): Shot => withArcAdded(shot, fresh),

  drawArcs: (shot: Shot, { arcs }: { arcs: readonly FreshArc[] }): Shot => {
    const [first, ...others] = arcs;
    return first ? others.reduce(withArcAdded, arcEdits.drawArc(shot, first)) : shot;
  },

  redrawArc: (
    shot: Shot,
    {
      arcId,
      points,
      closed,
    }: OfArc & { points: readonly (PointShape & { readonly id?: string })[]; closed?: boolean },
  ): Shot =>
    changeArc(shot, arcId, (arc) => ({
      ...arc,
      closed: closed ?? arc.closed,
      shape: null,
      points: withMissingIds(points),
    })),

  shapeArc: (shot: Shot, { arcId, shape }: OfArc & { shape: ReadyShape }): Shot =>
    changeArc(shot, arcId, (arc) => withShape(arc, shape)),

  ...pointEdits,

  closeArc: (shot: Shot, { arcId }: OfArc): Shot => changeArc(shot, arcId, closedArc),

  openArc: (shot: Shot, { arcId, pointId }: OfArc & { pointId?: string }): Shot =>
    changeArc(shot, arcId, (arc) => openedArc(arc, pointId)),

  /**
   * A closed arc that starts at another of its points; an open one stays as it is.
   * @param move whether what travels on it stays where it is, or begins at the new start
   * @throws ShotError `unknown-id`
   */
  startArcAt: (
    shot: Shot,
    { arcId, pointId, move }: OfArc & { pointId: string; move: 'in-place' | 'goes-along' },
  ): Shot => {
    const before = findArc(shot, arcId);
    const start = before.closed ? fractionOfPoint(before, pointId, 0) : 0;
    if (start === 0) return shot;
    const turned = changeArcOnly(shot, arcId, (arc) => startedAt(arc, pointId));
    const arc = findArc(turned, arcId);
    return {
      ...turned,
      moves: turned.moves.map((one) => {
        if (one.arcId !== arcId) return one;
        return move === 'goes-along' ? untied(one) : syncTiedMarks(withStartShifted(one, start), arc);
      }),
    };
  },

  /** @param move whether what travels on it stays where it is, or goes the other way from now on */
  reverseArc: (shot: Shot, { arcId, move }: OfArc & { move: 'in-place' | 'turned-round' }): Shot => {
    const turned = changeArcOnly(shot, arcId, reversedArc);
    const arc = findArc(turned, arcId);
    return {
      ...turned,
      moves: turned.moves.map((one) => {
        if (one.arcId !== arcId) return one;
        // Turned round, what was tied to a point lies elsewhere: the point stays, the place does not.
        return move === 'turned-round' ? untied(one) : syncTiedMarks(keptInPlace(one), arc);
      }),
    };
  },

  /** Turns what comes after (or before) a place about it. @param s field units from the start */
  turnRest: (shot: Shot, { arcId, s, rest, deg }: OfArc & { s: number; rest: ArcSide; deg: number }): Shot =>
    changeArc(shot, arcId, (arc) => withRestTurned(arc, s, rest, deg)),

  /** Shifts what comes after (or before) a place; marks keep their spots on both sides. */
  shiftRest: (shot: Shot, { arcId, s, rest, by }: OfArc & { s: number; rest: ArcSide; by: Vector }): Shot => {
    const before = findArc(shot, arcId);
    const shifted = changeArcOnly(shot, arcId, (arc) => withRestShifted(arc, s, rest, by));
    const extra = Math.hypot(by.x, by.y);
    const [was, is] = [arcLength(before), arcLength(before) + extra];
    if (is === 0) return shifted;
    const distanceOf = (fraction: number): number =>
      fraction * was > s || (rest === 'up-to-here' && fraction * was === s)
        ? fraction * was + extra
        : fraction * was;
    const after = findArc(shifted, arcId);
    return {
      ...shifted,
      moves: shifted.moves.map((move) =>
        move.arcId !== arcId
          ? move
          : syncTiedMarks(
              {
                ...move,
                marks: move.marks.map((mark) => ({ ...mark, fraction: distanceOf(mark.fraction) / is })),
              },
              after,
            ),
      ),
    };
  },

  /** Cuts an open arc in two; what travels on it stays with the first part. @param s field units from the start */
  cutArc: (shot: Shot, { arcId, s }: OfArc & { s: number }): Shot => {
    const arc = findArc(shot, arcId);
    const [first, second] = cutArc(arc, s);
    const cut = changeArc(shot, arcId, (before) => ({
      ...before,
      shape: null,
      points: withMissingIds(first),
    }));
    return withArcAdded(cut, { name: `${arc.name.slice(0, MAX_NAME_LENGTH - 6)}, rest`, points: second });
  },

  /**
   * Joins another open arc to an open arc. What travels on the first one holds on to what it keeps; what
   * travels on the other one stays where it is.
   */
  joinArcs: (shot: Shot, { arcId, otherId }: OfArc & { otherId: string }): Shot => {
    if (arcId === otherId) throw outOfRange('An arc is joined to another one.');
    const other = findArc(shot, otherId);
    const { points, reverseA, reverseB } = joinedArcs(findArc(shot, arcId), other);
    const turned = reverseA ? arcEdits.reverseArc(shot, { arcId, move: 'in-place' }) : shot;
    const joined = changeArc(turned, arcId, (arc) => ({ ...arc, shape: null, points: withIds(points) }));
    const length = arcLength(findArc(joined, arcId));
    const share = length > 0 ? arcLength(other) / length : 0;
    const moved = (fraction: number): number => 1 - share + share * (reverseB ? 1 - fraction : fraction);
    return {
      ...joined,
      arcs: joined.arcs.filter((arc) => arc.id !== otherId),
      moves: joined.moves.map((move) =>
        move.arcId === otherId
          ? untied({
              ...move,
              arcId,
              marks: move.marks.map((mark) => ({ ...mark, fraction: moved(mark.fraction) })),
            })
          : move,
      ),
    };
  },

  setArc: (
    shot: Shot,
    { arcId, ...some }: OfArc & Partial<Pick<Arc, 'name' | 'colour' | 'hidden' | 'locked'>>,
  ): Shot => {
    if (some.name !== undefined && some.name.trim() === '') throw outOfRange('An arc needs a name.');
    return changeArcOnly(shot, arcId, (arc) => ({ ...arc, ...some }));
  },

  orderArc: (shot: Shot, { arcId, to }: OfArc & { to: number }): Shot => {
    const arc = findArc(shot, arcId);
    const others = shot.arcs.filter((other) => other !== arc);
    const index = Math.min(others.length, Math.max(0, to));
    return { ...shot, arcs: [...others.slice(0, index), arc, ...others.slice(index)] };
  },

  removeArc: (shot: Shot, { arcId }: OfArc): Shot => withoutArc(shot, findArc(shot, arcId).id),

  putFigureOn: (shot: Shot, { arcId }: OfArc): Shot => withFigureOn(shot, findArc(shot, arcId)),
} as const;
