import type { IncrementRow, IncrementTable } from '@humble/core';
import { createColumnHelper } from '@tanstack/react-table';
import { fixed, signed } from '../../ui/numbers';

const column = createColumnHelper<IncrementRow>();

/** What a cell shows when there is nothing to say: the first exposure has no increment. */
const NOTHING = '·';
const or = (value: number | null, write: (value: number) => string): string =>
  value === null ? NOTHING : write(value);

/** Decimals that the ruler's step asks for. */
const decimalsOf = (step: number): number => Math.min(3, (String(step).split('.')[1] ?? '').length);

/** An increment, or the word for none. */
const increment = (value: number | null): string =>
  or(value, (along) => (Math.abs(along) < 1e-9 ? 'hold' : fixed(along, 2)));

export type ColumnId =
  'frame' | 'held' | 'place' | 'along' | 'ruler' | 'straight' | 'x' | 'y' | 'heading' | 'total';

/** Width of each column, pixels. */
export const WIDTHS: Readonly<Record<ColumnId, number>> = {
  frame: 64,
  held: 56,
  place: 76,
  along: 68,
  ruler: 76,
  straight: 76,
  x: 76,
  y: 76,
  heading: 84,
  total: 80,
};

/** The columns of the increments; the ruler's only when increments are rounded to one. */
export function columnsOf({ units, rulerStep }: IncrementTable) {
  const unit = units === 'mm' ? ' mm' : '';
  const ruler = rulerStep ?? 1;
  return [
    column.accessor((row) => String(row.frame), { id: 'frame', header: 'frame' }),
    column.accessor((row) => String(row.framesHeld), { id: 'held', header: 'held' }),
    column.accessor((row) => fixed(row.place, 2), { id: 'place', header: `place${unit}` }),
    column.accessor((row) => increment(row.along), { id: 'along', header: 'along' }),
    ...(rulerStep === null
      ? []
      : [
          column.accessor((row) => or(row.ruler, (value) => fixed(value, decimalsOf(ruler))), {
            id: 'ruler',
            header: `ruler${unit}`,
          }),
        ]),
    column.accessor((row) => or(row.straight, (value) => fixed(value, 2)), {
      id: 'straight',
      header: 'straight',
    }),
    column.accessor((row) => fixed(row.x, 1), { id: 'x', header: 'x' }),
    column.accessor((row) => fixed(row.y, 1), { id: 'y', header: 'y' }),
    column.accessor((row) => `${signed(row.headingDeg, 1)}°`, { id: 'heading', header: 'heading' }),
    column.accessor(
      (row) =>
        fixed(rulerStep === null ? row.total : row.rulerTotal, rulerStep === null ? 2 : decimalsOf(ruler)),
      {
        id: 'total',
        header: 'total',
      },
    ),
  ];
}
