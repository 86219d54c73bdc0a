import { ShotError } from './errors';
import type { Arc, Figure, Move, Shot } from './schema';

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

export function findArc(shot: Shot, id: string): Arc {
  const arc = shot.arcs.find((candidate) => candidate.id === id);
  if (!arc) throw new ShotError('unknown-id', `The shot has no arc ${id}.`);
  return arc;
}

export const changeArcOnly = (shot: Shot, id: string, change: (arc: Arc) => Arc): Shot => ({
  ...shot,
  arcs: changePart(shot.arcs, id, change),
});

/**
 * The shot with one of its moves changed. Neither the move nor the shot is checked: whoever changes frames sees
 * to it that they lie within the shot (`withMove` lets the shot grow).
 * @throws ShotError `unknown-id`, and what `change` throws
 */
export const changeMove = (shot: Shot, id: string, change: (move: Move) => Move): Shot => ({
  ...shot,
  moves: changePart(shot.moves, id, change),
});

export const changeFigure = (shot: Shot, id: string, change: (figure: Figure) => Figure): Shot => ({
  ...shot,
  figures: changePart(shot.figures, id, change),
});
