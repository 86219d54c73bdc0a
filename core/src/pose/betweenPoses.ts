import { withRounding } from '../arc/pointEdits';
import { PLAIN, withShapedHandles } from '../arc/smoothing';
import { ZERO } from '../arc/vector';
import { outOfRange } from '../model/errors';
import { findMove } from '../timing/moveChange';
import { findArc } from '../model/parts';
import type { Arc, ArcPoint, Easing, Shot } from '../model/schema';
import { isHold } from '../timing/isHold';
import { markIndex } from '../timing/markEdits';
import { freshRamp } from '../timing/easings/ramped';
import { type PosePath, withArcAndMoves, withMarkTied } from './pose';

/** How a figure gets from one pose to the next: along a line, a curve, or not at all until it is there. */
export type BetweenPoses = PosePath | 'snap';

const SNAP: Easing = { kind: 'snap' };

const isDrawnIn = ({ x, y }: { readonly x: number; readonly y: number }): boolean => x === 0 && y === 0;

export function betweenPoses(shot: Shot, moveId: string, markId: string): BetweenPoses | null {
  const move = findMove(shot, moveId);
  const index = markIndex(move, markId);
  const [from, to] = [move.marks[index]!, move.marks[index + 1]];
  if (!to || isHold(from, to)) return null;
  if (from.easing.kind === 'snap') return 'snap';
  const { points } = findArc(shot, move.arcId);
  const [a, b] = [from, to].map((mark) => points.findIndex(({ id }) => id === mark.pointId));
  const isLine = a! >= 0 && b === a! + 1 && isDrawnIn(points[a!]!.out) && isDrawnIn(points[b]!.in);
  return isLine ? 'straight' : 'curved';
}

function rounded(arc: Arc): readonly ArcPoint[] {
  return withShapedHandles(
    arc.points.map((point): ArcPoint => ({ ...point, shaping: PLAIN })),
    arc.closed,
  );
}

function withSide(
  point: ArcPoint,
  side: 'in' | 'out',
  path: PosePath,
  round: ArcPoint,
  isEnd: boolean,
): ArcPoint {
  const other = side === 'in' ? 'out' : 'in';
  if (path === 'straight') return { ...point, [side]: ZERO, kind: 'corner', shaping: null };
  // With no straight line on its other side it rounds itself off from now on.
  if (isEnd || !isDrawnIn(point[other])) return { ...point, kind: 'smooth', shaping: PLAIN };
  return { ...point, [side]: round[side], kind: 'corner', shaping: null };
}

/**
 * The span from a mark to the next along a straight line, along a curve, or as a jump with no in-betweens. The
 * figure stays where it was put on the frames of all marks. Points between them that carry no mark give way to
 * a line or a curve of its own.
 * @throws ShotError `unknown-id`, `out-of-range` for the last mark
 */
export function withBetweenPoses(shot: Shot, moveId: string, markId: string, how: BetweenPoses): Shot {
  const index = markIndex(findMove(shot, moveId), markId);
  const next = findMove(shot, moveId).marks[index + 1];
  if (!next) throw outOfRange('Nothing moves after the last mark.');
  if (how === 'snap') return withEasing(shot, moveId, markId, SNAP);
  const tied = withMarkTied(withMarkTied(shot, moveId, markId), moveId, next.id);
  const travelling = findMove(tied, moveId);
  const [from, to] = [travelling.marks[index]!, travelling.marks[index + 1]!];
  const eased =
    from.easing.kind === 'snap' ? withEasing(tied, moveId, markId, freshRamp(to.frame - from.frame)) : tied;
  return withPath(eased, findMove(eased, moveId).arcId, from.pointId!, to.pointId!, how);
}

const withEasing = (shot: Shot, moveId: string, markId: string, easing: Easing): Shot => ({
  ...shot,
  moves: shot.moves.map((move) =>
    move.id === moveId
      ? { ...move, marks: move.marks.map((mark) => (mark.id === markId ? { ...mark, easing } : mark)) }
      : move,
  ),
});

/** The arc between two of its points on a line or a curve; only what lies forwards between them changes. */
function withPath(shot: Shot, arcId: string, fromId: string, toId: string, path: PosePath): Shot {
  const before = findArc(shot, arcId);
  const [a, b] = [fromId, toId].map((id) => before.points.findIndex((point) => point.id === id)) as [
    number,
    number,
  ];
  if (a === b) return shot;
  const [first, last] = [Math.min(a, b), Math.max(a, b)];
  const carrying = new Set(
    shot.moves
      .filter((move) => move.arcId === arcId)
      .flatMap(({ marks }) => marks.map(({ pointId }) => pointId)),
  );
  const stays = before.points.map((point, i) => i <= first || i >= last || carrying.has(point.id));
  const kept: Arc = { ...before, shape: null, points: before.points.filter((_, i) => stays[i]) };
  const round = rounded(kept);
  const indexOf = (old: number): number => stays.slice(0, old).filter(Boolean).length;
  const [start, end] = [indexOf(first), indexOf(last)];
  const lastIndex = kept.points.length - 1;
  const points = kept.points.map((point, i) => {
    let changed = point;
    if (i >= start && i < end) changed = withSide(changed, 'out', path, round[i]!, !kept.closed && i === 0);
    if (i > start && i <= end)
      changed = withSide(changed, 'in', path, round[i]!, !kept.closed && i === lastIndex);
    return changed;
  });
  const after = withRounding({ ...kept, points });
  return withArcAndMoves(shot, arcId, after, (segment) => {
    const at = indexOf(segment + 1) - 1;
    return Math.min(Math.max(0, at), points.length - 2 + (kept.closed ? 1 : 0));
  });
}
