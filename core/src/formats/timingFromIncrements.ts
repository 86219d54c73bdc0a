import { frameName, sentenceWith } from '../model/frameNumbers';
import { ShotError } from '../model/errors';
import { PLAIN_TIMING } from '../model/plainTiming';
import { type Move, type Shot, shotSchema } from '../model/schema';
import { TRACKS } from '../timing/tracks';
import { firstFault } from '../model/faultSentence';
import { type IncrementRow, incrementTable, type IncrementTable } from '../spacing/increments';
import { exposuresOf } from '../exposure/exposures';
import { brokenTable } from './csvTable';
import { written } from './incrementsCsv';
import { heldIn, marksOn, withPlaces } from './placesInTiming';
import { PLACE_COLUMNS, type PlaceColumn, type ReadIncrements, type ReadRow } from './readIncrementsCsv';

export type ReadTiming =
  /** Nothing in it differs from the shot. */
  | { readonly outcome: 'unchanged' }
  | { readonly outcome: 'read'; readonly shot: Shot; readonly column: PlaceColumn; readonly moved: number }
  /** Several columns differ and do not say the same: one has to be chosen. */
  | { readonly outcome: 'choose'; readonly columns: readonly PlaceColumn[] };

/** Share of the arc by which places may differ and be the same: the file has six decimals. */
const SAME_PLACE = 1e-6;
/** The same for places that are sums of many such numbers. */
const AGREED_PLACE = 1e-5;
const STEPS: ReadonlySet<PlaceColumn> = new Set(['along', 'ruler']);

function valueIn(row: IncrementRow, column: PlaceColumn): number | null {
  if (column === 'ruler_total') return row.rulerTotal;
  return column === 'place' ? row.arcDistance : row[column];
}

const allRows = ({ rows, closing }: IncrementTable): readonly IncrementRow[] =>
  closing ? [...rows, closing] : rows;

const rowsOfTravel = (table: IncrementTable, move: Move, shot: Shot): readonly IncrementRow[] => {
  const frames = new Set(exposuresOf(move, shot).map(({ frame }) => frame));
  return allRows(table).filter((row) => frames.has(row.frame) || row === table.closing);
};

const hasFramesOf = (read: readonly ReadRow[], rows: readonly IncrementRow[]): boolean =>
  read.length === rows.length && read.every(({ frame }, i) => frame === rows[i]!.frame);

function changesIn(
  column: PlaceColumn,
  read: readonly ReadRow[],
  rows: readonly IncrementRow[],
): number[] | null {
  let differs = false;
  const changes = rows.map((row, i) => {
    const [now, was] = [read[i]!.values[column] ?? null, valueIn(row, column)];
    if (now === null || was === null || written(now) === written(was)) return 0;
    differs = true;
    return now - was;
  });
  return differs ? changes : null;
}

function changedPlaces(
  column: PlaceColumn,
  changes: readonly number[],
  rows: readonly IncrementRow[],
  arcLength: number,
): number[] {
  let shifted = 0;
  return rows.map(({ arcDistance }, i) => {
    if (STEPS.has(column)) return arcDistance + (shifted += changes[i]!);
    return arcDistance + changes[i]! * (column === 'percent' ? arcLength / 100 : 1);
  });
}

function ownPlaces(column: PlaceColumn, read: readonly ReadRow[], table: IncrementTable): number[] {
  const start = table.rows[0]!.arcDistance;
  let sum = start;
  return read.map(({ values, line }, i) => {
    const value = values[column] ?? null;
    if (value === null && (i > 0 || !STEPS.has(column)))
      throw brokenTable(`Line ${line}: ${column} is empty.`);
    switch (column) {
      case 'place':
        return value!;
      case 'percent':
        return (value! * table.arcLength) / 100;
      case 'total':
      case 'ruler_total':
        return start + value!;
      case 'along':
      case 'ruler':
        return (sum += i === 0 ? 0 : value!);
    }
  });
}

function refuseOffArc(
  arcDistances: readonly number[],
  read: readonly ReadRow[],
  length: number,
  isClosed: boolean,
): void {
  if (isClosed) return;
  arcDistances.forEach((arcDistance, i) => {
    if (arcDistance < -length * SAME_PLACE || arcDistance > length * (1 + SAME_PLACE))
      throw brokenTable(
        sentenceWith`Frame ${frameName(read[i]!.frame)}: place ${Number(arcDistance.toFixed(2))} is not on the arc, which is ${length.toFixed(2)} long.`,
      );
  });
}

function checked(shot: Shot): Shot {
  const result = shotSchema.safeParse(shot);
  if (result.success) return shot;
  throw brokenTable(`This table does not make a shot: ${firstFault(result.error, shot)}.`);
}

/**
 * The shot with the timing of one move taken from a table of increments. The column that differs from what
 * was written leads; of several that say the same the first. Only what was changed moves. A table of other
 * exposures than the move's own becomes a mark on each of its lines.
 * @param chosen the column that leads, where several differ
 * @throws ShotError `unknown-id`, `invalid-csv`
 */
export function withTimingFrom(
  shot: Shot,
  moveId: string,
  table: ReadIncrements,
  chosen?: PlaceColumn,
): ReadTiming {
  const move = shot.moves.find((candidate) => candidate.id === moveId);
  const arc = shot.arcs.find((candidate) => candidate.id === move?.arcId);
  if (!move || !arc) throw new ShotError('unknown-id', `The shot has no move ${moveId}.`);
  if (table.units === 'mm' && shot.field.unitsPerMm === null)
    throw brokenTable('This table is in millimetres, and the shot has no scale yet.');
  const ownTable = incrementTable({ ...shot, sheet: { ...shot.sheet, units: table.units } }, { ...move });
  const length = ownTable.arcLength;
  if (length === 0) throw brokenTable('The arc has no length to place anything on.');
  const columns = PLACE_COLUMNS.filter((column) => table.columns.includes(column));
  const travelled = rowsOfTravel(ownTable, move, shot);
  // A table may leave out what is seen before the first mark and after the last one.
  const rows = [travelled, allRows(ownTable)].find((some) => hasFramesOf(table.rows, some));
  const finish = (timed: Move, column: PlaceColumn, moved: number, lastFrameOf: number): ReadTiming => ({
    outcome: 'read',
    column,
    moved,
    shot: checked({
      ...shot,
      lengthFrames: Math.max(
        shot.lengthFrames,
        arc.closed ? Math.min(lastFrameOf, shot.lengthFrames) : lastFrameOf,
      ),
      moves: shot.moves.map((candidate) => (candidate.id === moveId ? timed : candidate)),
    }),
  });

  if (!rows) {
    const column = chosen ?? columns[0]!;
    const arcDistances = ownPlaces(column, table.rows, ownTable);
    refuseOffArc(arcDistances, table.rows, length, arc.closed);
    const frames = table.rows.map(({ frame }) => frame);
    const fraction = (i: number): number =>
      arc.closed ? arcDistances[i]! / length : Math.min(1, Math.max(0, arcDistances[i]! / length));
    const timed = { ...move, ...PLAIN_TIMING, marks: marksOn(frames, fraction), framesHeld: heldIn(frames) };
    const last = frames[frames.length - 1]!;
    const closes = arc.closed && last === shot.lengthFrames + 1;
    return finish(timed, column, frames.length, closes ? shot.lengthFrames : last);
  }

  const changes = new Map(
    columns.flatMap((column) => {
      const change = changesIn(column, table.rows, rows);
      return change ? [[column, changedPlaces(column, change, rows, length)] as const] : [];
    }),
  );
  const leading = [...changes.keys()];
  if (leading.length === 0) {
    const others = otherChanges(table, rows);
    if (others)
      throw brokenTable(
        `Only ${others} differs from the shot, and the arc stays as it is: change ${columns.join(', ')} instead.`,
      );
    return { outcome: 'unchanged' };
  }
  // What is rounded to the ruler agrees with what is not when rounding is all that lies between them.
  const rounding = (column: PlaceColumn): number =>
    column.startsWith('ruler') ? (ownTable.rulerStep ?? 0) : 0;
  const agrees = (column: PlaceColumn): boolean =>
    changes
      .get(column)!
      .every(
        (arcDistance, i) =>
          Math.abs(arcDistance - changes.get(leading[0]!)![i]!) <=
          length * AGREED_PLACE + 1.01 * rounding(column),
      );
  if (!chosen && !leading.every(agrees)) return { outcome: 'choose', columns: leading };
  const column = chosen && changes.has(chosen) ? chosen : leading[0]!;
  const arcDistances = changes.get(column)!;
  refuseOffArc(arcDistances, table.rows, length, arc.closed);
  const movedRows = rows.filter(
    ({ arcDistance }, i) => Math.abs(arcDistances[i]! - arcDistance) > length * 1e-12,
  );
  const outside = movedRows.find((row) => !travelled.includes(row));
  if (outside)
    throw brokenTable(
      sentenceWith`Frame ${frameName(outside.frame)} lies outside the marks, where the figure doesn’t move: add a mark there first.`,
    );
  const movedFrames = new Set(movedRows.map(({ frame }) => frame));
  const fractions = new Map(
    rows.map(({ frame }, i) => [
      frame,
      arc.closed ? arcDistances[i]! / length : Math.min(1, Math.max(0, arcDistances[i]! / length)),
    ]),
  );
  const timed = withPlaces(shot, move, fractions, (frame) => movedFrames.has(frame));
  return finish(timed, column, movedFrames.size, 0);
}

function otherChanges({ columns, rows: read }: ReadIncrements, rows: readonly IncrementRow[]): string | null {
  const values: Readonly<Record<string, (row: IncrementRow) => number | null>> = {
    x: (row) => row.x,
    y: (row) => row.y,
    straight: (row) => row.straight,
    dx: (row) => row.dx,
    dy: (row) => row.dy,
    heading_deg: (row) => row.headingDeg,
    heading_change_deg: (row) => row.headingChangeDeg,
    pivot_x: (row) => row.pivotX,
    pivot_y: (row) => row.pivotY,
    drawing: (row) => row.drawing,
    ...Object.fromEntries(
      TRACKS.map(({ name, column }) => [column, (row: IncrementRow) => row.tracks[name]]),
    ),
  };
  for (const column of columns) {
    const value = values[column];
    const differs =
      value && rows.some((row, i) => written(read[i]!.values[column] ?? null) !== written(value(row)));
    if (differs) return column;
  }
  return null;
}
