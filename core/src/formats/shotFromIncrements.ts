import { measureArc } from '../arc/arcMeasure';
import { smoothThrough } from '../arc/smoothing';
import { distance } from '../arc/vector';
import { arcEdits } from '../edits/arcEdits';
import { firstFault } from '../model/faultSentence';
import { freshShot } from '../model/freshShot';
import { LONGEST_SHOT, MOST_POINTS } from '../model/limits';
import { type Shot, shotSchema } from '../model/schema';
import { brokenTable } from './csvTable';
import type { ReadIncrements } from './readIncrementsCsv';
import { heldIn, marksOn } from './placesInTiming';

/** Field units per millimetre of a shot made from a table in millimetres: 1920 units are 480 mm. */
const UNITS_PER_MM = 4;
const FIELD_WIDTH = 1920;
const FIELD_HEIGHT = 1080;

function checked(shot: Shot): Shot {
  const result = shotSchema.safeParse(shot);
  if (result.success) return shot;
  throw brokenTable(`This table does not make a shot: ${firstFault(result.error, shot)}.`);
}

/**
 * A new shot from a table of increments: a smooth arc through every x, y of the table, and a mark on
 * each row at its place.
 * @throws ShotError `invalid-csv`
 */
export function shotFromIncrements(table: ReadIncrements, name: string, rate: number): Shot {
  for (const column of ['x', 'y'])
    if (!table.columns.includes(column))
      throw brokenTable(
        `This table has no column ${column}: it can be read as the timing of a move, in its shot.`,
      );
  const k = table.units === 'mm' ? UNITS_PER_MM : 1;
  const points = table.rows.map(({ values, line }) => {
    if (values.x === null || values.y === null) throw brokenTable(`Line ${line}: x or y is empty.`);
    return { x: values.x! * k, y: values.y! * k };
  });
  const pointOf: number[] = [];
  const distinct = points.filter((point, i) => {
    const before = points[i - 1];
    const isNew = !before || distance(before, point) > 0;
    pointOf.push((pointOf[i - 1] ?? -1) + (isNew ? 1 : 0));
    return isNew;
  });
  if (distinct.length < 2) throw brokenTable('Nothing moves in this table: all its places are the same.');
  if (distinct.length > MOST_POINTS)
    throw brokenTable(
      `This table has ${distinct.length} places; an arc holds at most ${MOST_POINTS} points.`,
    );
  const frames = table.rows.map(({ frame }) => frame);
  const last = frames[frames.length - 1]!;
  const width = points.reduce((most, point) => Math.max(most, Math.ceil(point.x)), FIELD_WIDTH);
  const height = points.reduce((most, point) => Math.max(most, Math.ceil(point.y)), FIELD_HEIGHT);
  const lengthFrames = Math.min(LONGEST_SHOT, Math.max(2, last));
  const empty = checked(freshShot({ name, rate, lengthFrames, width, height }));
  const drawn = arcEdits.drawArc(empty, { points: smoothThrough(distinct) });
  const measure = measureArc(drawn.arcs[0]!);
  const marks = marksOn(frames, (i) => measure.startDistance[pointOf[i]!]! / measure.length);
  return checked({
    ...drawn,
    field: { ...drawn.field, unitsPerMm: table.units === 'mm' ? UNITS_PER_MM : null },
    sheet: { ...drawn.sheet, units: table.units },
    moves: [{ ...drawn.moves[0]!, marks, framesHeld: heldIn(frames) }],
  });
}
