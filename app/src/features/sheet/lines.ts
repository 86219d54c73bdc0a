import type { IncrementRow, IncrementTable, SkippedRow } from '@humble/core';

/** A line of the table: a picture, or one that is left out. */
export type TableLine =
  | { readonly kind: 'picture'; readonly row: IncrementRow }
  | { readonly kind: 'skipped'; readonly skipped: SkippedRow };

/** Pictures and what is left out between them, in order of time; what was taken out stands before its frame. */
export function linesOf({ rows, skipped }: Pick<IncrementTable, 'rows' | 'skipped'>): readonly TableLine[] {
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
  return lines;
}

/** The line of the picture that is seen on a frame. */
export function seenLine(lines: readonly TableLine[], frame: number): number {
  let seen = 0;
  lines.forEach((line, i) => {
    if (line.kind === 'picture' && (line.row.frame <= frame || seen === 0)) seen = i;
  });
  return seen;
}
