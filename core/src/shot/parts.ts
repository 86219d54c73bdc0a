import { ShotError } from '../errors';
import { keptOnArc } from '../timing/keepTiming';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import { withFrames } from '../timing/retime';
import { FURTHEST } from './readyShapeSchema';
import type { Arc, ArcPoint, Figure, Move, Shot } from './schema';

/** The parts with one of them changed; the same array when nothing changed. @throws ShotError `unknown-id` */
export function changePart<T extends { readonly id: string }>(
  parts: readonly T[],
  id: string,
  change: (part: T) => T,
): readonly T[] {
  const index = parts.findIndex((part) => part.id === id);
  const part = parts[index];
  if (!part) throw new ShotError('unknown-id', `The shot has no part ${id}.`);
  const next = change(part);
  return next === part ? parts : parts.map((other, i) => (i === index ? next : other));
}

/** @throws ShotError `unknown-id` */
export function findArc(shot: Shot, id: string): Arc {
  const arc = shot.arcs.find((candidate) => candidate.id === id);
  if (!arc) throw new ShotError('unknown-id', `The shot has no arc ${id}.`);
  return arc;
}

const lies = (value: number): boolean => value >= -FURTHEST && value <= FURTHEST;
const isWithin = ({ x, y, in: into, out }: ArcPoint): boolean =>
  lies(x) && lies(y) && lies(into.x) && lies(into.y) && lies(out.x) && lies(out.y);

/** The shot with another shape for an arc; its moves hold on to what each of them keeps. @throws ShotError */
export function changeArc(shot: Shot, id: string, change: (arc: Arc) => Arc): Shot {
  const before = findArc(shot, id);
  const arcs = changePart(shot.arcs, id, change);
  if (arcs === shot.arcs) return shot;
  const after = arcs.find((arc) => arc.id === id)!;
  if (!after.points.every(isWithin))
    throw new ShotError('out-of-range', 'That lies too far outside the field.');
  const kept = shot.moves.map((move) => keptOnArc(move, before, after));
  if (!before.closed || after.closed) return { ...shot, arcs, moves: kept };
  return {
    ...shot,
    arcs,
    moves: kept.map((move) => (move.arcId === id ? withinShot(move, shot.lengthFrames) : move)),
  };
}

/** A move that ended one frame past its shot, which it may on a closed arc only. */
const withinShot = (move: Move, lengthFrames: number): Move =>
  lastFrame(move) <= lengthFrames
    ? move
    : withFrames(
        move,
        Math.max(1, Math.min(firstFrame(move), lengthFrames - move.marks.length + 1)),
        lengthFrames,
      );

/** The shot with something of an arc changed that is not its shape: its name, its colour. */
export const changeArcOnly = (shot: Shot, id: string, change: (arc: Arc) => Arc): Shot => ({
  ...shot,
  arcs: changePart(shot.arcs, id, change),
});

export const changeMove = (shot: Shot, id: string, change: (move: Move) => Move): Shot => ({
  ...shot,
  moves: changePart(shot.moves, id, change),
});

export const changeFigure = (shot: Shot, id: string, change: (figure: Figure) => Figure): Shot => ({
  ...shot,
  figures: changePart(shot.figures, id, change),
});
