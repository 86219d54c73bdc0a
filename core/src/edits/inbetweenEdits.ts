import type { Vector } from '../arc/vector';
import { type Chart, chartShares } from '../exposure/charts';
import { drawingCount } from '../exposure/drawings';
import { drawnThroughSpans } from '../exposure/drawnThrough';
import { chartThrough } from '../exposure/spanKnots';
import { shownExposures } from '../exposure/shownFrames';
import { drawnPair, hasNoGround, pinsBetween, pinsFault } from '../inbetween/drawnPair';
import { carriedSpot, placeOnSecond } from '../inbetween/inBetween';
import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange, ShotError } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_DRAWING_PAIRS, MAX_FOLLOWED_SPOTS, MAX_MARKS, MAX_PINS, MAX_SHOT_FRAMES } from '../model/limits';
import { changeFigure, changeMove } from '../model/parts';
import type { DrawingPair, Figure, FollowedSpot, Move, Pin, Shot, ShownDrawing } from '../model/schema';
import { findMove, type OfMove } from '../timing/moveChange';

type OfFigure = { readonly figureId: string };
type OfPair = OfFigure & Pick<DrawingPair, 'first' | 'second'>;
type OfPin = OfPair & { readonly pinId: string };

/** A figure, or a part of the figure of a move. */
export type OfArtwork = OfFigure | (OfMove & { readonly riderId: string });
type OfSpot = OfArtwork & { readonly spotId: string };

function findFigure(shot: Shot, id: string): Figure {
  const figure = shot.figures.find((candidate) => candidate.id === id);
  if (!figure) throw new ShotError('unknown-id', `The shot has no figure ${id}.`);
  return figure;
}

function drawingOf(figure: Figure, number: number) {
  const drawing = figure.artwork.kind === 'pictures' ? figure.artwork.drawings[number - 1] : undefined;
  if (!drawing) throw outOfRange(`“${figure.name}” has no drawing ${number}.`);
  return drawing;
}

/** @throws ShotError where one of two drawings cannot become the other */
function complainOfDrawings(figure: Figure, numbers: readonly number[]): void {
  for (const number of numbers)
    if (hasNoGround(drawingOf(figure, number)))
      throw outOfRange(
        `Drawing ${number} has no clear ground: its outline is the edge of its paper. Import it as a scan to clear the paper.`,
      );
}

const figureOfMove = (shot: Shot, moveId: string): Figure =>
  findFigure(shot, findMove(shot, moveId).figureId);

/** The pair of two drawings as it is kept: as it was asked for, or the other way round. */
function withPair(
  shot: Shot,
  { figureId, first, second }: OfPair,
  change: (pins: readonly Pin[], figure: Figure) => readonly Pin[],
): Shot {
  const next = changeFigure(shot, figureId, (figure) => {
    complainOfDrawings(figure, [first, second]);
    const isOther = (pair: DrawingPair): boolean =>
      !(pair.first === first && pair.second === second) && !(pair.first === second && pair.second === first);
    const pins = change(pinsBetween(figure, first, second), figure);
    const others = figure.drawingPairs.filter(isOther);
    if (others.length >= MAX_DRAWING_PAIRS)
      throw outOfRange(`A figure has pins between at most ${MAX_DRAWING_PAIRS} pairs of drawings.`);
    const drawingPairs = pins.length > 0 ? [...others, { first, second, pins }] : others;
    return { ...figure, drawingPairs };
  });
  const fault = pinsFault(findFigure(next, figureId), { first, second });
  if (fault) throw outOfRange(fault);
  return next;
}

function changedPin(pins: readonly Pin[], pinId: string, change: (pin: Pin) => Pin): readonly Pin[] {
  if (!pins.some(({ id }) => id === pinId)) throw new ShotError('unknown-id', `There is no pin ${pinId}.`);
  return pins.map((pin) => (pin.id === pinId ? change(pin) : pin));
}

function changeArtwork(shot: Shot, of: OfArtwork, change: (figure: Figure) => Partial<Figure>): Shot {
  if ('figureId' in of)
    return changeFigure(shot, of.figureId, (figure) => ({ ...figure, ...change(figure) }));
  return changeMove(shot, of.moveId, (move) => {
    if (!move.riders.some(({ id }) => id === of.riderId))
      throw new ShotError('unknown-id', `The move has no part ${of.riderId}.`);
    return {
      ...move,
      riders: move.riders.map((rider) => (rider.id === of.riderId ? { ...rider, ...change(rider) } : rider)),
    };
  });
}

function changeSpot(
  shot: Shot,
  { spotId, ...of }: OfSpot,
  change: (spot: FollowedSpot) => FollowedSpot,
): Shot {
  return changeArtwork(shot, of, ({ followedSpots }) => {
    if (!followedSpots.some(({ id }) => id === spotId))
      throw new ShotError('unknown-id', `There is no followed spot ${spotId}.`);
    return { followedSpots: followedSpots.map((spot) => (spot.id === spotId ? change(spot) : spot)) };
  });
}

/** Drawings on frames, some of them replaced. @throws ShotError when they are too many */
function withDrawings(move: Move, from: number, until: number, fresh: readonly ShownDrawing[]): Move {
  const others = move.drawings.filter(({ frame }) => frame < from || frame > until);
  const drawings = [...others, ...fresh].sort((a, b) => a.frame - b.frame);
  if (drawings.length > MAX_MARKS)
    throw outOfRange(`A move says its drawings on at most ${MAX_MARKS} frames.`);
  return { ...move, drawings };
}

/** The exposures between two keys stand where a chart has them; frames between them in a straight line. */
function withChartThrough(shot: Shot, moveId: string, frame: number, chart: Chart): Shot {
  const move = findMove(shot, moveId);
  const through = drawnThroughSpans(move).find(({ from }) => from.frame === frame);
  if (!through) throw outOfRange(sentenceWith`Nothing is drawn through from frame ${frameName(frame)} on.`);
  const { from, to } = through;
  const between = shownExposures(move, shot)
    .map((exposure) => exposure.frame)
    .filter((on) => on > from.frame && on < to.frame);
  const frames = [from.frame, ...between, to.frame];
  const shares = [0, ...chartShares(chart, between.length), 1];
  const easing = chartThrough({ frames }, shares);
  return changeMove(shot, moveId, (one) => ({
    ...one,
    drawings: one.drawings.map((shown) =>
      shown.frame === frame ? { ...shown, drawnThrough: { easing } } : shown,
    ),
  }));
}

export const inbetweenEdits = {
  /**
   * From a frame to another one drawing becomes the next: both are keys there, and it is drawn through between them.
   * @param args.chart where the in-betweens stand; null to go as the figure travels
   * @throws ShotError `out-of-range` for frames outside a shot, or drawings that cannot become each other
   */
  drawThrough: (
    shot: Shot,
    {
      moveId,
      from,
      until,
      first,
      second,
      chart,
    }: OfMove & {
      readonly from: number;
      readonly until: number;
      readonly first: number;
      readonly second: number;
      readonly chart: Chart | null;
    },
  ): Shot => {
    if (!(from >= 1 && until <= MAX_SHOT_FRAMES && until - from >= 2))
      throw outOfRange('Between two key drawings there’s at least one frame.');
    if (first === second) throw outOfRange('Choose two different drawings to draw through.');
    complainOfDrawings(figureOfMove(shot, moveId), [first, second]);
    const next = changeMove(shot, moveId, (move) => {
      const after = move.drawings.find(({ frame }) => frame === until);
      return withDrawings(move, from, until, [
        { frame: from, drawing: first, drawnThrough: { easing: null } },
        { drawnThrough: null, ...after, frame: until, drawing: second },
      ]);
    });
    return chart ? withChartThrough(next, moveId, from, chart) : next;
  },

  /**
   * Where the in-betweens stand from the drawing that begins on a frame to the next; null to go as the figure travels.
   * @throws ShotError `out-of-range` where nothing is drawn through from there
   */
  setChartThrough: (
    shot: Shot,
    { moveId, frame, chart }: OfMove & { readonly frame: number; readonly chart: Chart | null },
  ): Shot =>
    chart
      ? withChartThrough(shot, moveId, frame, chart)
      : inbetweenEdits.setDrawnThrough(shot, { moveId, frame, drawnThrough: { easing: null } }),

  /**
   * Whether the drawing that begins on a frame is drawn through to the next one, and by which chart; null holds it.
   * @throws ShotError `out-of-range` where none begins there, none follows, or the two cannot become each other
   */
  setDrawnThrough: (
    shot: Shot,
    { moveId, frame, drawnThrough }: OfMove & Pick<ShownDrawing, 'frame' | 'drawnThrough'>,
  ): Shot => {
    const { drawings } = findMove(shot, moveId);
    const i = drawings.findIndex((shown) => shown.frame === frame);
    const next = drawings[i + 1];
    if (i < 0) throw outOfRange(sentenceWith`No drawing begins on frame ${frameName(frame)}.`);
    if (drawnThrough && !next)
      throw outOfRange('No other drawing follows it. Choose one on a later frame first.');
    if (drawnThrough) complainOfDrawings(figureOfMove(shot, moveId), [drawings[i]!.drawing, next!.drawing]);
    return changeMove(shot, moveId, (move) => ({
      ...move,
      drawings: move.drawings.map((shown) => (shown.frame === frame ? { ...shown, drawnThrough } : shown)),
    }));
  },

  /**
   * A spot of one drawing, and the same spot on another.
   * @param args.at in the pictures' own units
   * @throws ShotError `out-of-range` for too many pins, two on one spot, or outlines that would cross
   */
  addPin: (
    shot: Shot,
    { at, ...pair }: OfPair & { readonly at: { readonly first: Vector; readonly second: Vector } },
  ): Shot =>
    withPair(shot, pair, (pins) => {
      if (pins.length >= MAX_PINS) throw outOfRange(`Two drawings have at most ${MAX_PINS} pins.`);
      const { first, second } = at;
      return [...pins, { id: freshId('pin', pins), first, second, followsFrames: 0, bow: null }];
    }),

  /** @throws ShotError as `addPin` */
  setPin: (shot: Shot, { pinId, set, ...pair }: OfPin & { readonly set: Partial<Omit<Pin, 'id'>> }): Shot =>
    withPair(shot, pair, (pins) => changedPin(pins, pinId, (pin) => ({ ...pin, ...set }))),

  removePin: (shot: Shot, { pinId, ...pair }: OfPin): Shot =>
    withPair(shot, pair, (pins) => {
      changedPin(pins, pinId, (pin) => pin);
      return pins.filter(({ id }) => id !== pinId);
    }),

  /**
   * A spot of the artwork that is followed from now on.
   * @param args.place on one drawing, in its picture's units
   * @throws ShotError `out-of-range` when there are too many
   */
  followSpot: (
    shot: Shot,
    {
      place,
      name,
      ...of
    }: OfArtwork & { readonly place: FollowedSpot['places'][number]; readonly name: string },
  ): Shot =>
    changeArtwork(shot, of as OfArtwork, ({ followedSpots }) => {
      if (followedSpots.length >= MAX_FOLLOWED_SPOTS)
        throw outOfRange(`At most ${MAX_FOLLOWED_SPOTS} spots of a figure can be followed.`);
      return {
        followedSpots: [...followedSpots, { id: freshId('spot', followedSpots), name, places: [place] }],
      };
    }),

  /** Where a followed spot is on one of the drawings. */
  placeSpot: (
    shot: Shot,
    { place, ...of }: OfSpot & { readonly place: FollowedSpot['places'][number] },
  ): Shot =>
    changeSpot(shot, of as OfSpot, (spot) => ({
      ...spot,
      places: [...spot.places.filter(({ drawing }) => drawing !== place.drawing), place].sort(
        (a, b) => a.drawing - b.drawing,
      ),
    })),

  renameSpot: (shot: Shot, { name, ...of }: OfSpot & { readonly name: string }): Shot =>
    changeSpot(shot, of as OfSpot, (spot) => ({ ...spot, name })),

  unfollowSpot: (shot: Shot, { spotId, ...of }: OfSpot): Shot =>
    changeArtwork(shot, of as OfArtwork, ({ followedSpots }) => ({
      followedSpots: followedSpots.filter(({ id }) => id !== spotId),
    })),
} as const;

/** Pins and followed spots that still mean something after a figure got other artwork. */
export function keptOnArtwork(before: Figure, after: Figure): Pick<Figure, 'drawingPairs' | 'followedSpots'> {
  const [was, is] = [before.artwork, after.artwork];
  if (was.kind !== 'pictures' || is.kind !== 'pictures') {
    const isSame = was.kind === 'stand-in' && is.kind === 'stand-in' && was.standIn === is.standIn;
    return { drawingPairs: [], followedSpots: isSame ? before.followedSpots : [] };
  }
  const isKept = (drawing: number): boolean =>
    was.drawings[drawing - 1]?.sha256 === is.drawings[drawing - 1]?.sha256 && drawing <= is.drawings.length;
  return {
    drawingPairs: before.drawingPairs.filter(({ first, second }) => isKept(first) && isKept(second)),
    followedSpots: before.followedSpots.flatMap((spot) => {
      const places = spot.places.filter(({ drawing }) => isKept(drawing));
      return places.length > 0 ? [{ ...spot, places }] : [];
    }),
  };
}

/** The same spot on another drawing of a figure, for a pin whose second place is only refined by hand. */
export function guessedOnSecond(
  figure: Figure,
  { first, second }: Pick<DrawingPair, 'first' | 'second'>,
  at: Vector,
): Vector {
  const pair = drawingCount(figure) > 1 ? drawnPair(figure, first, second) : null;
  return pair ? placeOnSecond(pair, carriedSpot(pair, at, 'first')) : at;
}
