import { withoutPoints } from '../arc/pointEdits';
import { ZERO, type Vector } from '../arc/vector';
import { PLAIN, type PointShape } from '../arc/smoothing';
import { type BetweenPoses, withBetweenPoses } from '../pose/betweenPoses';
import { type PosePath, withPose } from '../pose/pose';
import { withoutMarks, markIndex } from '../timing/markEdits';
import { arcEdits } from './arcEdits';
import { findMove, type OfMark, withMove } from '../timing/moveChange';
import { changeArc } from '../timing/changeArc';
import { findArc } from '../model/parts';
import type { Mark, Shot } from '../model/schema';

export const poseEdits = {
  /** A first pose, with no arc yet: a stand-in that stays on that spot until there is a second one. */
  beginPoses: (shot: Shot, { frame, to }: { frame: number; to: Vector }): Shot => {
    const spot: PointShape = { ...to, in: ZERO, out: ZERO, kind: 'smooth', shaping: PLAIN };
    const drawn = arcEdits.drawArc(shot, { points: [spot, spot] });
    const arc = drawn.arcs[drawn.arcs.length - 1]!;
    const last = shot.lengthFrames;
    const first = Math.min(Math.max(1, Math.round(frame)), last - 1);
    const { id } = drawn.moves[drawn.moves.length - 1]!;
    return withMove(drawn, id, (move) => ({
      ...move,
      turnsWithArc: false,
      marks: move.marks.map((mark, i): Mark => ({
        ...mark,
        frame: i === 0 ? first : last,
        fraction: 0,
        pointId: arc.points[i]!.id,
      })),
    }));
  },

  pose: (shot: Shot, args: { moveId: string; frame: number; to: Vector; path: PosePath }): Shot =>
    withPose(shot, args),

  setBetweenPoses: (shot: Shot, { moveId, markId, how }: OfMark & { how: BetweenPoses }): Shot =>
    withBetweenPoses(shot, moveId, markId, how),

  /** A mark taken away, and the point that carried it unless others stand on it. */
  deletePose: (shot: Shot, { moveId, markId }: OfMark): Shot => {
    const move = findMove(shot, moveId);
    const { pointId } = move.marks[markIndex(move, markId)]!;
    const less = withMove(shot, moveId, (one) => withoutMarks(one, [markId]));
    const arc = findArc(less, move.arcId);
    const isCarrying = less.moves.some(
      (one) => one.arcId === arc.id && one.marks.some((mark) => mark.pointId === pointId),
    );
    if (!pointId || isCarrying || arc.points.length <= 2) return less;
    return changeArc(less, arc.id, (one) => withoutPoints(one, [pointId]));
  },
} as const;
