import type { PointShape } from '../arc/fitStroke';
import { withHandleAt, withPointAt, withPointInserted, withoutPoint } from '../arc/pointEdits';
import type { Vector } from '../arc/vector';
import { ShotError } from '../errors';
import { lastFrame, firstFrame } from '../timing/placeInTime';
import { freshEasing, withFrames } from '../timing/retime';
import { freshId } from './ids';
import type { Arc, Easing, Field, Figure, FramesHeld, Move, Shot, StandInName } from './schema';

/** Height of a fresh stand-in as a share of the field's height. */
const FRESH_FIGURE_SHARE = 0.16;

function changePart<T extends { readonly id: string }>(
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

const changeArc = (shot: Shot, id: string, change: (arc: Arc) => Arc): Shot => ({
  ...shot,
  arcs: changePart(shot.arcs, id, change),
});
const changeMove = (shot: Shot, id: string, change: (move: Move) => Move): Shot => ({
  ...shot,
  moves: changePart(shot.moves, id, change),
});
const changeFigure = (shot: Shot, id: string, change: (figure: Figure) => Figure): Shot => ({
  ...shot,
  figures: changePart(shot.figures, id, change),
});

const withIds = (points: readonly PointShape[]): Arc['points'] =>
  points.map((point, i) => ({ id: `p${i + 1}`, ...point }));

/**
 * The shot with an arc drawn, a stand-in on its start, and a move over the whole shot that leaves and
 * arrives slowly.
 */
export function withFreshMove(shot: Shot, { points }: { points: readonly PointShape[] }): Shot {
  const arcId = freshId('arc', shot.arcs);
  const figureId = freshId('figure', shot.figures);
  const number = shot.arcs.length + 1;
  const intervals = shot.lengthFrames - 1;
  const even: Easing = { kind: 'even' };
  return {
    ...shot,
    arcs: [...shot.arcs, { id: arcId, name: `Arc ${number}`, closed: false, points: withIds(points) }],
    figures: [
      ...shot.figures,
      {
        id: figureId,
        name: `Figure ${number}`,
        artwork: { kind: 'stand-in', standIn: 'peg' },
        height: Math.max(1, Math.round(shot.field.height * FRESH_FIGURE_SHARE)),
      },
    ],
    moves: [
      ...shot.moves,
      {
        id: freshId('move', shot.moves),
        figureId,
        arcId,
        marks: [
          { id: 'm1', frame: 1, fraction: 0, kind: 'stop', easing: freshEasing(intervals) },
          { id: 'm2', frame: shot.lengthFrames, fraction: 1, kind: 'stop', easing: even },
        ],
        framesHeld: 1,
        turnsWithArc: true,
        correctionDeg: 0,
      },
    ],
  };
}

/**
 * A move in a shot of another length: one that went to the last frame still does; one that would go
 * past it is compressed, and moved forward when it cannot be.
 */
function inLength(move: Move, before: number, after: number): Move {
  const last = lastFrame(move);
  if (last !== before && last <= after) return move;
  const least = move.marks.length - 1;
  return withFrames(move, Math.max(1, Math.min(firstFrame(move), after - least)), after);
}

/** Everything that can be done to a shot: pure functions from a shot and arguments to a shot. */
export const edits = {
  renameShot: (shot: Shot, { name }: { name: string }): Shot => ({ ...shot, name }),

  /** Another rate, frames per second; the frames stay as they are. */
  setRate: (shot: Shot, { rate }: { rate: number }): Shot => ({ ...shot, rate }),

  /** @throws ShotError `out-of-range` when a move has more marks than the new length has frames */
  setLength: (shot: Shot, { lengthFrames }: { lengthFrames: number }): Shot => ({
    ...shot,
    lengthFrames,
    moves: shot.moves.map((move) => inLength(move, shot.lengthFrames, lengthFrames)),
  }),

  setFieldSize: (shot: Shot, { width, height }: Pick<Field, 'width' | 'height'>): Shot => ({
    ...shot,
    field: { ...shot.field, width, height },
  }),

  /** Field units per millimetre, or null for none; without a scale the sheet is in field units. */
  setScale: (shot: Shot, { unitsPerMm }: Pick<Field, 'unitsPerMm'>): Shot => ({
    ...shot,
    field: { ...shot.field, unitsPerMm },
    sheet: { ...shot.sheet, units: unitsPerMm === null ? 'field' : shot.sheet.units },
  }),

  /** @throws ShotError `out-of-range` when millimetres are asked for without a scale */
  setSheet: (shot: Shot, sheet: Partial<Shot['sheet']>): Shot => {
    if (sheet.units === 'mm' && shot.field.unitsPerMm === null)
      throw new ShotError('out-of-range', 'Millimetres need a scale: type how long the field is.');
    return { ...shot, sheet: { ...shot.sheet, ...sheet } };
  },

  drawArc: withFreshMove,

  /** Another shape for an arc; what travels along it keeps its shares of the length. */
  redrawArc: (shot: Shot, { arcId, points }: { arcId: string; points: readonly PointShape[] }): Shot =>
    changeArc(shot, arcId, (arc) => ({ ...arc, points: withIds(points) })),

  movePoint: (shot: Shot, { arcId, pointId, to }: { arcId: string; pointId: string; to: Vector }): Shot =>
    changeArc(shot, arcId, (arc) => withPointAt(arc, pointId, to)),

  moveHandle: (
    shot: Shot,
    { arcId, pointId, side, to }: { arcId: string; pointId: string; side: 'in' | 'out'; to: Vector },
  ): Shot => changeArc(shot, arcId, (arc) => withHandleAt(arc, pointId, side, to)),

  insertPoint: (shot: Shot, { arcId, stretch, t }: { arcId: string; stretch: number; t: number }): Shot =>
    changeArc(shot, arcId, (arc) => withPointInserted(arc, stretch, t)),

  deletePoint: (shot: Shot, { arcId, pointId }: { arcId: string; pointId: string }): Shot =>
    changeArc(shot, arcId, (arc) => withoutPoint(arc, pointId)),

  /** First and last frame of a move; the marks between keep their share of the time. */
  setMoveFrames: (
    shot: Shot,
    { moveId, first, last }: { moveId: string; first: number; last: number },
  ): Shot => {
    if (first < 1 || last > shot.lengthFrames)
      throw new ShotError('out-of-range', `A move lies within frames 1 to ${shot.lengthFrames}.`);
    return changeMove(shot, moveId, (move) => withFrames(move, first, last));
  },

  /** Easing of the span that starts at a mark. */
  setEasing: (
    shot: Shot,
    { moveId, markId, easing }: { moveId: string; markId: string; easing: Easing },
  ): Shot =>
    changeMove(shot, moveId, (move) => ({
      ...move,
      marks: changePart(move.marks, markId, (mark) => ({ ...mark, easing })),
    })),

  setFramesHeld: (shot: Shot, { moveId, framesHeld }: { moveId: string; framesHeld: FramesHeld }): Shot =>
    changeMove(shot, moveId, (move) => ({ ...move, framesHeld })),

  setTurning: (
    shot: Shot,
    { moveId, ...turning }: { moveId: string } & Partial<Pick<Move, 'turnsWithArc' | 'correctionDeg'>>,
  ): Shot => changeMove(shot, moveId, (move) => ({ ...move, ...turning })),

  setFigure: (
    shot: Shot,
    {
      figureId,
      standIn,
      ...rest
    }: { figureId: string; standIn?: StandInName } & Partial<Pick<Figure, 'name' | 'height'>>,
  ): Shot =>
    changeFigure(shot, figureId, (figure) => ({
      ...figure,
      ...rest,
      artwork: standIn ? { kind: 'stand-in', standIn } : figure.artwork,
    })),

  /** A shot taken over whole: from a file, or from a table of increments. */
  replaceShot: (_: Shot, { shot }: { shot: Shot }): Shot => shot,
} as const;

export type EditName = keyof typeof edits;
export type EditArguments<Name extends EditName> = Parameters<(typeof edits)[Name]>[1];

/** One edit as plain data: what a reducer stores and a test writes down. */
export type Edit = {
  [Name in EditName]: { readonly name: Name; readonly args: EditArguments<Name> };
}[EditName];

/** The shot after an edit. @throws ShotError when the edit cannot be done */
export function applyEdit(shot: Shot, edit: Edit): Shot {
  const change = edits[edit.name] as (shot: Shot, args: Edit['args']) => Shot;
  return change(shot, edit.args);
}
