import { arcLength, measureArc } from '../arc/arcMeasure';
import { smoothThrough } from '../arc/smoothing';
import { distance } from '../arc/vector';
import { ShotError } from '../errors';
import { arcEdits } from '../shot/arcEdits';
import { freshShot } from '../shot/freshShot';
import { PLAIN_MARK, PLAIN_TIMING } from '../shot/plainTiming';
import { type FramesHeld, type Mark, type Move, type Shot, shotSchema } from '../shot/schema';
import type { PlacedFrame, ReadIncrements } from './incrementsCsv';

/** Field units per millimetre of a shot made from a table in millimetres: 1920 units are 480 mm. */
const UNITS_PER_MM = 4;
const FIELD_WIDTH = 1920;
const FIELD_HEIGHT = 1080;
/** A place may lie past the end of the arc by this share of it: the file has six decimals. */
const END_TOLERANCE = 1e-6;

/** Ones, twos or threes when every exposure but the last is held that long; else ones. */
function heldIn(frames: readonly PlacedFrame[]): FramesHeld {
  const gaps = new Set(frames.slice(1).map((row, i) => row.frame - frames[i]!.frame));
  const [gap] = gaps;
  return gaps.size === 1 && (gap === 2 || gap === 3) ? gap : 1;
}

function marksAt(
  frames: readonly PlacedFrame[],
  fractionOf: (row: PlacedFrame, i: number) => number,
): Mark[] {
  return frames.map((row, i): Mark => ({
    ...PLAIN_MARK,
    id: `m${i + 1}`,
    frame: row.frame,
    fraction: fractionOf(row, i),
    kind: i === 0 || i === frames.length - 1 ? 'stop' : 'pass',
    easing: { kind: 'even' },
  }));
}

function checked(shot: Shot): Shot {
  const result = shotSchema.safeParse(shot);
  if (!result.success)
    throw new ShotError(
      'invalid-csv',
      `This table does not make a shot: ${result.error.issues[0]?.message}.`,
    );
  return shot;
}

/**
 * The shot with the timing of one move taken from a table of increments: a mark on every row, at the
 * row's distance along the arc. The arc stays as it is; the shot grows when the table is longer.
 * @throws ShotError `unknown-id`, `invalid-csv`
 */
export function withTimingFrom(shot: Shot, moveId: string, table: ReadIncrements): Shot {
  const move = shot.moves.find((candidate) => candidate.id === moveId);
  const arc = shot.arcs.find((candidate) => candidate.id === move?.arcId);
  if (!move || !arc) throw new ShotError('unknown-id', `The shot has no move ${moveId}.`);
  const { unitsPerMm } = shot.field;
  if (table.units === 'mm' && unitsPerMm === null)
    throw new ShotError('invalid-csv', 'This table is in millimetres, and the shot has no scale yet.');
  const length = arcLength(arc) / (table.units === 'mm' ? unitsPerMm! : 1);
  if (length === 0) throw new ShotError('invalid-csv', 'The arc has no length to place anything on.');
  const beyond = table.frames.find(
    (row) => !arc.closed && (row.place < 0 || row.place > length * (1 + END_TOLERANCE)),
  );
  if (beyond)
    throw new ShotError(
      'invalid-csv',
      `Frame ${beyond.frame}: place ${beyond.place} is not on the arc, which is ${length.toFixed(2)} long.`,
    );
  const marks = marksAt(table.frames, (row) =>
    arc.closed ? row.place / length : Math.min(1, row.place / length),
  );
  const timed: Move = { ...move, ...PLAIN_TIMING, marks, framesHeld: heldIn(table.frames) };
  return checked({
    ...shot,
    lengthFrames: Math.max(shot.lengthFrames, marks[marks.length - 1]!.frame),
    moves: shot.moves.map((candidate) => (candidate.id === moveId ? timed : candidate)),
  });
}

/**
 * A new shot from a table of increments: a smooth arc through every x, y of the table, and a mark on
 * each row at its place.
 * @throws ShotError `invalid-csv`
 */
export function shotFromIncrements(table: ReadIncrements, name: string, rate: number): Shot {
  const k = table.units === 'mm' ? UNITS_PER_MM : 1;
  const places = table.frames.map((row) => ({ x: row.x * k, y: row.y * k }));
  const pointOf: number[] = [];
  const distinct = places.filter((place, i) => {
    const before = places[i - 1];
    const isNew = !before || distance(before, place) > 0;
    pointOf.push((pointOf[i - 1] ?? -1) + (isNew ? 1 : 0));
    return isNew;
  });
  if (distinct.length < 2)
    throw new ShotError('invalid-csv', 'Nothing moves in this table: all its places are the same.');
  const width = Math.max(FIELD_WIDTH, ...places.map((place) => Math.ceil(place.x)));
  const height = Math.max(FIELD_HEIGHT, ...places.map((place) => Math.ceil(place.y)));
  const lengthFrames = Math.max(2, table.frames[table.frames.length - 1]!.frame);
  const empty = checked(freshShot({ name, rate, lengthFrames, width, height }));
  const drawn = arcEdits.drawArc(empty, { points: smoothThrough(distinct) });
  const measure = measureArc(drawn.arcs[0]!);
  const marks = marksAt(table.frames, (_, i) => measure.startDistance[pointOf[i]!]! / measure.length);
  return checked({
    ...drawn,
    field: { ...drawn.field, unitsPerMm: table.units === 'mm' ? UNITS_PER_MM : null },
    sheet: { ...drawn.sheet, units: table.units },
    moves: [{ ...drawn.moves[0]!, marks, framesHeld: heldIn(table.frames) }],
  });
}
