import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { exposureSheet, type SheetCell, type SheetColumn } from '../spacing/exposureSheet';
import { drawingNumber, writtenNumber } from '../spacing/drawingNumbers';
import { currentTake } from '../timing/takes';
import { harmless, written } from './incrementsCsv';
import { csvText } from './csvTable';

function pictureIn({ shows, drawing, numbered }: SheetCell, shot: Shot, first: FirstFrameNumber): string {
  if (shows === 'nothing') return '';
  if (numbered) return writtenNumber(numbered.role, drawingNumber(numbered, shot, first));
  return shows === 'held' ? '|' : drawing === null ? 'x' : String(drawing);
}

function markIn({ mark }: SheetCell): string {
  if (!mark) return '';
  return harmless(mark.label ? `${mark.kind}: ${mark.label}` : mark.kind);
}

function headsOf(columns: readonly SheetColumn[]): readonly string[] {
  const counts = new Map<string, number>();
  for (const { figure } of columns) counts.set(figure, (counts.get(figure) ?? 0) + 1);
  return columns.map(({ figure, move }) =>
    harmless(counts.get(figure)! > 1 ? `${figure} (${move.id})` : figure),
  );
}

/**
 * The exposure sheet of the current take as CSV: a line for each frame of the shot, and for each figure its picture, its
 * mark, its increment on the ruler and its notes. Hidden figures are left out.
 */
export function writeExposureSheetCsv(shot: Shot, first: FirstFrameNumber = 1): string {
  const { columns, cues, notes, lengthFrames } = exposureSheet(shot);
  const heads = headsOf(columns);
  const fields = [
    'frame',
    'seconds',
    'heard',
    ...heads.flatMap((head) => [`${head} picture`, `${head} mark`, `${head} increment`, `${head} note`]),
    'note',
    'units',
    'take',
  ];
  const noteOn = (frame: number, figureId: string | null): string =>
    harmless(
      (notes.get(frame) ?? [])
        .filter((note) => note.figureId === figureId && note.from === frame)
        .map(({ from, until, text }) => (until > from ? `${text} (to ${frameNumber(until, first)})` : text))
        .join('; '),
    );
  const take = harmless(currentTake(shot).name);
  const data = Array.from({ length: lengthFrames }, (_, i) => {
    const frame = i + 1;
    const heard = (cues.get(frame) ?? []).map(({ word }) => word).join(' ');
    return [
      String(frameNumber(frame, first)),
      written(i / shot.rate),
      harmless(heard),
      ...columns.flatMap(({ cells, figureId }) => {
        const cell = cells[i]!;
        return [pictureIn(cell, shot, first), markIn(cell), written(cell.ruler), noteOn(frame, figureId)];
      }),
      noteOn(frame, null),
      shot.sheet.units,
      take,
    ];
  });
  return csvText(fields, data);
}
