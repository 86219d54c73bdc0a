import { byCompass, movedArtwork, type PanRow, type PanStep, type PanTable } from '@humble/core/views';
import type { Settings } from '../../../store/settingsSlice';
import { frameNumber } from '../../../store/frameNumbers';
import { fixed, signed } from '../../../ui/numbers';
import { panWords as words } from '../../../words/pan';

export interface PanColumn {
  readonly id: string;
  readonly header: string;
  readonly width: number;
  readonly write: (row: PanRow) => string;
}

export type PanReading = Settings['panReading'];

const DECIMALS = 2;

const WIDTHS = { frame: 54, number: 84, compass: 128, small: 72 } as const;

type Step = Pick<PanStep, 'across' | 'down'>;

/** A step in one column by compass, or in two. @param name of a plane; '' for the camera or the artwork itself */
function stepColumns(
  { moves, by }: PanReading,
  unit: string,
  name: string,
  stepOf: (row: PanRow) => PanStep,
): readonly PanColumn[] {
  const read = (row: PanRow): Step => (moves === 'artwork' ? movedArtwork(stepOf(row)) : stepOf(row));
  const headed = (what: string): string => (name ? `${name} ${what}` : what);
  const id = name || 'own';
  if (by === 'compass')
    return [
      {
        id: `${id} step`,
        header: headed(words.step(unit)),
        width: WIDTHS.compass,
        write: (row) => byCompass(read(row), DECIMALS) || words.still,
      },
    ];
  return [
    {
      id: `${id} across`,
      header: headed(words.across(unit)),
      width: WIDTHS.number,
      write: (row) => signed(read(row).across, DECIMALS),
    },
    {
      id: `${id} down`,
      header: headed(words.down(unit)),
      width: WIDTHS.number,
      write: (row) => signed(read(row).down, DECIMALS),
    },
  ];
}

/** The columns of the pan table: the step of what is moved, the size of the frame, and each plane's own step. */
export function panColumns({ units, names, rows }: PanTable, reading: PanReading): readonly PanColumn[] {
  const unit = units === 'mm' ? 'mm' : 'units';
  const hasInches = rows.some(({ inches }) => inches !== null);
  return [
    {
      id: 'frame',
      header: words.frame,
      width: WIDTHS.frame,
      write: ({ frame }) => String(frameNumber(frame)),
    },
    ...stepColumns(reading, unit, '', (row) => row),
    {
      id: 'width',
      header: words.width(unit),
      width: WIDTHS.number,
      write: ({ width }) => fixed(width, DECIMALS),
    },
    { id: 'percent', header: words.percent, width: WIDTHS.small, write: ({ percent }) => fixed(percent, 1) },
    ...(hasInches
      ? [
          {
            id: 'inches',
            header: words.inches,
            width: WIDTHS.small,
            write: ({ inches }: PanRow) => fixed(inches ?? 0, DECIMALS),
          },
        ]
      : []),
    {
      id: 'turn',
      header: words.turn,
      width: WIDTHS.small,
      write: ({ turnDeg }) => `${fixed(turnDeg, 1)}°`,
    },
    ...names.flatMap((name, i) =>
      stepColumns(reading, unit, name, ({ planes }) => planes[i]!).map((column) => ({
        ...column,
        id: `plane ${i} ${column.id}`,
      })),
    ),
  ];
}
