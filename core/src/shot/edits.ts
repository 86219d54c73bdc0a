import { arcEdits } from './arcEdits';
import { backdropEdits } from './backdropEdits';
import { changeFigure, changeMove, changePart, findArc } from './parts';
import { ShotError } from '../errors';
import { exposureEdits } from './exposureEdits';
import { gestureEdits } from './gestureEdits';
import { poseEdits } from './poseEdits';
import { spacingEdits } from './spacingEdits';
import { timingEdits } from './timingEdits';
import { lastFrame, firstFrame } from '../timing/placeInTime';
import { withFrames } from '../timing/retime';
import {
  type Easing,
  type Field,
  type Figure,
  type Keeps,
  lastFrameFor,
  type Move,
  type Shot,
  type StandInName,
} from './schema';

/**
 * A move in a shot of another length: one that went to the last frame still does; one that would go
 * past it is compressed, and moved forward when it cannot be.
 */
function inLength(move: Move, before: number, after: number): Move {
  const last = lastFrame(move);
  if (last < before && last <= after) return move;
  const least = move.marks.length - 1;
  // Round a closed arc it may end one frame past the shot, and goes on doing so.
  const end = last > before ? after + last - before : after;
  return withFrames(move, Math.max(1, Math.min(firstFrame(move), end - least)), end);
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

  ...arcEdits,
  ...backdropEdits,
  ...timingEdits,
  ...spacingEdits,
  ...exposureEdits,
  ...poseEdits,
  ...gestureEdits,

  /** First and last frame of a move; the marks between keep their share of the time. */
  setMoveFrames: (
    shot: Shot,
    { moveId, first, last }: { moveId: string; first: number; last: number },
  ): Shot => {
    return changeMove(shot, moveId, (move) => {
      const latest = lastFrameFor(shot.lengthFrames, findArc(shot, move.arcId).closed);
      if (first < 1 || last > latest)
        throw new ShotError('out-of-range', `A move lies within frames 1 to ${latest}.`);
      return withFrames(move, first, last);
    });
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

  setTurning: (
    shot: Shot,
    { moveId, ...turning }: { moveId: string } & Partial<Pick<Move, 'turnsWithArc' | 'correctionDeg'>>,
  ): Shot => changeMove(shot, moveId, (move) => ({ ...move, ...turning })),

  /** What a move holds on to when its arc changes shape. */
  setKeeps: (shot: Shot, { moveId, keeps }: { moveId: string; keeps: Keeps }): Shot =>
    changeMove(shot, moveId, (move) => ({ ...move, keeps })),

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
