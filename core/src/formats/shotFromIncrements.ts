import { measureArc } from '../arc/arcMeasure';
import { smoothThrough } from '../arc/smoothing';
import { distance, type Vector } from '../arc/vector';
import { arcEdits } from '../edits/arcEdits';
import { firstFault } from '../model/faultSentence';
import { freshShot } from '../model/freshShot';
import { MAX_NAME_LENGTH, MAX_SHOT_FRAMES, MAX_PARTS, MAX_POINTS } from '../model/limits';
import {
  type ExposureRange,
  type FramesHeld,
  type Key,
  type Move,
  type Shot,
  shotSchema,
  type Skip,
  type TrackName,
} from '../model/schema';
import { NO_KEYS, trackDefinition } from '../timing/tracks';
import { brokenTable } from './csvTable';
import type { ReadMove, ReadTable } from './readIncrementsCsv';
import { heldIn, marksOn } from './placesInTiming';

/** Field units per millimetre of a shot made from a table in millimetres: 1920 units are 480 mm. */
const UNITS_PER_MM = 4;
const FIELD_WIDTH = 1920;
const FIELD_HEIGHT = 1080;

/** Places with six decimals that are nearer than this are the same, in the units of the table. */
const CLOSE = 1e-5;

function checked(shot: Shot): Shot {
  const result = shotSchema.safeParse(shot);
  if (result.success) return shot;
  throw brokenTable(`This table does not make a shot: ${firstFault(result.error, shot)}.`);
}

export interface ReadShot {
  readonly shot: Shot;
  readonly notes: readonly string[];
}

interface Places {
  readonly points: readonly Vector[];
  readonly pointOf: readonly number[];
  /** The last line leads back to the first place, and its frame is past the last picture. */
  readonly isClosed: boolean;
}

function placesOf({ rows }: ReadMove, k: number): Places {
  const places = rows.map(({ values, line }) => {
    if (values.x === null || values.y === null) throw brokenTable(`Line ${line}: x or y is empty.`);
    return { x: values.x! * k, y: values.y! * k };
  });
  const last = places.length - 1;
  const isClosed =
    rows[last]!.values.held === 0 && last > 1 && distance(places[0]!, places[last]!) < CLOSE * k;
  const open = isClosed ? places.slice(0, -1) : places;
  const pointOf: number[] = [];
  const points = open.filter((point, i) => {
    const before = open[i - 1];
    const isNew = !before || distance(before, point) > 0;
    pointOf.push((pointOf[i - 1] ?? -1) + (isNew ? 1 : 0));
    return isNew;
  });
  if (points.length > MAX_POINTS)
    throw brokenTable(`This table has ${points.length} places; an arc holds at most ${MAX_POINTS} points.`);
  return { points, pointOf, isClosed };
}

const heldOf = ({ rows }: ReadMove): readonly number[] =>
  rows.map(({ frame, values }, i) => (rows[i + 1]?.frame ?? frame + Math.max(0, values.held ?? 1)) - frame);

function exposedOn(move: Move, frames: readonly number[], held: readonly number[]): Move {
  const framesHeld = heldIn(frames);
  if (framesHeld > 1) return { ...move, framesHeld };
  const exposures: ExposureRange[] = [];
  const skips: Skip[] = [];
  frames.slice(0, -1).forEach((from, i) => {
    const long = held[i]!;
    const last = exposures[exposures.length - 1];
    const until = from + long - 1;
    if (long > 3) for (let frame = from + 1; frame <= until; frame++) skips.push({ frame, cut: null });
    else if (long > 1) {
      if (last?.framesHeld === long && last.until === from - 1)
        exposures[exposures.length - 1] = { ...last, until };
      else exposures.push({ from, until, framesHeld: long as FramesHeld });
    }
  });
  return { ...move, framesHeld: 1, exposures, skips };
}

function keysFor(frames: readonly number[], values: readonly number[], resting: number): Key[] {
  if (values.every((value) => value === resting)) return [];
  return frames.flatMap((frame, i) => {
    const value = values[i]!;
    const saysNothing =
      i > 0 && value === values[i - 1] && (i === frames.length - 1 || value === values[i + 1]);
    return saysNothing ? [] : [{ id: `k${frame}`, frame, value, easing: { kind: 'even' }, growth: 'even' }];
  });
}

function tracksFrom({ rows, columns }: ReadMove, k: number): Partial<Move> {
  const frames = rows.map(({ frame }) => frame);
  const column = (name: string, otherwise: number): readonly number[] =>
    rows.map(({ values }) => values[name] ?? otherwise);
  const keys = (values: readonly number[], track: TrackName): Key[] =>
    keysFor(frames, values, trackDefinition(track).resting);
  const off = (axis: 'x' | 'y'): readonly number[] =>
    rows.map(({ values }) => {
      const [place, pivot] = [values[axis], values[`pivot_${axis}`]];
      return place === null || pivot === null || pivot === undefined ? 0 : (pivot - place!) * k;
    });
  const [size, sizeDown] = [column('size_percent', 100), column('size_down_percent', 100)];
  const sizesApart = columns.includes('size_down_percent') && size.some((value, i) => value !== sizeDown[i]);
  const drawings = column('drawing', 1);
  return {
    turnsWithArc: false,
    offsetIn: 'field',
    sizesApart,
    drawings: drawings.some((drawing) => drawing > 1)
      ? frames.flatMap((frame, i) =>
          drawings[i]! >= 1 && drawings[i] !== drawings[i - 1]
            ? [{ frame, drawing: drawings[i]!, drawnThrough: null }]
            : [],
        )
      : [],
    tracks: {
      ...NO_KEYS,
      turn: keys(column('heading_deg', 0), 'turn'),
      size: keys(size, 'size'),
      sizeDown: sizesApart ? keys(sizeDown, 'sizeDown') : [],
      opacity: keys(column('opacity_percent', 100), 'opacity'),
      offsetX: keys(off('x'), 'offsetX'),
      offsetY: keys(off('y'), 'offsetY'),
    },
  };
}

function withMove(shot: Shot, read: ReadMove, k: number): Shot {
  const { points, pointOf, isClosed } = placesOf(read, k);
  // A figure that stays where it is has an arc of two points on one spot.
  const course = points.length > 1 ? points : [points[0]!, points[0]!];
  const drawn = arcEdits.drawArc(shot, { points: smoothThrough(course, isClosed), closed: isClosed });
  const arc = drawn.arcs[drawn.arcs.length - 1]!;
  const measure = measureArc(arc);
  const frames = read.rows.map(({ frame }) => frame);
  const fractionOf = (i: number): number => {
    const point = pointOf[i];
    if (point === undefined) return 1;
    return measure.length > 0 ? measure.startDistance[point]! / measure.length : 0;
  };
  const pictures = isClosed ? frames.slice(0, -1) : frames;
  const name = read.figure.slice(0, MAX_NAME_LENGTH).trim();
  const move = drawn.moves.find(({ arcId }) => arcId === arc.id)!;
  const timed = exposedOn({ ...move, marks: marksOn(frames, fractionOf) }, pictures, heldOf(read));
  return {
    ...drawn,
    figures: drawn.figures.map((figure) =>
      figure.id === move.figureId && name ? { ...figure, name } : figure,
    ),
    moves: drawn.moves.map((one) => (one === move ? { ...timed, ...tracksFrom(read, k) } : one)),
  };
}

function notesOn({ moves, rate }: ReadTable, plainRate: number): readonly string[] {
  const hasDrawings = moves.some(({ rows }) => rows.some(({ values }) => (values.drawing ?? 1) > 1));
  return [
    ...(rate === null
      ? [`The table doesn’t say the frame rate: it is set to ${plainRate} frames a second.`]
      : []),
    `A table holds no artwork, backdrop or sound, and of the arc only the places: ${moves.length === 1 ? 'the figure is a stand-in' : 'the figures are stand-ins'}, and the arc is drawn smoothly from place to place. Headings became keys of the turn.`,
    ...(hasDrawings
      ? ['The numbers of the drawings are kept for the pictures that you give the figure.']
      : []),
  ];
}

/**
 * A new shot from a table of increments: for each of its moves a smooth arc through every x, y, and a mark on
 * each row at its place, held as long as it says.
 * @param plainRate where the table has none, frames per second
 * @throws ShotError `invalid-csv`
 */
export function shotFromIncrements(table: ReadTable, name: string, plainRate: number): ReadShot {
  const { moves } = table;
  for (const column of ['x', 'y'])
    if (!moves[0]!.columns.includes(column))
      throw brokenTable(
        `This table has no column ${column}: it can be read as the timing of a move, in its shot.`,
      );
  if (moves.length > MAX_PARTS)
    throw brokenTable(`This table has ${moves.length} moves; a shot holds at most ${MAX_PARTS}.`);
  const { units } = moves[0]!;
  const k = units === 'mm' ? UNITS_PER_MM : 1;
  const all = moves.map((move) => placesOf(move, k).points);
  if (all.every((points) => points.length < 2))
    throw brokenTable('Nothing moves in this table: all its places are the same.');
  const spots = all.flat();
  const furthest = (side: (spot: Vector) => number, least: number): number =>
    spots.reduce((most, spot) => Math.max(most, Math.ceil(side(spot))), least);
  const ends = moves.map((move) => {
    const last = move.rows[move.rows.length - 1]!;
    const held = heldOf(move);
    return last.frame + held[held.length - 1]! - 1;
  });
  const empty = checked(
    freshShot({
      name,
      rate: table.rate ?? plainRate,
      lengthFrames: Math.min(MAX_SHOT_FRAMES, Math.max(2, ...ends)),
      width: furthest(({ x }) => x, FIELD_WIDTH),
      height: furthest(({ y }) => y, FIELD_HEIGHT),
    }),
  );
  const drawn = moves.reduce((shot, move) => withMove(shot, move, k), empty);
  const take = table.take?.slice(0, MAX_NAME_LENGTH).trim();
  const shot = checked({
    ...drawn,
    field: { ...drawn.field, unitsPerMm: units === 'mm' ? UNITS_PER_MM : null },
    sheet: { ...drawn.sheet, units },
    takes: take ? drawn.takes.map((one) => ({ ...one, name: take })) : drawn.takes,
  });
  return { shot, notes: notesOn(table, plainRate) };
}
