import { MAX_COORDINATE } from '../model/limits';
import { outOfRange } from '../model/errors';
import { changePart, findArc } from '../model/parts';
import type { Arc, ArcPoint, Move, Shot } from '../model/schema';
import { keptOnArc } from './keepTiming';
import { firstFrame, lastFrame } from './placeInTime';
import { withFrames } from './retime';

const isInReach = (value: number): boolean => value >= -MAX_COORDINATE && value <= MAX_COORDINATE;
const isWithin = ({ x, y, in: into, out }: ArcPoint): boolean =>
  [x, y, into.x, into.y, out.x, out.y].every(isInReach);

export function changeArc(shot: Shot, id: string, change: (arc: Arc) => Arc): Shot {
  const before = findArc(shot, id);
  const arcs = changePart(shot.arcs, id, change);
  if (arcs === shot.arcs) return shot;
  const after = arcs.find((arc) => arc.id === id)!;
  if (!after.points.every(isWithin)) throw outOfRange('That lies too far outside the field.');
  const kept = shot.moves.map((move) => keptOnArc(move, before, after));
  if (!before.closed || after.closed) return { ...shot, arcs, moves: kept };
  return {
    ...shot,
    arcs,
    moves: kept.map((move) => (move.arcId === id ? withinShot(move, shot.lengthFrames) : move)),
  };
}

/** A move that may have ended past its shot, as it may by one frame on a closed arc only. */
export const withinShot = (move: Move, lengthFrames: number): Move =>
  lastFrame(move) <= lengthFrames
    ? move
    : withFrames(
        move,
        Math.max(1, Math.min(firstFrame(move), lengthFrames - move.marks.length + 1)),
        lengthFrames,
      );
