import { withSegmentPulled, withSegmentStraight } from '../arc/bend';
import {
  withHandleAt,
  withPointAt,
  withPointInserted,
  withPointsMoved,
  withPointsOfKind,
  withPointsShaped,
  withoutPoints,
} from '../arc/pointEdits';
import type { Transform } from '../arc/transform';
import type { Vector } from '../arc/vector';
import { withPointsTransformed } from '../arc/wholeArc';
import { changeArc } from '../timing/changeArc';
import { type PointKind, type Shaping, type Shot } from '../model/schema';

type OfArc = { readonly arcId: string };
type OfPoints = OfArc & { readonly pointIds: readonly string[] };
type OfSegment = OfArc & { readonly segment: number };

export const pointEdits = {
  /** One point put somewhere, field units; those that round themselves off follow. A ready shape is none any more. */
  movePoint: (shot: Shot, { arcId, pointId, to }: OfArc & { pointId: string; to: Vector }): Shot =>
    changeArc(shot, arcId, (arc) => withPointAt(arc, pointId, to)),

  movePoints: (shot: Shot, { arcId, pointIds, by }: OfPoints & { by: Vector }): Shot =>
    changeArc(shot, arcId, (arc) => withPointsMoved(arc, pointIds, by)),

  /** The end of a handle put somewhere. A smooth point's other handle turns with it, an even one's mirrors it. */
  moveHandle: (
    shot: Shot,
    { arcId, pointId, side, to }: OfArc & { pointId: string; side: 'in' | 'out'; to: Vector },
  ): Shot => changeArc(shot, arcId, (arc) => withHandleAt(arc, pointId, side, to)),

  /**
   * A further point that changes nothing of the line.
   * @param segment from 0, in the order of the points; @param t parameter in it, 0 to 1
   * @throws ShotError `out-of-range` when there is no such segment
   */
  insertPoint: (shot: Shot, { arcId, segment, t }: OfSegment & { t: number }): Shot =>
    changeArc(shot, arcId, (arc) => withPointInserted(arc, segment, t)),

  /** Points taken out, one after the other; the segment in the place of both follows them as well as one can. @throws ShotError `arc-needs-two-points` */
  deletePoints: (shot: Shot, { arcId, pointIds }: OfPoints): Shot =>
    changeArc(shot, arcId, (arc) => withoutPoints(arc, pointIds)),

  /** Smooth, even or corner. A corner keeps its handles; the others bring theirs into line. */
  setPointKind: (shot: Shot, { arcId, pointIds, kind }: OfPoints & { kind: PointKind }): Shot =>
    changeArc(shot, arcId, (arc) => withPointsOfKind(arc, pointIds, kind)),

  /** Points that round themselves off by their neighbours: tighter, sharper or leaning, −1 to 1 each. */
  shapePoints: (shot: Shot, { arcId, pointIds, shaping }: OfPoints & { shaping: Shaping }): Shot =>
    changeArc(shot, arcId, (arc) => withPointsShaped(arc, pointIds, shaping)),

  pullSegment: (shot: Shot, { arcId, segment, t, to }: OfSegment & { t: number; to: Vector }): Shot =>
    changeArc(shot, arcId, (arc) => withSegmentPulled(arc, segment, t, to)),

  /** A segment as a line at steady parameter. @throws ShotError `out-of-range` when there is no such segment */
  straightenSegment: (shot: Shot, { arcId, segment }: OfSegment): Shot =>
    changeArc(shot, arcId, (arc) => withSegmentStraight(arc, segment)),

  transformPoints: (shot: Shot, { arcId, pointIds, transform }: OfPoints & { transform: Transform }): Shot =>
    changeArc(shot, arcId, (arc) => withPointsTransformed(arc, pointIds, transform)),
} as const;
