import type { Cue, Mark, Move, Note, Shot } from '../model/schema';
import { drawingCount } from '../exposure/drawings';
import { cuesByFrame } from '../timing/cues';
import { type NumberedDrawing, numberedDrawings } from './drawingNumbers';
import { incrementTable } from './increments';

export interface SheetCell {
  /** A picture begins here, one goes on, or there is none: a cycle that is hidden outside its range. */
  readonly shows: 'begins' | 'held' | 'nothing';
  /** First frame of the picture; the frame itself where there is none. */
  readonly begins: number;
  /** For how many frames that picture is held; 0 where there is none. */
  readonly framesHeld: number;
  /** Which drawing, from 1, where the figure has several and a picture begins. */
  readonly drawing: number | null;
  /** The drawing to be made, where the figure is drawn through and one begins; null elsewhere. */
  readonly numbered: NumberedDrawing | null;
  readonly isByHand: boolean;
  readonly isSkipped: boolean;
  readonly mark: Mark | null;
  /** The way from the picture before, on the ruler, in the units of the sheet. */
  readonly ruler: number | null;
}

export interface SheetColumn {
  readonly move: Move;
  readonly figure: string;
  readonly figureId: string;
  readonly cells: readonly SheetCell[];
}

export interface ExposureSheet {
  readonly lengthFrames: number;
  readonly columns: readonly SheetColumn[];
  readonly cues: ReadonlyMap<number, readonly Cue[]>;
  readonly notes: ReadonlyMap<number, readonly Note[]>;
}

const NOTHING: Omit<SheetCell, 'begins'> = {
  shows: 'nothing',
  framesHeld: 0,
  drawing: null,
  numbered: null,
  isByHand: false,
  isSkipped: false,
  mark: null,
  ruler: null,
};

function columnOf(shot: Shot, move: Move): SheetColumn {
  const figure = shot.figures.find(({ id }) => id === move.figureId)!;
  const { rows, skipped } = incrementTable(shot, move);
  const marks = new Map(move.marks.map((mark) => [mark.frame, mark]));
  const left = new Set(skipped.filter(({ isCut }) => !isCut).map(({ frame }) => frame));
  const numbered = new Map(numberedDrawings(shot, move).map((one) => [one.frame, one]));
  const hasDrawings = drawingCount(figure) > 1;
  const cells: SheetCell[] = [];
  for (const { frame: begins, framesHeld, drawing, isByHand, ruler } of rows)
    for (let frame = begins; frame < begins + framesHeld; frame++) {
      if (drawing === 0) {
        cells.push({ ...NOTHING, begins: frame, mark: marks.get(frame) ?? null });
        continue;
      }
      const isFirst = frame === begins;
      cells.push({
        shows: isFirst ? 'begins' : 'held',
        begins,
        framesHeld,
        drawing: isFirst && hasDrawings ? drawing : null,
        numbered: (isFirst && numbered.get(begins)) || null,
        isByHand: isFirst && isByHand,
        isSkipped: left.has(frame),
        mark: marks.get(frame) ?? null,
        ruler: isFirst ? ruler : null,
      });
    }
  return { move, figure: figure.name, figureId: figure.id, cells };
}

const columns = new WeakMap<Move, { readonly shot: Shot; readonly column: SheetColumn }>();

function knownColumn(shot: Shot, move: Move): SheetColumn {
  const known = columns.get(move);
  if (known?.shot === shot) return known.column;
  const column = columnOf(shot, move);
  columns.set(move, { shot, column });
  return column;
}

function notesByFrame({ notes, lengthFrames }: Shot): Map<number, Note[]> {
  const byFrame = new Map<number, Note[]>();
  for (const note of notes)
    for (let frame = note.from; frame <= Math.min(note.until, lengthFrames); frame++) {
      const others = byFrame.get(frame);
      if (others) others.push(note);
      else byFrame.set(frame, [note]);
    }
  return byFrame;
}

/** A shot as an exposure sheet. @param moveIds the columns, all moves of figures that are not hidden without it */
export function exposureSheet(shot: Shot, moveIds?: readonly string[]): ExposureSheet {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const moves = shot.moves.filter(({ id, figureId }) => moveIds?.includes(id) ?? seen.has(figureId));
  return {
    lengthFrames: shot.lengthFrames,
    columns: moves.map((move) => knownColumn(shot, move)),
    cues: cuesByFrame(shot.cues, shot.rate),
    notes: notesByFrame(shot),
  };
}
