import { sheetWords as words } from '../../words/sheet';
import { forEachTrack, type TrackName } from '@humble/core';
import { type IncrementRow, type IncrementTable, type SkippedRow, type SpotColumn } from '@humble/core/views';
import { createColumnHelper } from '@tanstack/react-table';
import { TRACK_DESCRIPTORS } from '../../kinds/tracks';
import type { TableLine } from './lines';
import { fixed, signed } from '../../ui/numbers';
import { frameNumber } from '../../store/frameNumbers';

const helper = createColumnHelper<TableLine>();

/** What a cell shows when there is nothing to say: the first exposure has no increment. */
const NOTHING = '·';
const or = (value: number | null, write: (value: number) => string): string =>
  value === null ? NOTHING : write(value);

const column = (
  write: (row: IncrementRow, isClosing: boolean) => string,
  id: ColumnId,
  header: string,
  writeSkipped: (skipped: SkippedRow) => string = () => '',
) =>
  helper.accessor(
    (line) =>
      line.kind === 'picture' ? write(line.row, line.isClosing ?? false) : writeSkipped(line.skipped),
    { id, header },
  );

const decimalsOf = (step: number): number => Math.min(3, (String(step).split('.')[1] ?? '').length);

const increment = (value: number | null): string =>
  or(value, (along) => (Math.abs(along) < 1e-9 ? 'hold' : fixed(along, 2)));

export type ColumnId =
  | 'frame'
  | 'held'
  | 'place'
  | 'along'
  | 'ruler'
  | 'straight'
  | 'x'
  | 'y'
  | 'heading'
  | 'total'
  | 'drawing'
  | TrackName
  | SpotColumnId;

/** A followed spot has a column of its own, named by the spot and the part that it is on. */
type SpotColumnId = `spot ${string}`;

/** A track of another width says so. */
const TRACK_WIDTH = 80;

const SPOT_WIDTH = 96;

export const columnWidth = (id: ColumnId): number => WIDTHS[id as keyof typeof WIDTHS] ?? SPOT_WIDTH;

const WIDTHS: Readonly<Record<Exclude<ColumnId, SpotColumnId>, number>> = {
  ...forEachTrack(() => TRACK_WIDTH),
  frame: 54,
  held: 50,
  place: 76,
  along: 68,
  ruler: 70,
  straight: 76,
  x: 76,
  y: 76,
  heading: 84,
  total: 80,
  drawing: 84,
  size: 74,
  sizeDown: 90,
  offsetX: 116,
  offsetY: 104,
};

/**
 * The columns of the increments; the ruler's only when increments are rounded to one.
 * @param tracks those that have keys: each has a column
 * @param hasDrawings whether the figure has several drawings
 * @param spots those that are followed: each has a column
 */
export function columnsOf(
  { units, rulerStep }: Pick<IncrementTable, 'units' | 'rulerStep'>,
  tracks: readonly TrackName[] = [],
  hasDrawings = false,
  spots: readonly SpotColumn[] = [],
) {
  const unit = units === 'mm' ? ' mm' : '';
  const ruler = rulerStep ?? 1;
  const ruled = (value: number): string => fixed(value, decimalsOf(ruler));
  return [
    column(
      (row, isClosing) => (isClosing ? words.toFrame(frameNumber(1)) : String(frameNumber(row.frame))),
      'frame',
      'frame',
      ({ frame, isCut }) => (isCut ? 'out' : String(frameNumber(frame))),
    ),
    column(
      (row, isClosing) => (isClosing ? '' : String(row.framesHeld)),
      'held',
      'held',
      ({ framesHeld }) => String(framesHeld),
    ),
    column(
      (row) => fixed(row.arcDistance, 2),
      'place',
      `place${unit}`,
      ({ arcDistance }) => fixed(arcDistance, 2),
    ),
    column(
      (row) => increment(row.along),
      'along',
      'along',
      () => 'skip',
    ),
    ...(rulerStep === null ? [] : [column((row) => or(row.ruler, ruled), 'ruler', `ruler${unit}`)]),
    column((row) => or(row.straight, (value) => fixed(value, 2)), 'straight', 'straight'),
    column((row) => fixed(row.x, 1), 'x', 'x'),
    column((row) => fixed(row.y, 1), 'y', 'y'),
    column((row) => `${signed(row.headingDeg, 1)}°`, 'heading', 'heading'),
    ...tracks.map((track) => {
      const { label, decimals, unit: ofTrack } = TRACK_DESCRIPTORS[track];
      return column((row) => `${fixed(row.tracks[track], decimals)}${ofTrack}`, track, label.toLowerCase());
    }),
    ...spots.map(({ spot, riderId, label, increments }) =>
      column(
        (row) => or(increments.get(row.frame) ?? null, (way) => fixed(way, 2)),
        `spot ${riderId ?? ''} ${spot.id}`,
        label,
      ),
    ),
    ...(hasDrawings
      ? [column((row) => (row.drawing === 0 ? NOTHING : String(row.drawing)), 'drawing', 'drawing')]
      : []),
    column((row) => (rulerStep === null ? fixed(row.total, 2) : ruled(row.rulerTotal)), 'total', 'total'),
  ];
}
