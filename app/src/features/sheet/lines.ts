import { type IncrementRow, type IncrementTable, incrementTable, type SkippedRow } from '@humble/core/views';
import { shallowEqual } from 'react-redux';
import type { RootState } from '../../store/store';
import { selectActiveMove } from '../../store/selectors/active';

export type TableLine =
  | {
      readonly kind: 'picture';
      readonly row: IncrementRow;
      /** The first picture again, at the end of a loop: the step back to it. */
      readonly isClosing?: true;
    }
  | { readonly kind: 'skipped'; readonly skipped: SkippedRow };

/** Pictures and what is left out between them, in order of time; what was taken out stands before its frame. */
export function linesOf({
  rows,
  closing,
  skipped,
}: Pick<IncrementTable, 'rows' | 'closing' | 'skipped'>): readonly TableLine[] {
  const lines: TableLine[] = [];
  let next = 0;
  const takeUntil = (isDue: (skip: SkippedRow) => boolean): void => {
    while (next < skipped.length && isDue(skipped[next]!))
      lines.push({ kind: 'skipped', skipped: skipped[next++]! });
  };
  for (const row of rows) {
    takeUntil(({ frame, isCut }) => frame < row.frame || (isCut && frame === row.frame));
    lines.push({ kind: 'picture', row });
  }
  takeUntil(() => true);
  if (closing) lines.push({ kind: 'picture', row: closing, isClosing: true });
  return lines;
}

/** The line of the picture that is seen on a frame: before the first picture, that one. */
export function seenLine(lines: readonly TableLine[], frame: number): number {
  const isSeen = (line: TableLine): boolean => line.kind === 'picture' && line.row.frame <= frame;
  const seen = lines.findLastIndex(isSeen);
  return seen >= 0
    ? seen
    : Math.max(
        0,
        lines.findIndex(({ kind }) => kind === 'picture'),
      );
}

export function selectIncrementTable(state: RootState): IncrementTable | null {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  return shot && move && incrementTable(shot, move);
}

const NO_LINES: readonly TableLine[] = [];
let latest: { readonly table: IncrementTable; readonly lines: readonly TableLine[] } | null = null;

export function selectTableLines(state: RootState): readonly TableLine[] {
  const table = selectIncrementTable(state);
  if (!table) return NO_LINES;
  if (latest?.table !== table) latest = { table, lines: linesOf(table) };
  return latest.lines;
}

const isOfSame = (a: TableLine, b: TableLine): boolean =>
  a.kind === 'picture'
    ? b.kind === 'picture' && a.row.frame === b.row.frame
    : b.kind === 'skipped' && a.skipped.frame === b.skipped.frame && a.skipped.isCut === b.skipped.isCut;

export const areOfSame = (a: readonly TableLine[], b: readonly TableLine[]): boolean =>
  a === b || (a.length === b.length && a.every((line, i) => isOfSame(line, b[i]!)));

const isSameRow = ({ tracks, ...a }: IncrementRow, { tracks: others, ...b }: IncrementRow): boolean =>
  shallowEqual(a, b) && shallowEqual(tracks, others);

export const saysSame = (a: TableLine | undefined, b: TableLine | undefined): boolean =>
  a === b ||
  (a?.kind === 'picture'
    ? b?.kind === 'picture' && isSameRow(a.row, b.row)
    : b?.kind === 'skipped' && shallowEqual(a?.skipped, b.skipped));
