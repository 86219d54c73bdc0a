import { ShotError, outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_SHOT_FRAMES, MAX_PARTS } from '../model/limits';
import { changeFigure, findArc } from '../model/parts';
import { PLAIN_FIGURE } from '../model/plainRiding';
import type { Arc, Artwork, Cycle, Figure, Move, Rider, Shot, StandInName, Waiting } from '../model/schema';
import { type Vector, wrapDeg } from '../arc/vector';
import { evaluateMove } from '../motion/evaluate';
import { heightInField, lookOf } from '../motion/look';
import { offsetFrom } from '../motion/offset';
import { findMove, type OfMove, withMark } from '../timing/moveChange';
import { untied } from '../timing/keepTiming';
import { withinShot } from '../timing/changeArc';
import { withMarkOn } from '../timing/markEdits';
import { withKeysOn } from '../timing/tracks/keyEdits';
import { keptOnArtwork } from './inbetweenEdits';
import { freshFigureName, freshMove, FRESH_FIGURE_SHARE } from './withFigure';

type OfFigure = { readonly figureId: string };

/**
 * How a figure comes onto an arc: with its pivot on it (`start`), so that nothing jumps (`where-it-is`), or with a mark
 * on a place of the arc, as a share of its length.
 */
export type Attaching = 'start' | 'where-it-is' | { readonly fraction: number };

function findFigure(shot: Shot, id: string): Figure {
  const figure = shot.figures.find((candidate) => candidate.id === id);
  if (!figure) throw new ShotError('unknown-id', `The shot has no figure ${id}.`);
  return figure;
}

/** The pivot at the same share of other artwork: a figure that is drawn anew hangs by the same spot. */
function pivotOn(before: Figure, after: Figure): Figure['pivot'] {
  if (before.pivot === null) return null;
  const [was, is] = [lookOf(before), lookOf({ ...after, pivot: null })];
  return { x: (before.pivot.x * is.width) / was.width, y: (before.pivot.y * is.height) / was.height };
}

function standingOf(shot: Shot, figureId: string, frame: number): (Vector & { turnDeg: number }) | null {
  const waiting = shot.waiting.find((one) => one.figureId === figureId);
  if (waiting) return waiting;
  const move = shot.moves.find((one) => one.figureId === figureId);
  if (!move) return null;
  const { pivotX, pivotY, heading } = evaluateMove(shot, move);
  const i = Math.min(Math.max(1, Math.round(frame)), shot.lengthFrames) - 1;
  return { x: pivotX[i]!, y: pivotY[i]!, turnDeg: heading[i]! };
}

function withSteadyOffset(move: Move, frame: number, { x, y }: Vector): Move {
  const isNone = x === 0 && y === 0;
  const keys = (value: number) => (isNone ? [] : [{ frame, value }]);
  return withKeysOn(withKeysOn(move, 'offsetX', keys(x)), 'offsetY', keys(y));
}

function withPlaceKept(
  shot: Shot,
  move: Move,
  frame: number,
  stood: Vector & { readonly turnDeg: number },
): Shot {
  const plain = withSteadyOffset(move, frame, { x: 0, y: 0 });
  const { x, y, heading, arcDistance, blendedDirection } = evaluateMove(shot, plain);
  const i = Math.min(Math.max(1, Math.round(frame)), arcDistance.length) - 1;
  const by = { x: stood.x - x[i]!, y: stood.y - y[i]! };
  const offset = offsetFrom(plain.offsetIn, by, blendedDirection[i]!);
  const turned: Move = {
    ...plain,
    correctionDeg: plain.correctionDeg + wrapDeg(stood.turnDeg - heading[i]!),
  };
  return replaceMove(shot, withSteadyOffset(turned, i + 1, offset));
}

/** The move with a mark on a place of its arc: one that is on the frame goes there, else there is a further one. */
function withPlaceOn(move: Move, { closed }: Arc, frame: number, wanted: number): Move {
  const fraction = closed ? wanted : Math.min(1, Math.max(0, wanted));
  const there = move.marks.find((mark) => mark.frame === frame);
  return there
    ? withMark(move, there.id, (mark) => ({ ...mark, fraction }))
    : withMarkOn(move, frame, fraction);
}

const replaceMove = (shot: Shot, move: Move): Shot => ({
  ...shot,
  moves: shot.moves.map((other) => (other.id === move.id ? move : other)),
});

function inOrderOfFigures(shot: Shot): Shot {
  const rank = new Map(shot.figures.map(({ id }, i) => [id, i]));
  const moves = [...shot.moves].sort((a, b) => rank.get(a.figureId)! - rank.get(b.figureId)!);
  return { ...shot, moves };
}

const FRESH_CYCLE: Cycle = {
  by: 'time',
  from: 1,
  until: null,
  startDrawing: 1,
  swings: false,
  advance: 100,
  before: 'hold',
  after: 'hold',
};

function moveOf(shot: Shot, figureId: string): Waiting['move'] {
  const waiting = shot.waiting.find((one) => one.figureId === figureId);
  return waiting ? waiting.move : (shot.moves.find((one) => one.figureId === figureId) ?? null);
}

const sizedPart = (rider: Rider, times: number): Rider => ({
  ...rider,
  height: Math.max(1, rider.height * times),
  heightMm: rider.heightMm === null ? null : rider.heightMm * times,
  follows:
    rider.follows.by === 'distance'
      ? { by: 'distance', distance: rider.follows.distance * times }
      : rider.follows,
  offset: { x: rider.offset.x * times, y: rider.offset.y * times },
});

/** A shot in which a figure got another height: its parts keep their proportions to it, so that a chain stays one. */
function withPartsSized(before: Shot, after: Shot, figureId: string): Shot {
  const heightIn = (shot: Shot): number => heightInField(findFigure(shot, figureId), shot.field);
  const times = heightIn(after) / heightIn(before);
  if (times === 1) return after;
  const sized = <Of extends Pick<Move, 'riders'>>(move: Of): Of =>
    move.riders.length === 0
      ? move
      : { ...move, riders: move.riders.map((rider) => sizedPart(rider, times)) };
  return {
    ...after,
    moves: after.moves.map((move) => (move.figureId === figureId ? sized(move) : move)),
    waiting: after.waiting.map((one) =>
      one.figureId === figureId && one.move ? { ...one, move: sized(one.move) } : one,
    ),
  };
}

export const figureEdits = {
  /** @param args.keepsParts another height leaves the parts of the figure as large as they are */
  setFigure: (
    shot: Shot,
    {
      figureId,
      standIn,
      keepsParts = false,
      ...rest
    }: OfFigure & { readonly standIn?: StandInName; readonly keepsParts?: boolean } & Partial<
        Omit<Figure, 'id' | 'artwork'>
      >,
  ): Shot => {
    const changed = changeFigure(shot, figureId, (figure) => ({ ...figure, ...rest }));
    const next = keepsParts ? changed : withPartsSized(shot, changed, figureId);
    return standIn === undefined
      ? next
      : figureEdits.setArtwork(next, { figureId, artwork: { kind: 'stand-in', standIn } });
  },

  /** Other artwork. Move, size and pivot stay: the pivot at the same share of the new artwork. */
  setArtwork: (shot: Shot, { figureId, artwork }: OfFigure & { readonly artwork: Artwork }): Shot =>
    changeFigure(shot, figureId, (figure) => {
      const next: Figure = {
        ...figure,
        artwork,
        // Stand-ins look to the right.
        frontDeg: artwork.kind === 'stand-in' ? 0 : figure.frontDeg,
      };
      const swapsKind = artwork.kind !== figure.artwork.kind;
      return { ...next, ...keptOnArtwork(figure, next), pivot: swapsKind ? null : pivotOn(figure, next) };
    }),

  /**
   * A further figure that rides no arc yet.
   * @throws ShotError `out-of-range` when there are too many
   */
  addFigure: (
    shot: Shot,
    { artwork, x, y, name }: { readonly artwork: Artwork; readonly name?: string } & Vector,
  ): Shot => {
    if (shot.figures.length >= MAX_PARTS) throw outOfRange(`A shot has at most ${MAX_PARTS} figures.`);
    const figureId = freshId('figure', shot.figures);
    const figure: Figure = {
      id: figureId,
      name: freshFigureName(shot, name),
      artwork,
      height: Math.max(1, Math.round(shot.field.height * FRESH_FIGURE_SHARE)),
      ...PLAIN_FIGURE,
    };
    return {
      ...shot,
      figures: [...shot.figures, figure],
      waiting: [...shot.waiting, { figureId, x, y, turnDeg: 0, move: null }],
    };
  },

  /**
   * A figure that waits, or rides another arc, comes onto an arc on a frame and keeps the timing that it has. Marks are
   * not tied to points any more, and a figure that was acted is timed by its marks.
   * @throws ShotError `unknown-id`, and `out-of-range` when the frame has room for no mark
   */
  attachFigure: (
    shot: Shot,
    {
      figureId,
      arcId,
      frame: asked,
      how,
    }: OfFigure & { readonly arcId: string; readonly frame: number; readonly how: Attaching },
  ): Shot => {
    const frame = Math.min(Math.max(1, Math.round(asked)), shot.lengthFrames);
    findFigure(shot, figureId);
    const arc = findArc(shot, arcId);
    const stood = standingOf(shot, figureId, frame);
    const had = moveOf(shot, figureId);
    const isOnItAlready = shot.moves.some((one) => one.figureId === figureId && one.arcId === arcId);
    const kept: Move = had
      ? { ...(isOnItAlready ? had : untied({ ...had, arcId, acted: null })), arcId }
      : freshMove(shot, arc, figureId);
    const placed = typeof how === 'object' ? withPlaceOn(kept, arc, frame, how.fraction) : kept;
    const move = arc.closed ? placed : withinShot(placed, shot.lengthFrames);
    const others = shot.moves.filter((one) => one.figureId !== figureId);
    const on = inOrderOfFigures({
      ...shot,
      waiting: shot.waiting.filter((one) => one.figureId !== figureId),
      moves: [...others, how === 'where-it-is' ? move : withSteadyOffset(move, frame, { x: 0, y: 0 })],
    });
    return how === 'where-it-is' && stood ? withPlaceKept(on, move, frame, stood) : on;
  },

  /** A figure leaves its arc and waits where it stands on a frame; it keeps its timing. */
  detachFigure: (shot: Shot, { figureId, frame }: OfFigure & { readonly frame: number }): Shot => {
    findFigure(shot, figureId);
    const move = shot.moves.find((one) => one.figureId === figureId);
    const stands = standingOf(shot, figureId, frame);
    if (!move || !stands) return shot;
    const { arcId: _, ...timing } = untied(move);
    return {
      ...shot,
      moves: shot.moves.filter((one) => one.figureId !== figureId),
      waiting: [...shot.waiting, { figureId, ...stands, turnDeg: wrapDeg(stands.turnDeg), move: timing }],
    };
  },

  placeWaiting: (
    shot: Shot,
    { figureId, ...place }: OfFigure & Partial<Pick<Waiting, 'x' | 'y' | 'turnDeg'>>,
  ): Shot => ({
    ...shot,
    waiting: shot.waiting.map((one) => (one.figureId === figureId ? { ...one, ...place } : one)),
  }),

  removeFigure: (shot: Shot, { figureId }: OfFigure): Shot => {
    findFigure(shot, figureId);
    return {
      ...shot,
      figures: shot.figures.filter(({ id }) => id !== figureId),
      moves: shot.moves.filter((move) => move.figureId !== figureId),
      waiting: shot.waiting.filter((one) => one.figureId !== figureId),
    };
  },

  orderFigure: (shot: Shot, { figureId, to }: OfFigure & { readonly to: number }): Shot => {
    const figure = findFigure(shot, figureId);
    const figures = shot.figures.filter((one) => one !== figure);
    figures.splice(Math.max(0, Math.min(figures.length, Math.round(to))), 0, figure);
    if (figures.every((one, i) => one === shot.figures[i])) return shot;
    return inOrderOfFigures({ ...shot, figures });
  },

  setDrawingFrames: (
    shot: Shot,
    { figureId, frames, drawing }: OfFigure & { readonly frames: number; readonly drawing?: number },
  ): Shot =>
    changeFigure(shot, figureId, (figure) => {
      if (figure.artwork.kind !== 'pictures') return figure;
      const drawings = figure.artwork.drawings.map((one, i) =>
        drawing === undefined || drawing === i + 1 ? { ...one, frames } : one,
      );
      return { ...figure, artwork: { ...figure.artwork, drawings } };
    }),

  /** Another cycle, or something else about it; null for none. A fresh one runs over the whole shot, by time. */
  setCycle: (shot: Shot, { moveId, cycle }: OfMove & { readonly cycle: Partial<Cycle> | null }): Shot => {
    const move = findMove(shot, moveId);
    if (cycle === null) return replaceMove(shot, { ...move, cycle: null });
    const next: Cycle = { ...(move.cycle ?? FRESH_CYCLE), ...cycle };
    const until = next.until === null ? null : Math.max(next.from, next.until);
    return replaceMove(shot, { ...move, cycle: { ...next, until } });
  },

  /**
   * From a frame on another drawing is shown, until the next change; null takes the change on that frame away.
   * @param args.drawing from 1
   */
  setDrawing: (
    shot: Shot,
    { moveId, frame, drawing }: OfMove & { readonly frame: number; readonly drawing: number | null },
  ): Shot => {
    const move = findMove(shot, moveId);
    if (!Number.isInteger(frame) || frame < 1 || frame > MAX_SHOT_FRAMES)
      throw outOfRange(`A drawing starts on a frame from 1 to ${MAX_SHOT_FRAMES}.`);
    const there = move.drawings.find((shown) => shown.frame === frame);
    const others = move.drawings.filter((shown) => shown !== there);
    const drawings =
      drawing === null
        ? others
        : [...others, { drawnThrough: null, ...there, frame, drawing }].sort((a, b) => a.frame - b.frame);
    return replaceMove(shot, { ...move, drawings });
  },
} as const;
