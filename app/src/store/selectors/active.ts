import type { Arc, Move, Shot, Waiting } from '@humble/core';
import type { RootState } from '../store';

export const selectShot = (state: RootState): Shot | null => state.shot.present.shot;

export function selectOpenShot(state: RootState): Shot {
  const shot = selectShot(state);
  if (!shot) throw new Error('no shot is open');
  return shot;
}

/** The arc being worked on: the one that was chosen, else the first that carries something, else the first. */
export function activeArcOf(shot: Shot | null, activeArcId: string | null): Arc | null {
  if (!shot) return null;
  const find = (id: string | null | undefined): Arc | undefined => shot.arcs.find((arc) => arc.id === id);
  return find(activeArcId) ?? find(shot.moves[0]?.arcId) ?? shot.arcs[0] ?? null;
}

export const selectActiveArc = (state: RootState): Arc | null =>
  activeArcOf(selectShot(state), state.editor.activeArcId);

/** The figure being worked on that rides no arc; null where there is none. */
export const selectActiveWaiting = (state: RootState): Waiting | null =>
  selectShot(state)?.waiting.find(({ figureId }) => figureId === state.editor.activeFigureId) ?? null;

/** The move of the figure that was chosen, else the first on the active arc; null where there is none. */
export function selectActiveMove(state: RootState): Move | null {
  const arc = selectActiveArc(state);
  if (!arc || selectActiveWaiting(state)) return null;
  const moves = selectShot(state)?.moves ?? [];
  const chosen = moves.find((move) => move.arcId === arc.id && move.figureId === state.editor.activeFigureId);
  return chosen ?? moves.find((move) => move.arcId === arc.id) ?? null;
}
