import { measureArc, pointAtDistance } from '../arc/arcMeasure';
import { pathData } from '../arc/pathData';
import type { Transform } from '../arc/transform';
import type { Arc, Field, Figure, Move, Shot, StandInName } from '../model/schema';
import { exposedFrames } from '../exposure/exposures';
import { ticksPath } from '../spacing/ticks';
import { evaluateMove, moveParts } from '../motion/evaluate';
import { isCamera } from '../motion/cameraView';
import { partsOn } from '../motion/figureOn';
import { heightInField, lookOf, placementOf } from '../motion/look';
import { type Standing, standingsOn } from '../motion/standings';

/** A picture beneath a card, by the SHA-256 of its bytes: the middle of its place, its size, and how it is turned. */
export interface CardBackdrop {
  readonly sha256: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly turnDeg: number;
  readonly strength: number;
}

/** The little picture of a shot in the list: its own arcs, ticks and ghosts, in field units. */
export interface ShotCard {
  readonly width: number;
  readonly height: number;
  /** The first picture of the backdrop where it lies, field units; null where there is none to be seen. */
  readonly backdrop: CardBackdrop | null;
  readonly arcs: readonly string[];
  readonly ticks: string;
  /** Figures from the first exposure to the last; `strength` grows from 0 to 1 along the way. */
  readonly ghosts: readonly CardGhost[];
  /** Outlines of drawings that ghosts show, as path data in the drawings' own units. */
  readonly outlines: readonly string[];
}

export interface CardGhost {
  readonly look: StandInName | number;
  /** From the artwork's units to the field: the six numbers of an SVG matrix. */
  readonly placement: readonly number[];
  readonly strength: number;
  /** How far the figure covers what lies beneath it there, 0 to 1; not stated where that is all. */
  readonly opacity?: number;
}

/** Grows when cards are made otherwise, so that those that are kept are made anew. */
export const CARD_VERSION = 5;
/** The most a card weighs as JSON, bytes: a list of many shots stays light. */
export const CARD_BYTES = 4096;

interface Detail {
  readonly moves: number;
  readonly ghosts: number;
  readonly ticks: number;
  readonly arcs: number;
  readonly segments: number;
}

/** From the richest down: the first that is light enough is taken. */
const DETAILS: readonly Detail[] = [
  { moves: 3, ghosts: 6, ticks: 40, arcs: 12, segments: 40 },
  { moves: 4, ghosts: 4, ticks: 20, arcs: 12, segments: 24 },
  { moves: 8, ghosts: 2, ticks: 5, arcs: 16, segments: 8 },
  { moves: 8, ghosts: 1, ticks: 0, arcs: 24, segments: 4 },
];

const TICK_SHARE = 0.03;
const PLACES_ACROSS = 4000;

const digitsFor = ({ width, height }: Field): number =>
  Math.max(0, Math.ceil(Math.log10(PLACES_ACROSS / Math.max(width, height))));

function spread<T>(all: readonly T[], count: number): T[] {
  const most = Math.min(count, all.length);
  if (most === 1) return all.slice(-1);
  return Array.from({ length: most }, (_, i) => all[Math.round((i * (all.length - 1)) / (most - 1))]!);
}

function arcOnCard(arc: Arc, segments: number, digits: number): string {
  const { length, segments: own } = measureArc(arc);
  if (own.length <= segments) return pathData(arc, digits);
  const write = (value: number): string => String(Number(value.toFixed(digits)));
  return Array.from({ length: segments + 1 }, (_, i) => {
    const { x, y } = pointAtDistance(arc, (i / segments) * length);
    return `${i === 0 ? 'M' : 'L'}${write(x)} ${write(y)}`;
  }).join('');
}

const across = ({ x, y, directionDeg }: Standing) => {
  const radians = (directionDeg * Math.PI) / 180;
  return { x, y, acrossX: -Math.sin(radians), acrossY: Math.cos(radians) };
};

const FACTOR_DIGITS = 3;

const placementOnCard = ({ a, b, c, d, e, f }: Transform, digits: number): number[] => [
  ...[a, b, c, d].map((factor) => Number(factor.toFixed(FACTOR_DIGITS))),
  ...[e, f].map((shift) => Number(shift.toFixed(digits))),
];

type Ghost = Omit<CardGhost, 'look'> & { readonly look: StandInName | { readonly outline: string } };

const strengthOf = (i: number, count: number): number => Number((count > 1 ? i / (count - 1) : 1).toFixed(2));

const fadedTo = (opacity: number) => (opacity < 1 ? { opacity: Number(opacity.toFixed(2)) } : {});

function figureOnCard(shot: Shot, move: Move, frames: readonly number[], digits: number): Ghost[] {
  const { figure } = moveParts(shot, move);
  const { artwork } = figure;
  const setup = { figure, move, figureHeight: heightInField(figure, shot.field) };
  const stood = standingsOn(shot, move, frames).filter(({ drawing }) => drawing > 0);
  return stood.map(({ pivotX, pivotY, headingDeg, scale, opacity, drawing }, i): Ghost => {
    const look = lookOf(figure, drawing);
    const position = { x: pivotX, y: pivotY, headingDeg, scale };
    return {
      look: artwork.kind === 'stand-in' ? artwork.standIn : { outline: look.silhouette },
      placement: placementOnCard(placementOf(setup, look, position), digits),
      strength: strengthOf(i, stood.length),
      ...fadedTo(opacity),
    };
  });
}

/** So many parts a ghost may have before fewer frames are shown. */
const PARTS_A_GHOST = 8;

function partsOnCard(shot: Shot, move: Move, frames: readonly number[], digits: number): Ghost[] {
  const travel = evaluateMove(shot, move);
  const most = Math.max(1, Math.floor((frames.length * PARTS_A_GHOST) / (move.riders.length + 1)));
  const shown = spread(frames, most);
  return shown.flatMap((frame, i) =>
    partsOn(travel, frame - 1)
      .filter(({ drawing }) => drawing > 0)
      .map(({ rider, look, placement, opacity, slices }): Ghost => {
        const { artwork } = rider ?? travel.figure;
        return {
          look: artwork.kind === 'stand-in' && !slices ? artwork.standIn : { outline: look.silhouette },
          placement: placementOnCard(placement, digits),
          strength: strengthOf(i, shown.length),
          ...fadedTo(opacity),
        };
      }),
  );
}

const isLeftOut = (figure: Figure): boolean => figure.hidden || isCamera(figure);

function moveOnCard(shot: Shot, move: Move, detail: Detail, digits: number) {
  const frames = exposedFrames(move, shot.lengthFrames);
  const every = detail.ticks > 0 ? Math.ceil(frames.length / detail.ticks) : Infinity;
  const ticked = standingsOn(
    shot,
    move,
    Number.isFinite(every) ? frames.filter((_, i) => i % every === 0) : [],
  );
  const ghosts = move.riders.length > 0 ? partsOnCard : figureOnCard;
  return {
    ticks: ticksPath(ticked.map(across), shot.field.height * TICK_SHARE, digits),
    // The frame of a camera would lie over everything.
    ghosts: isLeftOut(moveParts(shot, move).figure)
      ? []
      : ghosts(shot, move, spread(frames, detail.ghosts), digits),
  };
}

export const plainCard = ({ width, height }: Pick<Field, 'width' | 'height'>): ShotCard => ({
  width,
  height,
  backdrop: null,
  arcs: [],
  ticks: '',
  ghosts: [],
  outlines: [],
});

function backdropOnCard({ backdrop }: Shot): CardBackdrop | null {
  if (!backdrop || backdrop.hidden || backdrop.strength === 0) return null;
  const { x, y, width, turnDeg, strength } = backdrop;
  const picture = backdrop.pictures[0]!;
  return {
    sha256: picture.sha256,
    x,
    y,
    width,
    height: (width * picture.height) / picture.width,
    turnDeg,
    strength,
  };
}

/** Thrown away at once: the card took too long. */
class TooLate extends Error {}

function cardIn(shot: Shot, detail: Detail, isLate: () => boolean): ShotCard {
  const digits = digitsFor(shot.field);
  const moves = shot.moves.slice(0, detail.moves).map((move) => {
    if (isLate()) throw new TooLate();
    return moveOnCard(shot, move, detail, digits);
  });
  const ghosts = moves.flatMap((move) => move.ghosts);
  const outlines = [...new Set(ghosts.flatMap(({ look }) => (typeof look === 'object' ? look.outline : [])))];
  return {
    width: shot.field.width,
    height: shot.field.height,
    backdrop: backdropOnCard(shot),
    arcs: shot.arcs.slice(0, detail.arcs).map((arc) => arcOnCard(arc, detail.segments, digits)),
    ticks: moves.map(({ ticks }) => ticks).join(''),
    ghosts: ghosts.map(({ look, ...ghost }): CardGhost => ({
      ...ghost,
      look: typeof look === 'object' ? outlines.indexOf(look.outline) : look,
    })),
    outlines,
  };
}

/**
 * The card of a shot: its first arcs as path data, ticks across them, figures from the first exposure to the last,
 * all in field units. The richest of `DETAILS` that weighs no more than `CARD_BYTES` as JSON is taken, else the
 * field alone. Only the frames that it shows are worked out.
 * @param isLate asked between the parts of the work; once it says so the card shows the field alone
 * @throws ShotError `unknown-id` when a move has no arc or figure, which no sound shot has
 */
export function shotCard(shot: Shot, isLate: () => boolean = () => false): ShotCard {
  try {
    for (const detail of DETAILS) {
      const card = cardIn(shot, detail, isLate);
      if (JSON.stringify(card).length <= CARD_BYTES) return card;
    }
  } catch (error) {
    if (!(error instanceof TooLate)) throw error;
  }
  return plainCard(shot.field);
}
