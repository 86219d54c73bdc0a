import type { Shot } from '@humble/core';
import { partRows, writeIncrementsCsv, writePanCsv } from '@humble/core/files';
import { type IncrementRow, incrementTable, panTable } from '@humble/core/views';
import { said } from '../answer';
import { defineCommand, OUT, shotOf, TAKE, takeName } from '../command';
import { UsageError } from '../usageError';

const named = ({ arcDistance, ...row }: IncrementRow): object => ({ place: arcDistance, ...row });

function sampleJson(shot: Shot): string {
  const moves = shot.moves.map((move) => {
    const { rows, closing, ...table } = incrementTable(shot, move);
    return {
      move: move.id,
      figure: shot.figures.find((figure) => figure.id === move.figureId)?.name,
      rows: rows.map(named),
      closing: closing && named(closing),
      ...table,
      parts: partRows(shot).filter((row) => row.move === move.id),
    };
  });
  const { name, rate, lengthFrames, field } = shot;
  const { width, height, unitsPerMm } = field;
  const head = { shot: name, take: takeName(shot), rate, lengthFrames, field: { width, height, unitsPerMm } };
  return `${JSON.stringify({ ...head, moves }, null, 2)}\n`;
}

/** The shot with its lengths in other units than those of its sheet. */
function inUnits(shot: Shot, asked: string | undefined): Shot {
  if (asked === undefined) return shot;
  if (asked !== 'field' && asked !== 'mm') throw new UsageError('--units is one of field, mm.');
  if (asked === 'mm' && shot.field.unitsPerMm === null)
    throw new UsageError('Millimetres need the scale of the field, and this shot has none.');
  return { ...shot, sheet: { ...shot.sheet, units: asked } };
}

export default defineCommand({
  options: {
    ...OUT,
    ...TAKE,
    csv: { type: 'boolean' },
    json: { type: 'boolean' },
    units: { type: 'string' },
    camera: { type: 'boolean' },
  },
  run: (paths, values) => {
    if (values.csv && values.json) throw new UsageError('Choose one of --csv and --json.');
    const shot = inUnits(shotOf('sample', paths, values).shot, values.units);
    if (values.camera) {
      const table = panTable(shot);
      if (!table) throw new UsageError('This shot has no camera that travels.');
      return said(values.json ? `${JSON.stringify(table, null, 2)}\n` : writePanCsv(shot));
    }
    return said(values.json ? sampleJson(shot) : writeIncrementsCsv(shot));
  },
});
