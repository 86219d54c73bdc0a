import Papa from 'papaparse';
import { pathData } from '../arc/pathData';
import type { Shot } from '../model/schema';
import { writeIncrementsCsv } from './incrementsCsv';

/** Something of a shot as a text for the clipboard. A new one is a function that writes it, and an entry in the table. */
export interface Copy {
  readonly id: string;
  readonly label: string;
  readonly sentence: string;
  readonly write: (shot: Shot, arcId: string | null) => string;
}

/** The table of increments with tabs between its cells: pasted into a spreadsheet, each has a cell of its own. */
function tabbed(shot: Shot): string {
  if (shot.moves.length === 0) return '';
  const { data } = Papa.parse<string[]>(writeIncrementsCsv(shot).trimEnd());
  return Papa.unparse(data, { delimiter: '\t', newline: '\n' });
}

function arcData(shot: Shot, arcId: string | null): string {
  const arc = shot.arcs.find(({ id }) => id === arcId);
  return arc ? pathData(arc) : '';
}

export const COPIES: readonly Copy[] = [
  {
    id: 'increments',
    label: 'Copy increments',
    sentence: 'Paste it into a spreadsheet: each number gets a cell of its own.',
    write: tabbed,
  },
  {
    id: 'arc',
    label: 'Copy arc as path data',
    sentence: 'The current arc as SVG path data, for a drawing program or for code.',
    write: arcData,
  },
];
