import { arcEdits } from './arcEdits';
import { backdropEdits } from './backdropEdits';
import { changeMove, changePart, findArc } from '../model/parts';
import { outOfRange } from '../model/errors';
import { exposureEdits } from './exposureEdits';
import { figureEdits } from './figureEdits';
import { gestureEdits } from './gestureEdits';
import { offsetEdits } from './offsetEdits';
import { cameraEdits, withCameraResized } from './cameraEdits';
import { checkEdits } from './checkEdits';
import { inbetweenEdits } from './inbetweenEdits';
import { noteEdits } from './noteEdits';
import { riderEdits } from './riderEdits';
import { settledEdits } from './settledEdits';
import { shootEdits } from './shootEdits';
import { soundEdits } from './soundEdits';
import { takeEdits } from './takeEdits';
import { passageEdits } from './passageEdits';
import { physicsEdits } from './physicsEdits';
import { poseEdits } from './poseEdits';
import { strideEdits } from './strideEdits';
import { solveEdits } from './solveEdits';
import { spacingEdits } from './spacingEdits';
import { timingEdits } from './timingEdits';
import { trackEdits } from './trackEdits';
import { lastFrame, firstFrame } from '../timing/placeInTime';
import { atRate, wholeFrame, withFrameMap } from '../timing/frameMap';
import { withMoves } from '../timing/moveChange';
import { withNotesAlong } from '../timing/notes';
import { withFrames } from '../timing/retime';
import { type Easing, type Field, type Keeps, type Move, type Shot } from '../model/schema';
import { lastFrameFor, MAX_SHOT_FRAMES } from '../model/limits';
import { wrapDeg } from '../arc/vector';

export type FlipWay = 'left-right' | 'upside-down';

/**
 * What becomes of moves when the shot's length changes: one that went to the last frame still does and the
 * others stay (`follow`), all stretch with the shot, or all are kept as they are.
 */
export type MovesInLength = 'follow' | 'stretch' | 'keep';

/** A move in a shot of another length. One that would go past its end is compressed, and begins earlier if it must. */
function inLength(move: Move, before: number, after: number, how: MovesInLength): Move {
  const [first, last] = [firstFrame(move), lastFrame(move)];
  // Round a closed arc it may end one frame past the shot, and goes on doing so.
  const past = Math.max(0, last - before);
  const least = move.marks.length - 1;
  const until = (end: number): Move => withFrames(move, Math.max(1, Math.min(first, end - least)), end);
  if (how === 'stretch') {
    const share = after / before;
    const end = Math.max(1 + least, Math.round(1 + (last - past - 1) * share)) + past;
    const start = Math.max(1, Math.min(end - least, Math.round(1 + (first - 1) * share)));
    return withFrames(move, start, Math.min(end, after + past));
  }
  const follows = how === 'follow' && last >= before;
  return follows || last > after + past ? until(after + past) : move;
}

const plainEdits = {
  renameShot: (shot: Shot, { name }: { name: string }): Shot => ({ ...shot, name }),

  /** Moves the shot to a film; to none with an empty name. */
  setFilm: (shot: Shot, { film }: { film: string }): Shot => ({ ...shot, film }),

  /**
   * Another rate, frames per second: frames stay as they are, and all lasts longer or shorter; or seconds do, and the
   * frames of all figures, or of one, change: f′ = 1 + ⌊(f − 1)·r′/r + ½⌋.
   * @param args.moveId the move that keeps its seconds, the others keep their frames; null or nothing for all
   * @throws ShotError `out-of-range` when marks would fall on one frame, or the shot would be too long
   */
  setRate: (
    shot: Shot,
    {
      rate,
      keeps = 'frames',
      moveId = null,
    }: { readonly rate: number; readonly keeps?: 'frames' | 'seconds'; readonly moveId?: string | null },
  ): Shot => {
    if (keeps === 'frames' || rate === shot.rate) return { ...shot, rate };
    const map = atRate(shot.rate, rate);
    // It is as long in seconds as it was; what a loop returns on lies one frame later.
    const lengthFrames =
      moveId === null ? Math.max(2, wholeFrame((shot.lengthFrames * rate) / shot.rate)) : shot.lengthFrames;
    const next = withMoves({ ...shot, rate, lengthFrames }, moveId, (move) => withFrameMap(move, map));
    return withNotesAlong(next, moveId, map);
  },

  /** @throws ShotError `out-of-range` when a move has more marks than the new length has frames */
  setLength: (
    shot: Shot,
    { lengthFrames, moves = 'follow' }: { lengthFrames: number; moves?: MovesInLength },
  ): Shot => ({
    ...shot,
    lengthFrames,
    moves: shot.moves.map((move) => inLength(move, shot.lengthFrames, lengthFrames, moves)),
    waiting: shot.waiting.map((one) => {
      if (!one.move) return one;
      const { arcId: _, ...move } = inLength(
        { ...one.move, arcId: '' },
        shot.lengthFrames,
        lengthFrames,
        moves,
      );
      return { ...one, move };
    }),
  }),

  setFieldSize: (shot: Shot, { width, height }: Pick<Field, 'width' | 'height'>): Shot =>
    withCameraResized(shot, { ...shot, field: { ...shot.field, width, height } }),

  /**
   * Field units per millimetre, or null for none; without a scale the sheet is in field units.
   * @param args.units what the sheet is in from then on; as it was without it
   */
  setScale: (
    shot: Shot,
    {
      unitsPerMm,
      units = shot.sheet.units,
    }: Pick<Field, 'unitsPerMm'> & Partial<Pick<Shot['sheet'], 'units'>>,
  ): Shot => ({
    ...shot,
    field: { ...shot.field, unitsPerMm },
    sheet: { ...shot.sheet, units: unitsPerMm === null ? 'field' : units },
  }),

  /** @throws ShotError `out-of-range` when millimetres are asked for without a scale */
  setSheet: (shot: Shot, sheet: Partial<Shot['sheet']>): Shot => {
    if (sheet.units === 'mm' && shot.field.unitsPerMm === null)
      throw outOfRange('Millimetres need a scale: type how long the field is.');
    return { ...shot, sheet: { ...shot.sheet, ...sheet } };
  },

  ...arcEdits,
  ...backdropEdits,
  ...timingEdits,
  ...spacingEdits,
  ...exposureEdits,
  ...passageEdits,
  ...solveEdits,
  ...physicsEdits,
  ...poseEdits,
  ...gestureEdits,
  ...trackEdits,
  ...figureEdits,
  ...riderEdits,
  ...inbetweenEdits,
  ...strideEdits,
  ...offsetEdits,
  ...takeEdits,
  ...cameraEdits,
  ...noteEdits,
  ...soundEdits,
  ...checkEdits,
  ...shootEdits,

  /**
   * First and last frame of a move; the marks between keep their share of the time.
   * @param args.lengthens whether the shot is made longer where the move ends past it; other moves stay
   * @throws ShotError `out-of-range`
   */
  setMoveFrames: (
    shot: Shot,
    {
      moveId,
      first,
      last,
      lengthens = false,
    }: { moveId: string; first: number; last: number; lengthens?: boolean },
  ): Shot => {
    const lengthFrames = lengthens
      ? Math.min(MAX_SHOT_FRAMES, Math.max(shot.lengthFrames, last))
      : shot.lengthFrames;
    return changeMove({ ...shot, lengthFrames }, moveId, (move) => {
      const latest = lastFrameFor(lengthFrames, findArc(shot, move.arcId).closed);
      if (first < 1 || last > latest) throw outOfRange(`A move lies within frames 1 to ${latest}.`);
      return withFrames(move, first, last);
    });
  },

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
    {
      moveId,
      ...turning
    }: { moveId: string } & Partial<
      Pick<
        Move,
        | 'turnsWithArc'
        | 'correctionDeg'
        | 'mirrored'
        | 'backwards'
        | 'cornerFrames'
        | 'smoothFrames'
        | 'lean'
        | 'sizesApart'
      >
    >,
  ): Shot => changeMove(shot, moveId, (move) => ({ ...move, ...turning })),

  /**
   * Shows the figure in a mirror: left to right its feet stay where they are, whichever way it travels; upside down it
   * goes on looking where it looks.
   */
  flipFigure: (shot: Shot, { moveId, way }: { moveId: string; way: FlipWay }): Shot =>
    changeMove(shot, moveId, (move) => {
      // A figure that turns with its arc is mirrored across its front, any other left to right: the rest is a turn.
      const turnsRound = (way === 'left-right') === move.turnsWithArc;
      const correctionDeg = wrapDeg((turnsRound ? 180 : 0) - move.correctionDeg);
      return { ...move, mirrored: !move.mirrored, correctionDeg };
    }),

  setKeeps: (shot: Shot, { moveId, keeps }: { moveId: string; keeps: Keeps }): Shot =>
    changeMove(shot, moveId, (move) => ({ ...move, keeps })),

  replaceShot: (_: Shot, { shot }: { shot: Shot }): Shot => shot,
} as const;

/**
 * Everything that can be done to a shot: pure functions from a shot and arguments to a shot. After each of them what
 * depends on the rest is settled: kept takes, and moves that are timed by their weight.
 */
export const edits = settledEdits(plainEdits);

export type EditName = keyof typeof edits;
export type EditArguments<Name extends EditName> = Parameters<(typeof edits)[Name]>[1];

export type Edit = {
  [Name in EditName]: { readonly name: Name; readonly args: EditArguments<Name> };
}[EditName];

/** The shot after an edit. @throws ShotError when the edit cannot be done */
export function applyEdit(shot: Shot, edit: Edit): Shot {
  const change = edits[edit.name] as (shot: Shot, args: Edit['args']) => Shot;
  return change(shot, edit.args);
}
