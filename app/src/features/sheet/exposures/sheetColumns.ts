import { type Cue, type Note } from '@humble/core';
import type { ExposureSheet, SheetCell } from '@humble/core/sheet';

/** Widths of the columns, pixels, without scaling of text. */
export const SHEET_WIDTHS = { frame: 40, heard: 58, picture: 44, mark: 46, step: 44, note: 96 } as const;

export interface SheetRow {
  readonly frame: number;
  readonly cells: readonly SheetCell[];
  readonly cues: readonly Cue[];
  readonly notes: readonly Note[];
}

const NO_CUES: readonly Cue[] = [];
const NO_NOTES: readonly Note[] = [];

export const rowsOf = ({ lengthFrames, columns, cues, notes }: ExposureSheet): readonly SheetRow[] =>
  Array.from({ length: lengthFrames }, (_, i) => ({
    frame: i + 1,
    cells: columns.map(({ cells }) => cells[i]!),
    cues: cues.get(i + 1) ?? NO_CUES,
    notes: notes.get(i + 1) ?? NO_NOTES,
  }));

/** Notes that begin on a frame and are about a figure, or about the shot (null), as one text. */
export const noteText = (notes: readonly Note[], frame: number, figureId: string | null): string =>
  notes
    .filter((note) => note.from === frame && note.figureId === figureId)
    .map(({ text }) => text)
    .join('; ');

export const pictureEnd = ({ begins, framesHeld }: SheetCell): number => begins + framesHeld - 1;
