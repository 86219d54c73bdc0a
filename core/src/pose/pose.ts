import { arcLength } from '../arc/arcMeasure';
import { nextPointId, withPointAt, withRounding } from '../arc/pointEdits';
import { PLAIN } from '../arc/smoothing';
import { type Vector, ZERO } from '../arc/vector';
import { withPointAtDistance } from '../arc/wholeArc';
import { outOfRange } from '../model/errors';
import { findMove, withMove } from '../timing/moveChange';
import { findArc } from '../model/parts';
import { type Arc, type ArcPoint, type Mark, type Move, type Shot } from '../model/schema';
import { MAX_SHOT_FRAMES } from '../model/limits';
import { beginsExposure } from '../exposure/exposures';
import { isHold } from '../timing/isHold';
import { keptOnSegments } from '../timing/keepSegments';
import { markIndex, withMarkOn } from '../timing/markEdits';
import { freshRamp } from '../timing/easings/ramped';

export type PosePath = 'straight' | 'curved';

export interface PoseAim {
  /** The frame that the pose lands on: the first of the exposure that the frame belongs to. */
  readonly frame: number;
  readonly markId: string | null;
}

/** What a pose on a frame would do to a move. */
export function poseAim(move: Move, frame: number): PoseAim {
  let landing = frame;
  while (landing > 1 && !beginsExposure(move, landing)) landing--;
  return { frame: landing, markId: move.marks.find((mark) => mark.frame === landing)?.id ?? null };
}

const isSinglePose = (arc: Arc, move: Move): boolean =>
  arc.points.length === 2 &&
  move.marks.length === 2 &&
  arcLength(arc) === 0 &&
  move.marks.every((mark, i) => mark.pointId === arc.points[i]!.id);

/** The shot with an arc and its moves changed together; what is on segments that stay does not move. */
export function withArcAndMoves(
  shot: Shot,
  arcId: string,
  after: Arc,
  segmentAfter: (segment: number) => number,
): Shot {
  const before = findArc(shot, arcId);
  return {
    ...shot,
    arcs: shot.arcs.map((arc) => (arc === before ? after : arc)),
    moves: shot.moves.map((move) =>
      move.arcId === arcId ? keptOnSegments(move, before, after, segmentAfter) : move,
    ),
  };
}

const same = (segment: number): number => segment;

function ofOneHold(marks: readonly Mark[], index: number): { readonly from: number; readonly until: number } {
  const isThere = (mark: Mark | undefined): boolean => mark !== undefined && isHold(mark, marks[index]!);
  let [from, until] = [index, index];
  while (isThere(marks[from - 1])) from--;
  while (isThere(marks[until + 1])) until++;
  return { from, until };
}

/**
 * A mark of a move tied to a point of the arc at its place, and with it all of its hold; a point is put there
 * where there is none.
 */
export function withMarkTied(shot: Shot, moveId: string, markId: string): Shot {
  const move = findMove(shot, moveId);
  const index = markIndex(move, markId);
  const mark = move.marks[index]!;
  const before = findArc(shot, move.arcId);
  const lap = before.closed ? Math.floor(mark.fraction) : 0;
  const placed = withPointAtDistance(before, (mark.fraction - lap) * arcLength(before));
  const arc = mark.pointId ? before : placed.arc;
  const pointId = mark.pointId ?? placed.arc.points[placed.index]!.id;
  const { from, until } = ofOneHold(move.marks, index);
  const marks = move.marks.map((other, i) =>
    i >= from && i <= until && other.pointId === null ? { ...other, pointId } : other,
  );
  return {
    ...shot,
    arcs: shot.arcs.map((one) => (one === before ? arc : one)),
    moves: shot.moves.map((one) => (one === move ? { ...one, marks } : one)),
  };
}

function withPointMoved(shot: Shot, arcId: string, pointId: string, to: Vector): Shot {
  const before = findArc(shot, arcId);
  return withArcAndMoves(shot, arcId, withPointAt(before, pointId, to), same);
}

const posed = (id: string, { x, y }: Vector, path: PosePath): ArcPoint => ({
  id,
  x,
  y,
  in: ZERO,
  out: ZERO,
  kind: path === 'curved' ? 'smooth' : 'corner',
  shaping: path === 'curved' ? PLAIN : null,
});

const straightOn = (point: ArcPoint, side: 'in' | 'out'): ArcPoint => ({
  ...point,
  [side]: ZERO,
  kind: 'corner',
  shaping: null,
});

function withPointsAfter(arc: Arc, index: number, fresh: readonly ArcPoint[], path: PosePath): Arc {
  const before = arc.points.slice(0, index + 1);
  const after = arc.points.slice(index + 1);
  if (path === 'straight') {
    const [last, next] = [before.length - 1, after[0]];
    if (last >= 0) before[last] = straightOn(before[last]!, 'out');
    if (next) after[0] = straightOn(next, 'in');
  }
  return withRounding({ ...arc, shape: null, points: [...before, ...fresh, ...after] });
}

function carriedOn(marks: readonly Mark[], from: number, pointId: string): string[] {
  const ids: string[] = [];
  for (let i = from; marks[i]?.pointId === pointId; i++) ids.push(marks[i]!.id);
  return ids;
}

function withFreshPose(shot: Shot, moveId: string, frame: number, to: Vector, path: PosePath): Shot {
  const marked = withMove(shot, moveId, (move) => withMarkOn(move, frame));
  const move = findMove(marked, moveId);
  const index = move.marks.findIndex((mark) => mark.frame === frame);
  const mark = move.marks[index]!;
  const [previous, next] = [move.marks[index - 1], move.marks[index + 1]];
  const isOnWay = previous && next && !isHold(previous, mark) && !isHold(mark, next);
  if (isOnWay) {
    const tied = withMarkTied(marked, moveId, mark.id);
    const { pointId } = findMove(tied, moveId).marks[index]!;
    const isAlone = findMove(tied, moveId).marks.every(
      (other) => other.id === mark.id || other.pointId !== pointId,
    );
    if (isAlone) return withPointMoved(tied, move.arcId, pointId!, to);
  }
  // From where the figure stands it goes there: outside the marks, or out of a hold and back again.
  const anchor = previous ?? next!;
  const tied = withMarkTied(marked, moveId, anchor.id);
  const arc = findArc(tied, move.arcId);
  const tiedMarks = findMove(tied, moveId).marks;
  const pointId = tiedMarks.find(({ id }) => id === anchor.id)!.pointId!;
  const at = arc.points.findIndex(({ id }) => id === pointId);
  const freshId = nextPointId(arc);
  const fresh = posed(freshId, to, path);
  const insertAt = previous ? at : at - 1;
  const back = previous ? carriedOn(tiedMarks, index + 1, pointId) : [];
  const standing = arc.points[at]!;
  const again: ArcPoint[] =
    back.length > 0 ? [{ ...posed(`${freshId}b`, standing, path), out: standing.out }] : [];
  const after = withPointsAfter(arc, insertAt, [fresh, ...again], path);
  const added = 1 + again.length;
  // Drawn on before or after, the new span leaves and arrives slowly, as a fresh one does.
  const [isFirst, isLast] = [!previous, !next];
  const leaves = { easing: freshRamp(Math.abs(mark.frame - anchor.frame)) };
  const before = {
    ...tied,
    moves: tied.moves.map((one) =>
      one.id === moveId
        ? {
            ...one,
            marks: one.marks.map((other) => {
              if (other.id === mark.id) return { ...other, ...(isFirst && leaves), pointId: freshId };
              if (isLast && other.id === anchor.id) return { ...other, ...leaves };
              return back.includes(other.id) ? { ...other, pointId: again[0]!.id } : other;
            }),
          }
        : one,
    ),
  };
  // Out of a hold and back again: what comes after it has the way beyond.
  const goesOn = again.length > 0 ? insertAt : insertAt + 1;
  return withArcAndMoves(before, move.arcId, after, (segment) =>
    segment >= goesOn ? segment + added : segment,
  );
}

/**
 * The shot with the figure of a move put somewhere on a frame. Where a mark is on that frame it moves, and the
 * point that carries it; else both are added. No other pose moves. On twos and threes the pose lands on the
 * first frame of its exposure.
 * @throws ShotError `unknown-id`, `out-of-range`
 */
export function withPose(
  shot: Shot,
  { moveId, frame, to, path }: { moveId: string; frame: number; to: Vector; path: PosePath },
): Shot {
  if (!Number.isInteger(frame) || frame < 1 || frame > MAX_SHOT_FRAMES)
    throw outOfRange(`A pose lies on a frame from 1 to ${MAX_SHOT_FRAMES}.`);
  const move = findMove(shot, moveId);
  const arc = findArc(shot, move.arcId);
  const aim = poseAim(move, frame);
  if (isSinglePose(arc, move)) return withSecondPose(shot, move, arc, aim, to, path);
  if (aim.markId === null) return withFreshPose(shot, moveId, aim.frame, to, path);
  const tied = withMarkTied(shot, moveId, aim.markId);
  const { pointId } = findMove(tied, moveId).marks.find(({ id }) => id === aim.markId)!;
  return withPointMoved(tied, move.arcId, pointId!, to);
}

/** The second pose gives the first its way: the mark of it comes to its frame. */
function withSecondPose(
  shot: Shot,
  move: Move,
  arc: Arc,
  { frame, markId }: PoseAim,
  to: Vector,
  path: PosePath,
): Shot {
  const [first, last] = [move.marks[0]!, move.marks[1]!];
  if (markId === first.id) {
    const shift = { x: to.x - arc.points[0]!.x, y: to.y - arc.points[0]!.y };
    const points = arc.points.map((point) => ({ ...point, x: point.x + shift.x, y: point.y + shift.y }));
    return { ...shot, arcs: shot.arcs.map((one) => (one === arc ? { ...arc, points } : one)) };
  }
  const isLater = frame > first.frame;
  const moving = arc.points[isLater ? 1 : 0]!;
  const points = withRounding({
    ...arc,
    points: arc.points.map((point) => posed(point.id, point === moving ? to : point, path)),
  });
  const placed: Shot = { ...shot, arcs: shot.arcs.map((one) => (one === arc ? points : one)) };
  return withMove(placed, move.id, (one) => ({
    ...one,
    marks: isLater
      ? [
          { ...first, fraction: 0, easing: freshRamp(frame - first.frame) },
          { ...last, frame, fraction: 1 },
        ]
      : [
          { ...first, frame, fraction: 0, easing: freshRamp(first.frame - frame) },
          { ...last, frame: first.frame, fraction: 1 },
        ],
  }));
}
